import { cutRail, railAt, type Rail, type RailHere, type Side, sideSign, type Vec3 } from '../frame/index.ts';
import { TOLERANCE } from '../units/index.ts';
import { crossing, type CutFace, cutShorter, endAt, faceAt, facesOf, type LineOf, TOP_EDGE } from './face.ts';
import { axisOf, compose, type Pose, posed } from './pose.ts';

/** A stretch of the frame that moves as one, both rails. */
export interface Piece {
  /** Whose local coordinates it keeps: `donor`, or the id of the operation that added it. */
  readonly source: string;
  readonly rails: Readonly<Record<Side, Rail>>;
  readonly front: CutFace;
  readonly rear: CutFace;
  readonly pose: Pose;
  /** Shift of each rail outward, mm. */
  readonly spread: number;
}

/** Steel that an operation took out, as it was then. */
export interface RemovedPiece extends Piece {
  readonly operation: string;
}

/** Shorter stretches than this are no steel, mm. */
const NO_LENGTH = 1e-7;

/**
 * Height of the rail top at local x, mean of both sides: what cut places on the frame are read along.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param x Station in the steel’s own coordinates, mm.
 * @param toward At a station, whether the stretch ahead (`front`) or the one behind counts.
 */
export function meanTop(piece: Piece, x: number, toward: 'front' | 'rear' = 'rear'): { top: number; slope: number } {
  const left = railAt(piece.rails.left, x, toward);
  if (piece.rails.left === piece.rails.right) return { top: left.top, slope: left.topSlope };
  const right = railAt(piece.rails.right, x, toward);
  return { top: (left.top + right.top) / 2, slope: (left.topSlope + right.topSlope) / 2 };
}

/**
 * Where a face crosses the mean top edge, local x.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param face A plane across the frame, in the coordinates of the steel that it cuts.
 * @param toward At a station, whether the stretch ahead (`front`) or the one behind counts.
 */
export function faceTop(piece: Piece, face: CutFace, toward: 'front' | 'rear'): number {
  if (piece.rails.left === piece.rails.right || face.lean === 0) return crossing(piece.rails.left, face, TOP_EDGE);
  let x = face.x;
  for (let step = 0; step < 20; step += 1) {
    const { top, slope } = meanTop(piece, x, toward);
    const next = (face.x + face.lean * (top - slope * x - face.z)) / (1 - face.lean * slope);
    if (Math.abs(next - x) < 1e-10) return next;
    x = next;
  }
  return x;
}

/**
 * Where an end of a piece crosses a line along one of its rails, local x, mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param end The front or the rear end.
 * @param line How far a line runs below the top edge, by the section there, mm.
 */
export const endCrossing = (
  piece: Pick<Piece, 'rails' | 'front' | 'rear'>,
  side: Side,
  end: 'front' | 'rear',
  line: LineOf,
): number => {
  const face = piece[end];
  if (!face.older) return crossing(piece.rails[side], face, line);
  const all = facesOf(face).map((one) => crossing(piece.rails[side], one, line));
  return end === 'rear' ? Math.min(...all) : Math.max(...all);
};

/**
 * Local x at which the front face crosses the mean top edge, mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 */
export const frontTop = (piece: Piece): number =>
  piece.front.older
    ? Math.max(...facesOf(piece.front).map((face) => faceTop(piece, face, 'rear')))
    : faceTop(piece, piece.front, 'rear');
/**
 * Local x at which the rear face crosses the mean top edge, mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 */
export const rearTop = (piece: Piece): number =>
  piece.rear.older
    ? Math.min(...facesOf(piece.rear).map((face) => faceTop(piece, face, 'front')))
    : faceTop(piece, piece.rear, 'front');

/** Where a piece was cut at an end at height z, local x: its own ends cut nothing, so that things may stand out past them. */
function cutAt(face: CutFace, end: 'front' | 'rear', z: number): number {
  const own = face.operation === undefined;
  const x = own ? (end === 'rear' ? Infinity : -Infinity) : faceAt(face, z);
  if (!face.older) return x;
  const older = cutAt(face.older, end, z);
  return end === 'rear' ? Math.min(x, older) : Math.max(x, older);
}

/**
 * Whether a local point lies on the steel between the cuts of a piece, or on one of them. Things may stand out past an end
 * that nobody has cut.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param x Station in the steel’s own coordinates, mm.
 * @param z Local height, mm.
 */
export const holds = (piece: Pick<Piece, 'front' | 'rear'>, x: number, z: number): boolean =>
  x >= cutAt(piece.front, 'front', z) - TOLERANCE && x <= cutAt(piece.rear, 'rear', z) + TOLERANCE;

/**
 * Whether it lies between them and on neither.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param x Station in the steel’s own coordinates, mm.
 * @param z Local height, mm.
 */
export const holdsInside = (piece: Pick<Piece, 'front' | 'rear'>, x: number, z: number): boolean =>
  x > cutAt(piece.front, 'front', z) + TOLERANCE && x < cutAt(piece.rear, 'rear', z) - TOLERANCE;

