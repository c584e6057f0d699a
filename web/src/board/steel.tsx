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

interface OutlineStyle {
  readonly fill: string;
  readonly stroke: string;
  readonly strokeDasharray?: string;
  readonly strokeWidth?: number;
  readonly opacity?: number;
}

interface RailsProps {
  readonly pieces: readonly Piece[];
  readonly what: 'side' | 'plan';
  readonly view: View;
  readonly across: Across;
  readonly section: (id: string) => Section;
  readonly style: (piece: Piece) => OutlineStyle;
}

/** The rails of pieces: the left one in side view, both in plan view. */
function Rails({ pieces, what, view, across, section, style }: RailsProps) {
  const sides: readonly Side[] = what === 'side' ? ['left'] : SIDES;
  const outline = what === 'side' ? sideOutline : planOutline;
  return pieces.flatMap((piece, index) =>
    sides.map((side) => (
      <path
        key={`${index}${side}`}
        d={pathOf(outline(piece, side, section), view, across)}
        strokeWidth={1.5}
        strokeLinejoin="round"
        {...style(piece)}
      />
    )),
  );
}

const DONOR_STEEL: OutlineStyle = { fill: 'var(--color-steel)', stroke: 'var(--color-graphite)' };
const NEW_STEEL: OutlineStyle = { fill: 'url(#hatch-new)', stroke: 'var(--color-layout)' };
const CUT_AWAY: OutlineStyle = { fill: 'url(#hatch-cut)', stroke: 'var(--color-oxide)' };
const GHOST = { fill: 'none', strokeDasharray: '4 3', strokeWidth: 1 } as const;

type ViewOfSteel = Pick<RailsProps, 'what' | 'view' | 'across' | 'section'>;

/** The donor where it was, as a dashed ghost. */
export function DonorGhost({ donor, ...view }: ViewOfSteel & { readonly donor: PlanResult }) {
  return (
    <Rails {...view} pieces={donor.pieces} style={() => ({ ...GHOST, stroke: 'var(--color-pencil)', opacity: 0.6 })} />
  );
}

interface SteelProps extends ViewOfSteel {
  readonly result: PlanResult;
  readonly donor: PlanResult;
  readonly showBefore: boolean;
  /** Ids of operations that cut an end off: their steel is drawn where it was, hatched. */
  readonly trims: ReadonlySet<string>;
}

/** The rails: donor steel, new steel and steel cut away; or before the work, what goes and where the rest will lie. */
export function Steel({ result, donor, showBefore, trims, ...view }: SteelProps) {
  if (showBefore)
    return (
      <g>
        <Rails {...view} pieces={donor.pieces} style={() => DONOR_STEEL} />
        <Rails
          {...view}
          pieces={result.removed
            .filter((piece) => piece.source === 'donor')
            .map((piece) => ({ ...piece, pose: { turn: 0, dx: 0, dz: 0 }, spread: 0 }))}
          style={() => CUT_AWAY}
        />
        <Rails {...view} pieces={result.pieces} style={() => ({ ...GHOST, stroke: 'var(--color-layout)' })} />
      </g>
    );
  return (
    <g>
      <Rails {...view} pieces={result.removed.filter((piece) => trims.has(piece.operation))} style={() => CUT_AWAY} />
      <Rails {...view} pieces={result.pieces} style={(piece) => (piece.source === 'donor' ? DONOR_STEEL : NEW_STEEL)} />
    </g>
  );
}
