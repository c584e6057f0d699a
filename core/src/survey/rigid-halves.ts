import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import type { Vec3 } from '../frame/index.ts';
import { solve } from '../solve.ts';
import { minus, type Observation, type Points, rowOf } from './observation.ts';
import { movedBy, type RigidMove } from './rigid-move.ts';

/** Where the halves of a frame lie, taken as rigid, each with the shape that it should have. */
export interface RigidHalves {
  readonly points: Points;
  /** Readings more than are needed. */
  readonly checks: number;
  /** Root mean square by which readings and rigid halves disagree, mm; 0 where nothing checks it. */
  readonly left: number;
}

/** A way to move that no reading keeps below this, mm, is not held. */
const LOOSE = 60;
/** Turns count as what they do so far from the middle of a half, mm. */
const ARM = 1000;
const ITERATIONS = 20;

type Axis = keyof Vec3;
const unit = (axis: Axis): Vec3 => ({ x: 0, y: 0, z: 0, [axis]: 1 });

/** One way in which a half can move: 1 mm, or a turn of 1 mm at the arm. */
interface Way {
  readonly half: 'front' | 'rear';
  readonly by: 'shift' | 'turn';
  readonly axis: Axis;
}

const shifts = (half: Way['half'], axes: readonly Axis[]): Way[] =>
  axes.map((axis) => ({ half, by: 'shift', axis }) as const);
const turns = (half: Way['half'], axes: readonly Axis[]): Way[] =>
  axes.map((axis) => ({ half, by: 'turn', axis }) as const);

/**
 * Where two halves of a frame lie by fewer readings than would hold every point: each half is rigid and has the shape that the
 * nominal gives it, so that only how the rear one lies to the front one is sought, and how the front one stands to the level
 * where that is read. Gauss and Newton on the readings.
 *
 * @param nominal Where each point should be, mm.
 * @param observations The readings; each between points of the nominal.
 * @param looseFrom Station behind which the frame is loose, mm.
 * @returns Null where one half has no points, or the readings leave a way to move that nothing holds.
 */
export function rigidHalves(
  nominal: Points,
  observations: readonly Observation[],
  looseFrom: number,
): RigidHalves | null {
  const ids = Object.keys(nominal);
  const halfOf = ids.map((id) => ((nominal[id] as Vec3).x < looseFrom ? 'front' : 'rear'));
  if (!halfOf.includes('front') || !halfOf.includes('rear')) return null;
  const index = new Map(ids.map((id, at) => [id, at]));
  const indexOf = (id: string): number => index.get(id) as number;
  const has = (...kinds: readonly Observation['kind'][]) => observations.some(({ kind }) => kinds.includes(kind));
  // Tapes alone do not see how the frame stands; rises see how it leans, heights also how high it stands.
  const ways: readonly Way[] = [
    ...shifts('rear', ['x', 'y', 'z']),
    ...turns('rear', ['x', 'y', 'z']),
    ...(has('height') ? shifts('front', ['z']) : []),
    ...(has('height', 'rise', 'slope', 'level-tape') ? turns('front', ['x', 'y']) : []),
  ];
  if (observations.length < ways.length) return null;
  const center = (half: Way['half']): Vec3 => {
    const own = ids.filter((_, at) => halfOf[at] === half).map((id) => nominal[id] as Vec3);
    const mean = (axis: Axis) => own.reduce((sum, point) => sum + point[axis], 0) / own.length;
    return { x: mean('x'), y: mean('y'), z: mean('z') };
  };
  const middle = { front: center('front'), rear: center('rear') };
  let where = ids.map((id) => nominal[id] as Vec3);
  let left = 0;
  for (let turn = 0; turn < ITERATIONS; turn += 1) {
    const rows = observations.map((observation) => {
      const { at, computed } = rowOf(observation, where, indexOf);
      const row = ways.map(({ half, by, axis }) =>
        at.reduce((sum, [point, gradient]) => {
          if (halfOf[point] !== half) return sum;
          const way = by === 'shift' ? unit(axis) : turned(axis, minus(where[point] as Vec3, middle[half]));
          return sum + gradient.x * way.x + gradient.y * way.y + gradient.z * way.z;
        }, 0),
      );
      return { row, off: observation.value - computed, weight: 1 / observation.sigma ** 2 };
    });
    const normal = ways.map((_, i) =>
      ways.map((__, j) =>
        rows.reduce((sum, { row, weight }) => sum + weight * (row[i] as number) * (row[j] as number), 0),
      ),
    );
    if (turn === 0) {
      const { realEigenvalues } = new EigenvalueDecomposition(new Matrix(normal), { assumeSymmetric: true });
      if (Math.min(...realEigenvalues) < 1 / LOOSE ** 2) return null;
    }
    const step = solve(
      normal,
      ways.map((_, i) => rows.reduce((sum, { row, off, weight }) => sum + weight * (row[i] as number) * off, 0)),
    );
    left = Math.sqrt(rows.reduce((sum, { off }) => sum + off * off, 0) / rows.length);
    const moves = { front: moveOf(ways, step, 'front', middle.front), rear: moveOf(ways, step, 'rear', middle.rear) };
    where = where.map((point, at) => movedBy(point, moves[halfOf[at] as Way['half']]));
    middle.front = movedBy(middle.front, moves.front);
    middle.rear = movedBy(middle.rear, moves.rear);
    if (step.every((each) => Math.abs(each) < 1e-9)) break;
  }
  const checks = observations.length - ways.length;
  return {
    points: Object.fromEntries(ids.map((id, at) => [id, where[at] as Vec3])),
    checks,
    left: checks === 0 ? 0 : left,
  };
}

/** What a turn about an axis does to a point so far from the middle, for 1 mm at the arm. */
function turned(axis: Axis, { x, y, z }: Vec3): Vec3 {
  const by = 1 / ARM;
  if (axis === 'x') return { x: 0, y: -z * by, z: y * by };
  if (axis === 'y') return { x: z * by, y: 0, z: -x * by };
  return { x: -y * by, y: x * by, z: 0 };
}

function moveOf(ways: readonly Way[], step: readonly number[], half: Way['half'], about: Vec3): RigidMove {
  const of = (by: Way['by']): Vec3 => {
    const along = (axis: Axis) =>
      (step[ways.findIndex((way) => way.half === half && way.by === by && way.axis === axis)] ?? 0) /
      (by === 'turn' ? ARM : 1);
    return { x: along('x'), y: along('y'), z: along('z') };
  };
  return { about, shift: of('shift'), turn: of('turn') };
}
