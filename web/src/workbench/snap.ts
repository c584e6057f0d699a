import { datumStation, type Job, nudgeOf, type Operation, placeOfOperation } from '@splay/core';

/** The move that brings an operation's place onto a whole division from the datum hole, nearest to a move of `mm`. */
export function snapShift(job: Job, operation: Operation, mm: number): number {
  const place = placeOfOperation(operation);
  if (!place) return 0;
  const step = nudgeOf(job.display);
  const datum = datumStation(job.donor);
  const snapped = Math.round((place.x + mm - datum) / step) * step + datum;
  const shift = snapped - place.x;
  // A place that lies on a division already is not moved by what arithmetic leaves over.
  return Math.abs(shift) < 1e-6 ? 0 : shift;
}
