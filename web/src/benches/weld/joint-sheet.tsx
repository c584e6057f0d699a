import {
  flatSection,
  placeBetween,
  quantityText,
  type RailSpliceOutcome,
  type Stitch,
  wallName,
  type WallPlace,
} from '@splay/core';
import type { WeldingInHand } from './use-welding.ts';
import { passWords, railWords, seamWords } from './words.ts';

/** Room over and under a sheet for its name, and beside it for the names of its walls, px. */
const HEAD = 22;
const SIDE = 96;

interface SheetProps {
  readonly one: RailSpliceOutcome;
  readonly hand: WeldingInHand;
  readonly size: { readonly width: number; readonly height: number };
  /** Ids of stitches that are welded, really or at the moment that is looked at. */
  readonly laid: ReadonlySet<string>;
  readonly next: string | null;
  readonly heat: readonly number[] | null;
  readonly limit: number;
  readonly unit: 'in' | 'mm';
}

/** One rail laid flat: its walls, its tacks and stitches. */
export function JointSheet({ one, hand, size, laid, next, heat, limit, unit }: SheetProps) {
  const { section } = one.steel;
  const flat = flatSection(section);
  const joint = hand.joint?.joint.id;
  const own = (stitch: Stitch) => stitch.seam.joint.id === joint && stitch.seam.rail === one.rail;
  const ordered = hand.passes.filter(({ seam }) => seam.joint.id === joint);
  const stitches = ordered.flatMap((stitch, index) => (own(stitch) ? [{ stitch, number: index + 1 }] : []));
  const tacks = hand.welding.steps.flatMap((step) => (step.what === 'tack' ? step.stitches.filter(own) : []));
  const reach = Math.max(
    120,
    ...stitches.map(({ stitch }) => Math.max(Math.abs(stitch.from.x), Math.abs(stitch.to.x)) + 30),
  );
  const room = { width: size.width - SIDE - 12, height: size.height - 2 * HEAD };
  const scale = Math.min(room.height / flat.around, room.width / (2 * reach));
  const middle = SIDE + room.width / 2;
  const foot = HEAD + room.height / 2 + (flat.around * scale) / 2;
  const to = ({ x, s }: WallPlace): readonly [number, number] => [middle + x * scale, foot - s * scale];
  const [left, right] = [middle - reach * scale, middle + reach * scale];
  const edge = (s: number) => foot - s * scale;
  // The step that is looked at stands out; what is welded before and after it is drawn faint.
  const layer =
    (stitches.find(({ stitch }) => stitch.id === next) ?? stitches.find(({ stitch }) => !laid.has(stitch.id)))?.stitch
      .seam.layer ?? null;
  const count = stitches.filter(({ stitch }) => stitch.seam.layer === layer).length;
  const stateOf = (stitch: Stitch): StitchMarkProps['is'] =>
    layer !== null && stitch.seam.layer !== layer
      ? 'beside'
      : laid.has(stitch.id)
        ? 'laid'
        : stitch.id === next
          ? 'next'
          : 'open';
  /** How far the butt weld lies off the middle of the joint at each row. */
  const butts = hand.welding.seams.filter(
    (seam) => seam.layer === 'butt' && seam.joint.id === joint && seam.rail === one.rail,
  );
  const line = (heat ?? []).map((_, row) => {
    const s = (flat.around * (row + 0.5)) / (heat ?? []).length;
    const on = butts.flatMap((seam) => seam.stretches).find(({ from, to: end }) => s >= from.s && s <= end.s);
    return on ? placeBetween(on.from, on.to, (s - on.from.s) / (on.to.s - on.from.s)).x : 0;
  });
  const inFront = stitches.toSorted(
    (a, b) => Number(stateOf(a.stitch) !== 'beside') - Number(stateOf(b.stitch) !== 'beside'),
  );
  return (
    <>
      <text x={SIDE} y={15} className="label" fontSize={12} fill="var(--color-pencil)">
        {railWords(one.rail)}
        {heat && ` · hottest ${quantityText('temperature', Math.max(...heat), unit)}`}
      </text>
      <rect
        x={left}
        y={edge(flat.around)}
        width={right - left}
        height={flat.around * scale}
        fill="var(--color-steel)"
        stroke="var(--color-graphite)"
        strokeWidth={1.4}
      />
      {flat.walls.slice(1).map(({ wall, from }) => (
        <path
          key={`${wall} ${from}`}
          d={`M${left} ${edge(from)}H${right}`}
          stroke="var(--color-graphite)"
          strokeDasharray="6 4"
          strokeWidth={0.9}
        />
      ))}
      {flat.walls.map(({ wall, from, to: end }) => (
        <text
          key={`${wall} ${from} name`}
          x={SIDE - 6}
          y={edge((from + end) / 2) + 4}
          textAnchor="end"
          className="label"
          fontSize={11.5}
          fill="var(--color-pencil)"
        >
          {wallName(section, wall)}
        </text>
      ))}
      {heat?.map((temperature, row) => {
        const high = (flat.around * scale) / heat.length;
        const share = Math.min(1, Math.max(0, (temperature - 25) / (limit - 25)));
        return share < 0.04 ? null : (
          <rect
            key={`row ${row}`}
            x={middle - 26 + (line[row] ?? 0) * scale}
            y={edge(0) - (row + 1) * high}
            width={52}
            height={high + 0.4}
            fill={`color-mix(in srgb, var(--color-oxide) ${Math.round(share * 70)}%, var(--color-ochre-wash))`}
            opacity={temperature > limit ? 1 : 0.75}
          />
        );
      })}
      {inFront.map(({ stitch, number }) => (
        <StitchMark
          key={stitch.id}
          stitch={stitch}
          number={number}
          ends={[to(stitch.from), to(stitch.to)]}
          is={stateOf(stitch)}
          small={count > 40}
        />
      ))}
      {tacks.map((tack) => {
        const [x, y] = to(tack.from);
        return (
          <circle
            key={tack.id}
            cx={x}
            cy={y}
            r={3}
            fill={laid.has(tack.id) ? 'var(--color-graphite)' : 'var(--color-sheet)'}
            stroke="var(--color-graphite)"
            strokeWidth={1.4}
          >
            <title>{`Tack ${tack.id.slice(tack.id.lastIndexOf('#') + 1)}`}</title>
          </circle>
        );
      })}
    </>
  );
}

