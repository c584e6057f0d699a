import type { Vec3 } from '../frame/index.ts';
import { freeMotions, leveledBy, projectionOn } from './free-motions.ts';
import { LOOSE } from './network.ts';
import { type Square, zeros } from './normal-equations.ts';
import { type Observation, type Points, type Row, rowOf } from './observation.ts';

/** Readings in the order in which they tell most, and how many of them are enough. */
export interface TellingOrder {
  /** Ids of the readings, the most telling first. */
  readonly ids: readonly string[];
  /** With so many of them every point is held; null where all of them together leave something floating. */
  readonly holds: number | null;
  /** Ids of those that the others hardly check even with all of them taken: an error in one of them would not show. */
  readonly unchecked: readonly string[];
}

/** Held: nothing keeps a point where it is to less than this part of how far it may float. */
const HELD = 0.2;
/** A reading that the others check by less than this share: an error in it would hardly show. */
export const WEAK = 0.15;

const dense = ({ at }: Row, size: number): Float64Array => {
  const row = new Float64Array(size);
  for (const [point, { x, y, z }] of at) {
    row[3 * point] = (row[3 * point] as number) + x;
    row[3 * point + 1] = (row[3 * point + 1] as number) + y;
    row[3 * point + 2] = (row[3 * point + 2] as number) + z;
  }
  return row;
};

function times({ size, values }: Square, by: Float64Array): Float64Array {
  const out = new Float64Array(size);
  for (let i = 0; i < size; i += 1) {
    let sum = 0;
    for (let j = 0; j < size; j += 1) sum += (values[i * size + j] as number) * (by[j] as number);
    out[i] = sum;
  }
  return out;
}

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) sum += (a[i] as number) * (b[i] as number);
  return sum;
};

/**
 * The order in which the readings of a frame tell most, before any of them is taken: each time the one that those before it
 * can foretell least, in its own standard deviations. Every point begins as free as one that floats; what is known of it after
 * each reading is the covariance less what the reading adds (a Kalman update). Values do not matter, only where the points are.
 *
 * @param nominal Where each point should be, mm.
 * @param observations Readings that could be taken, each with a standard deviation above 0.
 * @throws RangeError for a reading of a point that is not there.
 */
export function tellingOrder(nominal: Points, observations: readonly Observation[]): TellingOrder {
  const names = Object.keys(nominal);
  const indexOf = (id: string): number => {
    const at = names.indexOf(id);
    if (at < 0) throw new RangeError(`no point ${id} in the network`);
    return at;
  };
  const where = names.map((id) => nominal[id] as Vec3);
  const size = 3 * where.length;
  const covariance = zeros(size);
  const datum = projectionOn(freeMotions(where, leveledBy(observations)), size);
  for (let at = 0; at < size * size; at += 1)
    covariance.values[at] = LOOSE * LOOSE * ((at % (size + 1) === 0 ? 1 : 0) - (datum.values[at] as number));
  const left = observations.map(({ id, sigma }, at) => ({
    id,
    sigma,
    row: dense(rowOf(observations[at] as Observation, where, indexOf), size),
  }));
  const taken: typeof left = [];
  let holds: number | null = null;
  const spread = (row: Float64Array) => Math.max(0, dot(row, times(covariance, row)));
  const isHeld = () =>
    Array.from({ length: size }, (_, at) => covariance.values[at * size + at] as number).every(
      (variance) => variance < (HELD * LOOSE) ** 2,
    );
  while (left.length > 0) {
    const doubts = left.map(({ row, sigma }) => spread(row) / (sigma * sigma));
    const next = doubts.indexOf(Math.max(...doubts));
    const [reading] = left.splice(next, 1) as [(typeof left)[number]];
    const moved = times(covariance, reading.row);
    const by = reading.sigma * reading.sigma + dot(reading.row, moved);
    for (let i = 0; i < size; i += 1)
      for (let j = 0; j < size; j += 1)
        covariance.values[i * size + j] =
          (covariance.values[i * size + j] as number) - ((moved[i] as number) * (moved[j] as number)) / by;
    taken.push(reading);
    holds ??= isHeld() ? taken.length : null;
  }
  const unchecked = taken.filter(({ row, sigma }) => 1 - spread(row) / (sigma * sigma) < WEAK);
  return { ids: taken.map(({ id }) => id), holds, unchecked: unchecked.map(({ id }) => id) };
}
