import {
  type Axle,
  type Crossmember,
  type Feature,
  type FramePoint,
  railAt,
  type Side,
  sidesOf,
  type Vec3,
} from '../frame/index.ts';
import type { Context } from './context.ts';
import { carrierOf, railPlace, ridden, topAt, whereIs } from './locate.ts';
import { faceAt, holds, meanTop, type Piece } from './piece.ts';
import { posed } from './pose.ts';
import type { Hung, PlanState } from './state.ts';

/** What became of something attached to the frame. */
export type Fate =
  | 'stays'
  | 'moves'
  /** Taken off and put back elsewhere: through new holes, or with a new weld. */
  | 're-drill'
  | 're-weld'
  | 'new'
  | 'removed'
  /** On steel that was taken out. */
  | 'lost'
  /** A cut runs through it. */
  | 'cut-through';

/** A move, mm and radians: `dy` is outward from the centre line. */
export interface Shift {
  readonly dx: number;
  readonly dy: number;
  readonly dz: number;
  readonly turn: number;
}

export interface SidePlace {
  readonly donor: Vec3 | null;
  readonly built: Vec3 | null;
}

/** Provenance of one feature from donor to built frame; every feature of the donor and of the plan has one. */
export interface FeatureOutcome {
  readonly feature: Feature;
  readonly fate: Fate;
  readonly reason: string;
  /** The operation that decided its fate, if one. */
  readonly operation: string | null;
  readonly places: Readonly<Partial<Record<Side, SidePlace>>>;
  readonly shift: Shift | null;
  readonly piece: number | null;
}

export interface CrossmemberOutcome {
  readonly crossmember: Crossmember;
  readonly fate: Fate;
  readonly reason: string;
  readonly operation: string | null;
  readonly donor: Vec3 | null;
  /** Middle of its top, on the centre line. */
  readonly built: Vec3 | null;
  readonly turn: number;
  /** How much wider it must become, mm. */
  readonly wider: number;
  readonly piece: number | null;
}

/** Something in space that rides on the frame: an axle or a point. */
export interface RiderOutcome<T extends Axle | FramePoint> {
  readonly item: T;
  readonly donor: Vec3;
  readonly built: Vec3 | null;
  readonly reason: string;
  readonly piece: number | null;
}

interface Extent {
  readonly from: number;
  readonly to: number;
  readonly z: number;
}

type ExtentFate =
  | { readonly fate: 'kept'; readonly piece: number }
  | { readonly fate: 'lost'; readonly operation: string | null }
  | { readonly fate: 'cut-through'; readonly operation: string | null };

/** The piece an extent lies on whole, or what happened to it. */
function fateOfExtent(state: PlanState, source: string, extent: Extent): ExtentFate {
  const { pieces } = state;
  for (let index = 0; index < pieces.length; index += 1) {
    const piece = pieces[index] as Piece;
    if (piece.source === source && holds(piece, extent.from, extent.z) && holds(piece, extent.to, extent.z))
      return { fate: 'kept', piece: index };
  }
  const ends = [extent.from, extent.to].map((x) => whereIs(state, source, x, extent.z));
  const [a, b] = ends as [ReturnType<typeof whereIs>, ReturnType<typeof whereIs>];
  if (a.at === 'removed' && b.at === 'removed') return { fate: 'lost', operation: a.operation };
  const remover = a.at === 'removed' ? a.operation : b.at === 'removed' ? b.operation : null;
  return { fate: 'cut-through', operation: remover ?? cutterBetween(state, source, extent) };
}

/** The operation whose face runs through an extent, if one. */
function cutterBetween(state: PlanState, source: string, extent: Extent): string | null {
  for (const piece of state.pieces)
    for (const face of [piece.front, piece.rear]) {
      const x = faceAt(face, extent.z);
      if (piece.source === source && face.operation && x >= extent.from - 1e-6 && x <= extent.to + 1e-6)
        return face.operation;
    }
  return null;
}

const verb = (state: PlanState, operation: string | null): string => {
  const wedge = state.removed.some((piece) => piece.operation === operation);
  return wedge ? 'taken out' : 'cut';
};

/** How far below the rail top a feature sits, mm, at local x of its piece. */
function downOf(feature: Feature, piece: Piece, side: Side, x: number, context: Context): number {
  return feature.face === 'bottom' ? context.section(railAt(piece.rails[side], x).section).depth : feature.down;
}

/** Where the features of the donor are on it, by id: the same for every plan. */
export type DonorPlaces = ReadonlyMap<string, Readonly<Record<Side, Vec3>>>;

export function donorPlacesOf(donor: Piece, features: readonly Feature[], context: Context): DonorPlaces {
  return new Map(
    features.map((feature) => {
      const x = feature.x + feature.length / 2;
      const on = (side: Side) => railPlace(donor, side, x, downOf(feature, donor, side, x, context));
      return [feature.id, { left: on('left'), right: on('right') }];
    }),
  );
}

