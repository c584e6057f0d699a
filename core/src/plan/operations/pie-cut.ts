import { angle, length, oneOf, variant } from '../../fields/index.ts';
import { inches } from '../../units/index.ts';
import type { Context } from '../context.ts';
import type { CutFace } from '../face.ts';
import { pieFigures, type PieTurned } from '../figures/rail-figures.ts';
import { type Common, place, type Place } from '../operation.ts';
import { pieTurn } from '../pie-turn.ts';
import { posed, turnAbout } from '../pose.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import { asRemoved, movedAll, mustHave, split } from '../split.ts';
import { findSpot, pieceAt } from '../spot.ts';
import type { OperationDefinition } from './definition.ts';

export interface PieCut extends Common {
  readonly kind: 'pie-cut';
  readonly at: Place;
  readonly pivot: 'top' | 'bottom';
  /** Take a wedge out and close the gap, or slit and open it. */
  readonly mode: 'close' | 'open';
  readonly turned: 'front' | 'rear';
  /**
   * The angle itself (radians), or the height that a point of the pivot edge moves, mm: the one that lies `distance`
   * from the pivot in a straight line.
   */
  readonly amount:
    | { readonly by: 'angle'; readonly angle: number }
    | { readonly by: 'drop'; readonly drop: number; readonly distance: number };
  readonly wedge: 'symmetric' | 'square';
}

/** Turns everything on one side of a cut about an edge of the rail, taking a wedge out or opening a slit. */
function carryOut(state: PlanState, operation: PieCut, context: Context): PlanState {
  const at = findSpot(state, operation.at);
  const piece = pieceAt(state, at);
  const { angle, z } = pieTurn(state, at, operation, context);
  if (!(angle > 0 && angle < Math.PI / 3))
    throw new OperationRefused(
      'operation/pie-angle',
      operation.amount.by === 'drop'
        ? 'No turn of less than 60° brings the point that far.'
        : 'The angle of a pie cut must be more than 0° and less than 60°.',
      ['Take a smaller move, or a point farther from the cut.'],
    );
  const closing = operation.mode === 'close';
  // Closing a wedge below a top pivot brings the two lower edges together: the rear drops, or the nose does.
  const rearTurns = (operation.pivot === 'top') === closing ? -angle : angle;
  const away = operation.pivot === 'top' ? 1 : -1;
  const [aheadLean, behindLean] = !closing
    ? [0, 0]
    : operation.wedge === 'symmetric'
      ? [Math.tan(angle / 2), -Math.tan(angle / 2)]
      : [0, -Math.tan(angle)];
  const aheadFace: CutFace = { x: at.x, z, lean: aheadLean * away, operation: operation.id };
  const behindFace: CutFace = { x: at.x, z, lean: behindLean * away, operation: operation.id };
  const { ahead, behind } = split(state, at, at, {
    fromAhead: aheadFace,
    fromBehind: aheadFace,
    toAhead: behindFace,
    toBehind: behindFace,
  });
  mustHave(ahead, 'last', 'ahead of');
  mustHave(behind, 'first', 'behind');
  const pivot = posed(piece.pose, at.x, z);
  const turn = turnAbout(pivot.x, pivot.z, operation.turned === 'rear' ? rearTurns : -rearTurns);
  const wedge = closing ? [{ ...piece, front: aheadFace, rear: behindFace }] : [];
  return {
    ...state,
    pieces: operation.turned === 'rear' ? [...ahead, ...movedAll(behind, turn)] : [...movedAll(ahead, turn), ...behind],
    removed: [...state.removed, ...asRemoved(wedge, operation.id)],
  };
}

export const pieCut: OperationDefinition<PieCut, PieTurned> = {
  kind: 'pie-cut',
  name: 'Pie cut',
  fields: {
    at: place(),
    pivot: oneOf(['top', 'bottom']),
    mode: oneOf(['close', 'open']),
    turned: oneOf(['front', 'rear']),
    amount: variant<PieCut['amount'], 'by'>('by', {
      angle: { angle: angle() },
      drop: { drop: length(), distance: length() },
    }),
    wedge: oneOf(['symmetric', 'square']),
  },
  fresh: ({ at }) => ({
    at,
    pivot: 'top',
    mode: 'close',
    turned: 'rear',
    amount: { by: 'drop', drop: inches(1), distance: inches(24) },
    wedge: 'symmetric',
  }),
  places: (operation, visit) => ({ ...operation, at: visit(operation.at) }),
  carryOut,
  turnsRail: () => true,
  pivot: ({ pivot }) => pivot,
  paired: true,
  figures: pieFigures,
};
