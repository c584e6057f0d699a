import type { BodyMount } from '../../body/index.ts';
import type { Side, Vec3 } from '../../frame/index.ts';
import type { RailUnder } from './rail-under.ts';

/**
 * What a mount becomes: the body sits on the rail; a perch on it; an outrigger or a bracket inboard; a bracket that hangs
 * down beside it; the rail stands where the mount wants to be; there is no rail under it.
 */
export type MountWay = 'sits' | 'perch' | 'outrigger' | 'inboard' | 'drop' | 'clash' | 'no-rail';

/** A mount of a body over the frame, mm. */
export interface MountGap {
  readonly mount: BodyMount;
  readonly side: Side;
  /** In frame coordinates. */
  readonly at: Vec3;
  /** Straight up from the top of the rail at its station; below 0 the rail stands higher. Null without a rail. */
  readonly up: number | null;
  /** Outward of the outside face above 0, inward of the inner edge of the flange below 0, 0 between them. */
  readonly sideways: number;
  readonly way: MountWay;
  /** The rail on its side at its station; null where there is none. */
  readonly rail: RailUnder | null;
}

/** On which side a mount is: the middle counts as right. */
export const sideOfMount = ({ y }: Pick<Vec3, 'y'>): Side => (y < 0 ? 'left' : 'right');

/**
 * How far a mount is from the rail on its side, and what it becomes.
 *
 * @param mount The mount.
 * @param at Where it is in frame coordinates, mm.
 * @param rail The rail at its station; null where there is none.
 * @param sits Up to here the body sits on the rail with shims alone, mm.
 */
export function mountGap(mount: BodyMount, at: Vec3, rail: RailUnder | null, sits: number): MountGap {
  const side = sideOfMount(at);
  if (!rail) return { mount, side, at, up: null, sideways: 0, way: 'no-rail', rail };
  const out = Math.abs(at.y);
  const up = at.z - rail.top;
  const sideways = out > rail.outer ? out - rail.outer : out < rail.inner ? out - rail.inner : 0;
  return { mount, side, at, up, sideways, way: wayOf(up, sideways, sits), rail };
}

function wayOf(up: number, sideways: number, sits: number): MountWay {
  if (sideways === 0) return Math.abs(up) <= sits ? 'sits' : up > 0 ? 'perch' : 'clash';
  if (up < -sits) return 'drop';
  return sideways > 0 ? 'outrigger' : 'inboard';
}
