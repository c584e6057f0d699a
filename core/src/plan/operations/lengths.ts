import type { Alignment, Extend, Lengthen, Shorten, Trim } from '../operation.ts';
import { bridge, goingOn, type Piece, rearTop, frontTop, spine } from '../piece.ts';
import { axisOf, shift } from '../pose.ts';
import {
  asRemoved,
  findEndSpot,
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
 * Takes the rail out between two places; the rear part comes forward along the front piece's own length, and up by
 * what is asked. A transition takes the place of that much more rail behind, and runs straight from one end to the
 * other.
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
  const come = movedAll(behind, shift(-length * axis.x, operation.rise - length * axis.z));
  return {
    ...state,
    pieces: [...ahead, ...(bridged ? [bridge(front, come[0] as Piece, null, operation.id)] : []), ...come],
    removed: [...state.removed, ...asRemoved(between, operation.id)],
  };
}

/** The steepest that new rail may be turned against the end it is joined to, radians. */
const STEEPEST = Math.PI / 3;

/** @throws OperationRefused for new rail that stands too steep, or whose sides would cross. */
function needsRoom(piece: Piece, { yaw, pitch }: Alignment): void {
  if (!(Math.abs(yaw) < STEEPEST && Math.abs(pitch) < STEEPEST))
    throw new OperationRefused('operation/too-steep', 'The new rail would stand at 60° or more to the end.', [
      'Take a smaller angle.',
    ]);
  for (const rail of [piece.rails.left, piece.rails.right])
    if (rail.some(({ halfWidth }) => halfWidth + piece.spread <= 0))
      throw new OperationRefused('operation/rails-cross', 'The new rails would cross.', [
        'Bring them in by less, or at a smaller angle.',
      ]);
}

/**
 * Puts a straight new piece in at one place, in line with the end ahead of it or as it is aligned; the rear part goes
 * where the new piece's rear end goes, and keeps its own direction.
 */
export function lengthen(state: PlanState, operation: Lengthen): PlanState {
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

/** Cuts an end off by a plane through the top edge that may lean. */
export function trim(state: PlanState, operation: Trim): PlanState {
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
  const { ahead, behind } = split(state, at, at, { fromAhead: face, fromBehind: face, toAhead: face, toBehind: face });
  const [kept, cutOff] = rear ? [ahead, behind] : [behind, ahead];
  mustHave(kept, 'first', rear ? 'ahead of' : 'behind');
  return { ...state, pieces: kept, removed: [...state.removed, ...asRemoved(cutOff, operation.id)] };
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
export function extend(state: PlanState, operation: Extend): PlanState {
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
