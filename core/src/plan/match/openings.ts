import { type Body, type BodyPose, onBody, onFrame, type ProfilePoint, type WheelOpening } from '../../body/index.ts';
import type { Axle } from '../../frame/index.ts';
import { settled } from '../../units/index.ts';
import type { RiderOutcome } from '../rider-outcome.ts';

/** A wheel opening over its axle, mm. */
export interface OpeningOver {
  readonly opening: WheelOpening;
  /** In frame coordinates; its height is told only where it was measured. */
  readonly at: ProfilePoint;
  readonly measured: boolean;
  /** How far it lies behind its axle; below 0 ahead of it. Null without an axle. */
  readonly behind: number | null;
  /** Least room between tire and edge, at ride height and with the wheel lifted by the rulebook's bump; below 0 it rubs. */
  readonly room: { readonly ride: number; readonly bump: number } | null;
}

/**
 * The axle of a role that a body goes over: the first that is there; null without any.
 *
 * @param axles Axles as built.
 * @param role The front axles, or the rear ones.
 */
export const axleUnder = (axles: readonly RiderOutcome<Axle>[], role: Axle['role']) =>
  axles.filter(({ item, built }) => item.role === role && built).sort((a, b) => a.item.x - b.item.x)[0] ?? null;

/** Distance of a point from a line of points, mm; below 0 where it lies above the line and not under it. */
function distanceTo(edge: readonly ProfilePoint[], { x, z }: ProfilePoint): number {
  let [least, over] = [Infinity, false];
  edge.slice(1).forEach((b, at) => {
    const a = edge[at] as ProfilePoint;
    const [dx, dz] = [b.x - a.x, b.z - a.z];
    const share = Math.min(1, Math.max(0, ((x - a.x) * dx + (z - a.z) * dz) / (dx * dx + dz * dz || 1)));
    least = Math.min(least, Math.hypot(a.x + share * dx - x, a.z + share * dz - z));
    if (x >= Math.min(a.x, b.x) && x < Math.max(a.x, b.x)) over ||= z > a.z + ((x - a.x) / dx) * dz;
  });
  return over ? -least : least;
}

/**
 * Distance of a point from the steel round an opening given by its radius, mm; below 0 inside it. There is steel over the centerline
 * only: outside the circle, and nothing below it.
 *
 * @param radius Of the opening, mm.
 * @param x From its middle, in the body’s own axes, mm.
 * @param z Over its middle.
 */
export function fromArch(radius: number, x: number, z: number): number {
  const away = Math.hypot(x, z);
  if (z >= 0) return away <= radius ? radius - away : -Math.min(away - radius, z);
  return Math.abs(x) >= radius ? -z : Math.hypot(radius - Math.abs(x), z);
}

/**
 * The openings of a body over the axles.
 *
 * @param body The body; validated.
 * @param pose Where it sits.
 * @param axles Axles as built.
 * @param bump How far a wheel is lifted at most, mm.
 */
export const openingsOver = (
  { openings }: Body,
  pose: BodyPose,
  axles: readonly RiderOutcome<Axle>[],
  bump: number,
): readonly OpeningOver[] =>
  openings.map((opening): OpeningOver => {
    const { z, radius } = opening;
    const at = onFrame(pose, { x: opening.x, z: z ?? 0 });
    const axle = axleUnder(axles, opening.over);
    const wheel = axle?.built;
    const edge = (opening.outline ?? []).map((point) => onFrame(pose, point));
    const roomAt = (lift: number) => {
      if (!wheel) return 0;
      const middle = { x: wheel.x, z: wheel.z + lift };
      if (edge.length > 1) return distanceTo(edge, middle) - axle.item.tireRadius;
      const own = onBody(pose, { ...middle, y: 0 });
      return fromArch(radius ?? 0, own.x - opening.x, own.z - (z ?? 0)) - axle.item.tireRadius;
    };
    const left = (lift: number) => settled(roomAt(lift));
    const known = wheel && (edge.length > 1 || (z !== undefined && radius !== undefined));
    return {
      opening,
      at: { x: at.x, z: at.z },
      measured: z !== undefined,
      behind: wheel ? at.x - wheel.x : null,
      // On the way up a tire passes every height between: it never has more room at bump than at ride height.
      room: known ? { ride: left(0), bump: Math.min(left(0), left(bump)) } : null,
    };
  });
