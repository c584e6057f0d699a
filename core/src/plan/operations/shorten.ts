import { length } from '../../fields/index.ts';
import { inches } from '../../units/index.ts';
import { type Shortened, shortenFigures } from '../figures/rail-figures.ts';
import { type Common, place, type Place } from '../operation.ts';
import { bridge } from '../new-piece.ts';
import { type Piece, spine } from '../piece.ts';
import { axisOf, shift } from '../pose.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import { asRemoved, movedAll, mustHave, splitSquare } from '../split.ts';
import { findSpot, pieceAt } from '../spot.ts';
import type { OperationDefinition } from './definition.ts';
import { needsTransition, transitionEnd } from './transition.ts';

export interface Shorten extends Common {
  readonly kind: 'shorten';
  readonly from: Place;
  readonly to: Place;
  /**
   * Length of an oblique new piece between the ends, mm, where they do not meet: that much more rail comes out behind
   * `to`, and the rear comes no farther forward for it. 0: the ends meet each other.
   */
  readonly transition: number;
  /** How much higher the rear part comes, mm; negative: lower. */
  readonly rise: number;
}

/**
 * Takes the rail out between two places; the rear part comes forward along the front piece's own length, and up by
 * what is asked. A transition takes the place of that much more rail behind, and runs straight from one end to the
 * other.
 */
function carryOut(state: PlanState, operation: Shorten): PlanState {
  const [from, to] = [findSpot(state, operation.from), findSpot(state, operation.to)];
  const [start, end] = [spine(pieceAt(state, from), from.x), spine(pieceAt(state, to), to.x)];
  const ordered = from.index < to.index || (from.index === to.index && from.x < to.x);
  if (!ordered)
    throw new OperationRefused('operation/order', 'The rear cut must lie behind the front cut.', [
      'Swap the two places.',
    ]);
  needsTransition(operation.transition);
  const bridged = operation.transition > 0;
  const rear = bridged ? transitionEnd(state, to, operation.transition) : to;
  const { ahead, between, behind } = splitSquare(state, from, rear, operation.id);
  const front = mustHave(ahead, 'last', 'ahead of');
  mustHave(behind, 'first', 'behind');
  const axis = axisOf(front.pose);
  const length = (end.x - start.x) * axis.x + (end.z - start.z) * axis.z;
  const come = movedAll(behind, shift(-length * axis.x, operation.rise - length * axis.z));
  return {
    ...state,
    pieces: [...ahead, ...(bridged ? [bridge(front, come[0] as Piece, null, operation.id)] : []), ...come],
    removed: [...state.removed, ...asRemoved(between, operation.id)],
  };
}

export const shorten: OperationDefinition<Shorten, Shortened> = {
  kind: 'shorten',
  name: 'Shorten',
  fields: { from: place(), to: place(), transition: length(), rise: length() },
  room: { ahead: 0, behind: inches(6) },
  fresh: ({ at, to }) => ({ from: at, to, transition: 0, rise: 0 }),
  places: (operation, visit) => ({ ...operation, from: visit(operation.from), to: visit(operation.to) }),
  carryOut,
  turnsRail: ({ transition }) => transition > 0,
  paired: true,
  figures: shortenFigures,
};