interface StitchMarkProps {
  readonly stitch: Stitch;
  readonly number: number;
  readonly ends: readonly [readonly [number, number], readonly [number, number]];
  /** `beside`: of another step than the one that is looked at. */
  readonly is: 'laid' | 'next' | 'open' | 'beside';
  readonly small: boolean;
}

const INK = {
  laid: 'var(--color-graphite)',
  next: 'var(--color-ochre)',
  open: 'var(--color-layout)',
  beside: 'var(--color-layout)',
} as const;

/** A stitch as a bar on its seam, the passes of one seam beside each other, with its number. */
function StitchMark({ stitch, number, ends: [a, b], is, small }: StitchMarkProps) {
  const [run, rise] = [b[0] - a[0], b[1] - a[1]];
  const long = Math.hypot(run, rise);
  // Passes of one seam lie beside each other, the root ahead.
  const aside = (stitch.pass - (stitch.seam.passes + 1) / 2) * 17;
  const [ux, uy] = long < 3 ? [1, 0] : [run / long, rise / long];
  const [x, y] = [(a[0] + b[0]) / 2 - uy * aside, (a[1] + b[1]) / 2 + ux * aside];
  const [length, wide] = [Math.max(9, long - 3), small ? 9 : 14];
  return (
    <g opacity={is === 'beside' ? 0.35 : 1}>
      <title>{`${number}: ${seamWords(stitch.seam)}, ${passWords(stitch)}`}</title>
      <rect
        x={x - length / 2}
        y={y - wide / 2}
        width={length}
        height={wide}
        rx={2}
        transform={`rotate(${(Math.atan2(uy, ux) * 180) / Math.PI} ${x} ${y})`}
        fill={is === 'laid' ? INK.laid : is === 'next' ? INK.next : 'var(--color-layout-wash)'}
        stroke={INK[is]}
        strokeWidth={1.3}
      />
      {is !== 'beside' && (!small || length > 14) && (
        <text
          x={x}
          y={y + 3.6}
          textAnchor="middle"
          fontSize={10.5}
          fontWeight={600}
          fill={is === 'open' ? 'var(--color-graphite)' : 'var(--color-paper)'}
          className="tabular-nums"
        >
          {number}
        </text>
      )}
    </g>
  );
}
