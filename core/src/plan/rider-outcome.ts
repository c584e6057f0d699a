import type { Axle, Frame, FramePoint, Side, Vec3 } from '../frame/index.ts';
import { inches } from '../units/index.ts';
import type { CrossmemberOutcome } from './crossmember-outcome.ts';
import type { FeatureOutcome } from './feature-outcome.ts';
import { carrierOf, ridden } from './locate.ts';
import type { Piece } from './piece.ts';
import { posed } from './pose.ts';
import type { PlanState } from './state.ts';

/** Something in space that rides on the frame: an axle or a point. */
export interface RiderOutcome<T extends Axle | FramePoint> {
  readonly item: T;
  readonly donor: Vec3;
  readonly built: Vec3 | null;
  /** Why it is not on the built frame; empty where it is. */
  readonly reason: string;
  /** The operation that took what carries it, where one did. */
  readonly operation: string | null;
  /** Pitch that its piece was turned by, radians. */
  readonly turn: number;
  readonly piece: number | null;
  /** Id of the feature, crossmember or axle that carries it; null where it rides on the rail at its own station. */
  readonly carrier: string | null;
}

/** Where something that carries another was on the donor, and is now. */
interface Carrier {
  readonly name: string;
  readonly donor: Vec3;
  readonly built: Vec3 | null;
  readonly turn: number;
  readonly piece: number | null;
  readonly operation: string | null;
}

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

/** What carries things, by id. */
export type Carriers = ReadonlyMap<string, Carrier>;

export function carriersOf(
  features: readonly FeatureOutcome[],
  crossmembers: readonly CrossmemberOutcome[],
  ids: ReadonlySet<string>,
): Carriers {
  const found = new Map<string, Carrier>();
  if (ids.size === 0) return found;
  const put = (id: string, carrier: Carrier | null) => carrier && found.set(id, carrier);
  for (const outcome of features) if (ids.has(outcome.feature.id)) put(outcome.feature.id, ofFeature(outcome));
  for (const outcome of crossmembers)
    if (ids.has(outcome.crossmember.id)) put(outcome.crossmember.id, ofCrossmember(outcome));
  return found;
}

/** The carriers with axles among them, for what rides on those. */
export const withAxles = (carriers: Carriers, axles: readonly RiderOutcome<Axle>[]): Carriers =>
  new Map([...carriers, ...axles.map((axle) => [axle.item.id, { ...axle, name: axle.item.name }] as const)]);

/** How far from its crossmember a flange or a carrier bearing is taken to hang, mm. */
const REACH = inches(24);

const nearest = <T extends { readonly id: string; readonly x: number }>(
  list: readonly T[],
  x: number,
  within = Infinity,
): string | null =>
  list.reduce<T | null>(
    (best, item) =>
      Math.abs(item.x - x) <= within && (!best || Math.abs(item.x - x) < Math.abs(best.x - x)) ? item : best,
    null,
  )?.id ?? null;

/**
 * What carries a point that names no carrier: the cab's back rides on the foremost cab mount, a gearbox flange on its
 * mount or else on a crossmember near it, a carrier bearing on its bracket or crossmember, a pinion on its axle.
 * Null: the rail at its own station.
 */
export function usualCarrier({ kind, x }: FramePoint, frame: Frame): string | null {
  const of = (...kinds: readonly string[]) => frame.features.filter((feature) => kinds.includes(feature.kind));
  switch (kind) {
    case 'cab-back':
      return (
        of('cab-mount').reduce<Frame['features'][number] | null>(
          (first, mount) => (!first || mount.x < first.x ? mount : first),
          null,
        )?.id ?? null
      );
    case 'output-flange':
      return nearest(of('gearbox-mount'), x) ?? nearest(frame.crossmembers, x, REACH);
    case 'carrier-bearing':
      return nearest(of('carrier-bearing'), x, REACH) ?? nearest(frame.crossmembers, x, REACH);
    case 'pinion':
      return nearest(
        frame.axles.filter(({ role }) => role === 'rear'),
        x,
      );
    default:
      return null;
  }
}

/** Where an axle or a point is on the built frame: `carrier` is the id of what carries it, if not the rail itself. */
export function riderOutcome<T extends Axle | FramePoint>(
  state: PlanState,
  item: T,
  carrier: string | null,
  carriers: Carriers,
): RiderOutcome<T> {
  const donor: Vec3 = { x: item.x, y: 'y' in item ? item.y : 0, z: item.z };
  const on = carrier === null ? undefined : carriers.get(carrier);
  if (on) {
    const { built, turn, piece, operation } = on;
    if (!built)
      return {
        item,
        donor,
        built,
        reason: `${on.name} carries it and is not there any more`,
        operation,
        turn: 0,
        piece: null,
        carrier,
      };
    const offset = posed({ turn, dx: 0, dz: 0 }, donor.x - on.donor.x, donor.z - on.donor.z);
    const spread = piece === null ? 0 : (state.pieces[piece]?.spread ?? 0);
    const at = { x: built.x + offset.x, y: donor.y + Math.sign(donor.y) * spread, z: built.z + offset.z };
    return { item, donor, built: at, reason: '', operation: null, turn, piece, carrier };
  }
  const under = carrierOf(state, item.x);
  if ('operation' in under)
    return {
      item,
      donor,
      built: null,
      reason: 'the steel under it is taken out',
      operation: under.operation,
      turn: 0,
      piece: null,
      carrier: null,
    };
  const piece = state.pieces[under.index] as Piece;
  return {
    item,
    donor,
    built: ridden(piece, donor),
    reason: '',
    operation: null,
    turn: piece.pose.turn,
    piece: under.index,
    carrier: null,
  };
}
