import {
  type DrawnPoint,
  type Piece,
  planOutline,
  type PlanResult,
  type Section,
  type Side,
  sideOutline,
  SIDES,
} from '@splay/core';
import { toPx, type View } from './view.ts';

/** How heights (side view) or widths (plan view) become pixels. */
export interface Across {
  readonly zero: number;
  /** −1: up is less; 1: down is more. */
  readonly sign: -1 | 1;
}

export const acrossPx = (view: View, across: Across, mm: number): number => across.zero + across.sign * mm * view.scale;

export const pathOf = (points: readonly DrawnPoint[], view: View, across: Across): string =>
  `${points.map(([x, value], index) => `${index === 0 ? 'M' : 'L'}${toPx(view, x).toFixed(2)} ${acrossPx(view, across, value).toFixed(2)}`).join('')}Z`;

type Outline = (piece: Piece, side: Side, sectionOf: (id: string) => Section) => DrawnPoint[];

interface SteelProps {
  readonly result: PlanResult;
  readonly donor: PlanResult;
  readonly view: View;
  readonly across: Across;
  readonly what: 'side' | 'plan';
  readonly section: (id: string) => Section;
  readonly showBefore: boolean;
  /** Ids of operations that cut an end off: their steel is drawn where it was, hatched. */
  readonly trims: ReadonlySet<string>;
}

/** The rails: donor steel, new steel, steel cut away, and the donor's old place as a dashed ghost. */
export function Steel({ result, donor, view, across, what, section, showBefore, trims }: SteelProps) {
  const outline: Outline = what === 'side' ? sideOutline : planOutline;
  const sides = what === 'side' ? (['left'] as const) : SIDES;
  const draw = (piece: Piece, key: string, fill: string, stroke: string, extra: object = {}) =>
    sides.map((side) => (
      <path
        key={key + side}
        d={pathOf(outline(piece, side, section), view, across)}
        fill={fill}
        stroke={stroke}
        strokeWidth={1.5}
        strokeLinejoin="round"
        {...extra}
      />
    ));
  const ghost = { strokeDasharray: '4 3', strokeWidth: 1 };
  const moved = result.pieces.length > 1;

  if (showBefore)
    return (
      <g>
        {donor.pieces.flatMap((piece, index) =>
          draw(piece, `b${index}`, 'var(--color-steel)', 'var(--color-graphite)'),
        )}
        {result.removed
          .filter((piece) => piece.source === 'donor')
          .flatMap((piece, index) =>
            draw(
              { ...piece, pose: { turn: 0, dx: 0, dz: 0 }, spread: 0 },
              `r${index}`,
              'url(#hatch-cut)',
              'var(--color-oxide)',
            ),
          )}
        {result.pieces.flatMap((piece, index) => draw(piece, `a${index}`, 'none', 'var(--color-layout)', ghost))}
      </g>
    );
  return (
    <g>
      {moved &&
        donor.pieces.flatMap((piece, index) =>
          draw(piece, `g${index}`, 'none', 'var(--color-pencil)', { ...ghost, opacity: 0.6 }),
        )}
      {result.removed
        .filter((piece) => trims.has(piece.operation))
        .flatMap((piece, index) => draw(piece, `c${index}`, 'url(#hatch-cut)', 'var(--color-oxide)'))}
      {result.pieces.flatMap((piece, index) =>
        piece.source === 'donor'
          ? draw(piece, `p${index}`, 'var(--color-steel)', 'var(--color-graphite)')
          : draw(piece, `p${index}`, 'url(#hatch-new)', 'var(--color-layout)'),
      )}
    </g>
  );
}
