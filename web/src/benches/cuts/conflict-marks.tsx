import type { Conflict, JobResult } from '@splay/core';
import { useMemo } from 'react';
import type { JobStore } from '../../client/job-store.ts';
import { useSolidCheck } from '../../client/solid-check.ts';
import { eachByKey } from '../../ui/each-by-key.ts';
import { memoized } from '../../ui/memoized.ts';
import { useStands } from '../../ui/use-stands.ts';
import type { View } from '../../client/picture-props.ts';
import { toPx } from '../../board/view.ts';

interface ConflictMarksProps {
  readonly store: JobStore;
  readonly whole: JobResult;
  readonly view: View;
  /** Where the marks stand: the lowest of a pile, px. */
  readonly y: number;
  readonly onPick: (conflict: Conflict) => void;
}

const SIZE = 15;
const HAIR = 1e-6;

/** So many stand one above the other: more would leave the strip. */
const HIGH = 2;

/** Piles conflicts that fall on the same place one above the other, and beside each other where that gets too high. */
export function pileConflicts(conflicts: readonly Conflict[], view: View) {
  const piles: { x: number; height: number }[] = [];
  return conflicts.flatMap((conflict) => {
    const at = conflict.builtX ?? conflict.donorX;
    if (at === null || conflict.severity === 'note') return [];
    let x = toPx(view, at);
    // Rounding may put the next place slightly inside the pile; without the tolerance the loop would not end.
    const near = () => piles.find((known) => Math.abs(known.x - x) < SIZE + 2 - HAIR);
    let pile = near();
    while (pile && pile.height >= HIGH) {
      x = pile.x + SIZE + 2;
      pile = near();
    }
    if (!pile) {
      piles.push({ x, height: 1 });
      return [{ conflict, x, level: 0 }];
    }
    pile.height += 1;
    return [{ conflict, x: pile.x, level: pile.height - 1 }];
  });
}

/**
 * What must stop a plan or needs a decision, where it is on the frame: an octagon stops, a triangle asks. It comes after
 * the steel that it is about and, as on the panel, when the hand that drags rests: to judge a whole plan takes longer than
 * to draw it.
 */
export function ConflictMarks({ whole, store, ...placing }: ConflictMarksProps) {
  const { conflicts: solid } = useSolidCheck(store);
  const { conflicts } = whole.plan;
  const all = useMemo(() => [...conflicts, ...solid], [conflicts, solid]);
  return useStands() && <Marks conflicts={all} {...placing} />;
}

const Marks = memoized(function Marks({
  conflicts,
  view,
  y,
  onPick,
}: Omit<ConflictMarksProps, 'whole' | 'store'> & { readonly conflicts: readonly Conflict[] }) {
  return (
    <g>
      {eachByKey(pileConflicts(conflicts, view), (mark) => mark.conflict.key).map(([name, { conflict, x, level }]) => {
        const stop = conflict.severity === 'stop';
        return (
          <g
            key={name}
            transform={`translate(${x} ${y - level * (SIZE + 3)})`}
            className="pointer-events-auto"
            data-pick={`conflict/${conflict.key}`}
            data-press="true"
            data-name={`${stop ? 'Stop' : 'Decide'}: ${conflict.message}`}
            role="button"
            aria-label={`${stop ? 'Stop' : 'Decide'}: ${conflict.message}`}
            onClick={() => onPick(conflict)}
          >
            <title>{conflict.message}</title>
            <circle className="touch-target" fill="transparent" />
            <path
              d={stop ? 'M-3.4 -8H3.4L8 -3.4V3.4L3.4 8H-3.4L-8 3.4V-3.4Z' : 'M0 -8L8.5 7H-8.5Z'}
              fill={stop ? 'var(--color-oxide)' : 'var(--color-ochre)'}
              stroke="var(--color-paper)"
              strokeWidth={1.5}
            />
            <path
              d={stop ? 'M-3 -3L3 3M3 -3L-3 3' : 'M0 -3.5V2M0 4.2V5.2'}
              stroke="var(--color-sheet)"
              strokeWidth={1.8}
            />
          </g>
        );
      })}
    </g>
  );
});
