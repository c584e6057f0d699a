import {
  type Brace,
  type Crossmember,
  type Feature,
  type Frame,
  type Member,
  railAt,
  railEnds,
  railOf,
  SIDES,
  type Vec3,
} from '../frame/index.ts';
import { isInside, isWithin } from '../units/index.ts';
import type { EndPlace, Place } from './operation.ts';
import type { Box } from './operations/box.ts';
import type { Notch } from './operations/notch.ts';
import { type CutFace, endAt } from './face.ts';
import {
  frontTop,
  hasLength,
  localAt,
  meanTop,
  moved,
  partAhead,
  partBehind,
  type Piece,
  type RailHeights,
  rearTop,
  type RemovedPiece,
  frontSpine,
  rearSpine,
} from './piece.ts';
import { distance, type Pose, STAY } from './pose.ts';

/** A feature or crossmember and the local coordinates its `x` is in. */
export interface Hung<T> {
  readonly item: T;
  readonly source: string;
  /** What an operation did to it on purpose. */
  readonly change: 'none' | 'added' | 'removed' | 'moved' | 'lowered' | 'thinned';
  readonly operation: string | null;
}

/** A member or a brace of the donor, and what an operation did to it on purpose. */
interface Beside<T, C> {
  readonly item: T;
  readonly change: 'none' | 'removed' | C;
  readonly operation: string | null;
}
export type HungMember = Beside<Member, 're-fitted'>;
export type HungBrace = Beside<Brace, 'made-anew'>;

/** A notch or a boxing plate on a piece, in local coordinates. */
export interface Rework {
  readonly operation: Notch | Box;
  readonly source: string;
  readonly from: number;
  readonly to: number;
}

/** The frame in work: what every operation takes and gives. */
export interface PlanState {
  readonly pieces: readonly Piece[];
  readonly removed: readonly RemovedPiece[];
  readonly features: readonly Hung<Feature>[];
  readonly crossmembers: readonly Hung<Crossmember>[];
  readonly members: readonly HungMember[];
  readonly braces: readonly HungBrace[];
  readonly reworks: readonly Rework[];
}

/**
 * The frame in work before any operation: the donor as one piece.
 *
 * @param frame The donor; validated.
 */
export function donorState(frame: Frame): PlanState {
  const rails = { left: railOf(frame.rails, 'left'), right: railOf(frame.rails, 'right') };
  const [frontX, rearX] = [railEnds(rails.left), railEnds(rails.right)].reduce(
    ([front, rear], [otherFront, otherRear]) => [Math.min(front, otherFront), Math.max(rear, otherRear)],
    [Infinity, -Infinity] as const,
  );
  const end = (x: number): CutFace => ({ x, z: 0, lean: 0 });
  const hang = <T>(item: T): Hung<T> => ({ item, source: 'donor', change: 'none', operation: null });
  return {
    pieces: [{ source: 'donor', rails, front: end(frontX), rear: end(rearX), pose: STAY, spread: 0 }],
    removed: [],
    features: frame.features.map(hang),
    crossmembers: frame.crossmembers.map(hang),
    members: frame.members.map((item) => ({ item, change: 'none', operation: null })),
    braces: frame.braces.map((item) => ({ item, change: 'none', operation: null })),
    reworks: [],
  };
}

/** A place found on the frame in work: which piece, and local x on its top edge. */
export interface Spot {
  readonly index: number;
  readonly x: number;
}

/** Why an operation could not be carried out as given. */
export interface Refusal {
  readonly code: string;
  readonly message: string;
  readonly waysOut: readonly string[];
}

export class OperationRefused extends Error {
  readonly refusal: Refusal;
  constructor(code: string, message: string, waysOut: readonly string[] = []) {
    super(message);
    this.refusal = { code, message, waysOut };
  }
}

/**
 * Finds a place on the frame in work.
 *
 * @param state The frame in work.
 * @param given A station on the donor, or on the frame in work, mm.
 * @param down How far below the top edge, mm: at an end that leans there is steel at other stations lower down.
 * @throws OperationRefused when it is off the frame or on steel that is gone.
 */
