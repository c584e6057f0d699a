import type { Alignment } from '../operation.ts';
import type { Piece } from '../piece.ts';
import { OperationRefused } from '../state.ts';

/** The steepest that new rail may be turned against the end it is joined to, radians. */
const STEEPEST = Math.PI / 3;

/**
 * Makes sure that new rail has room.
 *
 * @param piece The new piece.
 * @throws OperationRefused for new rail that stands too steep, or whose sides would cross.
 */
export function needsRoom(piece: Piece, { yaw, pitch }: Alignment): void {
  if (!(Math.abs(yaw) < STEEPEST && Math.abs(pitch) < STEEPEST))
    throw new OperationRefused('operation/too-steep', 'The new rail would stand at 60° or more to the end.', [
      'Take a smaller angle.',
    ]);
  for (const rail of [piece.rails.left, piece.rails.right])
    if (rail.some(({ halfWidth }) => halfWidth + piece.spread <= 0))
      throw new OperationRefused('operation/rails-cross', 'The new rails would cross.', [
        'Bring them in by less, or at a smaller angle.',
      ]);
}
