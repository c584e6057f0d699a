import type { FramePoint, Vec3 } from '../frame/index.ts';
import { distance } from './pose.ts';
import type { RiderOutcome } from './rider-outcome.ts';

/** A joint of the drive line: where it is, and the angle it works at, radians; null while a direction is not known. */
export interface ShaftJoint {
  readonly point: FramePoint;
  readonly at: Vec3;
  readonly angle: number | null;
}

/** One shaft between two joints, at ride height. */
export interface Shaft {
  readonly front: ShaftJoint;
  readonly rear: ShaftJoint;
  /** Joint to joint, mm. */
  readonly length: number;
}

/** The shafts from the transmission to the axle, front to rear. */
export interface DriveLine {
  readonly shafts: readonly Shaft[];
  /** One more than there are shafts. */
  readonly joints: readonly ShaftJoint[];
  /** The joint that works hardest; null while no direction is known. */
  readonly worst: ShaftJoint | null;
}

type Point = RiderOutcome<FramePoint>;

const between = (from: Vec3, to: Vec3): Vec3 => ({ x: to.x - from.x, y: to.y - from.y, z: to.z - from.z });

/** Angle between two directions in space, radians, exact for small ones too. */
function angleBetween(a: Vec3, b: Vec3): number {
  const cross = Math.hypot(a.y * b.z - a.z * b.y, a.z * b.x - a.x * b.z, a.x * b.y - a.y * b.x);
  return Math.atan2(cross, a.x * b.x + a.y * b.y + a.z * b.z);
}

/** Where a flange points, rearward: as measured, or turned with the steel that carries it. */
function directionOf({ item, turn }: Point, which: 'donor' | 'built'): Vec3 | null {
  if (item.pitch === undefined && item.yaw === undefined) return null;
  const [pitch, yaw] = [(item.pitch ?? 0) + (which === 'built' ? turn : 0), item.yaw ?? 0];
  return { x: Math.cos(pitch) * Math.cos(yaw), y: Math.cos(pitch) * Math.sin(yaw), z: Math.sin(pitch) };
}

/**
 * The drive line on the donor or on the built frame: transmission flange, carrier bearings from front to rear, pinion. A
 * joint's working angle is the true angle in space between what goes in and what comes out (all pointing rearward):
 * flange and shaft, shaft and shaft, shaft and pinion. Null without flange and pinion, or where one of them is gone.
 *
 * @param points Where the points are.
 * @param which On the donor, or as built.
 */
export function driveLineOf(points: readonly Point[], which: 'donor' | 'built'): DriveLine | null {
  const of = (kind: FramePoint['kind']) =>
    points.filter(({ item }) => item.kind === kind).sort((a, b) => a.donor.x - b.donor.x);
  const [flange, pinion] = [of('output-flange')[0], of('pinion').at(-1)];
  if (!flange || !pinion) return null;
  const chain = [flange, ...of('carrier-bearing'), pinion].map((point) => ({ point, at: point[which] }));
  if (chain.some(({ at }) => at === null)) return null;
  const places = chain.map(({ at }) => at as Vec3);
  const runs = places.slice(1).map((at, index) => between(places[index] as Vec3, at));
  const joints = chain.map(({ point }, index): ShaftJoint => {
    const into = index === 0 ? directionOf(point, which) : (runs[index - 1] as Vec3);
    const out = index === runs.length ? directionOf(point, which) : (runs[index] as Vec3);
    return { point: point.item, at: places[index] as Vec3, angle: into && out ? angleBetween(into, out) : null };
  });
  const known = joints.filter(({ angle }) => angle !== null);
  return {
    shafts: runs.map((_, index) => ({
      front: joints[index] as ShaftJoint,
      rear: joints[index + 1] as ShaftJoint,
      length: distance(places[index] as Vec3, places[index + 1] as Vec3),
    })),
    joints,
    worst: known.reduce<ShaftJoint | null>(
      (worst, joint) => (!worst || (joint.angle ?? 0) > (worst.angle ?? 0) ? joint : worst),
      null,
    ),
  };
}
