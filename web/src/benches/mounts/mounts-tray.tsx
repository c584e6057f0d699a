import {
  heightOf,
  isBeside,
  type LengthFormat,
  type LoadedLayer,
  type MountingOutcome,
  ruleValue,
  sideOutline,
} from '@splay/core';
import { SvgLength } from '../../board/svg-length.tsx';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { inOrder, selectedMount, stateOf } from './selection.ts';

/** Room over and under the stacks for their figures and words, px. */
const [OVER, UNDER] = [44, 60];
/** Width of a stack, px. */
const WIDE = 22;
/** How much of the rail is shown under its top, mm. */
const RAIL = 22;
/** The least that the picture is high, mm. */
const LEAST = 90;

/** The left and right mounts of a station, by their tags. */
function pairsOf(mountings: readonly MountingOutcome[]): readonly (readonly MountingOutcome[])[] {
  const pairs = new Map<string, MountingOutcome[]>();
  for (const one of inOrder(mountings)) {
    const station = one.tag.slice(0, -1);
    pairs.set(station, [...(pairs.get(station) ?? []), one]);
  }
  return [...pairs.values()];
}

/**
 * Every mount along the tape as the stack that it is: from the top of the rail up its plates, its bracket and its
 * bushings to the body; a straightedge over the corner brackets, left against right.
 */
export function MountsTray(props: PictureProps) {
  const { result, job, tray, view, section, onSelect, onLook } = props;
  const hand = selectedMount(result, props);
  const standing = result.mountings.filter(({ height }) => height !== null);
  if (standing.length === 0)
    return (
      <p className="flex h-full items-center justify-center px-8 text-center text-pencil">
        The mounts stand here as stacks once the body’s mounts are measured and lie over the frame.
      </p>
    );
  const tops = standing.flatMap(({ rail }) => (rail ? [rail.top] : []));
  const low = Math.min(...tops, ...standing.map(({ top }) => top)) - RAIL;
  const high = Math.max(...tops, ...standing.map(({ seat, top }) => Math.max(seat.at.z, top)), low + LEAST);
  const scale = (tray.height - OVER - UNDER) / (high - low);
  const py = (z: number) => OVER + (high - z) * scale;
  const limit = ruleValue(job.rules, 'mount/ratio');
  return (
    <svg
      width={tray.width}
      height={tray.height}
      role="img"
      aria-label="Every mount as its stack over the top of the rail, left beside right; the same is under Mounts"
    >
      <text x={10} y={16} className="label" fontSize={12} fill="var(--color-pencil)">
        Stacks on the rail, left beside right · dashed: a straightedge over the corners, and how each stands to it ·
        heights stretched
      </text>
      <clipPath id="clip-stacks">
        <rect x={0} y={24} width={tray.width} height={tray.height - UNDER - 24} />
      </clipPath>
      <g clipPath="url(#clip-stacks)">
        {result.pieces.map((piece, index) => (
          <path
            key={index}
            d={`M${sideOutline(piece, 'left', section)
              .map(([x, z]) => `${toPx(view, x)} ${py(z)}`)
              .join('L')}Z`}
            fill="var(--color-steel)"
            stroke="var(--color-graphite)"
            strokeWidth={1.6}
          />
        ))}
      </g>
      {pairsOf(standing).map((pair) => {
        const [first] = pair;
        if (!first) return null;
        const x = toPx(view, first.seat.at.x);
        return (
          <g key={first.tag}>
            {hand && pair.includes(hand) && (
              <rect
                x={x - 58}
                y={24}
                width={116}
                height={tray.height - 26}
                fill="var(--color-layout-wash)"
                fillOpacity={0.55}
              />
            )}
            {pair.map((outcome, index) => {
              const left = x + (pair.length === 1 ? -WIDE / 2 : index === 0 ? -WIDE - 2 : 2);
              return (
                <g
                  key={outcome.tag}
                  className="cursor-pointer"
                  onClick={() => {
                    onSelect(outcome.seat.mount.id);
                    onLook(outcome.seat.at.x);
                  }}
                >
                  <Column
                    outcome={outcome}
                    x={left}
                    at={outcome === hand}
                    bad={stateOf(outcome, limit) === 'bad'}
                    {...{ py, scale }}
                  />
                </g>
              );
            })}
            <Words
              pair={pair}
              x={x}
              top={py(Math.max(...pair.map(({ seat, top, rail }) => Math.max(seat.at.z, top, rail?.top ?? top))))}
              foot={tray.height}
              format={job.display}
            />
          </g>
        );
      })}
      {(['left', 'right'] as const).map((side) => (
        <Straightedge key={side} of={standing.filter((one) => one.side === side)} {...{ view, py }} />
      ))}
    </svg>
  );
}

