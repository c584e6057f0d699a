import { type DrawnPoint, type Piece, planOutline, type Section, type Side, sideOutline, SIDES } from '@splay/core';
import type { Across, View } from '../client/picture-props.ts';
import { memoized } from '../ui/memoized.ts';
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
}

const INKS = {
  /** Donor steel. */
  steel: { fill: 'var(--color-steel)', stroke: 'var(--color-graphite)' },
  /** New steel, hatched. */
  new: { fill: 'url(#hatch-new)', stroke: 'var(--color-layout)' },
  /** Steel that an operation takes out, hatched. */
  'cut away': { fill: 'url(#hatch-cut)', stroke: 'var(--color-oxide)' },
  /** The donor where it was. */
  'donor ghost': { fill: 'none', stroke: 'var(--color-pencil)', strokeDasharray: '4 3', strokeWidth: 1 },
  /** The frame as it will be, under what stands now. */
  'built ghost': { fill: 'none', stroke: 'var(--color-layout)', strokeDasharray: '4 3', strokeWidth: 1 },
} as const satisfies Record<string, OutlineStyle>;

interface RailsProps {
  readonly pieces: readonly Piece[];
  readonly what: 'side' | 'plan';
  readonly view: View;
  readonly across: Across;
  readonly section: (id: string) => Section;
  /** What all of them are drawn in; not said, each as it is: donor steel, or new. */
  readonly ink?: Exclude<keyof typeof INKS, 'steel' | 'new'>;
}

/** The rails of pieces: the left one in side view, both in plan view; one path for all in the same ink. */
export const Rails = memoized(function Rails({ pieces, what, view, across, section, ink }: RailsProps) {
  const sides: readonly Side[] = what === 'side' ? ['left'] : SIDES;
  const outline = what === 'side' ? sideOutline : planOutline;
  const inkOf = ({ source }: Piece) => ink ?? (source === 'donor' ? 'steel' : 'new');
  return [...new Set(pieces.map(inkOf))].sort().map((of) => (
    <path
      key={of}
      d={pieces
        .filter((piece) => inkOf(piece) === of)
        .flatMap((piece) => sides.map((side) => pathOf(outline(piece, side, section), view, across)))
        .join('')}
      strokeWidth={1.5}
      strokeLinejoin="round"
      {...INKS[of]}
    />
  ));
});
