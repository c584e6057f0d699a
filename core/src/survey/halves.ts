import type { Vec3 } from '../frame/index.ts';
import type { Points } from './observation.ts';
import { beforeMove, fittedMove, movedBy, type RigidMove } from './rigid-move.ts';

/** A frame that is cut in two: its front half is where it should be, its rear half is loose. */
export interface Halves {
  /** Ids of the points of each. */
  readonly front: readonly string[];
  readonly rear: readonly string[];
  /** Every point as measured, laid on the plan by the front half, mm. */
  readonly points: Points;
  /** What brings the loose half to plan. */
  readonly move: RigidMove;
  /** What no move takes out of each half, root mean square, mm: it is itself out of shape, or the readings are no better. */
  readonly left: { readonly front: number; readonly rear: number };
}

/**
 * How the loose half of a frame lies to the other.
 *
 * @param nominal Where each point should be, mm.
 * @param points Where each is, as measured, mm; the frame as a whole may stand anywhere.
 * @param looseFrom Station behind which it is loose, mm.
 * @param leveled Heights are read from the datum plane that the frame is leveled to: then only where the front half lies in
 *   plan is taken from it, since its height would be carried to the rear on a short lever.
 * @returns Null where a half has not three points that are not in one line.
 */
export function halvesOf(nominal: Points, points: Points, looseFrom: number, leveled: boolean): Halves | null {
  const ids = Object.keys(nominal).filter((id) => points[id]);
  const front = ids.filter((id) => (nominal[id] as Vec3).x < looseFrom);
  const rear = ids.filter((id) => (nominal[id] as Vec3).x >= looseFrom);
  const at = (of: Points, some: readonly string[]) => some.map((id) => of[id] as Vec3);
  // The front half as it is, seen from where it should be: everything is taken back by that.
  const flat = (some: readonly Vec3[]) => (leveled ? some.map(({ x, y }) => ({ x, y, z: 0 })) : some);
  const stands = fittedMove(flat(at(nominal, front)), flat(at(points, front)));
  if (!stands) return null;
  const laid = Object.fromEntries(ids.map((id) => [id, beforeMove(points[id] as Vec3, stands.move)]));
  const frontLeft = fittedMove(at(laid, front), at(nominal, front))?.left ?? stands.left;
  const needs = fittedMove(at(laid, rear), at(nominal, rear));
  return needs && { front, rear, points: laid, move: needs.move, left: { front: frontLeft, rear: needs.left } };
}

/**
 * The points of a frame with its loose half moved, mm.
 *
 * @param halves The halves.
 * @param move How the loose half is moved.
 */
export const withRearMoved = ({ points, rear }: Pick<Halves, 'points' | 'rear'>, move: RigidMove): Points => ({
  ...points,
  ...Object.fromEntries(rear.map((id) => [id, movedBy(points[id] as Vec3, move)])),
});
