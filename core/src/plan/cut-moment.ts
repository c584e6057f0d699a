import { frontSpine, frontTop, type Piece, rearSpine, rearTop } from './piece.ts';
import type { PlanStep } from './plan-result.ts';
import type { PlanState } from './state.ts';

/** The steel of `before` that a piece of after an operation was part of. */
function cutFrom(piece: Piece, before: PlanState): Piece | undefined {
  const middle = (frontTop(piece) + rearTop(piece)) / 2;
  return before.pieces.find(
    (was) => was.source === piece.source && middle >= frontTop(was) - 1e-6 && middle <= rearTop(was) + 1e-6,
  );
}

/**
 * Where an operation parts the steel: behind which of the pieces of `cutOf`.
 *
 * @param step The operation, with the frame before and after it.
 */
export function partingsOf(step: PlanStep): readonly number[] {
  const { id } = step.outcome.operation;
  const cut = cutOf(step);
  return cut.slice(1).flatMap((piece, index) => {
    const ahead = cut[index];
    return ahead?.rear.operation === id || piece.front.operation === id ? [index] : [];
  });
}

const known = new WeakMap<PlanStep, readonly Piece[]>();

/**
 * The pieces of a frame that an operation has cut and not yet moved, front to rear: those that stay and those that it
 * takes out, where they stood before it; new rail is not there yet. Remembered for the step.
 *
 * @param step The operation, with the frame before and after it.
 */
export function cutOf(step: PlanStep): readonly Piece[] {
  const cut = known.get(step) ?? cutMoment(step);
  known.set(step, cut);
  return cut;
}

function cutMoment({ before, state: after, outcome }: PlanStep): readonly Piece[] {
  const operation = outcome.operation.id;
  if (before.pieces === after.pieces) return before.pieces;
  const taken = after.removed.filter((piece) => piece.operation === operation);
  const uncut = new Map(before.pieces.map((piece) => [piece.front, piece] as const));
  return (
    [...after.pieces, ...taken]
      .flatMap((piece) => {
        const known = uncut.get(piece.front);
        const same = known?.rear === piece.rear && known.source === piece.source ? known : undefined;
        const was = same ?? cutFrom(piece, before);
        if (!was) return [];
        const standing = same ?? { ...piece, pose: was.pose, spread: was.spread };
        return [{ standing, x: frontSpine(standing).x, end: rearSpine(standing).x }];
      })
      // A wedge begins at its pivot, where the part behind it begins too.
      .sort((a, b) => a.x - b.x || a.end - b.end)
      .map(({ standing }) => standing)
  );
}
