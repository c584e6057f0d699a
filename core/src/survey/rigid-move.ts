import type { Vec3 } from '../frame/index.ts';
import { solve } from '../solve.ts';

/** A rigid move: a turn about a point by a rotation vector, radians about x, y and z by the right hand, then a shift, mm. */
export interface RigidMove {
  readonly shift: Vec3;
  readonly turn: Vec3;
  readonly about: Vec3;
}

const cross = (a: Vec3, b: Vec3): Vec3 => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
});
const plus = (a: Vec3, b: Vec3, by = 1): Vec3 => ({ x: a.x + by * b.x, y: a.y + by * b.y, z: a.z + by * b.z });
const dot = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;

/** A way turned by a rotation vector (Rodrigues). */
function turned(way: Vec3, turn: Vec3): Vec3 {
  const angle = Math.hypot(turn.x, turn.y, turn.z);
  if (angle === 0) return way;
  const axis = { x: turn.x / angle, y: turn.y / angle, z: turn.z / angle };
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return plus(
    plus({ x: way.x * cos, y: way.y * cos, z: way.z * cos }, cross(axis, way), sin),
    axis,
    dot(axis, way) * (1 - cos),
  );
}

/**
 * Where a point is after a rigid move, mm.
 *
 * @param at The point.
 * @param move The move.
 */
export const movedBy = (at: Vec3, { shift, turn, about }: RigidMove): Vec3 =>
  plus(plus(about, turned(plus(at, about, -1), turn)), shift);

/**
 * Where a point was before a rigid move, mm.
 *
 * @param at The point as it is now.
 * @param move The move.
 */
export const beforeMove = (at: Vec3, { shift, turn, about }: RigidMove): Vec3 =>
  plus(about, turned(plus(plus(at, shift, -1), about, -1), { x: -turn.x, y: -turn.y, z: -turn.z }));

const middleOf = (points: readonly Vec3[]): Vec3 => {
  const sum = points.reduce((total, point) => plus(total, point), { x: 0, y: 0, z: 0 });
  return { x: sum.x / points.length, y: sum.y / points.length, z: sum.z / points.length };
};

/** Points that lie in one line or nearer than this to it turn about it unseen, mm. */
const IN_LINE = 20;

/**
 * The rigid move that carries some points as near as can be to others, by least squares.
 *
 * @param from Three or more points, mm.
 * @param to Where each is wanted, mm.
 * @returns The move and the root mean square of what is left, mm; null for points that all lie in one line.
 */
export function fittedMove(
  from: readonly Vec3[],
  to: readonly Vec3[],
): { readonly move: RigidMove; readonly left: number } | null {
  if (from.length < 3) return null;
  const about = middleOf(from);
  const far = from.map((point) => plus(point, about, -1));
  const longest = far.reduce((most, way) => (dot(way, way) > dot(most, most) ? way : most));
  const off = Math.max(...far.map((way) => Math.hypot(...Object.values(cross(way, longest)))), 0);
  if (off < IN_LINE * Math.hypot(longest.x, longest.y, longest.z)) return null;
  let move: RigidMove = { shift: { x: 0, y: 0, z: 0 }, turn: { x: 0, y: 0, z: 0 }, about };
  for (let round = 0; round < 8; round += 1) {
    // Small further shifts and turns of where the points are by now.
    const now = from.map((point) => movedBy(point, move));
    const center = plus(about, move.shift);
    const rows = now.flatMap((point, index) => {
      const { x, y, z } = plus(point, center, -1);
      const miss = plus(to[index] as Vec3, point, -1);
      return [
        { row: [1, 0, 0, 0, z, -y], value: miss.x },
        { row: [0, 1, 0, -z, 0, x], value: miss.y },
        { row: [0, 0, 1, y, -x, 0], value: miss.z },
      ];
    });
    const normal = Array.from({ length: 6 }, (_, i) =>
      Array.from({ length: 6 }, (__, j) =>
        rows.reduce((sum, { row }) => sum + (row[i] as number) * (row[j] as number), 0),
      ),
    );
    const right = Array.from({ length: 6 }, (_, i) =>
      rows.reduce((sum, { row, value }) => sum + (row[i] as number) * value, 0),
    );
    const [dx = 0, dy = 0, dz = 0, rx = 0, ry = 0, rz = 0] = solve(normal, right);
    move = {
      about,
      shift: plus(move.shift, { x: dx, y: dy, z: dz }),
      turn: composed(move.turn, { x: rx, y: ry, z: rz }),
    };
    if (Math.hypot(dx, dy, dz) < 1e-9 && Math.hypot(rx, ry, rz) < 1e-13) break;
  }
  const squares = from.reduce((sum, point, index) => {
    const miss = plus(to[index] as Vec3, movedBy(point, move), -1);
    return sum + dot(miss, miss);
  }, 0);
  return { move, left: Math.sqrt(squares / from.length) };
}

/** One turn after another as one rotation vector, by unit quaternions. */
function composed(first: Vec3, then: Vec3): Vec3 {
  const quaternion = (turn: Vec3) => {
    const angle = Math.hypot(turn.x, turn.y, turn.z);
    const by = angle === 0 ? 0.5 : Math.sin(angle / 2) / angle;
    return { w: Math.cos(angle / 2), v: { x: turn.x * by, y: turn.y * by, z: turn.z * by } };
  };
  const [a, b] = [quaternion(then), quaternion(first)];
  const w = a.w * b.w - dot(a.v, b.v);
  const v = plus(plus(cross(a.v, b.v), b.v, a.w), a.v, b.w);
  const size = Math.hypot(v.x, v.y, v.z);
  const by = size === 0 ? 2 : (2 * Math.atan2(size, w)) / size;
  return { x: v.x * by, y: v.y * by, z: v.z * by };
}
