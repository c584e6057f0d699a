import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import beams from '../../test/reference/beam_supports.json' with { type: 'json' };
import reference from '../../test/reference/props.json' with { type: 'json' };
import {
  atRest,
  type Beam,
  type BeamLoad,
  stabilityOf,
  kerfAt,
  neutralAt,
  standLoads,
  type BeamSupport,
} from './index.ts';

const push = (xs: readonly number[]): BeamSupport[] => xs.map((x) => ({ x, rise: 0, way: 'push' }));
const G = 9.80665;

interface Along {
  readonly distributed_weights: readonly { from_x_mm: number; to_x_mm: number; N_per_mm: number }[];
  readonly point_weights: readonly { x_mm: number; N: number }[];
}
const loadsOf = ({ distributed_weights, point_weights }: Along): BeamLoad[] => [
  ...distributed_weights.map(({ from_x_mm: from, to_x_mm: to, N_per_mm }) => ({
    from,
    to,
    force: N_per_mm * (to - from),
  })),
  ...point_weights.map(({ x_mm: x, N }) => ({ from: x, to: x, force: N })),
];

describe.each(beams.cases)('a rail on stands: $id', ({ input, expected, tolerance }) => {
  const beam: Beam = {
    stretches: [{ from: 0, to: input.length_mm, stiffness: input.EI_Nmm2 }],
    loads: loadsOf(input),
  };
  const found = kerfAt(beam, push(input.stands_x_mm), input.cut_x_mm, 100);
  it('carries what it carries, and the steel at the cut too', () => {
    for (const [index, force] of expected.reactions_N.entries())
      expect(Math.abs((found.before?.rest.reactions[index] ?? NaN) - force)).toBeLessThan(tolerance.abs_force_N);
    const lifted = input.stands_x_mm.filter((_, index) => !found.before?.rest.touches[index]);
    expect(lifted).toEqual(expected.stands_not_touching_x_mm);
    expect(Math.abs((found.before?.moment ?? NaN) - expected.sagging_moment_at_cut_Nmm)).toBeLessThan(
      tolerance.abs_moment_Nmm,
    );
    expect(Math.abs((found.before?.shear ?? NaN) - expected.shear_at_cut_N)).toBeLessThan(tolerance.abs_force_N);
    if (expected.kerf.includes('closes')) expect(expected.kerf).toContain(`${found.closes} closes`);
    else expect(found.closes).toBe('neither');
  });
  it.each(['front', 'rear'] as const)('its %s part', (end) => {
    const part = expected[`${end}_piece`];
    expect(found[end].weight).toBeCloseTo(part.weight_N, 3);
    expect(found[end].center).toBeCloseTo(part.cg_x_mm, 3);
    expect(part.state.startsWith(found[end].state)).toBe(true);
    if (found[end].over) expect(part.state).toContain(`${found[end].over} end down`);
    for (const [index, force] of (part.reactions_N ?? []).entries())
      expect(Math.abs((found[end].reactions?.[index] ?? NaN) - force)).toBeLessThan(tolerance.abs_force_N);
    if ('tip_margin_mm' in part) {
      const { margin } = found[end];
      expect(Math.min(margin?.front ?? NaN, margin?.rear ?? NaN)).toBeCloseTo(part.tip_margin_mm as number, 3);
    }
  });
});

type Triple = readonly [number, number, number];
interface PieceCase {
  readonly id: string;
  readonly input: {
    readonly members: readonly { path_mm: readonly Triple[]; kg_per_m: number }[];
    readonly masses: readonly { kg: number; at_mm: Triple }[];
    readonly stands_mm: readonly { x: number; y: number; z_top: number }[];
  };
  readonly expected: {
    readonly weight_N: number;
    readonly cg_mm: Triple;
    readonly tipping: Record<'to_front_mm' | 'to_rear_mm' | 'to_left_mm' | 'to_right_mm' | 'nearest_edge_mm', number>;
    readonly tilt_until_it_goes_over_deg: number;
    readonly cg_above_stands_mm: number;
    readonly state: string;
    readonly reactions_N: readonly number[];
  };
}
const pieces = reference.cases.filter(({ group }) => group === 'piece') as unknown as PieceCase[];

