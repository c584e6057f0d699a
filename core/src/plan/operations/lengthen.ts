import { id, length, orNull } from '../../fields/index.ts';
import { inches } from '../../units/index.ts';
import { type Added, addedFigures } from '../figures/rail-figures.ts';
import { align, type Alignment, type Common, IN_LINE, place, type Place } from '../operation.ts';
import { bridge, goingOn } from '../new-piece.ts';
import { type Piece } from '../piece.ts';
import { axisOf, shift } from '../pose.ts';
import type { PlanState } from '../state.ts';
import { movedAll, mustHave, splitSquare } from '../split.ts';
import { findSpot } from '../spot.ts';
import { needsRoom } from './alignment.ts';
import { needsPositive } from './amounts.ts';
import type { OperationDefinition } from './definition.ts';

export interface Lengthen extends Common {
  readonly kind: 'lengthen';
  readonly at: Place;
  /** What the frame grows by, mm: along the piece ahead of the cut, whatever the new rail is turned by. */
  readonly length: number;
  /** Section of the new piece; null: as the rail ahead of the cut. */
  readonly section: string | null;
  /** The new rail against the end ahead of the cut. The rear part goes where its rear end goes, and is not turned. */
  readonly align: Alignment;
}

/**
 * Puts a straight new piece in at one place, in line with the end ahead of it or as it is aligned; the rear part goes
 * where the new piece's rear end goes, and keeps its own direction.
 */
function carryOut(state: PlanState, operation: Lengthen): PlanState {
  needsPositive(operation.length, 'The length to add');
  const at = findSpot(state, operation.at);
  const { ahead, behind } = splitSquare(state, at, at, operation.id);
  const front = mustHave(ahead, 'last', 'ahead of');
  mustHave(behind, 'first', 'behind');
  const { length, section, align, id } = operation;
  const axis = axisOf(front.pose);
  const [out, up] = [align.out + length * Math.tan(align.yaw), align.up + length * Math.tan(align.pitch)];
  const gone = movedAll(behind, shift(length * axis.x - up * axis.z, length * axis.z + up * axis.x)).map((piece) => ({
    ...piece,
    spread: piece.spread + out,
  }));
  const aligned = align.out !== 0 || align.up !== 0 || align.yaw !== 0 || align.pitch !== 0;
  const added = aligned
    ? goingOn(front, 'rear', length, align, section, id)
    : bridge(front, gone[0] as Piece, section, id);
  needsRoom(added, align);
  return { ...state, pieces: [...ahead, added, ...gone] };
}

export const lengthen: OperationDefinition<Lengthen, Added<'lengthen'> | null> = {
  kind: 'lengthen',
  name: 'Lengthen',
  fields: { at: place(), length: length(), section: orNull(id()), align: align() },
  fresh: ({ at }) => ({ at, length: inches(6), section: null, align: IN_LINE }),
  places: (operation, visit) => ({ ...operation, at: visit(operation.at) }),
  carryOut,
  section: ({ section }) => section,
  stretched: (operation, by) => ({ ...operation, length: operation.length + by }),
  figures: addedFigures,
};
