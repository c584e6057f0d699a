import { TOLERANCE } from '../units/index.ts';
import { type Plate, plateOn } from './plate.ts';
import { effectiveSection, type Splice } from './strength.ts';

/** Beyond this a plate is not made longer, mm: its welds are too light for its steel. */
const LONGEST = 2000;

/** The least share of a plate that acts at any station where the weld of a joint is. */
function shareAtWeld(plate: Plate, splice: Splice): number {
  const { joint } = splice;
  const xs =
    joint.form === 'butt'
      ? [joint.x]
      : joint.form === 'gap'
        ? [joint.from, joint.to]
        : joint.form === 'step'
          ? [joint.upperX, joint.lowerX]
          : [joint.undersideX, (joint.undersideX + joint.topX) / 2, joint.topX];
  const parts = [plateOn(plate, splice.section)];
  return Math.min(...xs.map((x) => effectiveSection({ ...splice, parts }, x).parts[0]?.share ?? 0));
}

/**
 * How far a plate must reach from station 0, ahead and behind alike, so that its welds feed it in full wherever the weld of
 * the joint is, mm; null where no length does it (its welds too light, or none).
 *
 * @param plate The plate; its own reach does not count.
 * @param splice The joint; its parts do not count.
 */
export function reachFedInFull(plate: Plate, splice: Splice): number | null {
  const ends =
    plate.outline.shape === 'hexagon' ? plate.outline.point : plate.outline.shape === 'taper' ? plate.outline.over : 0;
  const fed = (reach: number) => shareAtWeld({ ...plate, ahead: reach, behind: reach }, splice) === 1;
  let [low, high] = [Math.max(TOLERANCE, ends), LONGEST];
  if (!fed(high)) return null;
  if (fed(low)) return low;
  while (high - low > TOLERANCE) {
    const middle = (low + high) / 2;
    if (fed(middle)) high = middle;
    else low = middle;
  }
  return high;
}