export function findSpot(state: PlanState, given: Place, down = 0): Spot {
  const lies = (piece: Piece, x: number): boolean => {
    const z = meanTop(piece, x).top - down;
    return isWithin(x, { from: endAt(piece.front, 'front', z), to: endAt(piece.rear, 'rear', z) });
  };
  const index = state.pieces.findIndex((piece) => {
    if (given.on === 'donor') return piece.source === 'donor' && lies(piece, given.x);
    return piece.pose.turn === 0
      ? lies(piece, given.x - piece.pose.dx)
      : isWithin(given.x, { from: frontSpine(piece).x, to: rearSpine(piece).x });
  });
  const piece = state.pieces[index];
  if (piece) return { index, x: given.on === 'donor' ? given.x : localAt(piece, given.x) };
  const gone =
    given.on === 'donor' &&
    state.removed.some((r) => r.source === 'donor' && given.x > frontTop(r) && given.x < rearTop(r));
  throw gone
    ? new OperationRefused('operation/place-gone', 'This place on the donor was taken out by an earlier operation.', [
        'Pick a place on steel that is still there.',
        'Move this operation ahead of the one that takes the steel out.',
      ])
    : new OperationRefused('operation/off-the-frame', 'This place is not on the frame.', [
        'Pick a place between the front and the rear end of the rails.',
      ]);
}

/**
 * Finds a place at an end of the frame in work, which may be given by how much comes off there.
 *
 * @param state The frame in work.
 * @param given A station, or how much comes off the end, mm.
 * @param end The front or the rear end.
 * @throws OperationRefused as `findSpot` does, and for an amount that is more than the frame has, or none.
 */
export function findEndSpot(state: PlanState, given: EndPlace, end: 'front' | 'rear'): Spot {
  if (given.on !== 'end') return findSpot(state, given);
  if (!(given.x > 0))
    throw new OperationRefused('operation/not-positive', 'What comes off the end must be more than 0.', [
      'Type a length above 0.',
    ]);
  return alongTopFrom(state, end, given.x);
}

/** Stations of a piece along its mean top edge, from one end to the other, local x. */
function topStations(piece: Piece, from: 'front' | 'rear'): readonly number[] {
  const [front, rear] = [frontTop(piece), rearTop(piece)];
  const inner = SIDES.flatMap((side) => piece.rails[side].map(({ x }) => x)).filter((x) =>
    isInside(x, { from: front, to: rear }),
  );
  const xs = [front, ...[...new Set(inner)].sort((a, b) => a - b), rear];
  return from === 'front' ? xs : xs.reverse();
}

/** A point of the mean top edge of a piece, local: both rails together. */
function topPoint({ rails }: Piece, x: number, toward: 'front' | 'rear'): Vec3 {
  const [left, right] = [railAt(rails.left, x, toward), railAt(rails.right, x, toward)];
  return { x, y: (left.halfWidth + right.halfWidth) / 2, z: (left.top + right.top) / 2 };
}

/**
 * The spot so far from an end of the frame along its top edge, as a tape laid on the rail measures it.
 *
 * @throws OperationRefused when that is more than the frame is long.
 */
function alongTopFrom(state: PlanState, end: 'front' | 'rear', amount: number): Spot {
  const order = state.pieces.map((piece, index) => ({ piece, index }));
  let left = amount;
  for (const { piece, index } of end === 'front' ? order : order.reverse()) {
    const xs = topStations(piece, end);
    for (const [at, x] of xs.slice(1).entries()) {
      const before = xs[at] as number;
      const [a, b] = [topPoint(piece, before, end === 'front' ? 'rear' : 'front'), topPoint(piece, x, end)];
      const long = distance(a, b);
      if (left <= long) return { index, x: before + (left / (long || 1)) * (x - before) };
      left -= long;
    }
  }
  throw new OperationRefused('operation/off-the-frame', 'More would come off than the frame is long.', [
    'Type a smaller length.',
  ]);
}

/**
 * The piece of a spot.
 *
 * @param state The frame in work.
 * @param spot A place found on the frame in work: which piece, and local x, mm.
 */
export const pieceAt = (state: PlanState, spot: Spot): Piece => state.pieces[spot.index] as Piece;

/**
 * A square face at a spot.
 *
 * @param x Local station, mm.
 * @param operation Id of the operation.
 */
export const squareFace = (x: number, operation: string): CutFace => ({ x, z: 0, lean: 0, operation });

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
