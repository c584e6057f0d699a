import { insideEdge, type Piece, type PlanResult, type Section } from '@splay/core';
import { memoized } from '../ui/memoized.ts';

/** A crossmember in both views, mm: its middle and top, its size, and the inside edges of the rails that it reaches. */
export interface Crossmember {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  readonly z: number;
  readonly length: number;
  readonly depth: number;
  readonly left: number;
  readonly right: number;
  /** True when it does not fit between its rails any more. */
  readonly misfit: boolean;
  readonly assumed: boolean;
  readonly chosen: boolean;
}

/** The crossmembers of a frame as they are drawn. */
export function crossmembersOf(
  shown: PlanResult,
  section: (id: string) => Section,
  chosen: (id: string) => boolean,
): readonly Crossmember[] {
  return shown.crossmembers.flatMap(
    ({ crossmember: { id, name, x, length, depth, origin }, built, piece, wider }): Crossmember[] => {
      const carrier = shown.pieces[piece ?? -1] as Piece | undefined;
      if (!built || !carrier) return [];
      const [left, right] = [insideEdge(carrier, 'left', x, section), insideEdge(carrier, 'right', x, section)];
      return [
        {
          id,
          name,
          x: built.x,
          z: built.z,
          length,
          depth,
          left,
          right,
          misfit: wider !== 0,
          assumed: origin === 'assumed',
          chosen: chosen(id),
        },
      ];
    },
  );
}

/** A box on the screen, px. */
interface Box {
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A crossmember in side view. */
export const CrossmemberEnd = memoized(function CrossmemberEnd({
  assumed,
  ...box
}: Box & { readonly x: number; readonly assumed: boolean }) {
  return (
    <rect
      {...box}
      fill="var(--color-bench)"
      stroke="var(--color-pencil)"
      strokeWidth={0.9}
      strokeDasharray={assumed ? '4 3' : undefined}
    />
  );
});

interface CrossmemberAboveProps extends Box, Pick<Crossmember, 'id' | 'name' | 'misfit' | 'assumed' | 'chosen'> {
  readonly onSelect: (id: string) => void;
  /** Where its middle and the center line are, px. */
  readonly middle: number;
  readonly center: number;
}

/** A crossmember from above, with its number. */
export const CrossmemberAbove = memoized(function CrossmemberAbove({
  id,
  name,
  middle,
  center,
  y,
  width,
  height,
  misfit,
  assumed,
  chosen,
  onSelect,
}: CrossmemberAboveProps) {
  const number = /\d+/.exec(name)?.[0];
  return (
    <g
      className={`pointer-events-auto cursor-pointer ${chosen ? 'text-layout' : 'text-pencil'}`}
      data-pick={id}
      data-name={name}
      onClick={() => onSelect(id)}
    >
      <title>{name}</title>
      <circle cx={middle} cy={center} className="touch-target" fill="transparent" />
      <rect
        x={middle - width / 2}
        {...{ y, width, height }}
        fill="var(--color-sheet)"
        stroke="currentColor"
        strokeWidth={chosen ? 2.2 : 1}
        strokeDasharray={misfit ? '4 2' : assumed ? '4 3' : undefined}
      />
      {number && (
        <text
          x={middle}
          y={center}
          dy="0.34em"
          textAnchor="middle"
          fontSize={12}
          fontWeight={600}
          className="font-label"
          fill="currentColor"
          stroke="var(--color-sheet)"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {number}
        </text>
      )}
    </g>
  );
});
