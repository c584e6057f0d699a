import earcut from 'earcut';
import type { Vec3 } from '../frame/index.ts';

/** Triangles of one shape: corners, mm, three figures each, and three of them for each triangle, outside seen turning left. */
export interface Triangles {
  readonly positions: readonly number[];
  readonly indices: readonly number[];
}

/** The faces of a box by its corners, 0 to 3 round its front end and 4 to 7 round its rear end, seen from outside. */
const FACES = [
  [0, 1, 2, 3],
  [7, 6, 5, 4],
  [1, 0, 4, 5],
  [2, 1, 5, 6],
  [3, 2, 6, 7],
  [0, 3, 7, 4],
] as const;

/**
 * A box with eight corners, closed.
 *
 * @param front Its front end going round.
 * @param rear Its rear end, corner for corner.
 */
export function hexahedron(
  front: readonly [Vec3, Vec3, Vec3, Vec3],
  rear: readonly [Vec3, Vec3, Vec3, Vec3],
): Triangles {
  const corners = [...front, ...rear];
  const indices = FACES.flatMap(([a, b, c, d]) => [a, b, c, a, c, d]);
  const made = { positions: corners.flatMap(({ x, y, z }) => [x, y, z]), indices };
  return volumeOf(made) < 0 ? turnedOut(made) : made;
}

/** The same triangles turned the other way out. */
const turnedOut = ({ positions, indices }: Triangles): Triangles => ({
  positions,
  indices: Array.from({ length: indices.length }, (_, at) => indices[at - (at % 3) + (2 - (at % 3))] as number),
});

/**
 * A box along the axes.
 *
 * @param from Its least corner, mm.
 * @param to Its greatest corner, mm.
 */
export const boxOf = (from: Vec3, to: Vec3): Triangles => {
  const end = (x: number) =>
    [
      { x, y: from.y, z: from.z },
      { x, y: to.y, z: from.z },
      { x, y: to.y, z: to.z },
      { x, y: from.y, z: to.z },
    ] as const;
  return hexahedron(end(from.x), end(to.x));
};

/** Sides that something round is drawn with. */
const SIDES_ROUND = 20;

/**
 * A round bar or wheel from one middle to another, closed.
 *
 * @param from Middle of one end, mm.
 * @param to Middle of the other.
 * @param radius mm.
 */
export function cylinder(from: Vec3, to: Vec3, radius: number): Triangles {
  const axis = [to.x - from.x, to.y - from.y, to.z - from.z] as const;
  const length = Math.hypot(...axis) || 1;
  const [ax, ay, az] = axis.map((value) => value / length) as [number, number, number];
  // Two directions square to the axis and to each other.
  const across = Math.abs(az) < 0.9 ? [-ay, ax, 0] : [0, -az, ay];
  const size = Math.hypot(...across) || 1;
  const [ux, uy, uz] = across.map((value) => value / size) as [number, number, number];
  const [vx, vy, vz] = [ay * uz - az * uy, az * ux - ax * uz, ax * uy - ay * ux];
  const ring = (middle: Vec3) =>
    Array.from({ length: SIDES_ROUND }, (_, at) => {
      const [cos, sin] = [Math.cos((2 * Math.PI * at) / SIDES_ROUND), Math.sin((2 * Math.PI * at) / SIDES_ROUND)];
      return [
        middle.x + radius * (cos * ux + sin * vx),
        middle.y + radius * (cos * uy + sin * vy),
        middle.z + radius * (cos * uz + sin * vz),
      ];
    });
  const positions = [...ring(from), ...ring(to), [from.x, from.y, from.z], [to.x, to.y, to.z]].flat();
  const [first, last] = [2 * SIDES_ROUND, 2 * SIDES_ROUND + 1];
  const indices = Array.from({ length: SIDES_ROUND }, (_, at) => {
    const next = (at + 1) % SIDES_ROUND;
    const [a, b, c, d] = [at, next, SIDES_ROUND + at, SIDES_ROUND + next];
    return [a, b, d, a, d, c, first, b, a, last, c, d];
  }).flat();
  return { positions, indices };
}

/**
 * A side profile drawn out across the frame, closed.
 *
 * @param profile Corners in side view going round, mm; three at least.
 * @param from Where it begins across, mm.
 * @param to Where it ends.
 */
export function drawnOut(
  profile: readonly { readonly x: number; readonly z: number }[],
  from: number,
  to: number,
): Triangles {
  const area = profile.reduce((sum, a, at) => {
    const b = profile[(at + 1) % profile.length] ?? a;
    return sum + a.x * b.z - b.x * a.z;
  }, 0);
  // Turning left, and from less y to more: then the first lid and the walls look outward as written.
  const points = area < 0 ? profile.toReversed() : profile;
  const count = points.length;
  const positions = [Math.min(from, to), Math.max(from, to)].flatMap((y) => points.flatMap(({ x, z }) => [x, y, z]));
  const flat = earcut(points.flatMap(({ x, z }) => [x, z]));
  const lid = Array.from({ length: flat.length / 3 }, (_, at) => {
    const [a, b, c] = flat.slice(3 * at, 3 * at + 3) as [number, number, number];
    return turnsLeft(points[a], points[b], points[c]) ? [a, b, c] : [a, c, b];
  });
  const walls = points.flatMap((_, at) => {
    const next = (at + 1) % count;
    return [at, count + next, next, at, count + at, count + next];
  });
  return {
    positions,
    indices: [
      ...lid.flat(),
      ...lid.flatMap(([a, b, c]) => [count + (a ?? 0), count + (c ?? 0), count + (b ?? 0)]),
      ...walls,
    ],
  };
}

type Corner = { readonly x: number; readonly z: number } | undefined;
const turnsLeft = (a: Corner, b: Corner, c: Corner): boolean =>
  a !== undefined && b !== undefined && c !== undefined && (b.x - a.x) * (c.z - a.z) - (c.x - a.x) * (b.z - a.z) > 0;

/**
 * What closed triangles hold, mm³; below 0 where they are turned inside out.
 *
 * @param triangles Closed triangles.
 */
export function volumeOf({ positions, indices }: Triangles): number {
  let six = 0;
  for (let at = 0; at < indices.length; at += 3) {
    const [a, b, c] = [0, 1, 2].map((corner) => {
      const from = 3 * (indices[at + corner] as number);
      return [positions[from], positions[from + 1], positions[from + 2]] as [number, number, number];
    }) as [[number, number, number], [number, number, number], [number, number, number]];
    six += a[0] * (b[1] * c[2] - b[2] * c[1]) + a[1] * (b[2] * c[0] - b[0] * c[2]) + a[2] * (b[0] * c[1] - b[1] * c[0]);
  }
  return six / 6;
}
