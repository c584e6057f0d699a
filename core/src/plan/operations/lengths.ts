import type { Extend, Lengthen, Shorten, Trim } from '../operation.ts';
import { bridge, frontTop, meanTop, moved, type Piece, rearTop, spine } from '../piece.ts';
import { axisOf, shift } from '../pose.ts';
import {
  asRemoved,
  findSpot,
  leaningFace,
  movedAll,
  mustHave,
  OperationRefused,
  pieceAt,
  type PlanState,
  split,
  splitSquare,
} from '../state.ts';
import { needsPositive } from './amounts.ts';
import { needsTransition, transitionEnd } from './transition.ts';

/**
 * Takes the rail out between two places; the rear part comes forward along the front piece's own length. A transition
 * takes the place of that much more rail behind, and runs straight from one end to the other.
 */
export function shorten(state: PlanState, operation: Shorten): PlanState {
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
  const come = movedAll(behind, shift(-length * axis.x, -length * axis.z));
  return {
    ...state,
    pieces: [...ahead, ...(bridged ? [bridge(front, come[0] as Piece, null, operation.id)] : []), ...come],
    removed: [...state.removed, ...asRemoved(between, operation.id)],
  };
}

/** Puts a straight new piece in at one place; the rear part goes back along the front piece's own length. */
export function lengthen(state: PlanState, operation: Lengthen): PlanState {
  needsPositive(operation.length, 'The length to add');
  const at = findSpot(state, operation.at);
  const { ahead, behind } = splitSquare(state, at, at, operation.id);
  const front = mustHave(ahead, 'last', 'ahead of');
  mustHave(behind, 'first', 'behind');
  const axis = axisOf(front.pose);
  const gone = movedAll(behind, shift(operation.length * axis.x, operation.length * axis.z));
  const added = bridge(front, gone[0] as Piece, operation.section, operation.id);
  return { ...state, pieces: [...ahead, added, ...gone] };
}

/** Cuts an end off by a plane through the top edge that may lean. */
export function trim(state: PlanState, operation: Trim): PlanState {
  if (!(operation.angle >= 0 && operation.angle < Math.PI / 2))
    throw new OperationRefused(
      'operation/trim-angle',
      'The trim angle must be 0° (square) or more, and less than 90°.',
      ['Type an angle from square, such as 45°.'],
    );
  const at = findSpot(state, operation.at);
  const rear = operation.end === 'rear';
  const topFurtherBack = (operation.lean === 'top-longer') === rear;
  const face = leaningFace(
    pieceAt(state, at),
    at.x,
    Math.tan(operation.angle) * (topFurtherBack ? 1 : -1),
    operation.id,
  );
  const { ahead, behind } = split(state, at, at, { fromAhead: face, fromBehind: face, toAhead: face, toBehind: face });
  const [kept, cutOff] = rear ? [ahead, behind] : [behind, ahead];
  mustHave(kept, 'first', rear ? 'ahead of' : 'behind');
  return { ...state, pieces: kept, removed: [...state.removed, ...asRemoved(cutOff, operation.id)] };
}

/** Adds a straight horn at an end, level with the piece it is added to. */
export function extend(state: PlanState, operation: Extend): PlanState {
  needsPositive(operation.length, 'The length to add');
  const rear = operation.end === 'rear';
  const end = state.pieces[rear ? state.pieces.length - 1 : 0] as Piece;
  const face = rear ? end.rear : end.front;
  if (face.lean !== 0)
    throw new OperationRefused('operation/leaning-end', 'This end is cut at an angle; a new horn needs a square end.', [
      'Trim the end square first.',
    ]);
  const axis = axisOf(end.pose);
  const back = rear ? operation.length : -operation.length;
  const away = moved(end, shift(back * axis.x, back * axis.z));
  // The horn spans from the end to where that end would be if the piece were pulled out by its length.
  const reach = rear ? { ...away, front: away.rear } : { ...away, rear: away.front };
  const horn = rear
    ? bridge(end, reach, operation.section, operation.id)
    : { ...bridge(reach, end, operation.section, operation.id), front: { x: frontTop(end), z: 0, lean: 0 } };
  // A horn has a free end: that face is nobody's joint.
  const free = rear ? { ...horn, rear: { x: rearTop(horn), z: meanTop(horn, rearTop(horn)).top, lean: 0 } } : horn;
  return { ...state, pieces: rear ? [...state.pieces, free] : [free, ...state.pieces] };
}
