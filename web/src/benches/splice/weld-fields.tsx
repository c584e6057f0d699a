import {
  efficiencyOf,
  type JointWeld,
  lengthText,
  quantityText,
  RAIL_WALLS,
  type RailWall,
  type WallWeld,
  wallsOf,
  type WeldWay,
} from '@splay/core';
import { Choice } from '../../ui/choice.tsx';
import { Length } from '../../ui/length.tsx';
import { make } from './selection.ts';
import type { SpliceFieldsProps } from './field-props.ts';

const WAYS: readonly (readonly [WeldWay, string])[] = [
  ['both-sides', 'from both sides, root gouged'],
  ['on-backing', 'from one side, on a backing or sleeve'],
  ['one-side', 'from one side only'],
];

const WALL_NAMES: Readonly<Record<RailWall, string>> = {
  top: 'Top',
  bottom: 'Bottom',
  outer: 'Outer side',
  inner: 'Inner side',
};

/** How the wall is welded, how that is looked at, and what it makes of it. */
export function WeldFields({ store, job, hand, disabled }: SpliceFieldsProps) {
  const { splice, weld: work } = hand.one;
  const { weld } = splice;
  const put = (changes: Partial<JointWeld>) =>
    make(store, 'Changed the weld of a joint', hand, { ...splice, weld: { ...weld, ...changes } });
  const share = efficiencyOf(weld, job.rules);
  return (
    <div className="space-y-2">
      <Choice
        label="Welded"
        list
        value={weld.way}
        choices={WAYS}
        disabled={disabled}
        onChange={(way) => put({ way })}
      />
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="Checked"
          value={weld.test}
          disabled={disabled}
          choices={[
            ['visual', 'by eye'],
            ['dye', 'dye'],
          ]}
          onChange={(test) => put({ test })}
        />
        <Choice
          label="Cap"
          value={weld.flush ? 'flush' : 'left'}
          disabled={disabled}
          choices={[
            ['left', 'as is'],
            ['flush', 'flush'],
          ]}
          onChange={(flush) => put({ flush: flush === 'flush' })}
        />
      </div>
      {RAIL_WALLS.some((wall) => wallsOf(hand.one.steel.section)[wall] !== undefined) && (
        <details open={(weld.walls ?? []).length > 0 || undefined}>
          <summary className="min-h-8 cursor-pointer text-sm text-pencil">One wall is welded otherwise</summary>
          <div className="grid grid-cols-2 gap-2">
            {RAIL_WALLS.filter((wall) => wallsOf(hand.one.steel.section)[wall] !== undefined).map((wall) => (
              <Choice
                key={wall}
                label={WALL_NAMES[wall]}
                list
                value={weld.walls?.find((one) => one.wall === wall)?.way ?? 'as-the-rest'}
                choices={[['as-the-rest', 'as the rest'], ...WAYS, ['not-welded', 'not welded']]}
                disabled={disabled}
                onChange={(way) => put({ walls: withWall(weld, wall, way) })}
              />
            ))}
          </div>
        </details>
      )}
      <p className="text-sm text-pencil">
        Counts as {quantityText('share', share, job.display.unit)} of the wall by the rulebook. Ends set{' '}
        <Length mm={work.gap} format={job.display} className="font-semibold text-graphite" /> apart; the weld is
        expected to draw them{' '}
        {lengthText(work.shrinkage, { ...job.display, division: job.display.unit === 'in' ? 64 : 'decimal' }, true)}{' '}
        together.{' '}
        {lengthText(work.length, { ...job.display, division: job.display.unit === 'in' ? 8 : 'decimal' }, true)} of weld
        on this rail, {quantityText('energy', work.heat, job.display.unit)} of heat.
      </p>
    </div>
  );
}

/** The walls that are welded otherwise, with one of them changed; none of them left out of the file. */
function withWall({ walls = [] }: JointWeld, wall: RailWall, way: WallWeld['way'] | 'as-the-rest'): JointWeld['walls'] {
  const others = walls.filter((one) => one.wall !== wall);
  const all = way === 'as-the-rest' ? others : [...others, { wall, way }];
  return all.length > 0 ? all : undefined;
}
