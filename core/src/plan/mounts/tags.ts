import type { SeatMount } from '../match/seat-outcome.ts';

/**
 * Tags of mounts by their ids, front to rear: those at the same station on both sides share their number.
 *
 * @param mounts The mounts of all bodies where they sit.
 */
export function mountTags(mounts: readonly SeatMount[]): ReadonlyMap<string, string> {
  const all = mounts.toSorted((a, b) => a.at.x - b.at.x);
  const taken = new Set<string>();
  let [number, last] = [0, -Infinity];
  return new Map(
    all.map(({ mount, side, at }) => {
      const letter = side === 'left' ? 'L' : 'R';
      if (at.x - last > SAME_STATION || taken.has(`${number}${letter}`)) {
        number += 1;
        last = at.x;
      }
      taken.add(`${number}${letter}`);
      return [mount.id, `M${number}${letter}`];
    }),
  );
}

/** Mounts nearer than this stand at the same station, mm. */
const SAME_STATION = 25;
