import earcut from 'earcut';
import type { Vec3 } from '../frame/index.ts';

/** Triangles of one shape: corners, mm, three figures each, and three of them for each triangle, outside seen turning left. */
export interface Triangles {
  readonly positions: readonly number[];
  readonly indices: readonly number[];
}

/**
 * A closed shape through rings of the same number of corners, one after another, its two ends flat. No wall stands inside
 * it, so that nothing but true edges is drawn.
 *
 * @param rings Two at least, each going round the same way, corner for corner.
 */
export function swept(rings: readonly (readonly Vec3[])[]): Triangles {
  const count = rings[0]?.length ?? 0;
  const lastAt = (rings.length - 1) * count;
  const round = Array.from({ length: count }, (_, at) => at);
  const walls = rings.slice(1).flatMap((_, index) =>
    round.flatMap((at) => {
      const [a, b] = [index * count + at, index * count + ((at + 1) % count)];
      return [a, b, b + count, a, b + count, a + count];
    }),
  );
  const lid = round.slice(1, -1);
  const indices = [
    ...walls,
    ...lid.flatMap((at) => [0, at + 1, at]),
    ...lid.flatMap((at) => [lastAt, lastAt + at, lastAt + at + 1]),
  ];
  const made = { positions: rings.flatMap((ring) => ring.flatMap(({ x, y, z }) => [x, y, z])), indices };
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
  return swept([end(from.x), end(to.x)]);
};

/** Sides that something round is drawn with. */
const SIDES_ROUND = 48;

/**
 * A ring about an axis.
 *
 * @param middle Its middle, mm.
 * @param axis The way that the axis goes, of any length.
 * @param radius mm.
 */
export function ringAbout(middle: Vec3, axis: Vec3, radius: number): Vec3[] {
  const length = Math.hypot(axis.x, axis.y, axis.z) || 1;
  const [ax, ay, az] = [axis.x / length, axis.y / length, axis.z / length];
  // Two directions square to the axis and to each other.
  const across = Math.abs(az) < 0.9 ? [-ay, ax, 0] : [0, -az, ay];
  const size = Math.hypot(...across) || 1;
  const [ux, uy, uz] = across.map((value) => value / size) as [number, number, number];
  const [vx, vy, vz] = [ay * uz - az * uy, az * ux - ax * uz, ax * uy - ay * ux];
  return Array.from({ length: SIDES_ROUND }, (_, at) => {
    const [cos, sin] = [Math.cos((2 * Math.PI * at) / SIDES_ROUND), Math.sin((2 * Math.PI * at) / SIDES_ROUND)];
    return {
      x: middle.x + radius * (cos * ux + sin * vx),
      y: middle.y + radius * (cos * uy + sin * vy),
      z: middle.z + radius * (cos * uz + sin * vz),
    };
  });
}

/** Shape of a tire and its wheel: how far out of the middle, as a share of half its width, and the radius as a share of its own. */
const TIRE = [
  [-0.55, 0.16],
  [-0.55, 0.5],
  [-0.92, 0.56],
  [-1, 0.72],
  [-0.96, 0.9],
  [-0.78, 0.985],
  [-0.5, 1],
  [0.5, 1],
  [0.78, 0.985],
  [0.96, 0.9],
  [1, 0.72],
  [0.92, 0.56],
  [0.55, 0.5],
  [0.55, 0.16],
] as const;

/**
 * A tire on its wheel, its axis across the frame.
 *
 * @param middle Its middle, mm.
 * @param radius mm.
 * @param width mm.
 */
export const tire = (middle: Vec3, radius: number, width: number): Triangles =>
  swept(
    TIRE.map(([out, share]) =>
      ringAbout({ ...middle, y: middle.y + (out * width) / 2 }, { x: 0, y: 1, z: 0 }, radius * share),
    ),
  );

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
