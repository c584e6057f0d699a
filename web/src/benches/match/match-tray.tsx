import type { LengthFormat, SeatMount } from '@splay/core';
import { SvgLength } from '../../board/svg-length.tsx';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { memoized } from '../../ui/memoized.ts';
import { isBad, WAY_WORDS } from './mount-words.ts';
import { selectedSeat } from './selected-seat.ts';

/** Room over and under the columns for their figures and words, px. */
const [OVER, UNDER] = [44, 66];
/** Width of a column, px. */
const WIDE = 15;
/** Half of what the words of a pair take up, about, px. */
const HALF_WORDS = 54;
/** The least that a full column stands for, mm: a gap of nothing is drawn as nothing. */
const LEAST = 60;
/** By so much the scale of all columns changes at once, mm: it stays while a body is moved a little. */
const STEP = 30;
/** Mounts nearer along the frame than this stand side by side, mm. */
const PAIR = 25;

/** Mounts that stand across from each other, left ones before right ones. */
function pairsOf(mounts: readonly SeatMount[]): readonly (readonly SeatMount[])[] {
  const pairs: SeatMount[][] = [];
  for (const mount of mounts.toSorted((a, b) => a.at.x - b.at.x)) {
    const last = pairs.at(-1);
    if (last?.[0] && mount.at.x - last[0].at.x < PAIR && last.length < 2 && last[0].side !== mount.side)
      last.push(mount);
    else pairs.push([mount]);
  }
  return pairs.map((pair) => pair.toSorted((a, b) => a.side.localeCompare(b.side)));
}

/** A column for each mount in register with the tape: packing above the rail's top, what is in the way below it. */
export function MatchTray(props: PictureProps) {
  const { result, job, tray, view, onLook } = props;
  const seat = selectedSeat(result, props);
  if (!seat || seat.mounts.length === 0)
    return (
      <p className="flex h-full items-center justify-center px-8 text-center text-pencil">
        {seat
          ? `The mounts of ${seat.body.name} stand here as columns once they are measured.`
          : 'No body is measured yet.'}
      </p>
    );
  const ups = seat.mounts.flatMap(({ up }) => (up === null ? [] : [up]));
  const most = Math.ceil(Math.max(LEAST, ...ups) / STEP) * STEP;
  const least = Math.floor(Math.min(0, ...ups) / STEP) * STEP;
  const scale = (tray.height - OVER - UNDER) / (most - least);
  const zero = OVER + most * scale;
  return (
    <svg
      width={tray.width}
      height={tray.height}
      role="img"
      aria-label={`Gap at each mount of ${seat.body.name}, left beside right; the same is under Mounts`}
    >
      <text x={10} y={16} className="label" fontSize={12} fill="var(--color-pencil)">
        Gap at each mount over the top of the rail · left beside right
      </text>
      {pairsOf(seat.mounts).map((pair) => {
        const [first] = pair;
        if (!first) return null;
        const x = toPx(view, first.at.x);
        if (x < -WIDE || x > tray.width + WIDE) return null;
        return (
          <g
            key={first.mount.id}
            className="cursor-pointer"
            transform={`translate(${x})`}
            onClick={() => {
              props.onSelect(first.mount.id);
              onLook(first.at.x);
            }}
          >
            {pair.map((mount, index) => (
              <Column
                key={mount.mount.id}
                {...{ zero, scale }}
                name={mount.mount.name}
                up={mount.up}
                way={mount.way}
                side={mount.side}
                x={pair.length === 1 ? -WIDE / 2 : index === 0 ? -WIDE - 1 : 1}
              />
            ))}
            <Words
              pair={pair.map(saidOf)}
              top={zero - Math.max(0, ...pair.map(({ up }) => up ?? 0)) * scale}
              foot={tray.height}
              aside={Math.min(Math.max(x, HALF_WORDS), tray.width - HALF_WORDS) - x}
              format={job.display}
            />
          </g>
        );
      })}
      <path d={`M0 ${zero}H${tray.width}`} stroke="var(--color-graphite)" strokeWidth={2} />
      <text x={tray.width - 8} y={zero + 15} textAnchor="end" fontSize={12} fill="var(--color-pencil)">
        top of the rail
      </text>
    </svg>
  );
}

/** What is said of a mount wherever it stands: what moves along the frame moves with its column. */
type Said = Pick<SeatMount, 'up' | 'way' | 'side' | 'sideways'> & { readonly name: string };
const saidOf = ({ mount: { name }, up, way, side, sideways }: SeatMount): Said => ({ name, up, way, side, sideways });

interface ColumnProps extends Omit<Said, 'sideways'> {
  /** From the middle of its pair, and where the top of the rail is drawn, px. */
  readonly x: number;
  readonly zero: number;
  readonly scale: number;
}

const Column = memoized(function Column({ name, up, way, side, x, zero, scale }: ColumnProps) {
  const high = (up ?? 0) * scale;
  const bad = isBad(way);
  return (
    <g>
      <title>{`${name}, ${side}: ${WAY_WORDS[way]}`}</title>
      <rect
        x={x}
        y={Math.min(zero, zero - high)}
        width={WIDE}
        height={Math.max(1.5, Math.abs(high))}
        fill={bad || high < 0 ? 'url(#hatch-cut)' : 'url(#hatch-new)'}
        stroke={bad || high < 0 ? 'var(--color-oxide)' : 'var(--color-layout)'}
        strokeWidth={1.4}
      />
    </g>
  );
});

interface WordsProps {
  readonly pair: readonly Said[];
  /** Where its columns end, and the picture, px. */
  readonly top: number;
  readonly foot: number;
  /** How far beside its columns it stands to be in sight, px. */
  readonly aside: number;
  readonly format: LengthFormat;
}

/** What a pair says: its gap over it, one or two of them, and under the line its name and what it becomes. */
const Words = memoized(function Words({ pair, top, foot, aside, format }: WordsProps) {
  const [a, b] = pair;
  if (!a) return null;
  const alike = !b || (a.up !== null && b.up !== null && Math.abs(a.up - b.up) < 0.4);
  const gap = (up: number | null) => (up === null ? '–' : <SvgLength mm={up} format={format} signed />);
  const ways = [...new Set(pair.map(({ way }) => WAY_WORDS[way]))].join(', ');
  const beside = Math.max(...pair.map(({ sideways }) => Math.abs(sideways)));
  const bad = pair.some(({ way }) => isBad(way));
  return (
    <g className="font-label" textAnchor="middle">
      <text x={aside} y={top - 7} fontSize={15} fontWeight={600} fill="var(--color-graphite)">
        {gap(a.up)}
        {!alike && (
          <>
            {' · '}
            {gap(b.up)}
          </>
        )}
      </text>
      <text x={aside} y={foot - 24} fontSize={12} fill="var(--color-graphite)">
        {a.name.split(',')[0]}
      </text>
      <text x={aside} y={foot - 9} fontSize={12} fill={bad ? 'var(--color-oxide)' : 'var(--color-pencil)'}>
        {ways}
        {beside > 0.4 && (
          <>
            {', '}
            <SvgLength mm={beside} format={format} /> {a.sideways > 0 ? 'outboard' : 'inboard'}
          </>
        )}
      </text>
    </g>
  );
});
