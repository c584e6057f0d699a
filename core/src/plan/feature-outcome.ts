import { acrossFlange, extentOf, type Feature, railAt, type Side, sidesOf, type Vec3 } from '../frame/index.ts';
import { isWithin, TOLERANCE } from '../units/index.ts';
import type { Context } from './context.ts';
import { cutThroughBefore, type AttachmentStatus, statusOfExtent, type StateBefore } from './attachment-status.ts';
import { steelOf, whereIs } from './locate.ts';
import { floorAt, notchFloor } from './notch-profile.ts';
import { frontSpine, type Piece, place, rearSpine, spine } from './piece.ts';
import type { Hung, PlanState, Rework } from './state.ts';

/** A move, mm and radians: `dy` is outward from the center line. */
interface Shift {
  readonly dx: number;
  readonly dy: number;
  readonly dz: number;
  readonly turn: number;
}

interface SidePlace {
  readonly donor: Vec3 | null;
  readonly built: Vec3 | null;
}

/** Provenance of one feature from donor to built frame; every feature of the donor and of the plan has one. */
export interface FeatureOutcome {
  readonly feature: Feature;
  readonly status: AttachmentStatus;
  readonly reason: string;
  /** The operation that decided its status, if one. */
  readonly operation: string | null;
  readonly places: Readonly<Partial<Record<Side, SidePlace>>>;
  readonly shift: Shift | null;
  readonly piece: number | null;
  /** The operation that cuts through it before the plan takes it off or moves it; null where none does. */
  readonly cutBefore: string | null;
  /** The piece behind which a joint is that the plan sets it over, made before that; null where it lies on one piece. */
  readonly overJoint: number | null;
}

/** Where a feature sits in the local coordinates of its steel: the same for every piece of that steel. */
interface Seat {
  readonly x: number;
  /** What it takes up along the rail, its reach or its hole. */
  readonly from: number;
  readonly to: number;
  /** Heights that it takes up, mean of both rails: of a hole its upper and its lower edge. */
  readonly zs: readonly number[];
  /** Outward from the center line, and up, on each side it stands on. */
  readonly on: readonly { readonly side: Side; readonly outward: number; readonly z: number }[];
}

/** The seats of the donor's features, and their places before any operation, by id. */
export type DonorSeats = ReadonlyMap<string, { readonly seat: Seat; readonly places: FeatureOutcome['places'] }>;

function seatOf(feature: Feature, piece: Piece, context: Context): Seat {
  const { x } = feature;
  const [left, right] = [railAt(piece.rails.left, x), railAt(piece.rails.right, x)];
  const { from, to } = extentOf(feature);
  const depth = context.section(left.section).depth;
  const down = feature.face === 'bottom' ? depth : feature.down;
  // A hole in the web is there over its height; the edges of the rail end it.
  const radius = feature.face === 'web-outside' || feature.face === 'web-inside' ? feature.diameter / 2 : 0;
  const heights = radius > 0 ? [Math.max(0, down - radius), Math.min(depth, down + radius)] : [down];
  const top = (left.top + right.top) / 2;
  return {
    x,
    from,
    to,
    zs: heights.map((below) => top - below),
    on: sidesOf(feature).map((side) => {
      const { halfWidth, top, section } = side === 'left' ? left : right;
      const down = feature.face === 'bottom' ? context.section(section).depth : feature.down;
      return { side, outward: halfWidth - (acrossFlange(feature) ?? 0), z: top - down };
    }),
  };
}

/**
 * Where each feature sits on its rail, and its places before any operation.
 *
 * @param donor The donor as one piece.
 * @param features Features of the donor.
 * @param context Sections, rules and how lengths are written.
 */
export function donorSeatsOf(donor: Piece, features: readonly Feature[], context: Context): DonorSeats {
  return new Map(
    features.map((feature) => {
      const seat = seatOf(feature, donor, context);
      const places: Partial<Record<Side, SidePlace>> = {};
      for (const { side, outward, z } of seat.on)
        places[side] = { donor: place(donor, side, seat.x, outward, z), built: null };
      return [feature.id, { seat, places }];
    }),
  );
}

/**
 * A feature of the donor before any operation.
 *
 * @param feature The feature.
 * @param donorSeats Where the donor’s features sit, by id.
 */
export function donorOutcome(feature: Feature, donorSeats: DonorSeats): FeatureOutcome {
  const places: Partial<Record<Side, SidePlace>> = {};
  for (const [side, { donor }] of Object.entries(donorSeats.get(feature.id)?.places ?? {}))
    places[side as Side] = { donor, built: donor };
  return {
    feature,
    status: 'stays',
    reason: REASONS.stays,
    operation: null,
    places,
    shift: STAYS,
    piece: 0,
    cutBefore: null,
    overJoint: null,
  };
}

const STAYS: Shift = { dx: 0, dy: 0, dz: 0, turn: 0 };

/**
 * What became of every feature. Neighbors in the list are mostly neighbors on the rail: each is looked for beside the last.
 *
 * @param state The frame in work.
 * @param donorSeats Where the donor’s features sit, by id.
 * @param context Sections, rules and how lengths are written.
 * @param before Gives the frame ahead of an operation.
 */
export function featureOutcomes(
  state: PlanState,
  donorSeats: DonorSeats,
  context: Context,
  before: StateBefore,
): FeatureOutcome[] {
  let guess = 0;
  return state.features.map((hung) => {
    const outcome = featureOutcome(state, hung, donorSeats, context, before, guess);
    guess = outcome.piece ?? guess;
    return outcome;
  });
}

