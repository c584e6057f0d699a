import { length, orNull } from '../../fields/index.ts';
import { inches } from '../../units/index.ts';
import { widenFigures, type Widened } from '../figures/rail-figures.ts';
import { type Common, place, type Place } from '../operation.ts';
import { bridge } from '../new-piece.ts';
import { frontTop, type Piece, railEnd, rearTop } from '../piece.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import { asRemoved, splitSquare } from '../split.ts';
import { findSpot } from '../spot.ts';
import type { OperationDefinition } from './definition.ts';
import { needsTransition, transitionEnd } from './transition.ts';

export interface Widen extends Common {
  readonly kind: 'widen';
  /** Change of the outside width, mm; negative narrows. */
  readonly amount: number;
  /** The range at the new width; null runs to the end of the frame. */
  readonly from: Place | null;
  readonly to: Place | null;
  /** Length of the new, oblique pieces just outside the range, mm; 0 leaves a step. */
  readonly transition: number;
}

const spreadBy = (pieces: readonly Piece[], outward: number): Piece[] =>
  pieces.map((piece) => ({ ...piece, spread: piece.spread + outward }));

/** The pieces of a range with the ends of the frame as they were, where the range runs to them: nothing is cut there. */
function keepEnds(pieces: readonly Piece[], state: PlanState, { from, to }: Widen): Piece[] {
  const [first, last] = [state.pieces[0] as Piece, state.pieces[state.pieces.length - 1] as Piece];
  return pieces.map((piece, index) => ({
    ...piece,
    ...(from === null && index === 0 ? { front: first.front } : {}),
    ...(to === null && index === pieces.length - 1 ? { rear: last.rear } : {}),
  }));
}

/** Moves the two rails of a range apart (or together), with oblique new pieces just outside the range. */
function carryOut(state: PlanState, operation: Widen): PlanState {
  if (operation.amount === 0)
    throw new OperationRefused('operation/not-positive', 'The change of width is 0: nothing would change.', [
      'Type an amount.',
    ]);
  needsTransition(operation.transition);
  const outward = operation.amount / 2;
  const lastIndex = state.pieces.length - 1;
  const from = operation.from ? findSpot(state, operation.from) : { index: 0, x: frontTop(state.pieces[0] as Piece) };
  const to = operation.to
    ? findSpot(state, operation.to)
    : { index: lastIndex, x: rearTop(state.pieces[lastIndex] as Piece) };
  if (from.index > to.index || (from.index === to.index && from.x >= to.x))
    throw new OperationRefused('operation/order', 'The range must end behind where it begins.', [
      'Swap the two places.',
    ]);

  const range = splitSquare(state, from, to, operation.id);
  let middle: Piece[] = spreadBy(keepEnds(range.between, state, operation), outward);
  for (const piece of middle)
    for (const side of ['left', 'right'] as const)
      for (const end of ['front', 'rear'] as const)
        if (Math.abs(railEnd(piece, side, end).point.y) < 1 || railEnd(piece, side, end).halfWidth + piece.spread <= 0)
          throw new OperationRefused('operation/rails-cross', 'The rails would cross.', ['Narrow by less.']);
  let { ahead, behind } = range;
  const removed = [...state.removed];
  const bridged = (front: Piece | undefined, rear: Piece | undefined): Piece[] =>
    front && rear && operation.transition > 0 ? [bridge(front, rear, null, operation.id)] : [];

  if (operation.from && operation.transition > 0) {
    const start = transitionEnd(state, from, -operation.transition);
    const cut = splitSquare(state, start, from, operation.id);
    ahead = cut.ahead;
    removed.push(...asRemoved(cut.between, operation.id));
    middle = [...bridged(ahead[ahead.length - 1], middle[0]), ...middle];
  }
  if (operation.to && operation.transition > 0) {
    const end = transitionEnd(state, to, operation.transition);
    const cut = splitSquare(state, to, end, operation.id);
    behind = cut.behind;
    removed.push(...asRemoved(cut.between, operation.id));
    middle = [...middle, ...bridged(middle[middle.length - 1], behind[0])];
  }
  return { ...state, pieces: [...ahead, ...middle, ...behind], removed };
}

export const widen: OperationDefinition<Widen, Widened> = {
  kind: 'widen',
  name: 'Widen or narrow',
  named: ({ amount }) => (amount < 0 ? 'Narrow' : 'Widen'),
  fields: { amount: length(), from: orNull(place()), to: orNull(place()), transition: length() },
  room: { ahead: inches(12), behind: 0 },
  fresh: ({ at }) => ({ amount: inches(2), from: at, to: null, transition: inches(12) }),
  places: (operation, visit) => ({
    ...operation,
    from: operation.from && visit(operation.from),
    to: operation.to && visit(operation.to),
  }),
  carryOut,
  turnsRail: () => true,
  figures: widenFigures,
};
