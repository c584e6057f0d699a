import { type Body, type BodyPose, onFrame } from '../../body/index.ts';
import type { Section } from '../../sections/index.ts';
import { TOLERANCE } from '../../units/index.ts';
import { clashesOf } from './clashes.ts';
import { sideOfMount } from './mount-gap.ts';
import { railUnder } from './rail-under.ts';

/** How far down a body is let, mm. */
const DEEPEST = 600;

/**
 * The lowest place of a body, as it stands along the frame and raked, in which nothing of the frame comes into what must stay
 * clear and no mount lies below the rail under it; null where it is nowhere low enough to touch, and where nobody has measured its
 * floor: then what clears is not known.
 *
 * @param body The body; validated.
 * @param pose Where it sits now.
 * @param frame Pieces, crossmembers and the room of the tires as built.
 * @param sectionOf Looks a section up by its id.
 */
export function lowestThatClears(
  body: Body,
  pose: BodyPose,
  frame: Parameters<typeof clashesOf>[2],
  sectionOf: (id: string) => Section,
): BodyPose | null {
  const clears = (z: number): boolean => {
    const there = { ...pose, z };
    const below = body.mounts.some((mount) => {
      const at = onFrame(there, { x: mount.x, y: mount.y, z: mount.z });
      const rail = railUnder(frame, sideOfMount(at), at.x, sectionOf);
      return (
        rail !== null && Math.abs(at.y) >= rail.inner && Math.abs(at.y) <= rail.outer && at.z < rail.top - TOLERANCE
      );
    });
    return !below && clashesOf(body, there, frame, sectionOf).length === 0;
  };
  if (body.underside.length < 2) return null;
  let [low, high] = [pose.z - DEEPEST, pose.z + DEEPEST];
  if (clears(low) || !clears(high)) return null;
  while (high - low > TOLERANCE) {
    const middle = (low + high) / 2;
    if (clears(middle)) high = middle;
    else low = middle;
  }
  return { ...pose, z: high };
}
