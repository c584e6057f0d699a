import { length, oneOf } from '../../fields/index.ts';
import { inches } from '../../units/index.ts';
import type { CutFace } from '../face.ts';
import { stepFigures, type Stepped } from '../figures/rail-figures.ts';
import { type Common, place, type Place } from '../operation.ts';
import { bridge } from '../new-piece.ts';
import { meanTop, type Piece, spine } from '../piece.ts';
import { posed, shift, turnAbout } from '../pose.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import { asRemoved, movedAll, mustHave, split, splitSquare } from '../split.ts';
import { findSpot, pieceAt } from '../spot.ts';
import { SMALLEST } from './amounts.ts';
import type { OperationDefinition } from './definition.ts';

export interface Step extends Common {
  readonly kind: 'step';
  readonly from: Place;
  readonly to: Place;
  /** How much higher the rear comes, mm; negative drops it. */
  readonly rise: number;
  readonly method: 'turn-middle' | 'new-middle';
}

/** A face through a local point, leaning. */
const faceThrough = (x: number, z: number, lean: number, operation: string): CutFace => ({ x, z, lean, operation });

/** Brings everything behind two cuts higher or lower, level again, by turning the part between or replacing it. */
function carryOut(state: PlanState, operation: Step): PlanState {
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

export const step: OperationDefinition<Step, Stepped | null> = {
  kind: 'step',
  name: 'Step',
  named: ({ rise }) => (rise < 0 ? 'Step down' : 'Step up'),
  fields: { from: place(), to: place(), rise: length(), method: oneOf(['turn-middle', 'new-middle']) },
  room: { ahead: 0, behind: inches(16) },
  fresh: ({ at, to }) => ({ from: at, to, rise: inches(2), method: 'turn-middle' }),
  places: (operation, visit) => ({ ...operation, from: visit(operation.from), to: visit(operation.to) }),
  carryOut,
  turnsRail: () => true,
  paired: true,
  figures: stepFigures,
};
