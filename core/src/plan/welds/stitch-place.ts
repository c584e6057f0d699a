import { flatSection } from './unfolded-walls.ts';
import type { Section } from '../../sections/index.ts';
import type { Stitch } from './stitches.ts';

/** Where a stitch is, as a tape says it: from one figure to another, mm, and from where both are measured. */
export interface StitchPlace {
  readonly from: number;
  readonly to: number;
  readonly measured:
    | 'below the top edge'
    | 'from the outside of the web'
    | 'round from the middle of the underside'
    | 'behind the joint';
}

/**
 * Where a stitch is, as a tape says it.
 *
 * @param stitch The stitch.
 * @param section The rail's section.
 */
export function stitchPlace({ from, to, seam }: Stitch, section: Section): StitchPlace {
  const alongRail = Math.abs(to.x - from.x) > Math.abs(to.s - from.s);
  if (alongRail) return { from: from.x, to: to.x, measured: 'behind the joint' };
  const wall = flatSection(section).walls.find(({ wall: name }) => name === seam.wall);
  if (!wall) return { from: from.s, to: to.s, measured: 'round from the middle of the underside' };
  const at = (s: number, axis: 'y' | 'z') =>
    wall.start[axis] + ((wall.end[axis] - wall.start[axis]) * (s - wall.from)) / (wall.to - wall.from);
  const upright = seam.wall === 'outer' || seam.wall === 'inner';
  return upright
    ? { from: section.depth - at(from.s, 'z'), to: section.depth - at(to.s, 'z'), measured: 'below the top edge' }
    : { from: at(from.s, 'y'), to: at(to.s, 'y'), measured: 'from the outside of the web' };
}
