import { id, length, oneOf, orNull } from '../../fields/index.ts';
import { inches } from '../../units/index.ts';
import { type Added, addedFigures } from '../figures/rail-figures.ts';
import { align, type Alignment, type Common, type EndPlace, endPlace, IN_LINE } from '../operation.ts';
import { goingOn } from '../new-piece.ts';
import { frontTop, type Piece, rearTop } from '../piece.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import { asRemoved, mustHave, splitSquare } from '../split.ts';
import { findEndSpot } from '../spot.ts';
import { needsRoom } from './alignment.ts';
import { needsPositive } from './amounts.ts';
import type { OperationDefinition } from './definition.ts';

export interface Extend extends Common {
  readonly kind: 'extend';
  readonly end: 'front' | 'rear';
  /** Where the old end is cut off square first; null: the new rail goes on the end as it is. */
  readonly cut: EndPlace | null;
  /** What the frame grows by, mm: along the end piece, whatever the new rail is turned by. */
  readonly length: number;
  readonly section: string | null;
  readonly align: Alignment;
}

/** The frame with an end cut off square, where an extension asks for that. */
function cutSquare(state: PlanState, { cut, end, id }: Extend): PlanState {
  if (cut === null) return state;
  const at = findEndSpot(state, cut, end);
  const { ahead, behind } = splitSquare(state, at, at, id);
  const [kept, cutOff] = end === 'rear' ? [ahead, behind] : [behind, ahead];
  mustHave(kept, 'first', end === 'rear' ? 'ahead of' : 'behind');
  return { ...state, pieces: kept, removed: [...state.removed, ...asRemoved(cutOff, id)] };
}

/** Adds a straight horn at an end, level with the piece it is added to or as it is aligned to it. */
function carryOut(state: PlanState, operation: Extend): PlanState {
  needsPositive(operation.length, 'The length to add');
  const from = cutSquare(state, operation);
  const { end, length, align, section, id } = operation;
  const last = from.pieces[end === 'rear' ? from.pieces.length - 1 : 0] as Piece;
  if (last[end].lean !== 0)
    throw new OperationRefused('operation/leaning-end', 'This end is cut at an angle; a new horn needs a square end.', [
      'Give a place where the end is cut off square first.',
    ]);
  const horn = goingOn(last, end, length, align, section, id);
  needsRoom(horn, align);
  // A horn has a free end: that face is nobody's joint.
  const free: Piece =
    end === 'rear'
      ? { ...horn, rear: { x: rearTop(horn), z: 0, lean: 0 } }
      : { ...horn, front: { x: frontTop(horn), z: 0, lean: 0 } };
  return { ...from, pieces: end === 'rear' ? [...from.pieces, free] : [free, ...from.pieces] };
}

export const extend: OperationDefinition<Extend, Added<'extend'> | null> = {
  kind: 'extend',
  name: 'Extend an end',
  named: ({ end }) => `Extend the ${end}`,
  fields: {
    end: oneOf(['front', 'rear']),
    cut: orNull(endPlace()),
    length: length(),
    section: orNull(id()),
    align: align(),
  },
  fresh: () => ({ end: 'rear', cut: null, length: inches(6), section: null, align: IN_LINE }),
  places: (operation, visit) => ({ ...operation, cut: operation.cut && visit(operation.cut, operation.end) }),
  carryOut,
  section: ({ section }) => section,
  figures: addedFigures,
};
