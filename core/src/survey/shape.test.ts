import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../test/reference/survey.json' with { type: 'json' };
import type { Vec3 } from '../frame/index.ts';
import { withoutMisreads } from './misreads.ts';
import { adjustNetwork, type Network } from './network.ts';
import type { Observation, Points } from './observation.ts';
import { shapeOf, SHAPE_PARTS, type ShapePart } from './shape.ts';

type Triple = [number, number, number];
const points = (of: Record<string, Triple>): Points =>
  Object.fromEntries(Object.entries(of).map(([id, [x, y, z]]) => [id, { x, y, z }]));
const nominal = points(reference.nominal_mm as unknown as Record<string, Triple>);
const DEGREE = Math.PI / 180;
const readings = (id: string): Observation[] => {
  const { input } = reference.cases.find((one) => one.id === id) as unknown as {
    input: { observations: (Record<'id' | 'kind' | 'from' | 'to', string> & { value: number; sigma: number })[] };
  };
  return input.observations.map(({ id: name, kind, from, to, value, sigma }) =>
    kind === 'height'
      ? { id: name, kind, at: from, value, sigma }
      : kind === 'slope'
        ? { id: name, kind, from, to, value: value * DEGREE, sigma: sigma * DEGREE }
        : { id: name, kind: 'tape', from, to, value, sigma },
  );
};
const network = (observations: readonly Observation[], from = nominal): Network => {
  const found = adjustNetwork(from, observations);
  if ('ways' in found) throw new Error('it floats');
  return found;
};
const amounts = (of: Network, from = nominal) =>
  Object.fromEntries(shapeOf(from, of)!.parts.map(({ part, ...rest }) => [part, rest])) as Record<
    ShapePart,
    { amount: number; sigma: number }
  >;

