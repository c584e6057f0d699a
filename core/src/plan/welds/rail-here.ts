import type { Vec3 } from '../../frame/index.ts';
import { type Section } from '../../sections/index.ts';
import type { RailWall } from '../../splice/index.ts';
import type { RailSpliceOutcome } from '../splices/splice-outcome.ts';
import type { WeldPosition } from './seam.ts';
import type { FlatSection } from './unfolded-walls.ts';

/** How the frame lies while it is welded: on its wheels' side, or rolled over. */
export const FRAME_POSES = ['upright', 'rolled-over'] as const;
export type FramePose = (typeof FRAME_POSES)[number];

/** Where the rail of a seam lies at its joint. */
export interface RailHere {
  readonly one: RailSpliceOutcome;
  readonly flat: FlatSection;
  /** From the section's own axes to the frame. */
  readonly place: (local: { readonly y: number; readonly z: number }, x: number) => Vec3;
}

/** An end of a seam: along the rail from the joint, and across its wall, mm. */
export interface SeamEnd {
  readonly x: number;
  readonly across: number;
}

/**
 * What the walls of a section are called in a shop, open or closed.
 *
 * @param section The section.
 * @param wall The wall.
 */
export function wallName(section: Section, wall: RailWall): string {
  const open = section.kind === 'channel';
  const names: Readonly<Record<RailWall, string>> = {
    top: open ? 'top flange' : 'top',
    bottom: open ? 'bottom flange' : 'bottom',
    outer: open ? 'web' : 'outer wall',
    inner: section.kind === 'closed-channel' ? 'closing plate' : 'inner wall',
  };
  return names[wall];
}

/**
 * How a weld on a wall lies: what looks up when the frame stands looks down when it is rolled over.
 *
 * @param wall The wall; `all` of a round tube.
 * @param runs Along the rail, or across it.
 * @param pose How the frame lies.
 */
export function positionOn(wall: RailWall | 'all', runs: 'along' | 'across', pose: FramePose): WeldPosition {
  if (wall === 'outer' || wall === 'inner') return runs === 'along' ? 'horizontal' : 'vertical';
  const up = (wall === 'top') === (pose === 'upright');
  // A round tube is welded all round: what lies underneath decides.
  return wall === 'all' || !up ? 'overhead' : 'flat';
}

/**
 * The place along the seam of something across a wall: a height on an upright one, a distance inward on a flange.
 *
 * @param flat The section laid flat.
 * @param wall The wall.
 * @param section The section.
 * @param across The height or distance, mm.
 */
export function alongSeam(flat: FlatSection, wall: RailWall, section: Section, across: number): number {
  const found = flat.walls.find((each) => each.wall === wall);
  // A plate over the open side of a channel is welded to the edges of its flanges.
  if (!found) return across > section.depth / 2 ? flat.around : 0;
  const axis = wall === 'top' || wall === 'bottom' ? 'y' : 'z';
  const run = found.end[axis] - found.start[axis];
  const share = run === 0 ? 0 : (across - found.start[axis]) / run;
  return found.from + Math.min(1, Math.max(0, share)) * (found.to - found.from);
}
