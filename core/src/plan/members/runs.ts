import {
  type Member,
  type MemberPoint,
  type RailId,
  railIdOf,
  type Side,
  sideSign,
  type Vec3,
} from '../../frame/index.ts';
import { isAt } from '../../units/index.ts';
import { type CutFace, faceAt } from '../face.ts';
import type { Piece } from '../piece.ts';
import { posed } from '../pose.ts';

/** What is left of one copy of a member on one piece, or what came out of it with steel that was taken out. */
export interface MemberRun {
  readonly rail: RailId;
  readonly side: Side;
  readonly piece: Piece;
  /** Index of its piece on the frame; null where it was taken out. */
  readonly index: number | null;
  /** Center line in donor coordinates, two points or more, front to rear. */
  readonly points: readonly MemberPoint[];
  /** The faces that it is cut by. */
  readonly faces: { readonly front: CutFace; readonly rear: CutFace };
  /** Whether the ends are cuts, and not the member's own. */
  readonly cut: { readonly front: boolean; readonly rear: boolean };
}

const between = (a: MemberPoint, b: MemberPoint, share: number): MemberPoint => ({
  x: a.x + (b.x - a.x) * share,
  outward: a.outward + (b.outward - a.outward) * share,
  z: a.z + (b.z - a.z) * share,
});

/** How far a point lies behind a face, mm along x. */
const behind = (face: CutFace, { x, z }: MemberPoint): number => x - faceAt(face, z);

/** The part of a path behind a face (`keep` 1) or ahead of it (−1), and whether it was cut off there. */
function clipped(path: readonly MemberPoint[], face: CutFace, keep: 1 | -1) {
  const kept: MemberPoint[] = [];
  let cut = false;
  path.forEach((point, index) => {
    const here = keep * behind(face, point);
    const before = path[index - 1];
    if (before) {
      const there = keep * behind(face, before);
      if ((here > 0 && there < 0) || (here < 0 && there > 0)) {
        kept.push(between(before, point, there / (there - here)));
        cut = true;
      }
    }
    if (here >= 0) kept.push(point);
  });
  return { kept, cut };
}

/** The height of a path at a station, carried on level beyond its ends. */
function heightAt(path: readonly MemberPoint[], x: number): number {
  const next = path.findIndex((point) => point.x >= x);
  const [a, b] = [path[next - 1], path[next]];
  if (!a || !b) return (b ?? path.at(-1))?.z ?? 0;
  return b.x === a.x ? b.z : between(a, b, (x - a.x) / (b.x - a.x)).z;
}

/**
 * The face that a member is cut by: beyond the pivot of a pie cut the two faces of the wedge cross, and there the
 * member is cut once, square, at the pivot.
 */
function faceOn(path: readonly MemberPoint[], face: CutFace, other: CutFace | undefined, way: 1 | -1): CutFace {
  if (!other || other.operation !== face.operation || other.lean === face.lean) return face;
  const z = heightAt(path, face.x);
  const crossed = way * (faceAt(other, z) - faceAt(face, z)) < -1e-9;
  return crossed ? { ...face, lean: 0 } : face;
}

/**
 * What one copy of a member has on a piece of donor steel; null where it has nothing there.
 *
 * @param side Left or right, as seated.
 * @param piece The piece; its own coordinates are those of its steel.
 * @param index The piece’s index on the frame; null where it was taken out.
 * @param beside The faces of the pieces next to it.
 */
export function runOn(
  { id, path }: Member,
  side: Side,
  piece: Piece,
  index: number | null,
  beside: { readonly front?: CutFace; readonly rear?: CutFace } = {},
): MemberRun | null {
  const faces = {
    front: faceOn(path, piece.front, beside.front, -1),
    rear: faceOn(path, piece.rear, beside.rear, 1),
  };
  const front = clipped(path, faces.front, 1);
  const rear = clipped(front.kept, faces.rear, -1);
  const points = rear.kept.filter(
    (point, at) => at === 0 || lengthBetween(rear.kept[at - 1] as MemberPoint, point) > 1e-9,
  );
  if (points.length < 2) return null;
  return { rail: railIdOf(id, side), side, piece, index, points, faces, cut: { front: front.cut, rear: rear.cut } };
}

const lengthBetween = (a: MemberPoint, b: MemberPoint): number =>
  Math.hypot(b.x - a.x, b.outward - a.outward, b.z - a.z);

/**
 * Length of a path, mm.
 *
 * @param path Points of a center line, front to rear, mm.
 */
export const pathLength = (path: readonly MemberPoint[]): number =>
  path.slice(1).reduce((sum, point, index) => sum + lengthBetween(path[index] as MemberPoint, point), 0);

/**
 * Length of a path from its front end to one of its points, mm.
 *
 * @param path Points of a center line, front to rear, mm.
 * @param to A point on it.
 */
export function distanceAlong(path: readonly MemberPoint[], to: MemberPoint): number {
  return pathLength([...path.filter(({ x }) => x < to.x), to]);
}

/**
 * How far a run goes outward with its piece's rails, mm: with its own side's, against it where it lies on the other
 * side of the middle, and not at all where it crosses or lies along the middle.
 */
export function outwardShift({ points, piece }: Pick<MemberRun, 'points' | 'piece'>): number {
  if (points.every(({ outward }) => isAt(outward, 0))) return 0;
  if (points.every(({ outward }) => outward >= 0)) return piece.spread;
  return points.every(({ outward }) => outward <= 0) ? -piece.spread : 0;
}

/**
 * Present place of a point of a run; `shift` outward, mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param shift How far outward, mm.
 */
export function placedAt(piece: Piece, side: Side, { x, outward, z }: MemberPoint, shift: number): Vec3 {
  const at = posed(piece.pose, x, z);
  return { x: at.x, y: sideSign(side) * (outward + shift), z: at.z };
}

/**
 * A run where it is now.
 *
 * @param run The run.
 */
export const placedRun = (run: MemberRun): readonly Vec3[] =>
  run.points.map((point) => placedAt(run.piece, run.side, point, outwardShift(run)));

/**
 * Direction of a run at one of its ends, rearward, now: not of length 1.
 *
 * @param run The run.
 * @param end The front or the rear end.
 */
export function directionAt(run: MemberRun, end: 'front' | 'rear'): Vec3 {
  const points = placedRun(run);
  const [a, b] = (end === 'front' ? points.slice(0, 2) : points.slice(-2)) as [Vec3, Vec3];
  return { x: b.x - a.x, y: b.y - a.y, z: b.z - a.z };
}
