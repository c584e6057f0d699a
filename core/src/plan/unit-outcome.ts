import { type Frame, refKey, type Ref, type Unit, UNIT_FACTS, type Vec3 } from '../frame/index.ts';
import type { Carrier, Carriers } from './carriers.ts';
import type { Plan } from './operation.ts';
import { carrierOf } from './locate.ts';
import { posed } from './pose.ts';
import type { PlanState } from './state.ts';

/** A mount of a unit on the built frame, against where the unit has it. */
export interface MountOutcome {
  readonly ref: Unit['mounts'][number];
  readonly name: string;
  readonly donor: Vec3;
  /** Where the frame has it; null where it is not there any more. */
  readonly built: Vec3 | null;
  /** Where the unit has it; null where the unit itself is not on the frame. */
  readonly wanted: Vec3 | null;
  /** How far the frame has it from where the unit has it, mm: rearward, and up; null where one of them is gone. */
  readonly off: { readonly x: number; readonly z: number } | null;
  /** The operation that took it, where one did. */
  readonly operation: string | null;
}

/** Where a unit is on the built frame, and what each of its mounts says to that. */
export interface UnitOutcome {
  readonly unit: Unit;
  /** The mount that it stays with; null where none of them is left. */
  readonly staysWith: Unit['mounts'][number] | null;
  /** What carries others as this unit does; null where it is not on the built frame. */
  readonly carrier: Carrier | null;
  readonly mounts: readonly MountOutcome[];
}

/** An axle that rides on a unit: its station on the donor, mm, and the piece that the rail there went with, if any. */
interface AxleOn {
  readonly x: number;
  readonly piece: number | null;
}

/**
 * The axles that ride on a unit.
 *
 * @param unit The unit.
 * @param carrierOfAxle What an axle rides on.
 * @param frame The donor; validated.
 * @param state The frame in work.
 */
export const axlesOn = (
  unit: Unit,
  carrierOfAxle: (axle: Frame['axles'][number]) => Ref | null,
  frame: Frame,
  state: PlanState,
): readonly AxleOn[] =>
  frame.axles.flatMap((axle): AxleOn[] => {
    if (carrierOfAxle(axle)?.id !== unit.id) return [];
    const under = carrierOf(state, axle.x);
    return [{ x: axle.x, piece: 'index' in under ? under.index : null }];
  });

/**
 * A unit's mounts in the order in which it stays with them: as the plan names it, else the first, or those at its
 * axle: on the same steel as the rail over it, nearest first.
 */
function inOrder(
  unit: Unit,
  known: readonly { readonly ref: Unit['mounts'][number]; readonly carrier: Carrier }[],
  { stays }: Pick<Plan, 'stays'>,
  axles: readonly AxleOn[],
) {
  const named = stays.find((stay) => stay.unit === unit.id)?.mount;
  const atAxle = UNIT_FACTS[unit.kind].stays === 'at-axle' && axles.length > 0;
  const apart = ({ piece }: Carrier) => Number(atAxle && !axles.some((axle) => axle.piece === piece));
  const far = ({ donor: { x } }: Carrier) => (atAxle ? Math.min(...axles.map((axle) => Math.abs(axle.x - x))) : x);
  return [...known].sort(
    (a, b) =>
      Number(b.ref.id === named) - Number(a.ref.id === named) ||
      apart(a.carrier) - apart(b.carrier) ||
      far(a.carrier) - far(b.carrier),
  );
}

/**
 * Where a unit is on the built frame: rigid, it goes where the mount goes that it stays with. `axles` are those that
 * it carries; `carriers` know where each mount was and is.
 *
 * @param unit The unit.
 * @param plan What the plan says of which mounts units stay with.
 * @param axles The axles that it carries.
 * @param carriers What carries things, by `refKey`.
 */
export function unitOutcome(
  unit: Unit,
  plan: Pick<Plan, 'stays'>,
  axles: readonly AxleOn[],
  carriers: Carriers,
): UnitOutcome {
  const known = unit.mounts.flatMap((ref) => {
    const carrier = carriers.get(refKey(ref));
    return carrier ? [{ ref, carrier }] : [];
  });
  const held = inOrder(unit, known, plan, axles).find(({ carrier }) => carrier.built !== null) ?? null;
  const stand = held?.carrier ?? null;
  return {
    unit,
    staysWith: held?.ref ?? null,
    carrier: stand && { ...stand, name: unit.name },
    mounts: known.map(({ ref, carrier: { name, donor, built, operation } }): MountOutcome => {
      const wanted = stand && carried(stand, donor);
      const off = built && wanted ? { x: built.x - wanted.x, z: built.z - wanted.z } : null;
      return { ref, name, donor, built, wanted, off, operation };
    }),
  };
}

/**
 * Where something that stood at `donor` is once what carries it has gone where it goes; null where that is gone.
 *
 * @param donor Where it stood on the donor, mm.
 */
export function carried({ donor: from, built, turn }: Carrier, donor: Vec3): Vec3 | null {
  if (!built) return null;
  const offset = posed({ turn, dx: 0, dz: 0 }, donor.x - from.x, donor.z - from.z);
  return { x: built.x + offset.x, y: donor.y, z: built.z + offset.z };
}
