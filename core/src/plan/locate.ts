import { railAt, type Side, type Vec3 } from '../frame/index.ts';
import { isWithin, type Span } from '../units/index.ts';
import { type CutFace, facesOf } from './face.ts';
import { frontTop, holds, meanTop, type Piece, place, rearTop } from './piece.ts';
import { posed } from './pose.ts';
import type { PlanState } from './state.ts';

/** Where a local place ended up: on a piece, taken out by an operation, or nowhere on the frame. */
export type Whereabouts =
  | { readonly at: 'piece'; readonly index: number }
  | { readonly at: 'removed'; readonly operation: string }
  | { readonly at: 'off' };

/**
 * Finds the piece, or the removed steel, that holds a local point of `source`.
 *
 * @param state The frame in work.
 * @param source Whose coordinates: `donor`, or the id of the operation that added the steel.
 * @param x Station in the steel’s own coordinates, mm.
 * @param z Height over the datum plane in the steel’s own coordinates, mm.
 */
export function whereIs(state: PlanState, source: string, x: number, z: number): Whereabouts {
  const index = state.pieces.findIndex((piece) => piece.source === source && holds(piece, x, z));
  if (index >= 0) return { at: 'piece', index };
  const gone = state.removed.find((piece) => piece.source === source && holds(piece, x, z));
  return gone ? { at: 'removed', operation: gone.operation } : { at: 'off' };
}

/**
 * A piece of the steel called `source`, on the frame or taken out: each keeps the whole rails of that steel.
 *
 * @param state The frame in work.
 * @param source Whose coordinates: `donor`, or the id of the operation that added the steel.
 */
export const steelOf = (state: PlanState, source: string): Piece | undefined => {
  const from = (piece: Piece) => piece.source === source;
  return state.pieces.find(from) ?? state.removed.find(from);
};

/**
 * Height of the mean rail top at local x of `source`.
 *
 * @param state The frame in work.
 * @param source Whose coordinates: `donor`, or the id of the operation that added the steel.
 * @param x Station in the steel’s own coordinates, mm.
 */
export function topAt(state: PlanState, source: string, x: number): number {
  const piece = steelOf(state, source);
  return piece ? meanTop(piece, x).top : 0;
}

/**
 * Present place of something on a rail, `down` below its top, `inboard` of the outside face.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param x Station in the steel’s own coordinates, mm.
 * @param down Below the rail’s top, mm.
 * @param inboard From the outside face toward the middle, mm.
 */
export function railPlace(piece: Piece, side: Side, x: number, down: number, inboard = 0): Vec3 {
  const here = railAt(piece.rails[side], x);
  return place(piece, side, x, here.halfWidth - inboard, here.top - down);
}

/** The stretch of the donor that a piece of it carries things over: without limit past an end that nobody has cut. */
function carries(piece: Piece): Span {
  const isUncut = (face: CutFace) => facesOf(face).some(({ operation }) => operation === undefined);
  return {
    from: isUncut(piece.front) ? -Infinity : frontTop(piece),
    to: isUncut(piece.rear) ? Infinity : rearTop(piece),
  };
}

/**
 * The piece that something in space rides on: the one whose top edge spans its donor x. What stands out past an end of the
 * donor rides on the steel of that end, and goes with it where it is cut off.
 *
 * @param state The frame in work.
 * @param x Donor station, mm.
 */
export function carrierOf(state: PlanState, x: number): { readonly index: number } | { readonly operation: string } {
  const index = state.pieces.findIndex((piece) => piece.source === 'donor' && isWithin(x, carries(piece)));
  if (index >= 0) return { index };
  const gone = state.removed.find((piece) => piece.source === 'donor' && isWithin(x, carries(piece)));
  return gone ? { operation: gone.operation } : { index: 0 };
}

/**
 * Present place of a donor point in space that rides on a piece; its side keeps its outward shift.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param point A point on the donor, mm.
 */
export function ridden(piece: Piece, point: Vec3): Vec3 {
  const at = posed(piece.pose, point.x, point.z);
  return { x: at.x, y: point.y + Math.sign(point.y) * piece.spread, z: at.z };
}