/** A straightedge from the first bracket to the last on a side. */
function Straightedge({
  of,
  view,
  py,
}: {
  readonly of: readonly MountingOutcome[];
  readonly view: PictureProps['view'];
  readonly py: (z: number) => number;
}) {
  const points = of
    .toSorted((a, b) => a.seat.at.x - b.seat.at.x)
    .flatMap(({ seat, top, offLine }) => (offLine === null ? [] : [`${toPx(view, seat.at.x)} ${py(top - offLine)}`]));
  if (points.length < 3) return null;
  return (
    <path
      d={`M${points.join('L')}`}
      fill="none"
      stroke="var(--color-graphite)"
      strokeWidth={1.1}
      strokeDasharray="12 4 3 4"
    >
      <title>straightedge over the corner brackets</title>
    </path>
  );
}

interface ColumnProps {
  readonly outcome: MountingOutcome;
  readonly x: number;
  readonly py: (z: number) => number;
  readonly scale: number;
  readonly at: boolean;
  readonly bad: boolean;
}

function Column({ outcome, x, py, scale, at, bad }: ColumnProps) {
  const { under, over, height, rail, top, seat, mounting, decided, tag } = outcome;
  if (!rail || height === null) return null;
  const foot = rail.top + heightOf(under);
  const ink = bad ? 'var(--color-oxide)' : 'var(--color-layout)';
  const slab = (layer: LoadedLayer, z: number) => (
    <rect
      key={layer.id}
      x={x}
      y={py(z + layer.loaded)}
      width={WIDE}
      height={Math.max(1.5, layer.loaded * scale)}
      fill={layer.kind === 'bushing' ? 'var(--color-bench)' : 'var(--color-sheet)'}
      stroke="var(--color-graphite)"
      rx={layer.kind === 'bushing' ? 4 : 0}
    />
  );
  return (
    <g>
      <title>{`${tag}: ${outcome.name}`}</title>
      {under.map((layer, index) => slab(layer, rail.top + heightOf(under.slice(0, index))))}
      {mounting.bracket.form !== 'none' ? (
        <rect
          x={x}
          y={Math.min(py(top), py(foot))}
          width={WIDE}
          height={Math.max(2, Math.abs(height) * scale)}
          fill={bad ? 'url(#hatch-cut)' : 'url(#hatch-new)'}
          stroke={ink}
          strokeWidth={at ? 2.4 : 1.5}
          strokeDasharray={decided ? undefined : '4 3'}
        />
      ) : (
        Math.abs(height) > 0.4 && (
          <rect
            x={x}
            y={Math.min(py(top), py(foot))}
            width={WIDE}
            height={Math.abs(height) * scale}
            fill="url(#hatch-cut)"
            stroke="var(--color-oxide)"
            strokeDasharray="3 2"
          />
        )
      )}
      {over.map((layer, index) => slab(layer, top + heightOf(over.slice(0, index))))}
      <path d={`M${x - 3} ${py(seat.at.z)}h${WIDE + 6}`} stroke="var(--color-ochre)" strokeWidth={3} />
    </g>
  );
}

/** What a pair says: bracket heights over it, under the line its tags, what it is, and how it stands to the straightedge. */
function Words({
  pair,
  x,
  top,
  foot,
  format,
}: {
  readonly pair: readonly MountingOutcome[];
  readonly x: number;
  readonly top: number;
  readonly foot: number;
  readonly format: LengthFormat;
}) {
  const [a, b] = pair;
  if (!a) return null;
  const figure = ({ made, mounting }: MountingOutcome) =>
    made === null ? '–' : <SvgLength mm={made} format={format} signed={isBeside(mounting.bracket)} />;
  const alike = !b || Math.abs((a.made ?? 0) - (b.made ?? 0)) < 0.4;
  const off = pair.reduce<number | null>(
    (worst, { offLine }) => (offLine !== null && Math.abs(offLine) > Math.abs(worst ?? 0) ? offLine : worst),
    null,
  );
  return (
    <g className="font-label" textAnchor="middle">
      <text x={x} y={top - 8} fontSize={15} fontWeight={600} fill="var(--color-graphite)">
        {figure(a)}
        {!alike && b && (
          <>
            {' · '}
            {figure(b)}
          </>
        )}
      </text>
      <text x={x} y={foot - 38} fontSize={14} fontWeight={600} fill="var(--color-graphite)">
        {pair.length > 1 ? a.tag.slice(0, -1) : a.tag}
      </text>
      <text x={x} y={foot - 23} fontSize={12} fill="var(--color-pencil)">
        {[...new Set(pair.map(({ name }) => name))].join(', ')}
      </text>
      <text x={x} y={foot - 8} fontSize={12} fill="var(--color-pencil)">
        {off === null || Math.abs(off) < 0.4 ? (
          'on the edge'
        ) : (
          <>
            <SvgLength mm={off} format={format} signed />
          </>
        )}
      </text>
    </g>
  );
}