/**
 * Present x (and z) of the mean top edge at local x.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param x Station in the steel’s own coordinates, mm.
 * @param toward At a station, whether the stretch ahead (`front`) or the one behind counts.
 */
export function spine(
  piece: Piece,
  x: number,
  toward: 'front' | 'rear' = 'rear',
): { readonly x: number; readonly z: number } {
  return posed(piece.pose, x, meanTop(piece, x, toward).top);
}

/**
 * Present place of the front end on the mean top edge, mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 */
export const frontSpine = (piece: Piece) => spine(piece, frontTop(piece), 'rear');
/**
 * Present place of the rear end on the mean top edge, mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 */
export const rearSpine = (piece: Piece) => spine(piece, rearTop(piece), 'front');

/**
 * Local x whose place on the mean top edge has present x; exact unless the piece is turned, then to 1e-9 mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param present Present station, mm.
 */
export function localAt(piece: Piece, present: number): number {
  if (piece.pose.turn === 0) return present - piece.pose.dx;
  let low = frontTop(piece);
  let high = rearTop(piece);
  for (let step = 0; step < 80 && high - low > 1e-10; step += 1) {
    const middle = (low + high) / 2;
    if (spine(piece, middle).x < present) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Present place of a local point on one side; `y` is outward from the center line.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param x Station in the steel’s own coordinates, mm.
 * @param outward From the center line, before the piece’s rails were spread, mm.
 * @param z Height over the datum plane in the steel’s own coordinates, mm.
 */
export function place(piece: Piece, side: Side, x: number, outward: number, z: number): Vec3 {
  const at = posed(piece.pose, x, z);
  return { x: at.x, y: sideSign(side) * (outward + piece.spread), z: at.z };
}

/** One end of one rail: its top edge on the outside face, where it points, and what it is made of. */
export interface RailEnd extends RailHere {
  readonly localX: number;
  readonly point: Vec3;
  /** Direction in plan, dy/dx as an angle, and in side view, rising to the rear; radians. */
  readonly yaw: number;
  readonly pitch: number;
}

/**
 * One end of one rail of a piece, where it is now.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param end The front or the rear end.
 */
export function railEnd(piece: Piece, side: Side, end: 'front' | 'rear'): RailEnd {
  const toward = end === 'front' ? 'rear' : 'front';
  const localX = endCrossing(piece, side, end, TOP_EDGE);
  const here = railAt(piece.rails[side], localX, toward);
  const axis = axisOf(piece.pose);
  const along = { x: axis.x - here.topSlope * axis.z, z: axis.z + here.topSlope * axis.x };
  return {
    halfWidth: here.halfWidth,
    top: here.top,
    section: here.section,
    widthSlope: here.widthSlope,
    topSlope: here.topSlope,
    localX,
    point: place(piece, side, localX, here.halfWidth, here.top),
    yaw: Math.atan2(sideSign(side) * here.widthSlope, along.x),
    pitch: Math.atan2(along.z, along.x),
  };
}

/**
 * The piece after a move.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param move The move, in present coordinates.
 */
export const moved = (piece: Piece, move: Pose): Piece => ({ ...piece, pose: compose(move, piece.pose) });

/** Heights of the rail about the point that a face is given by, mm: an older end matters only within them. */
export interface RailHeights {
  readonly over: number;
  readonly under: number;
}

/**
 * A new face on a piece: the part of it ahead of the face, or behind it.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param face A plane across the frame, in the coordinates of the steel that it cuts.
 * @param deep Heights of the rail about the face's own point.
 */
export function partAhead(piece: Piece, face: CutFace, deep?: RailHeights): Piece {
  return { ...piece, rear: cutShorter(face, piece.rear, 'rear', deep) };
}

/**
 * The part of a piece behind a face.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param face A plane across the frame, in the coordinates of the steel that it cuts.
 * @param deep Heights of the rail about the face's own point.
 */
export function partBehind(piece: Piece, face: CutFace, deep?: RailHeights): Piece {
  return { ...piece, front: cutShorter(face, piece.front, 'front', deep) };
}

/** Just below the top edge, mm: where steel is looked for that a leaning cut leaves only lower down. */
const BELOW = 1;

/**
 * Whether a piece still has steel along its top edge or below it.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 */
export function hasLength(piece: Piece): boolean {
  if (rearTop(piece) - frontTop(piece) > NO_LENGTH) return true;
  if (piece.front.lean === piece.rear.lean) return false;
  const z = meanTop(piece, rearTop(piece), 'front').top - BELOW;
  return endAt(piece.rear, 'rear', z) - endAt(piece.front, 'front', z) > NO_LENGTH;
}

/**
 * The stations of one rail of a piece between its faces (at the top edge), local.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 */
export function stationsOf(piece: Pick<Piece, 'rails' | 'front' | 'rear'>, side: Side): Rail {
  const front = endCrossing(piece, side, 'front', TOP_EDGE);
  const rear = endCrossing(piece, side, 'rear', TOP_EDGE);
  return cutRail(piece.rails[side], front, Math.max(rear, front + NO_LENGTH));
}
