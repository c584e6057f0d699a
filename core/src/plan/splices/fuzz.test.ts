import fc from 'fast-check';
import { expect, it } from 'vitest';
import { beach, on, sprayer, tour, van } from '../../../test/joints.ts';
import { schemaProblems } from '../../fields/index.ts';
import { markSheet } from '../../markout/index.ts';
import {
  BOLT_GRADES,
  type Fastening,
  PLATE_FACES,
  type PlateShape,
  type RailSplice,
  SLEEVE_KINDS,
  type SpliceForm,
  splicePlanSchema,
  WELD_TESTS,
  WELD_WAYS,
} from '../../splice/index.ts';
import { contextOf } from '../context.ts';
import { evaluatePlan } from '../evaluate-plan.ts';
import { improvements, calculateSplice, spliceParts } from './index.ts';

const length = fc.oneof(
  fc.double({ min: -50_000, max: 50_000, noNaN: true }),
  fc.double({ min: -10, max: 400, noNaN: true }),
  fc.constant(0),
);
const count = fc.integer({ min: 1, max: 6 });
const stress = fc.oneof(fc.constant(0), fc.double({ min: 0, max: 1000, noNaN: true }));
const pattern = fc.record({ diameter: length, along: count, rows: count });
const form: fc.Arbitrary<SpliceForm> = fc.oneof(
  fc.constant({ form: 'butt' } as const),
  fc.constant({ form: 'bolted' } as const),
  fc.record({ form: fc.constant('angled' as const), run: length }),
  fc.record({
    form: fc.constant('step' as const),
    length,
    height: length,
    radius: length,
    upper: fc.constantFrom('ahead' as const, 'behind' as const),
  }),
);
const outline: fc.Arbitrary<PlateShape> = fc.oneof(
  fc.constant({ shape: 'rectangle' } as const),
  fc.constant({ shape: 'diamond' } as const),
  fc.record({ shape: fc.constant('hexagon' as const), point: length }),
  fc.record({ shape: fc.constant('taper' as const), over: length, end: length }),
);
const fastening: fc.Arbitrary<Fastening> = fc.oneof(
  fc.record({ by: fc.constant('weld' as const), leg: length, ends: fc.boolean(), plugs: fc.option(pattern) }),
  fc.record({ by: fc.constant('bolts' as const), grade: fc.constantFrom(...BOLT_GRADES), bolts: pattern }),
);
const plate = fc.record({
  id: fc.constantFrom('p1', 'p2', 'p3'),
  face: fc.constantFrom(...PLATE_FACES),
  outline,
  ahead: length,
  behind: length,
  depth: length,
  off: length,
  thickness: length,
  yieldStress: stress,
  fastening,
});
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** Plates that can be laid on more often than not. */
const likely = plate.chain((any) =>
  fc.record({
    id: fc.constant(any.id),
    face: fc.constantFrom(...PLATE_FACES),
    outline: fc.constantFrom<PlateShape>({ shape: 'rectangle' }, { shape: 'diamond' }, { shape: 'hexagon', point: 20 }),
    ahead: between(30, 500),
    behind: between(30, 500),
    depth: between(5, 60),
    off: between(-4, 4),
    thickness: between(0.5, 12),
    yieldStress: stress,
    fastening: fc.constant(any.fastening),
  }),
);
const sleeve = fc.record({
  kind: fc.constantFrom(...SLEEVE_KINDS),
  stock: fc.constant('tube'),
  height: length,
  width: length,
  wall: length,
  cornerRadius: length,
  ahead: length,
  behind: length,
  through: fc.boolean(),
  caps: fc.boolean(),
  plugs: fc.record({ diameter: length, flanges: count, sides: count }),
  endLeg: length,
  wedgeLength: length,
  yieldStress: stress,
});
const splice: fc.Arbitrary<RailSplice> = fc.record({
  form,
  weld: fc.record({ way: fc.constantFrom(...WELD_WAYS), test: fc.constantFrom(...WELD_TESTS), flush: fc.boolean() }),
  plates: fc.array(fc.oneof({ weight: 5, arbitrary: likely }, plate), { maxLength: 3 }),
  sleeve: fc.option(sleeve, { freq: 1 }),
});

it.each([van, sprayer, tour, beach])(
  'whatever a plan says of a joint, there is a result without a hole: $name',
  (job) => {
    const [first] = evaluatePlan(job).splices;
    const joint = first?.joint.id ?? 'none/1';
    let calculated = 0;
    fc.assert(
      fc.property(splice, (rails) => {
        const said = { joint, rails, others: [] };
        expect(schemaProblems(splicePlanSchema(), said)).toEqual([]);
        const { strength, made, weld, details } = calculateSplice(
          rails,
          job.donor.sections[0]!.section,
          job.donor.material,
          contextOf(job),
        );
        expect(strength === null).toBe(made.problems.length > 0);
        for (const figure of [weld.length, weld.heat, weld.shrinkage, ...details.map(({ range }) => range)])
          expect(Number.isFinite(figure)).toBe(true);
        if (!strength) return;
        calculated += 1;
        expect(strength.ratio).toBeGreaterThanOrEqual(0);
        expect(strength.ratio).toBeLessThanOrEqual(1);
        for (const { ratio, resisting } of strength.curve) expect([ratio, resisting].every(Number.isFinite)).toBe(true);
        for (const better of improvements(rails, on(job))) expect(Number.isFinite(better.ratio)).toBe(true);
        if (!first) return;
        const input = { ...job, plan: { ...job.plan, splices: [said] } };
        const result = evaluatePlan(input);
        for (const { mass, length: long, flat } of spliceParts(result, input))
          expect([mass, long, ...flat.outline.flat()].every(Number.isFinite)).toBe(true);
        expect(markSheet(input, result).parts.length).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 20, seed: 3 },
    );
    expect(calculated).toBeGreaterThan(4);
  },
);
