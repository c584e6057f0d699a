import { Matrix, solve } from 'ml-matrix';
import type { Vec3 } from '../frame/index.ts';
import type { Network } from './network.ts';
import type { Points } from './observation.ts';

/** How a frame is out of shape, in the field's words. */
export const SHAPE_PARTS = ['length', 'width', 'diamond', 'side-bend', 'sag', 'twist'] as const;
export type ShapePart = (typeof SHAPE_PARTS)[number];

/** One way in which a frame is out of shape: mm, of twist radians. */
export interface OutOfShape {
  readonly part: ShapePart;
  /**
   * Length: longer; width: wider; diamond: the left rail to the rear of the right one; side-bend: the middle to the right of a
   * line between the ends; sag: the middle below it; twist: the right side higher at the rear, over the whole length.
   */
  readonly amount: number;
  readonly sigma: number;
}

/** Rigid motions and ways to be out of shape, as shifts of a point (`u` −1 to 1 along, `y` from the middle) for an amount of 1. */
const modesOf = (width: number): readonly ((u: number, x: number, y: number, z: number) => Vec3)[] => [
  () => ({ x: 1, y: 0, z: 0 }),
  () => ({ x: 0, y: 1, z: 0 }),
  () => ({ x: 0, y: 0, z: 1 }),
  (_, x, y) => ({ x: -y, y: x, z: 0 }),
  (_, __, y, z) => ({ x: 0, y: -z, z: y }),
  (_, x, __, z) => ({ x: z, y: 0, z: -x }),
  (u) => ({ x: u / 2, y: 0, z: 0 }),
  (_, __, y) => ({ x: 0, y: y / width, z: 0 }),
  (_, __, y) => ({ x: -y / width, y: 0, z: 0 }),
  (u) => ({ x: 0, y: 1 - u * u, z: 0 }),
  (u) => ({ x: 0, y: 0, z: -(1 - u * u) }),
  (u, _, y, z) => ({ x: 0, y: (-z * u) / 2, z: (y * u) / 2 }),
];
const RIGID = 6;

/**
 * The shape of a frame: how the points of a network differ from the nominal, beside having been moved as a whole, fitted by
 * least squares to six ways of being out of shape. What fits none of them stays as `rest`.
 *
 * @param nominal Where each point should be, mm: pairs left (y below 0) and right along the frame.
 * @param network The adjusted network of the same points.
 * @returns Each way with its amount and standard deviation, and the root mean square of what is left, mm; null for points that
 *   cannot tell the ways apart (fewer than three pairs along the frame).
 */
export function shapeOf(
  nominal: Points,
  network: Network,
): { readonly parts: readonly OutOfShape[]; readonly rest: number } | null {
  const at = network.ids.map((id) => nominal[id] as Vec3);
  const [front, rear] = [Math.min(...at.map(({ x }) => x)), Math.max(...at.map(({ x }) => x))];
  const places = new Set(at.map(({ x }) => Math.round(x)));
  const mean = (pick: (point: Vec3) => number) => at.reduce((sum, point) => sum + pick(point), 0) / at.length;
  const [half, middle] = [(rear - front) / 2, { x: (rear + front) / 2, y: mean(({ y }) => y), z: mean(({ z }) => z) }];
  const width = 2 * mean(({ y }) => Math.abs(y - middle.y));
  if (places.size < 3 || half <= 0 || width <= 0) return null;
  const modes = modesOf(width);
  const rows = at.flatMap(({ x, y, z }) => {
    const shifts = modes.map((mode) => mode((x - middle.x) / half, x - middle.x, y - middle.y, z - middle.z));
    return [shifts.map((shift) => shift.x), shifts.map((shift) => shift.y), shifts.map((shift) => shift.z)];
  });
  const design = new Matrix(rows);
  const moved = Matrix.columnVector(
    network.ids.flatMap((id, index) => {
      const [is, was] = [network.points[id] as Vec3, at[index] as Vec3];
      return [is.x - was.x, is.y - was.y, is.z - was.z];
    }),
  );
  const transposed = design.transpose();
  const normal = transposed.mmul(design);
  // (AᵀA)⁻¹Aᵀ takes shifts of the points to amounts, and their covariance to that of the amounts.
  const amounts = solve(normal, transposed);
  const found = amounts.mmul(moved);
  const covariance = amounts
    .mmul(Matrix.from1DArray(network.covariance.size, network.covariance.size, network.covariance.values))
    .mmul(amounts.transpose());
  const left = Matrix.sub(moved, design.mmul(found)).to1DArray();
  return {
    parts: SHAPE_PARTS.map((part, index) => ({
      part,
      amount: found.get(RIGID + index, 0),
      sigma: Math.sqrt(Math.max(0, covariance.get(RIGID + index, RIGID + index))),
    })),
    rest: Math.sqrt(left.reduce((sum, value) => sum + value * value, 0) / left.length),
  };
}
