import { describe, expect, it } from 'vitest';
import reference from '../../test/reference/survey.json' with { type: 'json' };
import type { Vec3 } from '../frame/index.ts';
import { adjustNetwork, type Floating, type Network } from './network.ts';
import type { Observation, Points } from './observation.ts';

type Triple = [number, number, number];
interface Case {
  readonly id: string;
  readonly input: {
    readonly approximate_mm: Record<string, Triple>;
    readonly observations: readonly {
      readonly id: string;
      readonly kind: 'tape' | 'height' | 'slope';
      readonly from: string;
      readonly to: string | null;
      readonly value: number;
      readonly sigma: number;
    }[];
  };
  readonly expected: {
    readonly adjusted_inner_datum_mm: Record<string, Triple>;
    readonly sigma_inner_datum_mm: Record<string, Triple>;
    readonly observations: Record<
      string,
      { residual_adj_minus_obs: number; normalized_residual: number; redundancy_number: number }
    >;
    readonly degrees_of_freedom: number;
    readonly vTPv: number;
  };
}
const caseOf = (id: string) => reference.cases.find((one) => one.id === id) as unknown as Case;
const vec = ([x, y, z]: Triple): Vec3 => ({ x, y, z });
const pointsOf = ({ input }: Case): Points =>
  Object.fromEntries(Object.entries(input.approximate_mm).map(([id, at]) => [id, vec(at)]));
const DEGREE = Math.PI / 180;
const observationsOf = ({ input }: Case): Observation[] =>
  input.observations.map(({ id, kind, from, to, value, sigma }) =>
    kind === 'height'
      ? { id, kind, at: from, value, sigma }
      : kind === 'slope'
        ? { id, kind, from, to: to!, value: value * DEGREE, sigma: sigma * DEGREE }
        : { id, kind, from, to: to!, value, sigma },
  );
const held = (found: Network | Floating): Network => {
  if (!('points' in found) || Array.isArray(found.points)) throw new Error('it floats');
  return found as Network;
};
/** Every tape between two points and every height: what could still be taken. */
const every = (points: Points): Observation[] => {
  const ids = Object.keys(points);
  return [
    ...ids.map((at): Observation => ({ id: at, kind: 'height', at, value: points[at]!.z, sigma: 1 })),
    ...ids.flatMap((from, index) =>
      ids.slice(index + 1).map((to): Observation => {
        const [a, b] = [points[from]!, points[to]!];
        return {
          id: `${from} ${to}`,
          kind: 'tape',
          from,
          to,
          value: Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z),
          sigma: 1,
        };
      }),
    ),
  ];
};
const floats = (found: Network | Floating): Floating => {
  if (!('ways' in found)) throw new Error('it is held');
  return found;
};