it.each(pieces)('a piece on its stands: $id', ({ input, expected }) => {
  const lines = input.members.flatMap(({ path_mm, kg_per_m }) =>
    path_mm.slice(1).map(([x2, y2, z2], index) => {
      const [x1, y1, z1] = path_mm[index] as Triple;
      const force = ((Math.hypot(x2 - x1, y2 - y1, z2 - z1) * kg_per_m) / 1000) * G;
      return { from: x1, to: x2, y: (y1 + y2) / 2, z: (z1 + z2) / 2, force };
    }),
  );
  const loads = [
    ...lines,
    ...input.masses.map(({ kg, at_mm: [x, y, z] }) => ({ from: x, to: x, y, z, force: kg * G })),
  ];
  const stands = input.stands_mm.map(({ x, y, z_top }) => ({ x, y, top: z_top, rise: 0 }));
  const [x, y, z] = expected.cg_mm;
  const stability = stabilityOf({ x, y, z }, stands);
  expect(stability.state).toBe(expected.state);
  for (const end of ['front', 'rear', 'left', 'right'] as const)
    expect(stability.margins?.[end]).toBeCloseTo(expected.tipping[`to_${end}_mm`], 3);
  expect(stability.margins?.nearest).toBeCloseTo(expected.tipping.nearest_edge_mm, 3);
  expect(((stability.tilt ?? NaN) * 180) / Math.PI).toBeCloseTo(expected.tilt_until_it_goes_over_deg, 5);
  expect(stability.above).toBeCloseTo(expected.cg_above_stands_mm, 3);
  const shared = standLoads(loads, stands, [{ from: -1e5, to: 1e5, stiffness: 1e12 }]);
  for (const [index, force] of expected.reactions_N.entries()) expect(shared?.reactions[index]).toBeCloseTo(force, 2);
  expect(shared?.sure).toBe(stands.length === 3);
});

const caseOf = (id: string) => reference.cases.find((each) => each.id === id) as never;
const beamOf = ({
  frame_as_one_beam: frame,
}: {
  frame_as_one_beam: Along & { EI: readonly { from_x_mm: number; to_x_mm: number; Nmm2: number }[] };
}): Beam => ({
  stretches: frame.EI.map(({ from_x_mm: from, to_x_mm: to, Nmm2: stiffness }) => ({ from, to, stiffness })),
  loads: loadsOf(frame),
});

it('freed ends spring: how far they drop and turn, which is higher, and how the kerf opens', () => {
  const { input, expected } = caseOf('freed_ends_drop') as unknown as {
    input: Parameters<typeof beamOf>[0] & { stands_x_mm: number[]; cut_x_mm: number; depth_mm: number };
    expected: Record<string, never>;
  };
  const found = kerfAt(beamOf(input), push(input.stands_x_mm), input.cut_x_mm, input.depth_mm);
  const before = expected.before_the_cut as unknown as Record<string, number>;
  expect(found.before?.moment).toBeCloseTo(before.sagging_moment_at_cut_Nmm!, 0);
  expect(found.before?.rest.height(input.cut_x_mm)).toBeCloseTo(before.z_at_cut_mm!, 6);
  for (const end of ['front', 'rear'] as const) {
    const part = expected[`${end}_piece`] as unknown as Record<string, number>;
    expect(found[end].end?.height).toBeCloseTo(part.freed_end_z_mm!, 6);
    expect(found[end].end?.drop).toBeCloseTo(part.drop_of_freed_end_mm!, 6);
    expect((found[end].end?.turn ?? NaN) * 1000).toBeCloseTo(part.turn_of_freed_end_mrad!, 6);
  }
  expect(found.step).toBeCloseTo(expected.step_at_the_cut_front_minus_rear_mm as unknown as number, 6);
  expect(found.opens).toBeCloseTo(expected.top_minus_bottom_gap_mm as unknown as number, 6);
});

