import { type Piece, spine } from '../piece.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import { findSpot, type Spot } from '../spot.ts';
import { SMALLEST } from './amounts.ts';

/**
 * Makes sure that a transition piece can be.
 *
 * @param length mm; 0 is none.
 * @throws OperationRefused for the length of a transition that cannot be: 0 is none.
 */
export function needsTransition(length: number): void {
  if (length !== 0 && !(length >= SMALLEST))
    throw new OperationRefused('operation/not-positive', 'A transition cannot be shorter than 0.', ['Type 0 or more.']);
}

/**
 * The place where a transition piece ends that starts at a spot and runs `length` mm along the frame, below 0 forward.
 *
 * @param state The frame in work.
 * @param spot A place found on the frame in work: which piece, and local x, mm.
 * @param length Along the frame, mm; below 0 forward.
 * @throws OperationRefused where the frame ends before.
 */
export function transitionEnd(state: PlanState, spot: Spot, length: number): Spot {
  const x = spine(state.pieces[spot.index] as Piece, spot.x).x + length;
  try {
    return findSpot(state, { x, on: 'built' });
  } catch (error) {
    if (!(error instanceof OperationRefused)) throw error;
    throw new OperationRefused(
      'operation/no-room-for-transition',
      'The transition piece runs past the end of the frame.',
      ['Take a shorter transition, or one farther from the end.'],
    );
  }
}
