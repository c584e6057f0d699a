import { isMet } from '../../units/index.ts';
import type { SeatMount } from './seat-outcome.ts';

/**
 * How much wider the frame must become, outside, so that every mount comes over a rail, mm: the least that does it, below 0
 * narrower. Null where no one width does, or no rail is under them.
 *
 * @param mounts The mounts where the body sits, each with how far it lies beside its rail and how wide that is.
 */
export function requiredWidth(mounts: readonly SeatMount[]): number | null {
  const spans = mounts.flatMap(({ sideways, rail, at }) => {
    if (!rail) return [];
    const out = Math.abs(at.y);
    // Outward by this much at least, and at most, brings the rail under it.
    return [[out - rail.outer, out - rail.inner, sideways] as const];
  });
  if (spans.length === 0) return null;
  const [least, most] = [Math.max(...spans.map(([from]) => from)), Math.min(...spans.map(([, to]) => to))];
  if (least > most) return null;
  const each = least > 0 ? least : most < 0 ? most : 0;
  return isMet(2 * each) ? 0 : 2 * each;
}