function featureOutcome(
  state: PlanState,
  hung: Hung<Feature>,
  donorSeats: DonorSeats,
  context: Context,
  before: StateBefore,
  guess: number,
): FeatureOutcome {
  const { item, source, change, operation } = hung;
  const was = donorSeats.get(item.id);
  const cutBefore =
    was && (change === 'removed' || change === 'moved') ? cutThroughBefore(before(operation), was.seat) : null;
  const nowhere = (status: AttachmentStatus, reason: string, by: string | null): FeatureOutcome => ({
    feature: item,
    status,
    reason,
    operation: by,
    places: was?.places ?? {},
    shift: null,
    piece: null,
    cutBefore,
    overJoint: null,
  });
  if (change === 'removed') return nowhere('removed', 'taken off by the plan', operation);

  const steel = steelOf(state, source);
  if (!steel) return nowhere('lost', 'on steel that is taken out', null);
  const seat = change === 'none' && was ? was.seat : seatOf(item, steel, context);
  const { x } = seat;
  const lies = statusOfExtent(state, source, seat, guess);
  if (lies.status === 'lost') return nowhere('lost', 'on steel that is taken out', lies.operation);
  const over = lies.status === 'cut-through' ? setOverJoint(hung, seat, state, before) : null;
  if (lies.status === 'cut-through' && over === null)
    return nowhere('cut-through', 'a cut runs through it', lies.operation);
  const index = lies.status === 'kept' ? lies.piece : (over?.index ?? 0);
  const piece = state.pieces[index] as Piece;
  const notched = state.reworks.find((rework) => inNotch(rework, item, seat, piece, context));
  if (notched) return nowhere('lost', 'inside the notch', notched.operation.id);

  const places: Partial<Record<Side, SidePlace>> = {};
  for (const { side, outward, z } of seat.on)
    places[side] = { donor: was?.places[side]?.donor ?? null, built: place(piece, side, x, outward, z) };
  const shift = shiftOf(places, piece.pose.turn);
  const still = shift !== null && [shift.dx, shift.dy, shift.dz, shift.turn].every((value) => Math.abs(value) < 1e-6);
  const status =
    change === 'added'
      ? 'new'
      : change === 'moved'
        ? item.movable === 're-weld'
          ? 're-weld'
          : 're-drill'
        : still
          ? 'stays'
          : 'moves';
  return {
    feature: item,
    status,
    reason: REASONS[status],
    operation,
    places,
    shift,
    piece: index,
    cutBefore,
    overJoint: over?.joint ?? null,
  };
}

/** Where a feature lies that reaches from one piece of a frame to another: on which piece, and those that its ends reach. */
function reachOver({ source }: Hung<Feature>, { from, to, x, zs }: Seat, state: PlanState) {
  const [lies] = zs.map((z) => whereIs(state, source, x, z));
  const piece = lies?.at === 'piece' ? state.pieces[lies.index] : undefined;
  if (lies?.at !== 'piece' || !piece) return null;
  const [first, last] = [from, to].map((at) => {
    const there = spine(piece, at).x;
    return state.pieces.findIndex((other) => there >= frontSpine(other).x && there <= rearSpine(other).x);
  }) as [number, number];
  return first >= 0 && last > first ? { index: lies.index, first, last } : null;
}

/**
 * Where a feature lies that the plan sets over a joint that stood before: on which piece, and behind which piece the joint is; null
 * where it was cut after it was set, or reaches beyond the steel.
 */
function setOverJoint(hung: Hung<Feature>, seat: Seat, state: PlanState, before: StateBefore) {
  if (hung.change !== 'moved' && hung.change !== 'added') return null;
  const ahead = before(hung.operation);
  const was = ahead && reachOver(hung, seat, ahead);
  const now = reachOver(hung, seat, state);
  return was && now && now.last - now.first === was.last - was.first ? { index: now.index, joint: now.first } : null;
}

/** Why a feature that is on the built frame is where it is. */
const REASONS = {
  new: 'added by the plan',
  're-drill': 'moved to new holes',
  're-weld': 'cut off and welded on again',
  stays: 'not moved',
  moves: 'goes along with its piece',
} as const;

/** True when a notch takes away the steel that a feature sits on. */
function inNotch({ operation, source, from, to }: Rework, item: Feature, seat: Seat, piece: Piece, context: Context) {
  if (operation.kind !== 'notch' || source !== piece.source) return false;
  if (seat.to < from - TOLERANCE || seat.from > to + TOLERANCE) return false;
  const depthOf = (id: string) => context.section(id).depth;
  const { top, section } = railAt(piece.rails.left, seat.x);
  const z = top - (item.face === 'bottom' ? depthOf(section) : item.down);
  const half = item.diameter / 2;
  const profile = notchFloor(operation, { from, to }, piece.rails.left, depthOf);
  const places = [seat.from, seat.x, seat.to].flatMap((x) => floorAt(profile, Math.min(to, Math.max(from, x))) ?? []);
  return [...places, ...profile.filter(({ x }) => isWithin(x, seat))].some(
    ({ edge, floor }) =>
      Math.abs(floor - edge) > TOLERANCE &&
      (operation.from === 'above' ? z + half > floor + TOLERANCE : z - half < floor - TOLERANCE),
  );
}

/** The mean move of the sides that have both places. */
function shiftOf({ left, right }: FeatureOutcome['places'], turn: number): Shift | null {
  let [count, dx, dy, dz] = [0, 0, 0, 0];
  for (const side of [left, right]) {
    if (!side?.donor || !side.built) continue;
    count += 1;
    dx += side.built.x - side.donor.x;
    dy += Math.abs(side.built.y) - Math.abs(side.donor.y);
    dz += side.built.z - side.donor.z;
  }
  return count > 0 ? { dx: dx / count, dy: dy / count, dz: dz / count, turn } : null;
}
