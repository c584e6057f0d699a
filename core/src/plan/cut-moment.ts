import { frontSpine, frontTop, type Piece, rearTop } from './piece.ts';
import type { PlanState } from './state.ts';

/** The steel of `before` that a piece of after an operation was part of. */
function cutFrom(piece: Piece, before: PlanState): Piece | undefined {
  const middle = (frontTop(piece) + rearTop(piece)) / 2;
  return before.pieces.find(
    (was) => was.source === piece.source && middle >= frontTop(was) - 1e-6 && middle <= rearTop(was) + 1e-6,
  );
}

/**
 * The pieces of a frame that an operation has cut and not yet moved, front to rear: those that stay and those that it
 * takes out, where they stood before it; new rail is not there yet.
 *
 * @param before The frame before it.
 * @param after The frame after it.
 * @param operation Id of the operation.
 */
export function cutMoment(before: PlanState, after: PlanState, operation: string): readonly Piece[] {
  if (before.pieces === after.pieces) return before.pieces;
  const taken = after.removed.filter((piece) => piece.operation === operation);
  return [...after.pieces, ...taken]
    .flatMap((piece): Piece[] => {
      const was = cutFrom(piece, before);
      if (!was) return [];
      const uncut = piece.front === was.front && piece.rear === was.rear;
      return [uncut ? was : { ...piece, pose: was.pose, spread: was.spread }];
    })
    .sort((a, b) => frontSpine(a).x - frontSpine(b).x);
}
