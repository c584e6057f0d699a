import type { Axle, FramePoint, Origin, Ref, RefKind, Vec3 } from '../frame/index.ts';
import { dotted, type PlanResult, type RiderOutcome } from '../plan/index.ts';
import type { Job } from './job.ts';

/** One thing that a figure rests on: what it is, where, and how far it can be trusted. */
export interface Support {
  readonly ref: Ref | null;
  readonly name: string;
  /** Measured where nothing else is said; `decided` for what the plan does. */
  readonly comesFrom: 'measured' | Origin | 'decided' | 'read';
  /** Where it is on the built frame, mm; null where it has no one place. */
  readonly builtX: number | null;
}

/**
 * A thing on the frame as something that a figure rests on.
 *
 * @param kind What kind of thing it is.
 * @param built Where it is on the built frame, mm; null where it is gone.
 */
export const support = (
  kind: RefKind,
  { id, name, origin }: { readonly id: string; readonly name: string; readonly origin?: Origin },
  built: Vec3 | null,
): Support => ({ ref: { kind, id }, name, comesFrom: origin ?? 'measured', builtX: built?.x ?? null });

/**
 * An axle or a point, and what carries it down to its mounts.
 *
 * @param plan What the plan gives.
 * @param kind What kind of thing it is.
 * @param rider The axle or point; undefined where there is none.
 */
export function riding(
  plan: PlanResult,
  kind: 'axle' | 'point',
  rider: RiderOutcome<Axle | FramePoint> | undefined,
): Support[] {
  if (!rider) return [];
  const own = support(kind, rider.item, rider.built);
  const { carrier } = rider;
  if (!carrier) return [own];
  const unit = carrier.kind === 'unit' ? plan.units.find((each) => each.unit.id === carrier.id) : undefined;
  if (unit)
    return [
      own,
      ...unit.mounts.map(({ ref, name, built }) =>
        support(ref.kind, { id: ref.id, name, ...originOf(plan, ref.id) }, built),
      ),
    ];
  const feature = plan.features.find((each) => each.feature.id === carrier.id);
  if (!feature) return [own];
  return [own, support('feature', feature.feature, (feature.places.left ?? feature.places.right)?.built ?? null)];
}

function originOf(plan: PlanResult, id: string): { readonly origin?: Origin } {
  const thing =
    plan.features.find(({ feature }) => feature.id === id)?.feature ??
    plan.crossmembers.find(({ crossmember }) => crossmember.id === id)?.crossmember;
  return thing?.origin ? { origin: thing.origin } : {};
}

/**
 * The operations that move steel between two built stations, or anywhere.
 *
 * @param from Built station to begin at, mm.
 * @param to Built station to end at, mm.
 */
export function deciding({ operations, joints }: PlanResult, from = -Infinity, to = Infinity): Support[] {
  return operations.flatMap(({ operation, status, letters }): Support[] => {
    const at = joints.find((joint) => joint.operation === operation.id)?.builtX;
    if (status !== 'done' || at === undefined || at < from || at > to) return [];
    return [
      {
        ref: { kind: 'operation', id: operation.id },
        name: `Cut ${dotted(letters)}`,
        comesFrom: 'decided',
        builtX: at,
      },
    ];
  });
}

/** The sections of the rails: as one thing, measured or picked from a list. */
export function sectionsOf({ donor: { sections } }: Job): Support {
  const assumed = sections.some(({ origin }) => origin === 'assumed');
  return {
    ref: null,
    name: assumed ? 'Section of the rails, picked from a list' : 'Section of the rails',
    comesFrom: assumed ? 'assumed' : 'measured',
    builtX: null,
  };
}

/** The rails' stations on the built frame: as one thing, measured or with some assumed. */
export function stationsOf({ donor: { rails } }: Job): Support {
  const stations = rails.kind === 'mirrored' ? rails.stations : [...rails.left, ...rails.right];
  const assumed = stations.filter(({ origin }) => origin === 'assumed').length;
  return {
    ref: null,
    name: `${stations.length} stations of the rails${assumed > 0 ? `, ${assumed} assumed` : ''}`,
    comesFrom: assumed > 0 ? 'assumed' : 'measured',
    builtX: null,
  };
}
