import fc from 'fast-check';
import { expect, it } from 'vitest';
import { inputOf } from '../../test/frames.ts';
import { largeFrame } from '../../test/large.ts';
import { distance, evaluatePlan, type Place } from './index.ts';

type Bare = Parameters<typeof inputOf>[1];

const frame = largeFrame(24, 40);
const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const place: fc.Arbitrary<Place> = fc.record({
  x: mm(-500, 12_500),
  on: fc.constantFrom('donor' as const, 'built' as const),
});
const end = fc.constantFrom('front' as const, 'rear' as const);
const feature = fc.constantFrom(...frame.features.map(({ id }) => id));
const member = fc.constantFrom(...frame.crossmembers.map(({ id }) => id));

/** Operations of every kind with any figures that the document allows, sensible or not. */
const operation: fc.Arbitrary<Bare> = fc.oneof(
  fc.record({
    kind: fc.constant('shorten' as const),
    from: place,
    to: place,
    transition: fc.oneof(fc.constant(0), mm(-10, 600)),
  }),
  fc.record({
    kind: fc.constant('lengthen' as const),
    at: place,
    length: mm(-50, 900),
    section: fc.constantFrom('rail', null, 'nothing'),
  }),
  fc.record({
    kind: fc.constant('widen' as const),
    amount: mm(-900, 400),
    from: fc.option(place),
    to: fc.option(place),
    transition: mm(-10, 600),
  }),
  fc.record({
    kind: fc.constant('pie-cut' as const),
    at: place,
    pivot: fc.constantFrom('top' as const, 'bottom' as const),
    mode: fc.constantFrom('close' as const, 'open' as const),
    turned: end,
    amount: fc.oneof(
      fc.record({ by: fc.constant('angle' as const), angle: mm(-0.1, 0.6) }),
      fc.record({ by: fc.constant('drop' as const), drop: mm(-50, 300), distance: mm(-10, 900) }),
    ),
    wedge: fc.constantFrom('symmetric' as const, 'square' as const),
  }),
  fc.record({
    kind: fc.constant('step' as const),
    from: place,
    to: place,
    rise: mm(-300, 300),
    method: fc.constantFrom('turn-middle' as const, 'new-middle' as const),
  }),
  fc.record({
    kind: fc.constant('trim' as const),
    end,
    at: place,
    angle: mm(-0.2, 1.4),
    lean: fc.constantFrom('top-longer' as const, 'bottom-longer' as const),
  }),
  fc.record({ kind: fc.constant('extend' as const), end, length: mm(-10, 900), section: fc.constant(null) }),
  fc.record({
    kind: fc.constant('notch' as const),
    at: place,
    width: mm(-10, 500),
    depth: mm(-10, 200),
    from: fc.constantFrom('below' as const, 'above' as const),
    form: fc.constant('arch' as const),
    plate: mm(0, 10),
  }),
  fc.record({ kind: fc.constant('box' as const), from: place, to: place, plate: mm(-1, 8), taper: mm(-10, 300) }),
  fc.record({
    kind: fc.constant('crossmember' as const),
    change: fc.oneof(
      fc.record({ what: fc.constant('remove' as const), crossmember: member }),
      fc.record({ what: fc.constant('move' as const), crossmember: member, to: place }),
      fc.record({ what: fc.constant('thin' as const), crossmember: member, depth: mm(-10, 100) }),
    ),
  }),
  fc.record({
    kind: fc.constant('bracket' as const),
    change: fc.oneof(
      fc.record({ what: fc.constant('remove' as const), feature }),
      fc.record({ what: fc.constant('move' as const), feature, to: place, down: mm(0, 140) }),
    ),
  }),
);

/** Paths of values that are NaN or infinite, anywhere in a result. */
function notFinite(value: unknown, path: string): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, item]) => notFinite(item, `${path}.${key}`));
}

it('any plan gives a result: none throws, no NaN, every feature and crossmember accounted for', () => {
  fc.assert(
    fc.property(fc.array(operation, { maxLength: 12 }), (operations) => {
      const result = evaluatePlan(inputOf(frame, ...operations));
      expect(result.operations).toHaveLength(operations.length);
      expect(result.features.map(({ feature: { id } }) => id).sort()).toEqual(
        frame.features.map(({ id }) => id).sort(),
      );
      expect(result.crossmembers).toHaveLength(frame.crossmembers.length);
      for (const { status, reason } of result.features) expect([status, reason]).not.toContain('');
      expect(notFinite({ ...result, operations: [] }, 'result').slice(0, 3)).toEqual([]);
      for (const { status, refusal } of result.operations)
        if (status === 'refused') expect(refusal!.fixes.length).toBeGreaterThan(0);
    }),
    { numRuns: 600 },
  );
});

it('what lies on one piece keeps its distances', () => {
  fc.assert(
    fc.property(fc.array(operation, { maxLength: 8 }), (operations) => {
      const { features } = evaluatePlan(inputOf(frame, ...operations));
      const carried = features.filter(
        ({ status, piece }) => piece !== null && (status === 'stays' || status === 'moves'),
      );
      for (const [index, a] of carried.entries()) {
        const b = carried[index + 1];
        if (!b || b.piece !== a.piece) continue;
        const [here, there] = [a.places.left!, b.places.left!];
        expect(distance(here.built!, there.built!)).toBeNear(distance(here.donor!, there.donor!), 1e-7);
      }
    }),
    { numRuns: 300 },
  );
});

it('the same plan gives the same result', () => {
  fc.assert(
    fc.property(fc.array(operation, { maxLength: 6 }), (operations) => {
      expect(evaluatePlan(inputOf(frame, ...operations))).toEqual(evaluatePlan(inputOf({ ...frame }, ...operations)));
    }),
    { numRuns: 60 },
  );
});
