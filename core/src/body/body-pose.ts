import type { Vec3 } from '../frame/index.ts';
import type { ProfilePoint } from './body.ts';

/**
 * Where a body sits on the frame: its own zero turned by the rake and shifted to (x, z), mm and radians. With a rake above 0
 * its rear rises.
 */
export interface BodyPose extends ProfilePoint {
  readonly rake: number;
}

/**
 * A place on the body in frame coordinates.
 *
 * @param pose Where the body sits.
 * @param at A point in the body’s own coordinates, mm.
 */
export function onFrame<P extends ProfilePoint>({ x, z, rake }: BodyPose, at: P): P {
  const [cos, sin] = [Math.cos(rake), Math.sin(rake)];
  return { ...at, x: x + at.x * cos - at.z * sin, z: z + at.x * sin + at.z * cos };
}

/**
 * A place on the frame in the body's own coordinates: `onFrame` back.
 *
 * @param pose Where the body sits.
 * @param at A point in frame coordinates, mm.
 */
export function onBody({ x, z, rake }: BodyPose, at: Vec3): Vec3 {
  const [cos, sin] = [Math.cos(rake), Math.sin(rake)];
  const [dx, dz] = [at.x - x, at.z - z];
  return { x: dx * cos + dz * sin, y: at.y, z: dz * cos - dx * sin };
}
