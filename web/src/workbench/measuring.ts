import { between, type PlanResult, thingsOn } from '@splay/core';
import type { ShownMeasurement } from '../client/job-store.ts';

/** The thing on the frame that is meant by its own id, or by that of what it is one of (the left one). */
const thingOf = (result: PlanResult, id: string) => {
  const things = thingsOn(result);
  return things.find((thing) => thing.id === id) ?? things.find((thing) => thing.of === id);
};

/** The tape between two things as it is drawn; null where one of them is not on the frame. */
export function endsBetween(result: PlanResult, from: string, to: string): ShownMeasurement | null {
  const [a, b] = [thingOf(result, from), thingOf(result, to)];
  if (!a || !b) return null;
  const on = (which: 'donor' | 'built') => {
    const [p, q] = [a[which], b[which]];
    return p && q ? ([p, q] as const) : null;
  };
  const straight = (ends: ReturnType<typeof on>) => (ends ? between(...ends).straight : null);
  const [donor, built] = [on('donor'), on('built')];
  return {
    kind: 'straight',
    before: straight(donor),
    predicted: straight(built),
    ends: { donor, built },
    things: [a.id, b.id],
  };
}
