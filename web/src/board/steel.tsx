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
import type { Across, View } from '../client/picture-props.ts';
import { still } from '../ui/still.ts';
import { linePath } from './line-path.ts';
import { acrossPx } from './strips.ts';
import { toPx } from './view.ts';

export const pathOf = (points: readonly DrawnPoint[], view: View, across: Across): string =>
  `${linePath(points.map(([x, value]) => [toPx(view, x), acrossPx(across, value)]))}Z`;

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
  return pieces.map((piece, index) => (
    <path
      key={index}
      d={sides.map((side) => pathOf(outline(piece, side, section), view, across)).join('')}
      strokeWidth={1.5}
      strokeLinejoin="round"
      {...style(piece)}
    />
  ));
}

const DONOR_STEEL: OutlineStyle = { fill: 'var(--color-steel)', stroke: 'var(--color-graphite)' };
const NEW_STEEL: OutlineStyle = { fill: 'url(#hatch-new)', stroke: 'var(--color-layout)' };
const CUT_AWAY: OutlineStyle = { fill: 'url(#hatch-cut)', stroke: 'var(--color-oxide)' };
const GHOST = { fill: 'none', strokeDasharray: '4 3', strokeWidth: 1 } as const;

type ViewOfSteel = Pick<RailsProps, 'what' | 'view' | 'across' | 'section'>;

const ghost = (stroke: string) => () => ({ ...GHOST, stroke });
const [donorGhost, builtGhost] = [ghost('var(--color-pencil)'), ghost('var(--color-layout)')];

/** The donor where it was, as a dashed ghost. */
export const DonorGhost = still(function DonorGhost({ donor, ...view }: ViewOfSteel & { readonly donor: PlanResult }) {
  return <Rails {...view} pieces={donor.pieces} style={donorGhost} />;
});

/** Steel that an operation takes out, hatched: where it stood, or where it stands now. */
export function CutAway({ pieces, ...view }: ViewOfSteel & { readonly pieces: readonly Piece[] }) {
  return <Rails {...view} pieces={pieces} style={() => CUT_AWAY} />;
}

/** The frame as it will be, in layout ink under what stands now. */
export function BuiltGhost({ pieces, ...view }: ViewOfSteel & { readonly pieces: readonly Piece[] }) {
  return <Rails {...view} pieces={pieces} style={builtGhost} />;
}

/** The rails: donor steel, and new steel hatched. */
export function Steel({ pieces, ...view }: ViewOfSteel & { readonly pieces: readonly Piece[] }) {
  return <Rails {...view} pieces={pieces} style={(piece) => (piece.source === 'donor' ? DONOR_STEEL : NEW_STEEL)} />;
}
