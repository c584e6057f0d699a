import type { Vec3 } from '../frame/index.ts';

/** A reading of the network: value and standard deviation in mm, of a slope in radians. */
export type Observation =
  | {
      readonly id: string;
      /** The tape pulled straight; or held level, its ends plumbed down. */
      readonly kind: 'tape' | 'level-tape';
      readonly from: string;
      readonly to: string;
      readonly value: number;
      readonly sigma: number;
    }
  | {
      readonly id: string;
      readonly kind: 'height';
      readonly at: string;
      readonly value: number;
      readonly sigma: number;
    }
  | {
      readonly id: string;
      /** How much the second point stands higher than the first. */
      readonly kind: 'rise';
      readonly from: string;
      readonly to: string;
      readonly value: number;
      readonly sigma: number;
    }
  | {
      readonly id: string;
      /** The rise from one point to another against the level as an angle; above 0 where the second is higher. */
      readonly kind: 'slope';
      readonly from: string;
      readonly to: string;
      readonly value: number;
      readonly sigma: number;
    };

/** Where the points would be if nothing were wrong: what the least squares begin from. */
export type Points = Readonly<Record<string, Vec3>>;

/** One row: how a reading changes with the coordinates of its points, and what it would read now. */
export interface Row {
  readonly at: readonly (readonly [index: number, gradient: Vec3])[];
  readonly computed: number;
}

/**
 * The way from the second to the first.
 *
 * @param a Where it ends.
 * @param b Where it begins.
 */
export const minus = (a: Vec3, b: Vec3): Vec3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
/**
 * A way so many times as long.
 *
 * @param way The way.
 * @param by How many times.
 */
export const scaled = (way: Vec3, by: number): Vec3 => ({ x: way.x * by, y: way.y * by, z: way.z * by });

/**
 * A reading as the least squares take it: how it changes with the coordinates of its points, and what it would be.
 *
 * @param observation The reading.
 * @param where Where the points are, mm.
 * @param indexOf The place of a point among them.
 */
export function rowOf(observation: Observation, where: readonly Vec3[], indexOf: (id: string) => number): Row {
  if (observation.kind === 'height') {
    const at = indexOf(observation.at);
    return { at: [[at, { x: 0, y: 0, z: 1 }]], computed: (where[at] as Vec3).z };
  }
  const [from, to] = [indexOf(observation.from), indexOf(observation.to)];
  const { x, y, z } = minus(where[to] as Vec3, where[from] as Vec3);
  const level = Math.hypot(x, y);
  const pair = (gradient: Vec3): Row['at'] => [
    [from, scaled(gradient, -1)],
    [to, gradient],
  ];
  // Points over each other have no direction between them: such a reading says nothing of the network.
  const none = { at: pair({ x: 0, y: 0, z: 0 }), computed: observation.value };
  if (observation.kind === 'rise') return { at: pair({ x: 0, y: 0, z: 1 }), computed: z };
  if (observation.kind === 'slope') {
    if (level === 0) return none;
    const square = level * level + z * z;
    const across = -z / (level * square);
    return { at: pair({ x: x * across, y: y * across, z: level / square }), computed: Math.atan2(z, level) };
  }
  const rise = observation.kind === 'tape' ? z : 0;
  const length = Math.hypot(level, rise);
  return length === 0 ? none : { at: pair(scaled({ x, y, z: rise }, 1 / length)), computed: length };
}

/**
 * What a reading would be of points where they are.
 *
 * @param points The points.
 * @param observation A reading between them.
 * @throws RangeError for a reading of a point that is not there.
 */
export function readOf(points: Points, observation: Observation): number {
  const ids = Object.keys(points);
  const at = (id: string): number => {
    if (!points[id]) throw new RangeError(`no point ${id} in the network`);
    return ids.indexOf(id);
  };
  return rowOf(observation, Object.values(points), at).computed;
}