describe('a network of readings', () => {
  it.each(['clean_seed7', 'gross_error_tape_R1-L6'])('is adjusted as independently calculated: %s', (id) => {
    const one = caseOf(id);
    const network = held(adjustNetwork(pointsOf(one), observationsOf(one)));
    const { expected } = one;
    for (const [point, [x, y, z]] of Object.entries(expected.adjusted_inner_datum_mm))
      expect(network.points[point], point).toEqual({
        x: expect.closeTo(x, 3),
        y: expect.closeTo(y, 3),
        z: expect.closeTo(z, 3),
      });
    for (const [point, [x, y, z]] of Object.entries(expected.sigma_inner_datum_mm))
      expect(network.sigmas[point], point).toEqual({
        x: expect.closeTo(x, 3),
        y: expect.closeTo(y, 3),
        z: expect.closeTo(z, 3),
      });
    for (const { observation, residual, redundancy, normalized } of network.adjusted) {
      const there = expected.observations[observation.id]!;
      // Residuals of slopes are kept in degrees over there.
      const by = observation.kind === 'slope' ? DEGREE : 1;
      expect(residual / by, observation.id).toBeCloseTo(there.residual_adj_minus_obs, 4);
      expect(redundancy, observation.id).toBeCloseTo(there.redundancy_number, 4);
      expect(normalized, observation.id).toBeCloseTo(there.normalized_residual, 2);
    }
    expect(network.freedom).toBe(expected.degrees_of_freedom);
    expect(network.misfit).toBeCloseTo(expected.vTPv, 3);
  });

  it('without diagonals it is refused: it can rack, and a diagonal would hold it', () => {
    const one = caseOf('underdetermined_no_diagonals');
    const nominal = pointsOf(one);
    const { ways, points, next } = floats(adjustNetwork(nominal, observationsOf(one), every(nominal)));
    expect(ways).toBeGreaterThanOrEqual(3);
    expect(points.length).toBeGreaterThan(4);
    // From one rail to the other, and not straight across.
    const [from, to] = next!.split(' ');
    expect([from![0], to![0]].toSorted()).toEqual(['L', 'R']);
    expect(from!.slice(1)).not.toBe(to!.slice(1));
  });

  it('each reading that it asks for holds one way more, until all is held', () => {
    const one = caseOf('underdetermined_no_diagonals');
    const nominal = pointsOf(one);
    const observations = observationsOf(one);
    const counts: number[] = [];
    for (;;) {
      const found = adjustNetwork(nominal, observations, every(nominal));
      if (!('ways' in found)) break;
      counts.push(found.ways);
      expect(counts.length).toBeLessThan(12);
      observations.push(every(nominal).find(({ id }) => id === found.next)!);
    }
    expect(counts.length).toBeGreaterThan(0);
    expect(counts).toEqual(counts.toSorted((a, b) => b - a));
  });

  it('where nothing that could be taken would help, nothing is proposed', () => {
    const one = caseOf('underdetermined_no_diagonals');
    expect(floats(adjustNetwork(pointsOf(one), observationsOf(one), [])).next).toBeNull();
  });

  const square: Points = {
    a: { x: 0, y: -400, z: 0 },
    b: { x: 0, y: 400, z: 0 },
    c: { x: 2000, y: -400, z: 0 },
    d: { x: 2000, y: 400, z: 0 },
  };
  const tape = (from: string, to: string, value: number): Observation => ({
    id: `${from}${to}`,
    kind: 'tape',
    from,
    to,
    value,
    sigma: 1,
  });
  const sides = [tape('a', 'b', 800), tape('c', 'd', 800), tape('a', 'c', 2000), tape('b', 'd', 2000)];
  const diagonal = Math.hypot(2000, 800);
  const heights = ['a', 'b', 'c', 'd'].map((at): Observation => ({
    id: `h${at}`,
    kind: 'height',
    at,
    value: 0,
    sigma: 1,
  }));

  it('a rectangle that reads as it should stays where it is; by hand: two diagonals 4 apart are a shear', () => {
    const still = held(
      adjustNetwork(square, [...sides, tape('a', 'd', diagonal), tape('b', 'c', diagonal), ...heights]),
    );
    for (const [id, at] of Object.entries(square))
      expect(still.points[id]).toEqual({
        x: expect.closeTo(at.x, 6),
        y: expect.closeTo(at.y, 6),
        z: expect.closeTo(at.z, 6),
      });
    const racked = held(
      adjustNetwork(square, [...sides, tape('a', 'd', diagonal + 2), tape('b', 'c', diagonal - 2), ...heights]),
    );
    // A diagonal d grows by s·l·w/d for a shear that moves one rail by s·w along the other: here s = 2·d/(l·w).
    const { a, b, c, d } = racked.points as Record<'a' | 'b' | 'c' | 'd', Vec3>;
    const shift = (b.x + d.x - a.x - c.x) / 2 + ((d.y - b.y + c.y - a.y) / 2 / 2000) * 800;
    expect(shift).toBeCloseTo((2 * diagonal) / 2000, 1);
    expect(Math.max(...racked.adjusted.map(({ residual }) => Math.abs(residual)))).toBeLessThan(0.01);
  });

  it('a level tape leaves heights out of it, and does not need them', () => {
    const rising: Points = { ...square, c: { ...square.c!, z: 300 }, d: { ...square.d!, z: 300 } };
    const level = (one: Observation): Observation => ({ ...one, kind: 'level-tape' }) as Observation;
    const high = heights.map((one) => (one.id === 'hc' || one.id === 'hd' ? { ...one, value: 300 } : one));
    const readings = [...sides, tape('a', 'd', diagonal), tape('b', 'c', diagonal)].map(level);
    const { adjusted } = held(adjustNetwork(rising, [...readings, ...high]));
    for (const { residual } of adjusted) expect(residual).toBeCloseTo(0, 6);
    // The same read as tapes pulled straight are all too short.
    const straight = held(
      adjustNetwork(rising, [...sides, tape('a', 'd', diagonal), tape('b', 'c', diagonal), ...high]),
    );
    expect(straight.points.c!.x - straight.points.a!.x).toBeLessThan(1985);
  });

  it('a reading that nothing checks can be neither right nor wrong', () => {
    const { adjusted } = held(adjustNetwork(square, [...sides, tape('a', 'd', diagonal + 9), ...heights]));
    for (const { observation, redundancy, normalized } of adjusted)
      if (observation.kind === 'tape') expect([redundancy, normalized]).toEqual([expect.closeTo(0, 3), 0]);
  });

  it('a reading of a point that is not there is an error, not a guess', () => {
    expect(() => adjustNetwork(square, [tape('a', 'nowhere', 1)])).toThrow(RangeError);
  });
});

describe('rises and plumbed tapes', () => {
  const at: Points = {
    a: { x: 0, y: -400, z: 10 },
    b: { x: 0, y: 400, z: 0 },
    c: { x: 2000, y: -400, z: 60 },
    d: { x: 2000, y: 400, z: 55 },
  };
  const level = (p: Vec3, q: Vec3) => Math.hypot(q.x - p.x, q.y - p.y);
  const pairs = [
    ['a', 'b'],
    ['c', 'd'],
    ['a', 'c'],
    ['b', 'd'],
    ['a', 'd'],
    ['b', 'c'],
  ] as const;
  const plumbed = pairs.map(([from, to]): Observation => ({
    id: `${from}${to}`,
    kind: 'level-tape',
    from,
    to,
    value: level(at[from]!, at[to]!),
    sigma: 1,
  }));
  const rises = pairs.map(([from, to]): Observation => ({
    id: `${from}${to} rise`,
    kind: 'rise',
    from,
    to,
    value: at[to]!.z - at[from]!.z,
    sigma: 0.5,
  }));
  const flat: Points = Object.fromEntries(Object.entries(at).map(([id, { x, y }]) => [id, { x, y, z: 0 }]));

  it('hold a frame without a single height: its form, with what stands higher than what', () => {
    const found = held(adjustNetwork(flat, [...plumbed, ...rises]));
    for (const [from, to] of pairs) {
      expect(found.points[to]!.z - found.points[from]!.z).toBeCloseTo(at[to]!.z - at[from]!.z, 6);
      expect(level(found.points[from]!, found.points[to]!)).toBeCloseTo(level(at[from]!, at[to]!), 6);
    }
  });
  it('plumbed tapes say nothing of heights: alone they leave the frame floating', () => {
    expect('ways' in adjustNetwork(flat, [...plumbed, rises[0]!])).toBe(true);
  });
});
