import type { Vec3 } from '../frame/index.ts';

/** A rigid move in the x–z plane: a turn about y (radians, positive raises the rear), then a shift, mm. */
export interface Pose {
  readonly turn: number;
  readonly dx: number;
  readonly dz: number;
}

export const STAY: Pose = { turn: 0, dx: 0, dz: 0 };

/**
 * A move without a turn.
 *
 * @param dx Rearward, mm.
 * @param dz Upward, mm.
 */
export const shift = (dx: number, dz: number): Pose => ({ turn: 0, dx, dz });

/**
 * x and z of a point after a pose.
 *
 * @param pose A rigid move in side view: radians, mm.
 * @param x Local station, mm.
 * @param z Local height, mm.
 */
export function posed(pose: Pose, x: number, z: number): { readonly x: number; readonly z: number } {
  if (pose.turn === 0) return { x: x + pose.dx, z: z + pose.dz };
  const [cos, sin] = [Math.cos(pose.turn), Math.sin(pose.turn)];
  return { x: x * cos - z * sin + pose.dx, z: x * sin + z * cos + pose.dz };
}

/**
 * The local x and z that a pose carries to the given present ones.
 *
 * @param pose A rigid move in side view: radians, mm.
 * @param x Present station, mm.
 * @param z Present height, mm.
 */
export function unposed(pose: Pose, x: number, z: number): { readonly x: number; readonly z: number } {
  return posed({ turn: -pose.turn, dx: 0, dz: 0 }, x - pose.dx, z - pose.dz);
}

/**
 * `then` after `first`, as one pose.
 *
 * @param then The later move.
 * @param first The earlier move.
 */
export function compose(then: Pose, first: Pose): Pose {
  const moved = posed(then, first.dx, first.dz);
  return { turn: then.turn + first.turn, dx: moved.x, dz: moved.z };
}

/**
 * The turn by `angle` (radians) about a present point.
 *
 * @param x Present station of the pivot, mm.
 * @param z Present height of the pivot, mm.
 * @param angle Radians; above 0 it raises the rear.
 */
export function turnAbout(x: number, z: number, angle: number): Pose {
  const turned = posed({ turn: angle, dx: 0, dz: 0 }, x, z);
  return { turn: angle, dx: x - turned.x, dz: z - turned.z };
}

/**
 * The unit vector of the rail's own length direction after a pose, in x and z.
 *
 * @param pose A rigid move in side view: radians, mm.
 */
export const axisOf = (pose: Pose): { readonly x: number; readonly z: number } => ({
  x: Math.cos(pose.turn),
  z: Math.sin(pose.turn),
});

/**
 * `Math.sqrt`, not `Math.hypot`: frames are far from overflow, and it is several times faster.
 *
 * @param a One point, mm.
 * @param b The other, mm.
 */
export const distance = (a: Vec3, b: Vec3): number => Math.sqrt((b.x - a.x) ** 2 + (b.y - a.y) ** 2 + (b.z - a.z) ** 2);
