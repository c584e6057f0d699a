import { type Axle, type FramePoint, type Ref, refKey, type Vec3 } from '../frame/index.ts';
import type { Carriers } from './carriers.ts';
import { carrierOf, ridden } from './locate.ts';
import type { Piece } from './piece.ts';
import type { PlanState } from './state.ts';
import { carried } from './unit-outcome.ts';

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
  /** What carries it; null where it rides on the rail at its own station. */
  readonly carrier: Ref | null;
}

/**
 * Where an axle or a point is on the built frame: `carrier` is what carries it, if not the rail itself.
 *
 * @param state The frame in work.
 * @param item The axle or point.
 * @param carrier What it rides on; null: the rail at its own station.
 * @param carriers What carries things, by `refKey`.
 */
export function riderOutcome<T extends Axle | FramePoint>(
  state: PlanState,
  item: T,
  carrier: Ref | null,
  carriers: Carriers,
): RiderOutcome<T> {
  const donor: Vec3 = { x: item.x, y: 'y' in item ? item.y : 0, z: item.z };
  const on = carrier === null ? undefined : carriers.get(refKey(carrier));
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
    const spread = piece === null ? 0 : (state.pieces[piece]?.spread ?? 0);
    const at = carried(on, donor) as Vec3;
    return {
      item,
      donor,
      built: { ...at, y: at.y + Math.sign(donor.y) * spread },
      reason: '',
      operation: null,
      turn,
      piece,
      carrier,
    };
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
