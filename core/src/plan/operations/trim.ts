import { angle, oneOf } from '../../fields/index.ts';
import { railAt } from '../../frame/index.ts';
import { inches } from '../../units/index.ts';
import type { Context } from '../context.ts';
import { trimFigures, type Trimmed } from '../figures/rail-figures.ts';
import { type Common, type EndPlace, endPlace } from '../operation.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import { asRemoved, leaningFace, mustHave, split } from '../split.ts';
import { findEndSpot, pieceAt } from '../spot.ts';
import type { OperationDefinition } from './definition.ts';

export interface Trim extends Common {
  readonly kind: 'trim';
  readonly end: 'front' | 'rear';
  /** Where the cut crosses the top edge. */
  readonly at: EndPlace;
  /** From square, radians, 0 to less than 90°. */
  readonly angle: number;
  readonly lean: 'top-longer' | 'bottom-longer';
}

/** Cuts an end off by a plane through the top edge that may lean. */
function carryOut(state: PlanState, operation: Trim, context: Context): PlanState {
  if (!(operation.angle >= 0 && operation.angle < Math.PI / 2))
    throw new OperationRefused(
      'operation/trim-angle',
      'The trim angle must be 0° (square) or more, and less than 90°.',
      ['Type an angle from square, such as 45°.'],
    );
  const at = findEndSpot(state, operation.at, operation.end);
  const rear = operation.end === 'rear';
  const topFurtherBack = (operation.lean === 'top-longer') === rear;
  const face = leaningFace(
    pieceAt(state, at),
    at.x,
    Math.tan(operation.angle) * (topFurtherBack ? 1 : -1),
    operation.id,
  );
  const { section } = railAt(pieceAt(state, at).rails.left, at.x);
  const { ahead, behind } = split(
    state,
    at,
    at,
    { fromAhead: face, fromBehind: face, toAhead: face, toBehind: face },
    { over: 0, under: context.section(section).depth },
  );
  const [kept, cutOff] = rear ? [ahead, behind] : [behind, ahead];
  mustHave(kept, 'first', rear ? 'ahead of' : 'behind');
  return { ...state, pieces: kept, removed: [...state.removed, ...asRemoved(cutOff, operation.id)] };
}

export const trim: OperationDefinition<Trim, Trimmed> = {
  kind: 'trim',
  name: 'Trim an end',
  named: ({ end }) => `Trim the ${end}`,
  fields: {
    end: oneOf(['front', 'rear']),
    at: endPlace(),
    angle: angle(),
    lean: oneOf(['top-longer', 'bottom-longer']),
  },
  fresh: () => ({ end: 'rear', at: { x: inches(6), on: 'end' }, angle: 0, lean: 'top-longer' }),
  places: (operation, visit) => ({ ...operation, at: visit(operation.at, operation.end) }),
  carryOut,
  figures: trimFigures,
};
