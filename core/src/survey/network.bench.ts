import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { Bench } from 'tinybench';
import type { Vec3 } from '../frame/index.ts';
import { adjustNetwork } from './network.ts';
import type { Observation, Points } from './observation.ts';

/** Seven pairs along a frame, a little out of shape, and 80 readings of them as a shop takes them. */
const nominal: Points = Object.fromEntries(
  [0, 1, 2, 3, 4, 5, 6].flatMap((at) =>
    (['L', 'R'] as const).map((side) => [
      `${side}${at}`,
      { x: 200 + at * 950, y: (side === 'L' ? -1 : 1) * (430 + 6 * at), z: 500 + 9 * at },
    ]),
  ),
);
const ids = Object.keys(nominal);
/** Always the same, between −1 and 1. */
const noise = (seed: number): number => 2 * ((Math.sin(seed * 12.9898) * 43758.5453) % 1);
const far = (a: Vec3, b: Vec3): number => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
const [first, ...rest] = ids.map((id, at): [string, Vec3] => {
  const { x, y, z } = nominal[id] as Vec3;
  return [id, { x: x + 3 * noise(at + 1), y: y + 3 * noise(at + 40), z: z + 3 * noise(at + 80) }];
});
const built = new Map([first as [string, Vec3], ...rest]);
const place = (id: string): Vec3 => built.get(id) as Vec3;
const tapes = ids
  .flatMap((from, at) => ids.slice(at + 1).map((to) => [from, to] as const))
  .filter(([from, to]) => Math.abs(Number(from.slice(1)) - Number(to.slice(1))) <= 4)
  .slice(0, 66);
const observations: Observation[] = [
  ...ids.map((at, seed): Observation => ({ id: at, kind: 'height', at, value: place(at).z + noise(seed), sigma: 1 })),
  ...tapes.map(([from, to], seed): Observation => ({
    id: `${from} ${to}`,
    kind: 'tape',
    from,
    to,
    value: far(place(from), place(to)) + noise(seed + 200),
    sigma: 1,
  })),
];

/** The same residuals for a general solver: coordinates in, all readings and three ties that hold the datum out. */
const start = ids.flatMap((id) => Object.values(nominal[id] as Vec3) as number[]);
const index = new Map(ids.map((id, at) => [id, 3 * at]));
const general = () =>
  levenbergMarquardt(
    {
      x: [...observations.map((_, at) => at), -1, -2, -3],
      y: [...observations.map(({ value }) => value), ...[0, 1, 4].map((at) => start[at] ?? 0)],
    },
    (coordinates: number[]) => (row: number) => {
      const at = (of: number): Vec3 => ({
        x: coordinates[of] ?? 0,
        y: coordinates[of + 1] ?? 0,
        z: coordinates[of + 2] ?? 0,
      });
      if (row < 0) return coordinates[[0, 1, 4][-row - 1] ?? 0] ?? 0;
      const observation = observations[row] as Observation;
      if (observation.kind === 'height') return at(index.get(observation.at) ?? 0).z;
      return far(at(index.get(observation.from) ?? 0), at(index.get(observation.to) ?? 0));
    },
    { initialValues: start, maxIterations: 10, damping: 1e-3, gradientDifference: 1e-3 },
  );

/** Goal: median under 10 ms; wanted: ten times faster than the general solver in the same run. */
export default new Bench({ time: 2500, warmupTime: 600 })
  .add('14 points, 80 readings (goal 10 ms)', () => {
    adjustNetwork(nominal, observations);
  })
  .add('the same residuals by ml-levenberg-marquardt, for comparison', () => {
    general();
  });
