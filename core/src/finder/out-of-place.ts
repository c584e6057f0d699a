import type { Operation } from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import { exceeds } from '../units/index.ts';
import type { Ground } from './ground.ts';
import { ASSUMED_ROOM, type Reason } from './reason.ts';
import { gapsOf } from './option-cuts.ts';

/** Room that a joint needs on the frame for its plates, mm each way. */
function roomFor({ input }: Ground): number {
  const deepest = Math.max(...input.donor.sections.map(({ section }) => section.depth));
  return ruleValue(input.rules, 'splice/reach') * deepest;
}

/**
 * Places that no cut can be at, whatever the plan says of them.
 *
 * @param operations The option's operations.
 * @param ground The frame.
 * @param show Writes a length.
 */
export function outOfPlace(operations: readonly Operation[], ground: Ground, show: (mm: number) => string): Reason[] {
  const gaps = gapsOf(operations);
  const room = roomFor(ground);
  const tight = gaps.find(({ ahead, behind }) => ahead - ground.ends[0] < room || ground.ends[1] - behind < room);
  const [first, second] = gaps;
  const between = ruleValue(ground.input.rules, 'finder/between');
  const split = operations.length > 1 && first && second && operations.every(({ kind }) => kind !== 'trim');
  const kept = ground.assumed.find(({ from, to }) =>
    gaps.some(({ ahead, behind }) => exceeds(behind, from) && exceeds(to, ahead)),
  );
  return [
    ...(kept
      ? [
          {
            code: ASSUMED_ROOM,
            lane: 'suspension' as const,
            about: kept.axle,
            says: `Too near ${kept.name}: its hangers, links or seats are not measured, and are assumed to reach ${show((kept.to - kept.from) / 2)} each way.`,
          },
        ]
      : []),
    ...(tight
      ? [
          {
            code: 'no-room',
            lane: 'bend' as const,
            about: null,
            says: `No room for the plates: they want ${show(room)} of rail each way.`,
          },
        ]
      : []),
    ...(split && second.ahead - first.behind < between
      ? [
          {
            code: 'too-near',
            lane: 'bend' as const,
            about: null,
            says: `The two cuts want ${show(between)} between them.`,
          },
        ]
      : []),
  ];
}