describe('the shape of a frame', () => {
  it.each(['clean_seed7', 'gross_error_tape_R1-L6'])('is as independently calculated: %s', (id) => {
    const { deformation } = (
      reference.cases.find((one) => one.id === id) as unknown as {
        expected: { deformation: Record<string, { estimate: number; sigma: number }> };
      }
    ).expected;
    const found = amounts(network(readings(id)));
    const same = (part: ShapePart, there: string, by = 1) => {
      expect(found[part].amount / by, part).toBeCloseTo(deformation[there]!.estimate, 2);
      expect(found[part].sigma / by, part).toBeCloseTo(deformation[there]!.sigma, 2);
    };
    same('diamond', 'diamond_mm');
    same('twist', 'twist_deg', DEGREE);
    same('sag', 'sag_mm');
    same('side-bend', 'side_bend_mm');
  });

  /** A frame that is out of shape by known amounts, and lies somewhere in the shop. */
  const bent = (of: Record<ShapePart, number>, lies: { east: number; turned: number }): Points => {
    const xs = Object.values(nominal).map(({ x }) => x);
    const [front, rear] = [Math.min(...xs), Math.max(...xs)];
    const [middle, half] = [(front + rear) / 2, (rear - front) / 2];
    return Object.fromEntries(
      Object.entries(nominal).map(([id, { x, y, z }]) => {
        const u = (x - middle) / half;
        const [dx, dy, dz] = [
          (of.length * u) / 2 - (of.diamond * y) / 860,
          (of.width * y) / 860 + of['side-bend'] * (1 - u * u),
          -of.sag * (1 - u * u) + (of.twist * y * u) / 2,
        ];
        const [px, py] = [x + dx, y + dy];
        return [
          id,
          {
            x: lies.east + px * Math.cos(lies.turned) - py * Math.sin(lies.turned),
            y: px * Math.sin(lies.turned) + py * Math.cos(lies.turned),
            z: z + dz + 900,
          },
        ];
      }),
    );
  };
  const exact = (of: Points): Observation[] => {
    const ids = Object.keys(of);
    const far = (a: Vec3, b: Vec3) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
    return [
      ...ids.map((at): Observation => ({ id: `h${at}`, kind: 'height', at, value: of[at]!.z, sigma: 1 })),
      ...ids.flatMap((from, index) =>
        ids.slice(index + 1).map((to): Observation => ({
          id: `${from}${to}`,
          kind: 'tape',
          from,
          to,
          value: far(of[from]!, of[to]!),
          sigma: 1,
        })),
      ),
    ];
  };

  it('is found again whatever it is, wherever the frame lies', () => {
    const some = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
    fc.assert(
      fc.property(
        fc.record({
          length: some(12),
          width: some(12),
          diamond: some(15),
          'side-bend': some(12),
          sag: some(15),
          twist: some(0.02),
        }),
        fc.record({ east: some(3000), turned: some(0.01) }),
        (of, lies) => {
          const found = amounts(network(exact(bent(of, lies))));
          // Turned by a small angle, what is of second order stays below a tenth of a millimeter.
          for (const part of SHAPE_PARTS)
            expect(Math.abs(found[part].amount - of[part]), part).toBeLessThan(part === 'twist' ? 2e-4 : 0.25);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('mirrored, diamond, side-bend and twist turn round and the others stay', () => {
    const of = { length: 3, width: -2, diamond: 6, 'side-bend': 4, sag: 5, twist: 0.01 };
    const mirrored = Object.fromEntries(
      Object.entries(bent(of, { east: 0, turned: 0 })).map(([id, { x, y, z }]) => [
        (id.startsWith('L') ? 'R' : 'L') + id.slice(1),
        { x, y: -y, z },
      ]),
    );
    const found = amounts(network(exact(mirrored)));
    for (const part of ['length', 'width', 'sag'] as const) expect(found[part].amount).toBeCloseTo(of[part], 1);
    for (const part of ['diamond', 'side-bend', 'twist'] as const) expect(found[part].amount).toBeCloseTo(-of[part], 1);
  });

  it('fewer than three pairs cannot tell bend from turn', () => {
    const two = Object.fromEntries(Object.entries(nominal).filter(([id]) => /[12]/.test(id)));
    expect(shapeOf(two, network(exact(two), two))).toBeNull();
  });
});

describe('a reading that is wrong', () => {
  const clean = readings('clean_seed7');
  const wrong = (id: string, by: number) =>
    clean.map((one) => (one.id === id ? { ...one, value: one.value + by } : one));
  const found = (observations: readonly Observation[]) => {
    const cleaned = withoutMisreads(nominal, observations);
    if ('ways' in cleaned) throw new Error('it floats');
    return cleaned;
  };

  it('none is found where none is', () => {
    expect(found(clean).misreads).toEqual([]);
  });

  it('is found among all of them, with its amount, as independently calculated', () => {
    const { expected } = reference.cases.find(({ id }) => id === 'gross_error_tape_R1-L6') as unknown as {
      expected: { outlier: { id: string; estimated_error_mm: number; sigma_of_estimate_mm: number } };
    };
    const { misreads, network: rest } = found(readings('gross_error_tape_R1-L6'));
    expect(misreads).toHaveLength(1);
    const [misread] = misreads;
    expect(misread!.observation.id).toBe(expected.outlier.id);
    // Over there to the first order; here against the others as they lie without it.
    expect(Math.abs(misread!.error - expected.outlier.estimated_error_mm)).toBeLessThan(0.02);
    expect(misread!.sigma).toBeCloseTo(expected.outlier.sigma_of_estimate_mm, 2);
    expect(misread!.cause).toBe('inch');
    expect(misread!.shouldRead).toBeCloseTo(misread!.observation.value - misread!.error, 9);
    expect(rest.adjusted.map(({ observation }) => observation.id)).not.toContain(expected.outlier.id);
  });

  it.each([
    ['tape:L1-L6', 25.4, 'inch'],
    ['tape:R1-R6', -304.8, 'foot'],
    ['tape:L3-R4', 17, null],
  ] as const)('%s by %s mm', (id, by, cause) => {
    if (!clean.some((one) => one.id === id)) return expect(clean.map((one) => one.id)).toContain(id);
    const { misreads } = found(wrong(id, by));
    expect(misreads.map(({ observation }) => observation.id)).toEqual([id]);
    expect(Math.abs(misreads[0]!.error - by)).toBeLessThan(3 * misreads[0]!.sigma);
    expect(misreads[0]!.cause).toBe(cause);
  });

  it('two digits the other way round are known for what they are', () => {
    const one = clean.find(({ id }) => id === 'tape:L1-L6')!;
    // 5501 read as 5051: 450 too little.
    const digits = String(Math.floor(one.value));
    expect(digits[1]).not.toBe(digits[2]);
    const read = Number(digits[0] + digits[2]! + digits[1]! + digits[3]!) + (one.value % 1);
    const { misreads } = found(wrong(one.id, read - one.value));
    expect(misreads[0]).toMatchObject({ cause: 'digits', observation: { id: one.id } });
  });

  it('two wrong ones are both found, the worse first', () => {
    const two = wrong('tape:L1-L6', 40).map((one) =>
      one.id === 'tape:R2-R3' ? { ...one, value: one.value + 25.4 } : one,
    );
    expect(found(two).misreads.map(({ observation }) => observation.id)).toEqual(['tape:L1-L6', 'tape:R2-R3']);
  });
});
