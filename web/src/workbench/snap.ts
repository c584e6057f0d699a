import { type Job, nudgeOf, type Operation, placeOfOperation, type PlanResult } from '@splay/core';

/**
 * The move that brings an operation's place onto a whole division from the datum hole where that then is, or what comes
 * off an end to a whole division: the one nearest to a move of `mm`.
 */
export function snapShift(
  { display }: Pick<Job, 'display'>,
  { datum }: Pick<PlanResult, 'datum'>,
  operation: Operation,
  mm: number,
): number {
  const place = placeOfOperation(operation);
  if (!place) return 0;
  const step = nudgeOf(display);
  if (place.on === 'end') {
    // What comes off the rear end gets less as the cut goes back.
    const sign = 'end' in operation && operation.end === 'front' ? 1 : -1;
    const off = Math.max(step, Math.round((place.x + sign * mm) / step) * step);
    return sign * (off - place.x);
  }
  const zero = place.on === 'donor' ? datum.donor : datum.built;
  const snapped = Math.round((place.x + mm - zero) / step) * step + zero;
  const shift = snapped - place.x;
  // A place that lies on a division already is not moved by what arithmetic leaves over.
  return Math.abs(shift) < 1e-6 ? 0 : shift;
}
