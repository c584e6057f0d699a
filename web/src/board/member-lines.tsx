import { type PlanResult, ribbon, type Section, type Vec3, widthOf } from '@splay/core';
import { memoized } from '../ui/memoized.ts';
import type { Across } from '../client/picture-props.ts';
import { pathOf } from './steel.tsx';
import type { View } from '../client/picture-props.ts';

interface MemberLinesProps {
  readonly shown: PlanResult;
  readonly what: 'side' | 'plan';
  readonly view: View;
  readonly across: Across;
  readonly section: (id: string) => Section;
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
}

/** Members beside the rails, as they end up, and braces: what is new hatched, what is picked in layout ink. */
export function MemberLines({ shown, what, view, across, section, selected, onSelect }: MemberLinesProps) {
  const outline = (points: readonly Vec3[], of: string) =>
    pathOf(ribbon(points, what === 'side' ? section(of).depth : widthOf(section(of)), what), view, across);
  const drawn = (id: string, name: string, key: string, d: string, isNew: boolean) => (
    <MemberLine key={key} {...{ id, name, d, isNew, onSelect }} chosen={selected === id} />
  );
  // In side view the two of a pair lie over each other: the left one is drawn, as of the rails.
  const sides = what === 'side' ? ['left'] : ['left', 'right'];
  return (
    <>
      {shown.members.flatMap(({ member: { id, name, section: of, copies: copied }, copies }) =>
        copies
          .filter(({ side }) => copied === 'single' || sides.includes(side))
          .flatMap((copy) =>
            copy.built.map(({ points, isNew }, index) =>
              drawn(id, `${name}, ${copy.side}`, `${copy.rail}/${index}`, outline(points, of), isNew),
            ),
          ),
      )}
      {shown.braces.flatMap(({ brace: { id, name, section: of }, built, status }) =>
        built ? [drawn(id, name, id, outline([built.from, built.to], of), status === 'remade')] : [],
      )}
    </>
  );
}

interface MemberLineProps extends Pick<MemberLinesProps, 'onSelect'> {
  readonly id: string;
  readonly name: string;
  readonly d: string;
  readonly isNew: boolean;
  readonly chosen: boolean;
}

const MemberLine = memoized(function MemberLine({ id, name, d, isNew, chosen, onSelect }: MemberLineProps) {
  return (
    <path
      d={d}
      className="pointer-events-auto cursor-pointer"
      fill={isNew ? 'url(#hatch-new)' : 'var(--color-steel)'}
      stroke={chosen || isNew ? 'var(--color-layout)' : 'var(--color-graphite)'}
      strokeWidth={chosen ? 2.4 : 1.2}
      strokeLinejoin="round"
      onClick={() => onSelect(id)}
    >
      <title>{name}</title>
    </path>
  );
});
