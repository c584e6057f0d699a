import type { PieCut, Step } from '../operation.ts';
import { pieTurn } from '../pie-turn.ts';
import type { CutFace } from '../face.ts';
import { bridge, meanTop, type Piece, spine } from '../piece.ts';
import { SMALLEST } from './amounts.ts';
import { posed, shift, turnAbout } from '../pose.ts';
import type { Context } from '../context.ts';
import {
  asRemoved,
  findSpot,
  movedAll,
  mustHave,
  OperationRefused,
  pieceAt,
  type PlanState,
  split,
  splitSquare,
} from '../state.ts';

/** A face through a local point, leaning. */
const faceThrough = (x: number, z: number, lean: number, operation: string): CutFace => ({ x, z, lean, operation });

/** Turns everything on one side of a cut about an edge of the rail, taking a wedge out or opening a slit. */
export function pieCut(state: PlanState, operation: PieCut, context: Context): PlanState {
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
  const aheadFace = faceThrough(at.x, z, aheadLean * away, operation.id);
  const behindFace = faceThrough(at.x, z, behindLean * away, operation.id);
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

/** Brings everything behind two cuts higher or lower, level again, by turning the part between or replacing it. */
export function step(state: PlanState, operation: Step): PlanState {
  const [from, to] = [findSpot(state, operation.from), findSpot(state, operation.to)];
  const [start, end] = [spine(pieceAt(state, from), from.x), spine(pieceAt(state, to), to.x)];
  const [run, climb] = [end.x - start.x, end.z - start.z];
  if (!(run >= SMALLEST))
    throw new OperationRefused('operation/order', 'The rear cut must lie behind the front cut.', [
      'Swap the two places.',
    ]);
  if (operation.rise === 0)
    throw new OperationRefused('operation/not-positive', 'The rise is 0: nothing would change.', [
      'Type how much higher or lower.',
    ]);
  const square = splitSquare(state, from, to, operation.id);
  const front = mustHave(square.ahead, 'last', 'ahead of');
  mustHave(square.behind, 'first', 'behind');

  if (operation.method === 'new-middle') {
    const raised = movedAll(square.behind, shift(0, operation.rise));
    const middle = bridge(front, raised[0] as Piece, null, operation.id);
    return {
      ...state,
      pieces: [...square.ahead, middle, ...raised],
      removed: [...state.removed, ...asRemoved(square.between, operation.id)],
    };
  }

  const length = Math.hypot(run, climb);
  const sine = (climb + operation.rise) / length;
  if (Math.abs(sine) > Math.sin(Math.PI / 3))
    throw new OperationRefused('operation/step-too-steep', 'The middle piece would stand steeper than 60°.', [
      'Set the two cuts farther apart, or take a smaller step.',
    ]);
  const turn = Math.asin(sine) - Math.asin(climb / length);
  // Top edges meet at both cuts. Where the rail bends up about its top edge the lower edges open; where it bends
  // down they would overlap, and a wedge comes out, half from each end.
  const lean = Math.tan(Math.abs(turn) / 2);
  const wedgeAt = turn > 0 ? to : from;
  const wedgePiece = pieceAt(state, wedgeAt);
  const { top } = meanTop(wedgePiece, wedgeAt.x);
  const aheadFace = faceThrough(wedgeAt.x, top, lean, operation.id);
  const behindFace = faceThrough(wedgeAt.x, top, -lean, operation.id);
  const squareAt = (x: number): CutFace => ({ x, z: 0, lean: 0, operation: operation.id });
  const other = turn > 0 ? squareAt(from.x) : squareAt(to.x);
  const faces =
    turn > 0
      ? { fromAhead: other, fromBehind: other, toAhead: aheadFace, toBehind: behindFace }
      : { fromAhead: aheadFace, fromBehind: behindFace, toAhead: other, toBehind: other };
  const { ahead, between, behind } = split(state, from, to, faces);
  const turning = turnAbout(start.x, start.z, turn);
  const arrived = posed(turning, end.x, end.z);
  return {
    ...state,
    pieces: [...ahead, ...movedAll(between, turning), ...movedAll(behind, shift(arrived.x - end.x, arrived.z - end.z))],
    removed: [...state.removed, ...asRemoved([{ ...wedgePiece, front: aheadFace, rear: behindFace }], operation.id)],
  };
}