export function featureOutcome(
  state: PlanState,
  hung: Hung<Feature>,
  donorPlaces: DonorPlaces,
  context: Context,
): FeatureOutcome {
  const { item, source, change, operation } = hung;
  const sides = sidesOf(item);
  const middle = item.x + item.length / 2;
  const was = donorPlaces.get(item.id);
  const donorPlace = (side: Side): Vec3 | null => was?.[side] ?? null;
  const nowhere = (fate: Fate, reason: string, by: string | null): FeatureOutcome => ({
    feature: item,
    fate,
    reason,
    operation: by,
    places: placesOf(sides, (side) => ({ donor: donorPlace(side), built: null })),
    shift: null,
    piece: null,
  });
  if (change === 'removed') return nowhere('removed', 'taken off by the plan', operation);

  const reach = Math.max(item.length, item.diameter) / 2;
  const z = topAt(state, source, middle) - item.down;
  const lies = fateOfExtent(state, source, { from: middle - reach, to: middle + reach, z });
  if (lies.fate === 'lost') return nowhere('lost', 'on steel that is taken out', lies.operation);
  if (lies.fate === 'cut-through') return nowhere('cut-through', 'a cut runs through it', lies.operation);

  const piece = state.pieces[lies.piece] as Piece;
  const notched = state.reworks.find(
    (rework) =>
      rework.operation.kind === 'notch' &&
      rework.source === source &&
      middle + reach > rework.from &&
      middle - reach < rework.to &&
      (rework.operation.from === 'above'
        ? item.down < rework.operation.depth
        : downOf(item, piece, sides[0] as Side, middle, context) >
          context.section(railAt(piece.rails.left, middle).section).depth - rework.operation.depth),
  );
  if (notched) return nowhere('lost', 'inside the notch', notched.operation.id);

  const places = placesOf(sides, (side) => ({
    donor: donorPlace(side),
    built: railPlace(piece, side, middle, downOf(item, piece, side, middle, context)),
  }));
  const shift = shiftOf(places, piece.pose.turn);
  const still = shift !== null && [shift.dx, shift.dy, shift.dz, shift.turn].every((value) => Math.abs(value) < 1e-6);
  const fate =
    change === 'added'
      ? 'new'
      : change === 'moved'
        ? item.movable === 're-weld'
          ? 're-weld'
          : 're-drill'
        : still
          ? 'stays'
          : 'moves';
  return { feature: item, fate, reason: REASONS[fate], operation, places, shift, piece: lies.piece };
}

/** Why a feature that is on the built frame is where it is. */
const REASONS = {
  new: 'added by the plan',
  're-drill': 'moved to new holes',
  're-weld': 'cut off and welded on again',
  stays: 'not moved',
  moves: 'goes along with its piece',
} as const;

function placesOf(sides: readonly Side[], placeOn: (side: Side) => SidePlace): FeatureOutcome['places'] {
  const places: Partial<Record<Side, SidePlace>> = {};
  for (const side of sides) places[side] = placeOn(side);
  return places;
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

export function crossmemberOutcome(
  state: PlanState,
  hung: Hung<Crossmember>,
  donor: { readonly piece: Piece; readonly crossmember: Crossmember | undefined },
): CrossmemberOutcome {
  const { item, source, change, operation } = hung;
  const was = donor.crossmember;
  const donorPlace = was ? { x: was.x, y: 0, z: meanTop(donor.piece, was.x).top - was.below } : null;
  const top = topAt(state, source, item.x);
  const nowhere = (fate: Fate, reason: string, by: string | null): CrossmemberOutcome => ({
    crossmember: item,
    fate,
    reason,
    operation: by,
    donor: donorPlace,
    built: null,
    turn: 0,
    wider: 0,
    piece: null,
  });
  if (change === 'removed') return nowhere('removed', 'taken out by the plan', operation);
  const extent = { from: item.x - item.length / 2, to: item.x + item.length / 2, z: top - item.below - item.depth / 2 };
  const lies = fateOfExtent(state, source, extent);
  if (lies.fate !== 'kept')
    return nowhere(
      lies.fate,
      lies.fate === 'lost' ? 'on steel that is taken out' : `${verb(state, lies.operation)} in part`,
      lies.operation,
    );
  const piece = state.pieces[lies.piece] as Piece;
  const at = posed(piece.pose, item.x, top - item.below);
  const built = { x: at.x, y: 0, z: at.z };
  const still =
    donorPlace !== null && Math.hypot(built.x - donorPlace.x, built.z - donorPlace.z) < 1e-6 && piece.pose.turn === 0;
  const fate: Fate =
    change === 'added'
      ? 'new'
      : change === 'none'
        ? still
          ? 'stays'
          : 'moves'
        : item.fixing === 'welded'
          ? 're-weld'
          : 're-drill';
  const reason =
    change === 'added'
      ? 'added by the plan'
      : change === 'none'
        ? still
          ? 'not moved'
          : 'goes along with its piece'
        : `${change} by the plan`;
  const halfWidth = railAt(piece.rails.left, item.x).halfWidth;
  const donorWidth = was ? railAt(donor.piece.rails.left, was.x).halfWidth : halfWidth + piece.spread;
  const wider = change === 'added' ? 0 : 2 * (halfWidth + piece.spread - donorWidth);
  return {
    crossmember: item,
    fate,
    reason,
    operation,
    donor: donorPlace,
    built,
    turn: piece.pose.turn,
    wider: Math.abs(wider) < 1e-6 ? 0 : wider,
    piece: lies.piece,
  };
}

export function riderOutcome<T extends Axle | FramePoint>(state: PlanState, item: T): RiderOutcome<T> {
  const donor: Vec3 = { x: item.x, y: 'y' in item ? item.y : 0, z: item.z };
  const carrier = carrierOf(state, item.x);
  if ('operation' in carrier)
    return { item, donor, built: null, reason: 'the steel under it is taken out', piece: null };
  const piece = state.pieces[carrier.index] as Piece;
  return { item, donor, built: ridden(piece, donor), reason: '', piece: carrier.index };
}