it('neutral shores: loads by levers, shims as the frame bends under them, and how sensitive they are', () => {
  const { input, expected } = caseOf('neutral_four_stands') as unknown as {
    input: Parameters<typeof beamOf>[0] & { stands_x_mm: [number, number, number, number]; cut_x_mm: number };
    expected: {
      reactions_N: number[];
      shims_with_outermost_stands_at_zero_mm: number[];
      moment_at_cut_for_1_mm_more_under_each_stand_Nmm: number[];
    };
  };
  const beam = beamOf(input);
  const found = neutralAt(beam, input.stands_x_mm, input.cut_x_mm)!;
  for (const [index, force] of expected.reactions_N.entries()) {
    expect(found.loads[index]).toBeCloseTo(force, 3);
    expect(found.shims[index]).toBeCloseTo(expected.shims_with_outermost_stands_at_zero_mm[index]!, 6);
    expect(found.sensitive[index]! / expected.moment_at_cut_for_1_mm_more_under_each_stand_Nmm[index]!).toBeCloseTo(
      1,
      6,
    );
  }
  // Back on those shims nothing is left at the cut.
  const on = input.stands_x_mm.map((x, index): BeamSupport => ({ x, rise: found.shims[index]!, way: 'push' }));
  const kerf = kerfAt(beam, on, input.cut_x_mm, 178);
  expect(Math.abs(kerf.before!.moment)).toBeLessThan(1);
  expect(Math.abs(kerf.before!.shear)).toBeLessThan(0.01);
  expect(kerf.closes).toBe('neither');
});

it('a straight beam on two stands bends as the book says', () => {
  // Two stands at its ends and a weight in the middle: P L³ / 48 EI, and a moment of P L / 4.
  const beam: Beam = {
    stretches: [{ from: 0, to: 4000, stiffness: 2e12 }],
    loads: [{ from: 2000, to: 2000, force: 960 }],
  };
  const rest = atRest(beam, push([0, 4000]))!;
  expect(rest.height(2000)).toBeCloseTo(-(960 * 4000 ** 3) / (48 * 2e12), 9);
  expect(rest.moment(2000)).toBeCloseTo((960 * 4000) / 4, 6);
  // Stiffer in its rear half than ahead: the slope and the height are the same on both sides of the change.
  const uneven = {
    ...beam,
    stretches: [...beam.stretches.map((s) => ({ ...s, to: 2000 })), { from: 2000, to: 4000, stiffness: 9e12 }],
  };
  const bent = atRest(uneven, push([0, 4000]))!;
  expect(bent.slope(2000 - 1e-7)).toBeCloseTo(bent.slope(2000 + 1e-7), 9);
  expect(bent.height(1000)).toBeLessThan(bent.height(3000));
});

it('a strap holds down an end that would lift, and pulls only', () => {
  const beam: Beam = {
    stretches: [{ from: 0, to: 4000, stiffness: 2e12 }],
    loads: [{ from: 0, to: 4000, force: 1000 }],
  };
  const stands = push([2500, 3500]);
  expect(atRest(beam, stands)).toBeNull();
  const held = atRest(beam, [...stands, { x: 3900, rise: 0, way: 'pull' }])!;
  expect(held.reactions[2]).toBeLessThan(0);
  expect(held.reactions.reduce((sum, force) => sum + force, 0)).toBeCloseTo(1000, 6);
  const slack = atRest(beam, [...push([500, 3500]), { x: 2000, rise: 5, way: 'pull' }])!;
  expect(slack.touches).toEqual([true, true, false]);
});

