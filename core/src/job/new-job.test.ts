import fc from 'fast-check';
import { expect, it } from 'vitest';
import { evaluatePlan } from '../plan/index.ts';
import { STOCK_SECTIONS } from '../sections/index.ts';
import { inches } from '../units/index.ts';
import { checkJob, type FirstMeasures, measuringGuide, newJob } from './index.ts';

const first: FirstMeasures = {
  name: 'Bakery van',
  donor: 'Old cab-chassis',
  display: { unit: 'in', division: 16 },
  wheelbase: inches(133),
  ahead: inches(30),
  behind: inches(44),
  outsideWidth: inches(34),
  tireRadius: inches(15),
  cab: null,
  section: STOCK_SECTIONS.at(-1)!.section,
};

it('a new job is a right one, with the figures that were given', () => {
  const job = checkJob(newJob(first));
  const { after } = evaluatePlan(job).measures;
  expect(after.wheelbase).toBeNear(inches(133), 1e-9);
  expect(after.overallLength).toBeNear(inches(207), 1e-9);
  expect([after.widest, after.narrowest]).toEqual([inches(34), inches(34)]);
  expect(after.axleToEnd).toBeNear(inches(44), 1e-9);
});

it('suggests a datum hole on a whole mark of the shop’s tape', () => {
  const at = (of: FirstMeasures) => newJob(of).donor.features.find(({ id }) => id === 'datum')!.x;
  for (const wheelbase of [inches(133), inches(141.3), 3217]) {
    const [inch, metric] = [
      at({ ...first, wheelbase }),
      at({ ...first, wheelbase, display: { unit: 'mm', division: 16 } }),
    ];
    expect(inch / inches(1)).toBeNear(Math.round(inch / inches(1)), 1e-9);
    expect(metric / 10).toBeNear(Math.round(metric / 10), 1e-9);
    expect(Math.abs(inch - 0.2 * wheelbase)).toBeLessThanOrEqual(inches(0.5) + 1e-9);
  }
});

it('leaves the guide asking for the rest', () => {
  const asks = measuringGuide(newJob(first));
  expect(asks.find(({ id }) => id === 'sections')).toMatchObject({
    state: 'partly',
    where: expect.stringMatching(/Only picked/),
  });
  expect(asks.filter(({ state }) => state === 'missing').map(({ id }) => id)).toEqual(
    expect.arrayContaining(['body', 'body-weights']),
  );
});

it('is right for any donor that can be', () => {
  const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(
      fc.record({
        wheelbase: length(800, 12_000),
        ahead: length(0, 2000),
        behind: length(0, 4000),
        outsideWidth: length(400, 2500),
        tireRadius: length(150, 800),
        section: fc.constantFrom(...STOCK_SECTIONS.map(({ section }) => section)),
      }),
      (measures) => {
        const job = newJob({ ...first, ...measures });
        expect(() => checkJob(job)).not.toThrow();
        expect(evaluatePlan(job).conflicts).toEqual([]);
      },
    ),
  );
});
