import type { Mounting } from '../mounting/index.ts';
import type { BodySeat } from './match/index.ts';
import type { SplicePlan } from '../splice/index.ts';
import type { EndPlace, Plan } from './operation.ts';
import { type Operation, placesOf, withPlaces } from './operations/index.ts';

/**
 * The plan with one operation replaced by another of the same id.
 *
 * @param plan The plan.
 * @param operation The operation.
 */
export const withOperation = (plan: Plan, operation: Operation): Plan => ({
  ...plan,
  operations: plan.operations.map((other) => (other.id === operation.id ? operation : other)),
});

/**
 * The plan without one of its operations, and without how its joints were to be made.
 *
 * @param plan The plan.
 * @param id Id of the operation.
 */
export const withoutOperation = (plan: Plan, id: string): Plan => ({
  ...plan,
  operations: plan.operations.filter((operation) => operation.id !== id),
  splices: plan.splices.filter(({ joint }) => operationOfJoint(joint) !== id),
  fittings: plan.fittings.filter(({ on }) => on !== id && operationOfJoint(on) !== id),
  shoring: {
    ...plan.shoring,
    shores: plan.shoring.shores.filter(({ step }) => step !== id),
    off: plan.shoring.off.filter(({ step }) => step !== id),
  },
});

/**
 * The plan with a joint made this way.
 *
 * @param plan The plan.
 * @param splice How the joint is made.
 */
export const withSplice = (plan: Plan, splice: SplicePlan): Plan => ({
  ...plan,
  splices: [...plan.splices.filter(({ joint }) => joint !== splice.joint), splice],
});

/**
 * The plan with a body put somewhere.
 *
 * @param plan The plan.
 * @param seat The body, and where it sits.
 */
export const withSeat = (plan: Plan, seat: BodySeat): Plan => ({
  ...plan,
  seats: [...plan.seats.filter(({ body }) => body !== seat.body), seat],
});

/**
 * The plan with a mount made this way.
 *
 * @param plan The plan.
 * @param mounting How the mount is made.
 */
export const withMounting = (plan: Plan, mounting: Mounting): Plan => ({
  ...plan,
  mountings: [...plan.mountings.filter(({ mount }) => mount !== mounting.mount), mounting],
});

/**
 * The operation that makes a joint, by the joint's id.
 * @param joint The joint’s id.
 */
export const operationOfJoint = (joint: string): string => joint.slice(0, joint.lastIndexOf('/'));

/**
 * The plan with an operation moved up (−1) or down (+1) the list; as it was at the ends.
 *
 * @param plan The plan.
 * @param id Id of the operation.
 * @param by Up (−1) or down (1).
 */
export function withOrder(plan: Plan, id: string, by: -1 | 1): Plan {
  const index = plan.operations.findIndex((operation) => operation.id === id);
  const [here, other] = [plan.operations[index], plan.operations[index + by]];
  if (!here || !other) return plan;
  return {
    ...plan,
    operations: plan.operations.map((operation) =>
      operation === here ? other : operation === other ? here : operation,
    ),
  };
}

/**
 * The operation moved along the frame by mm, every place it names. Operations without a place stay as they are.
 *
 * @param operation The operation.
 * @param by How far, mm; below 0 forward.
 */
export const shiftOperation = (operation: Operation, by: number): Operation =>
  withPlaces(operation, (place, end) => ({
    ...place,
    // What comes off an end is less when its cut is moved toward that end.
    x: place.x + (place.on === 'end' && end === 'rear' ? -by : by),
  }));

/**
 * The place an operation is known by: its cut, or the front one of its cuts; null where it has none.
 *
 * @param operation The operation.
 */
export const placeOfOperation = (operation: Operation): EndPlace | null => placesOf(operation)[0] ?? null;