it('on any stands, reactions sum to the weight, balance about any place, and never pull', () => {
  const load = fc.record({
    from: fc.integer({ min: 0, max: 5000 }),
    long: fc.integer({ min: 0, max: 900 }),
    force: fc.integer({ min: 5, max: 3000 }),
  });
  const stand = fc.record({ x: fc.integer({ min: 0, max: 6000 }), rise: fc.integer({ min: -20, max: 20 }) });
  fc.assert(
    fc.property(
      fc.array(load, { minLength: 1, maxLength: 6 }),
      fc.uniqueArray(stand, { minLength: 2, maxLength: 7, selector: ({ x }) => x }),
      (given, stands) => {
        const loads = given.map(({ from, long, force }) => ({ from, to: from + long, force }));
        const beam: Beam = {
          stretches: [
            { from: 0, to: 2600, stiffness: 3e12 },
            { from: 2600, to: 6000, stiffness: 1e12 },
          ],
          loads,
        };
        const supports = stands.map(({ x, rise }): BeamSupport => ({ x, rise: rise / 10, way: 'push' }));
        const weight = loads.reduce((sum, { force }) => sum + force, 0);
        const moment = loads.reduce((sum, { from, to, force }) => sum + (force * (from + to)) / 2, 0);
        const [first, last] = [Math.min(...stands.map(({ x }) => x)), Math.max(...stands.map(({ x }) => x))];
        const rest = atRest(beam, supports);
        const center = moment / weight;
        // It stands just where it balances between the outermost two.
        if (center > first + 1 && center < last - 1) expect(rest).not.toBeNull();
        if (center < first - 1 || center > last + 1) expect(rest).toBeNull();
        if (!rest) return;
        expect(rest.reactions.reduce((sum, force) => sum + force, 0)).toBeCloseTo(weight, 4);
        const turned = rest.reactions.reduce((sum, force, index) => sum + force * supports[index]!.x, 0);
        expect(Math.abs(turned - moment)).toBeLessThan(1e-6 * Math.abs(moment) + 1e-3);
        for (const [index, support] of supports.entries()) {
          expect(rest.reactions[index]).toBeGreaterThanOrEqual(-1e-6 * weight);
          expect(rest.height(support.x)).toBeGreaterThan(support.rise - 1e-6);
        }
      },
    ),
    { numRuns: 300 },
  );
});

it('loads balance side to side on stands that spread as a tapered frame does, and where one is out of line', () => {
  const offs = fc.tuple(...[0, 1, 2, 3].map(() => fc.integer({ min: 250, max: 480 })));
  fc.assert(
    fc.property(offs, offs, fc.integer({ min: -120, max: 120 }), (lefts, rights, y) => {
      const stands = [
        ...lefts.map((out, at) => [at, -out] as const),
        ...rights.map((out, at) => [at, out] as const),
      ].map(([at, side]) => ({ x: 500 + 1200 * at, y: side, top: 400, rise: 0 }));
      const loads = [
        { from: 0, to: 5000, y: 0, force: 4000 },
        { from: 2600, to: 2600, y, force: 3000 },
      ];
      const shared = standLoads(loads, stands, [{ from: 0, to: 5000, stiffness: 2e12 }])!;
      expect(shared.by).toBe('rails');
      const turned = shared.reactions.reduce((sum, force, index) => sum + force * stands[index]!.y, 0);
      expect(Math.abs(turned - 3000 * y)).toBeLessThan(1e-6 * 7000 * 480);
    }),
    { numRuns: 100 },
  );
});

it('on two tapered pairs each load is what levers say', () => {
  // Stands at ±300 and ±500: a weight midway along, 80 to the right, where the lines are ±400 apart.
  const stands = ([-1, 1] as const).flatMap((side) => [
    { x: 0, y: side * 300, top: 0, rise: 0 },
    { x: 2000, y: side * 500, top: 0, rise: 0 },
  ]);
  const { reactions } = standLoads([{ from: 1000, to: 1000, y: 80, force: 1000 }], stands, [
    { from: 0, to: 2000, stiffness: 1e12 },
  ])!;
  expect(reactions.map((each) => Math.round(each * 1e6) / 1e6)).toEqual([200, 200, 300, 300]);
});
