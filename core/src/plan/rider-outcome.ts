import type { Axle, FramePoint, Vec3 } from '../frame/index.ts';
import { carrierOf, ridden } from './locate.ts';
import type { Piece } from './piece.ts';
import type { PlanState } from './state.ts';

/** Something in space that rides on the frame: an axle or a point. */
export interface RiderOutcome<T extends Axle | FramePoint> {
  readonly item: T;
  readonly donor: Vec3;
  readonly built: Vec3 | null;
  readonly reason: string;
  /** Pitch that its piece was turned by, radians. */
  readonly turn: number;
  readonly piece: number | null;
}

export function riderOutcome<T extends Axle | FramePoint>(state: PlanState, item: T): RiderOutcome<T> {
  const donor: Vec3 = { x: item.x, y: 'y' in item ? item.y : 0, z: item.z };
  const carrier = carrierOf(state, item.x);
  if ('operation' in carrier)
    return { item, donor, built: null, reason: 'the steel under it is taken out', turn: 0, piece: null };
  const piece = state.pieces[carrier.index] as Piece;
  return { item, donor, built: ridden(piece, donor), reason: '', turn: piece.pose.turn, piece: carrier.index };
}
