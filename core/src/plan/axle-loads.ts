import { type Body, type BodyPose, onFrame } from '../body/index.ts';
import type { Axle, Vec3 } from '../frame/index.ts';
import type { RiderOutcome } from './rider-outcome.ts';

/** What stands on the axles of one role together, and what they may carry together, kg; null while a rating is missing. */
export interface AxleLoad {
  readonly load: number;
  readonly rating: number | null;
}

/** A frame with the body on it: kg, and where that balances, mm. */
export interface Laden {
  readonly mass: number;
  readonly centerOfGravity: Vec3;
  readonly front: AxleLoad;
  readonly rear: AxleLoad;
}

interface Weight {
  readonly mass: number;
  readonly centerOfGravity: Vec3 | null;
}

type Riders = readonly RiderOutcome<Axle>[];
type On = 'donor' | 'built';

/** Axles of a role that are there: an axle on steel that is taken out is not. */
const there = (axles: Riders, role: Axle['role'], on: On) =>
  axles.flatMap((axle) => (axle.item.role === role && axle[on] ? [{ x: axle[on].x, rating: axle.item.rating }] : []));

/** Station of the axles of a role, the middle of several; null without any. */
function axleX(axles: Riders, role: Axle['role'], on: On): number | null {
  const found = there(axles, role, on);
  return found.length > 0 ? found.reduce((sum, { x }) => sum + x, 0) / found.length : null;
}

/**
 * Stations of the front and the rear axles, mm; null without any.
 *
 * @param axles Where the axles are.
 * @param on On the donor, or as built.
 */
export const axleXs = (axles: Riders, on: On) => ({ front: axleX(axles, 'front', on), rear: axleX(axles, 'rear', on) });

/**
 * Where several weights balance together; null without any.
 *
 * @param weights kg and mm.
 */
export function balance(weights: readonly { readonly mass: number; readonly at: Vec3 }[]): Weight {
  const mass = weights.reduce((sum, weight) => sum + weight.mass, 0);
  const along = (axis: keyof Vec3) => weights.reduce((sum, { mass: each, at }) => sum + each * at[axis], 0) / mass;
  return { mass, centerOfGravity: mass > 0 ? { x: along('x'), y: along('y'), z: along('z') } : null };
}

/**
 * What a weight puts on the front and the rear axles, kg: moments about each, a beam on two supports. Several axles of a
 * role count as one in their middle, which shares what it carries equally. Null without both, or without a weight.
 */
export function axleLoadsOf(
  { mass, centerOfGravity }: Weight,
  { front, rear }: { readonly front: number | null; readonly rear: number | null },
): { readonly front: number; readonly rear: number } | null {
  if (!centerOfGravity || front === null || rear === null || rear <= front) return null;
  const onRear = (mass * (centerOfGravity.x - front)) / (rear - front);
  return { front: mass - onRear, rear: onRear };
}

/**
 * The frame with the masses of the bodies on it. Null when they bring none.
 *
 * @param frame The frame’s mass, kg, and where it balances, mm.
 * @param seated The bodies, each with where it sits.
 * @param axles Where the axles are.
 * @param on On the donor, or as built.
 */
export function ladenOf(
  frame: Weight,
  seated: readonly { readonly body: Body; readonly pose: BodyPose }[],
  axles: Riders,
  on: On,
): Laden | null {
  const xs = axleXs(axles, on);
  const brought = seated.flatMap(({ body, pose }) =>
    body.masses.map(({ mass, x, y, z }) => ({ mass, at: onFrame(pose, { x, y, z }) })),
  );
  if (brought.length === 0 || !frame.centerOfGravity) return null;
  const all = balance([{ mass: frame.mass, at: frame.centerOfGravity }, ...brought]);
  const loads = axleLoadsOf(all, xs);
  if (!loads || !all.centerOfGravity) return null;
  const rating = (role: Axle['role']): number | null =>
    there(axles, role, on).reduce<number | null>(
      (sum, axle) => (sum === null || axle.rating === undefined ? null : sum + axle.rating),
      0,
    );
  return {
    mass: all.mass,
    centerOfGravity: all.centerOfGravity,
    front: { load: loads.front, rating: rating('front') },
    rear: { load: loads.rear, rating: rating('rear') },
  };
}
