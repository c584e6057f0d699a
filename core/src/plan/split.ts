import type { CutFace } from './face.ts';
import {
  hasLength,
  meanTop,
  moved,
  partAhead,
  partBehind,
  type Piece,
  type RailHeights,
  type RemovedPiece,
} from './piece.ts';
import type { Pose } from './pose.ts';
import type { Spot } from './spot.ts';
import { OperationRefused, type PlanState } from './state.ts';

/**
 * A square face at a spot.
 *
 * @param x Local station, mm.
 * @param operation Id of the operation.
 */
const squareFace = (x: number, operation: string): CutFace => ({ x, z: 0, lean: 0, operation });

/**
 * A face through the top edge at local x of a piece, leaning.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param x Where it crosses the top edge, local, mm.
 * @param lean dx/dz.
 * @param operation Id of the operation.
 */
export const leaningFace = (piece: Piece, x: number, lean: number, operation: string): CutFace => ({
  x,
  z: meanTop(piece, x).top,
  lean,
  operation,
});

export interface SplitResult {
  readonly ahead: readonly Piece[];
  readonly between: readonly Piece[];
  readonly behind: readonly Piece[];
}

/**
 * Cuts the chain at two spots with the given faces; each part keeps only pieces that still have length.
 *
 * @param state The frame in work.
 * @param from The front cut.
 * @param to The rear cut, behind it or at the same spot.
 * @param faces The face that each of the four ends gets.
 * @param deep Heights of the rail about the faces’ own points; without it any that a rail may have.
 */
export function split(
  state: PlanState,
  from: Spot,
  to: Spot,
  faces: {
    readonly fromAhead: CutFace;
    readonly fromBehind: CutFace;
    readonly toAhead: CutFace;
    readonly toBehind: CutFace;
  },
  deep?: RailHeights,
): SplitResult {
  const { pieces } = state;
  const [first, last] = [pieces[from.index] as Piece, pieces[to.index] as Piece];
  const between =
    from.index === to.index
      ? [partBehind(partAhead(first, faces.toAhead, deep), faces.fromBehind, deep)]
      : [
          partBehind(first, faces.fromBehind, deep),
          ...pieces.slice(from.index + 1, to.index),
          partAhead(last, faces.toAhead, deep),
        ];
  return {
    ahead: [...pieces.slice(0, from.index), partAhead(first, faces.fromAhead, deep)].filter(hasLength),
    between: between.filter(hasLength),
    behind: [partBehind(last, faces.toBehind, deep), ...pieces.slice(to.index + 1)].filter(hasLength),
  };
}

/**
 * Cuts square at two spots.
 *
 * @param state The frame in work.
 * @param from The front cut.
 * @param to The rear cut, behind it or at the same spot.
 * @param operation Id of the operation.
 */
export function splitSquare(state: PlanState, from: Spot, to: Spot, operation: string): SplitResult {
  const [a, b] = [squareFace(from.x, operation), squareFace(to.x, operation)];
  return split(state, from, to, { fromAhead: a, fromBehind: a, toAhead: b, toBehind: b });
}

/**
 * Some pieces after a move.
 *
 * @param pieces Pieces, front to rear.
 * @param move The move, in present coordinates.
 */
export const movedAll = (pieces: readonly Piece[], move: Pose): Piece[] => pieces.map((piece) => moved(piece, move));

/**
 * Some pieces as what an operation takes out.
 *
 * @param pieces Pieces, front to rear.
 * @param operation Id of the operation that takes them out.
 */
export const asRemoved = (pieces: readonly Piece[], operation: string): RemovedPiece[] =>
  pieces.map((piece) => ({ ...piece, operation }));

/**
 * The piece that stays in front of a cut, or behind it.
 *
 * @param pieces Pieces, front to rear.
 * @param which The piece next to the cut.
 * @param side Which side of the cut, in words.
 * @throws OperationRefused when nothing is left there.
 */
export function mustHave(pieces: readonly Piece[], which: 'last' | 'first', side: 'ahead of' | 'behind'): Piece {
  const piece = which === 'last' ? pieces[pieces.length - 1] : pieces[0];
  if (piece) return piece;
  throw new OperationRefused('operation/nothing-left', `Nothing of the frame is left ${side} the cut.`, [
    'To take an end off, use Trim.',
  ]);
}
