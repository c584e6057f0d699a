import { isInside, isWithin } from '../units/index.ts';
import { railAt, SIDES, type Vec3 } from '../frame/index.ts';
import { endAt } from './face.ts';
import type { EndPlace, Place } from './operation.ts';
import { frontSpine, frontTop, localAt, meanTop, type Piece, rearSpine, rearTop } from './piece.ts';
import { distance } from './pose.ts';
import { OperationRefused, type PlanState } from './state.ts';

/** A place found on the frame in work: which piece, and local x on its top edge. */
export interface Spot {
  readonly index: number;
  readonly x: number;
}

/**
 * Finds a place on the frame in work.
 *
 * @param state The frame in work.
 * @param given A station on the donor, or on the frame in work, mm.
 * @param down How far below the top edge, mm: at an end that leans there is steel at other stations lower down.
 * @throws OperationRefused when it is off the frame or on steel that is gone.
 */
export function findSpot(state: PlanState, given: Place, down = 0): Spot {
  const lies = (piece: Piece, x: number): boolean => {
    const z = meanTop(piece, x).top - down;
    return isWithin(x, { from: endAt(piece.front, 'front', z), to: endAt(piece.rear, 'rear', z) });
  };
  const index = state.pieces.findIndex((piece) => {
    if (given.on === 'donor') return piece.source === 'donor' && lies(piece, given.x);
    return piece.pose.turn === 0
      ? lies(piece, given.x - piece.pose.dx)
      : isWithin(given.x, { from: frontSpine(piece).x, to: rearSpine(piece).x });
  });
  const piece = state.pieces[index];
  if (piece) return { index, x: given.on === 'donor' ? given.x : localAt(piece, given.x) };
  const gone =
    given.on === 'donor' &&
    state.removed.some((r) => r.source === 'donor' && given.x > frontTop(r) && given.x < rearTop(r));
  throw gone
    ? new OperationRefused('operation/place-gone', 'This place on the donor was taken out by an earlier operation.', [
        'Pick a place on steel that is still there.',
        'Move this operation ahead of the one that takes the steel out.',
      ])
    : new OperationRefused('operation/off-the-frame', 'This place is not on the frame.', [
        'Pick a place between the front and the rear end of the rails.',
      ]);
}

/**
 * Finds a place at an end of the frame in work, which may be given by how much comes off there.
 *
 * @param state The frame in work.
 * @param given A station, or how much comes off the end, mm.
 * @param end The front or the rear end.
 * @throws OperationRefused as `findSpot` does, and for an amount that is more than the frame has, or none.
 */
export function findEndSpot(state: PlanState, given: EndPlace, end: 'front' | 'rear'): Spot {
  if (given.on !== 'end') return findSpot(state, given);
  if (!(given.x > 0))
    throw new OperationRefused('operation/not-positive', 'What comes off the end must be more than 0.', [
      'Type a length above 0.',
    ]);
  return alongTopFrom(state, end, given.x);
}

/** Stations of a piece along its mean top edge, from one end to the other, local x. */
function topStations(piece: Piece, from: 'front' | 'rear'): readonly number[] {
  const [front, rear] = [frontTop(piece), rearTop(piece)];
  const inner = SIDES.flatMap((side) => piece.rails[side].map(({ x }) => x)).filter((x) =>
    isInside(x, { from: front, to: rear }),
  );
  const xs = [front, ...[...new Set(inner)].sort((a, b) => a - b), rear];
  return from === 'front' ? xs : xs.reverse();
}

/** A point of the mean top edge of a piece, local: both rails together. */
function topPoint({ rails }: Piece, x: number, toward: 'front' | 'rear'): Vec3 {
  const [left, right] = [railAt(rails.left, x, toward), railAt(rails.right, x, toward)];
  return { x, y: (left.halfWidth + right.halfWidth) / 2, z: (left.top + right.top) / 2 };
}

/**
 * The spot so far from an end of the frame along its top edge, as a tape laid on the rail measures it.
 *
 * @throws OperationRefused when that is more than the frame is long.
 */
function alongTopFrom(state: PlanState, end: 'front' | 'rear', amount: number): Spot {
  const order = state.pieces.map((piece, index) => ({ piece, index }));
  let left = amount;
  for (const { piece, index } of end === 'front' ? order : order.reverse()) {
    const xs = topStations(piece, end);
    for (const [at, x] of xs.slice(1).entries()) {
      const before = xs[at] as number;
      const [a, b] = [topPoint(piece, before, end === 'front' ? 'rear' : 'front'), topPoint(piece, x, end)];
      const long = distance(a, b);
      if (left <= long) return { index, x: before + (left / (long || 1)) * (x - before) };
      left -= long;
    }
  }
  throw new OperationRefused('operation/off-the-frame', 'More would come off than the frame is long.', [
    'Type a smaller length.',
  ]);
}

/**
 * The piece of a spot.
 *
 * @param state The frame in work.
 * @param spot A place found on the frame in work: which piece, and local x, mm.
 */
export const pieceAt = (state: PlanState, spot: Spot): Piece => state.pieces[spot.index] as Piece;
