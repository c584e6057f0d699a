import {
  type Axle,
  factsOf,
  type Feature,
  type FeatureKind,
  type Frame,
  type FramePoint,
  type Ref,
  type Side,
  type UnitKind,
  type Vec3,
} from '../frame/index.ts';
import { inches } from '../units/index.ts';
import type { CrossmemberOutcome } from './crossmember-outcome.ts';
import type { FeatureOutcome } from './feature-outcome.ts';

/** Where something that carries another was on the donor, and is now. */
export interface Carrier {
  readonly name: string;
  readonly donor: Vec3;
  readonly built: Vec3 | null;
  readonly turn: number;
  readonly piece: number | null;
  readonly operation: string | null;
}

/** What carries things, by `refKey`. */
export type Carriers = ReadonlyMap<string, Carrier>;

const middle = (places: FeatureOutcome['places'], which: 'donor' | 'built'): Vec3 | null => {
  const at = (['left', 'right'] as const).flatMap((side: Side) => places[side]?.[which] ?? []);
  if (at.length === 0) return null;
  const mean = (axis: keyof Vec3) => at.reduce((sum, point) => sum + point[axis], 0) / at.length;
  return { x: mean('x'), y: mean('y'), z: mean('z') };
};

function ofFeature({ feature, places, shift, piece, operation }: FeatureOutcome): Carrier | null {
  const donor = middle(places, 'donor');
  return (
    donor && { name: feature.name, donor, built: middle(places, 'built'), turn: shift?.turn ?? 0, piece, operation }
  );
}

function ofCrossmember({ crossmember, donor, built, turn, piece, operation }: CrossmemberOutcome): Carrier | null {
  return donor && { name: crossmember.name, donor, built, turn, piece, operation };
}

/**
 * What features and crossmembers are to those that ride on them, of those whose ids are in `wanted`; by `refKey`.
 *
 * @param features What became of each feature.
 * @param crossmembers What became of each crossmember.
 * @param wanted Ids of what carries something.
 */
export function carriersOf(
  features: readonly FeatureOutcome[],
  crossmembers: readonly CrossmemberOutcome[],
  wanted: ReadonlySet<string>,
): Map<string, Carrier> {
  const found = new Map<string, Carrier>();
  if (wanted.size === 0) return found;
  const put = (key: string, carrier: Carrier | null) => carrier && found.set(key, carrier);
  for (const outcome of features)
    if (wanted.has(outcome.feature.id)) put(`feature/${outcome.feature.id}`, ofFeature(outcome));
  for (const outcome of crossmembers)
    if (wanted.has(outcome.crossmember.id)) put(`crossmember/${outcome.crossmember.id}`, ofCrossmember(outcome));
  return found;
}

/** How far from its crossmember a flange or a carrier bearing is taken to hang, mm. */
const REACH = inches(24);

const nearest = <T extends { readonly id: string; readonly x: number }>(
  list: readonly T[],
  x: number,
  within = Infinity,
): T | null =>
  list.reduce<T | null>(
    (best, item) =>
      Math.abs(item.x - x) <= within && (!best || Math.abs(item.x - x) < Math.abs(best.x - x)) ? item : best,
    null,
  );

const refTo = <K extends Ref['kind']>(kind: K, thing: { readonly id: string } | null | undefined): Ref<K> | null =>
  thing ? { kind, id: thing.id } : null;

const unitOf = (frame: Frame, kind: UnitKind): Ref | null =>
  refTo(
    'unit',
    frame.units.find((unit) => unit.kind === kind && unit.mounts.length > 0),
  );

const first = (features: readonly Feature[], unit: UnitKind): Ref | null =>
  refTo(
    'feature',
    features.reduce<Feature | null>(
      (first, mount) => (factsOf(mount.kind).unit === unit && (!first || mount.x < first.x) ? mount : first),
      null,
    ),
  );

/**
 * What carries a point that names no carrier: the cab's back rides on the cab or else its first mount, a transmission
 * flange on the power unit, its mount, or else a crossmember near it, a carrier bearing on its bracket or crossmember,
 * a pinion on its axle. Null: the rail at its own station.
 *
 * @param frame The donor; validated.
 */
function usualCarrier({ kind, x }: Pick<FramePoint, 'kind' | 'x'>, frame: Frame): Ref | null {
  const of = (wanted: FeatureKind) => frame.features.filter((feature) => feature.kind === wanted);
  switch (kind) {
    case 'cab-back':
      return unitOf(frame, 'cab') ?? first(frame.features, 'cab');
    case 'output-flange':
      return (
        unitOf(frame, 'power-unit') ??
        refTo('feature', nearest(of('gearbox-mount'), x)) ??
        refTo('crossmember', nearest(frame.crossmembers, x, REACH))
      );
    case 'carrier-bearing':
      return (
        refTo('feature', nearest(of('carrier-bearing'), x, REACH)) ??
        refTo('crossmember', nearest(frame.crossmembers, x, REACH))
      );
    case 'pinion':
      return refTo(
        'axle',
        nearest(
          frame.axles.filter(({ role }) => role === 'rear'),
          x,
        ),
      );
    default:
      return null;
  }
}

/** What carries an axle that names no carrier: the suspension of its end of the frame, where there is just one. */
function usualOfAxle({ role }: Axle, frame: Frame): Ref | null {
  const suspensions = frame.units.filter((unit) => unit.kind === `${role}-suspension` && unit.mounts.length > 0);
  const alone = frame.axles.filter((axle) => axle.role === role).length === 1;
  return alone && suspensions.length === 1 ? refTo('unit', suspensions[0]) : null;
}

/**
 * What carries each axle and point, by its id: what the donor says, or what usually carries its kind.
 *
 * @param frame The donor; validated.
 */
export const carriersIn = (frame: Frame): ReadonlyMap<string, Ref | null> =>
  new Map([
    ...frame.axles.map((axle) => [axle.id, axle.carrier ?? usualOfAxle(axle, frame)] as const),
    ...frame.points.map((point) => [point.id, point.carrier ?? usualCarrier(point, frame)] as const),
  ]);

/**
 * Ids of everything that must be known as a carrier: what axles and points ride on, and mounts of units.
 *
 * @param frame The donor; validated.
 * @param carriers What carries each axle and point, by its id.
 */
export const wantedIn = (frame: Frame, carriers: ReadonlyMap<string, Ref | null>): ReadonlySet<string> =>
  new Set([
    ...[...carriers.values()].flatMap((ref) => (ref ? [ref.id] : [])),
    ...frame.units.flatMap(({ mounts }) => mounts.map(({ id }) => id)),
  ]);
