import type { Vec3 } from '../frame/index.ts';
import { type Square, zeros } from './normal-equations.ts';
import { minus, type Observation, scaled } from './observation.ts';

/** What levels a network: heights from a level plane, rises from point to point, or nothing. */
export type Leveled = 'by-heights' | 'by-rises' | 'not';

/**
 * What levels a network: where heights are read at all, the level is theirs; where none can be, only the form of the frame
 * counts.
 *
 * @param observations Readings that were taken, and those that could be.
 */
export function leveledBy(observations: readonly Observation[]): Leveled {
  const has = (...kinds: readonly Observation['kind'][]) => observations.some(({ kind }) => kinds.includes(kind));
  return has('height') ? 'by-heights' : has('rise', 'slope') ? 'by-rises' : 'not';
}

/**
 * Rigid motions that no reading sees, as orthonormal columns.
 *
 * @param where Where the points are, mm.
 * @param leveled What levels them.
 */
export function freeMotions(where: readonly Vec3[], leveled: Leveled): readonly (readonly number[])[] {
  const middle = scaled(
    where.reduce((sum, { x, y, z }) => ({ x: sum.x + x, y: sum.y + y, z: sum.z + z }), { x: 0, y: 0, z: 0 }),
    1 / where.length,
  );
  const about = where.map((point) => minus(point, middle));
  const motions: ((point: Vec3) => Vec3)[] = [
    () => ({ x: 1, y: 0, z: 0 }),
    () => ({ x: 0, y: 1, z: 0 }),
    ({ x, y }) => ({ x: -y, y: x, z: 0 }),
    ...(leveled === 'by-heights' ? [] : [() => ({ x: 0, y: 0, z: 1 })]),
    ...(leveled !== 'not'
      ? []
      : [({ y, z }: Vec3) => ({ x: 0, y: -z, z: y }), ({ x, z }: Vec3) => ({ x: z, y: 0, z: -x })]),
  ];
  const columns: number[][] = [];
  for (const motion of motions) {
    const column = about.flatMap((point) => {
      const { x, y, z } = motion(point);
      return [x, y, z];
    });
    // Gram–Schmidt: rotations about the middle are at right angles to shifts, and nearly to each other.
    for (const before of columns) {
      const along = before.reduce((sum, value, index) => sum + value * (column[index] ?? 0), 0);
      before.forEach((value, index) => (column[index] = (column[index] ?? 0) - along * value));
    }
    const length = Math.hypot(...column);
    if (length > 1e-9) columns.push(column.map((value) => value / length));
  }
  return columns;
}

/**
 * The projection onto some orthonormal columns.
 *
 * @param columns The columns.
 * @param size How long each is.
 */
export function projectionOn(columns: readonly (readonly number[])[], size: number): Square {
  const projection = zeros(size);
  const { values } = projection;
  for (const column of columns)
    for (let i = 0; i < size; i += 1) {
      const by = column[i] as number;
      if (by !== 0)
        for (let j = 0; j < size; j += 1)
          values[i * size + j] = (values[i * size + j] as number) + by * (column[j] as number);
    }
  return projection;
}
