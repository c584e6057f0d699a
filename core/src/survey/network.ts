import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import type { Vec3 } from '../frame/index.ts';
import { factorOf, inverseOf, solved, type Square } from './normal-equations.ts';
import { freeMotions, leveledBy, projectionOn } from './free-motions.ts';
import { minus, type Observation, type Points, type Row, rowOf } from './observation.ts';

/**
 * The control points of a frame as a network of readings: weighted least squares for all coordinates, how far each of them
 * and each reading can be believed, which reading is most likely wrong, and what floats because nothing holds it.
 *
 * Coordinates in mm: x rearward, y to the right, z up from the level plane that heights are read from. Where the frame
 * stands in the shop is nobody's matter: of all positions that fit, the one nearest to the nominal is taken (inner
 * constraints on the sums of the shifts along, across and about the vertical, and without any heights also up and about the
 * other two axes). Distances, heights and residuals do not depend on that choice.
 */

/** A reading after the adjustment. */
export interface Adjusted {
  readonly observation: Observation;
  /** Adjusted minus read. */
  readonly residual: number;
  /** How much of an error in this reading would show: 0 where nothing checks it, 1 where it adds nothing. */
  readonly redundancy: number;
  /** The residual in its own standard deviations; 0 where nothing checks the reading. */
  readonly normalized: number;
}

/** A network that is held everywhere. */
export interface Network {
  readonly points: Points;
  /** Standard deviations of the coordinates, mm. */
  readonly sigmas: Points;
  readonly adjusted: readonly Adjusted[];
  /** More readings than are needed. */
  readonly freedom: number;
  /** Sum of the squared residuals in standard deviations: about `freedom` where readings are as good as they were said to be. */
  readonly misfit: number;
  /** Covariance of all coordinates, in the order of `ids`, mm². */
  readonly covariance: Square;
  readonly ids: readonly string[];
}

/** What nothing holds. */
export interface Floating {
  /** How many independent ways it can still move. */
  readonly ways: number;
  /** Points that move in at least one of them. */
  readonly points: readonly string[];
  /** Of readings that could still be taken, the id of the one that would hold most of it; null where none would hold any. */
  readonly next: string | null;
}

/** A shift of a whole point that nothing keeps below this, mm, floats. */
export const LOOSE = 60;
/** Of a way to move, a point takes part that moves this share of the one that moves most. */
const TAKES_PART = 0.2;
/** Below this redundancy nothing checks a reading: what is left of it is rounding. */
const UNCHECKED = 1e-3;
const ITERATIONS = 20;

/**
 * Adjusts a network.
 *
 * @param nominal Where each point would be if nothing were wrong, mm.
 * @param observations The readings; each between points of the nominal, with a standard deviation above 0.
 * @param more Readings that could still be taken, of any value: one of them is proposed where something floats.
 * @returns The adjusted network, or what floats where the readings do not hold all of it.
 * @throws RangeError for a reading of a point that is not there.
 */
export function adjustNetwork(
  nominal: Points,
  observations: readonly Observation[],
  more: readonly Observation[] = [],
): Network | Floating {
  const ids = Object.keys(nominal);
  const index = new Map(ids.map((id, at) => [id, at]));
  const indexOf = (id: string): number => {
    const at = index.get(id);
    if (at === undefined) throw new RangeError(`no point ${id} in the network`);
    return at;
  };
  const start = ids.map((id) => nominal[id] as Vec3);
  const unknowns = 3 * ids.length;
  const leveled = leveledBy([...observations, ...more]);
  const free = freeMotions(start, leveled);
  const datum = projectionOn(free, unknowns);
  const rowsAt = (where: readonly Vec3[]) => observations.map((observation) => rowOf(observation, where, indexOf));
  const floats = (normal: Square) =>
    floating(
      matrixOf(normal),
      ids,
      more.map((one) => ({ id: one.id, at: rowOf(one, start, indexOf).at })),
    );
  let where = start;
  for (let turn = 0; turn < ITERATIONS; turn += 1) {
    const { normal, right } = normalEquations(rowsAt(where), observations, datum);
    const held = factorOf(normal);
    if (!held) return floats(normal);
    // What the frame has moved as a whole since the nominal is taken back each time.
    for (const column of free) {
      let moved = 0;
      where.forEach((point, at) => {
        const { x, y, z } = minus(point, start[at] as Vec3);
        moved += x * (column[3 * at] ?? 0) + y * (column[3 * at + 1] ?? 0) + z * (column[3 * at + 2] ?? 0);
      });
      column.forEach((value, at) => (right[at] = (right[at] as number) - moved * value));
    }
    const step = solved(held, right);
    where = where.map(({ x, y, z }, at) => ({
      x: x + (step[3 * at] as number),
      y: y + (step[3 * at + 1] as number),
      z: z + (step[3 * at + 2] as number),
    }));
    if (step.every((value) => Math.abs(value) < 1e-7)) break;
  }
  const rows = rowsAt(where);
  const { normal } = normalEquations(rows, observations, datum);
  const held = factorOf(normal);
  if (!held) return floats(normal);
  const covariance = inverseOf(held);
  covariance.values.forEach((value, at) => (covariance.values[at] = value - (datum.values[at] as number)));
  const variance = (at: number) => covariance.values[at * unknowns + at] as number;
  const sigma = (at: number) => Math.sqrt(Math.max(0, variance(at)));
  if (Array.from({ length: unknowns }, (_, at) => variance(at)).some((value) => value > LOOSE * LOOSE))
    return floats(normal);
  const adjusted = observations.map((observation, at) => adjustedOf(observation, rows[at] as Row, covariance));
  return {
    points: Object.fromEntries(ids.map((id, at) => [id, where[at] as Vec3])),
    sigmas: Object.fromEntries(
      ids.map((id, at) => [id, { x: sigma(3 * at), y: sigma(3 * at + 1), z: sigma(3 * at + 2) }]),
    ),
    adjusted,
    freedom: observations.length - unknowns + free.length,
    misfit: adjusted.reduce((sum, { residual, observation }) => sum + (residual / observation.sigma) ** 2, 0),
    covariance,
    ids,
  };
}

const matrixOf = ({ size, values }: Square): Matrix => Matrix.from1DArray(size, size, values);

/** The normal equations of some readings, with the free motions held by the datum. */
function normalEquations(rows: readonly Row[], observations: readonly Observation[], datum: Square) {
  const { size } = datum;
  const values = Float64Array.from(datum.values);
  const right = new Float64Array(size);
  rows.forEach(({ at, computed }, row) => {
    const { value, sigma } = observations[row] as Observation;
    const weight = 1 / (sigma * sigma);
    for (const [p, a] of at) {
      const of = [a.x, a.y, a.z];
      for (let m = 0; m < 3; m += 1) {
        const i = 3 * p + m;
        const by = weight * (of[m] as number);
        right[i] = (right[i] as number) + by * (value - computed);
        for (const [q, b] of at) {
          const k = i * size + 3 * q;
          values[k] = (values[k] as number) + by * b.x;
          values[k + 1] = (values[k + 1] as number) + by * b.y;
          values[k + 2] = (values[k + 2] as number) + by * b.z;
        }
      }
    }
  });
  return { normal: { size, values }, right };
}

/** The variance of what a reading would be, from that of the points, mm² or rad². */
function varianceOf({ at }: Row, { size, values }: Square): number {
  let variance = 0;
  for (const [p, a] of at) {
    const of = [a.x, a.y, a.z];
    for (let m = 0; m < 3; m += 1)
      for (const [q, b] of at) {
        const k = (3 * p + m) * size + 3 * q;
        variance +=
          (of[m] as number) *
          (b.x * (values[k] as number) + b.y * (values[k + 1] as number) + b.z * (values[k + 2] as number));
      }
  }
  return Math.max(0, variance);
}

/**
 * What a reading would be of a network that it is not part of, and its standard deviation with that of the reading itself.
 *
 * @param network The adjusted network.
 * @param observation A reading between its points.
 */
export function predicted(
  network: Network,
  observation: Observation,
): { readonly value: number; readonly sigma: number } {
  const where = network.ids.map((id) => network.points[id] as Vec3);
  const row = rowOf(observation, where, (id) => network.ids.indexOf(id));
  return { value: row.computed, sigma: Math.hypot(observation.sigma, Math.sqrt(varianceOf(row, network.covariance))) };
}

function adjustedOf(observation: Observation, row: Row, covariance: Square): Adjusted {
  const { sigma } = observation;
  const redundancy = Math.min(1, Math.max(0, 1 - varianceOf(row, covariance) / (sigma * sigma)));
  const residual = row.computed - observation.value;
  const normalized = redundancy < UNCHECKED ? 0 : residual / (sigma * Math.sqrt(redundancy));
  return { observation, residual, redundancy, normalized };
}

/** The ways in which a network can still move, and the reading that would hold most of all of them. */
function floating(
  held: Matrix,
  ids: readonly string[],
  more: readonly { readonly id: string; readonly at: Row['at'] }[],
): Floating {
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(held, { assumeSymmetric: true });
  const loose = realEigenvalues.flatMap((value, at) => (value < 1 / (LOOSE * LOOSE) ? [at] : []));
  const ways = (loose.length > 0 ? loose : [0]).map((at) => eigenvectorMatrix.getColumn(at));
  const moves = (way: readonly number[], at: number): Vec3 => ({
    x: way[3 * at] ?? 0,
    y: way[3 * at + 1] ?? 0,
    z: way[3 * at + 2] ?? 0,
  });
  const far = ({ x, y, z }: Vec3) => Math.hypot(x, y, z);
  const points = ids.filter((_, at) =>
    ways.some((way) => {
      const most = Math.max(...ids.map((__, other) => far(moves(way, other))));
      return far(moves(way, at)) > TAKES_PART * most;
    }),
  );
  /** How much a reading would change when the network moves in its ways by one together. */
  const sees = (at: Row['at']): number =>
    Math.hypot(
      ...ways.map((way) =>
        at.reduce((sum, [point, gradient]) => {
          const { x, y, z } = moves(way, point);
          return sum + x * gradient.x + y * gradient.y + z * gradient.z;
        }, 0),
      ),
    );
  const best = more.reduce<{ readonly id: string | null; readonly seen: number }>(
    (most, { id, at }) => {
      const seen = sees(at);
      return seen > most.seen + 1e-9 ? { id, seen } : most;
    },
    { id: null, seen: 1e-6 },
  );
  return { ways: ways.length, points, next: best.id };
}
