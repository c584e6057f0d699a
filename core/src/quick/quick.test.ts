import { expect, it } from 'vitest';
import fc from 'fast-check';
import { whereToCut } from '../finder/index.ts';
import { checkJob } from '../job/index.ts';
import { markSheet } from '../markout/index.ts';
import { lazy } from '../lazy.ts';
import { STOCK_SECTIONS } from '../sections/index.ts';
import { inches } from '../units/index.ts';
import { quickAnswer, quickGoal, type QuickEntries, quickJob, quickProblems } from './index.ts';

const names = { name: 'Flatbed', donor: 'Straight frame' };
/** A straight cab-chassis; the channel has 7 3/8 in of web, 2 5/8 in of flange and a 3/16 in wall. */
const entries: QuickEntries = {
  display: { unit: 'in', division: 16 },
  goal: 'wheelbase',
  wanted: inches(150),
  section: { kind: 'channel', depth: inches(7.375), flange: inches(2.625), thickness: inches(3 / 16) },
  wheelbase: inches(130),
  width: inches(34),
  ahead: inches(30),
  frontHanger: inches(24),
  cabBack: inches(54),
  tankFront: inches(58),
  tankRear: inches(80),
  rearHangerAhead: inches(26),
  rearHangerBehind: inches(28),
  behind: inches(45),
};
let count = 0;
const newId = () => `op-${(count += 1)}`;
function answer(some: Partial<QuickEntries> = {}) {
  const all = { ...entries, ...some };
  expect(quickProblems(all)).toEqual([]);
  const job = checkJob(quickJob(all, names));
  const goal = quickGoal(job, all);
  return quickAnswer(job, goal.by, Math.abs(goal.by) < 0.5 ? null : whereToCut(job, goal), newId);
}

/** The job as entered: several tests look at the same answer. */
const usual = lazy(answer);

it('adds what is missing to the wheelbase, in a clear stretch between the tank and the rear spring', () => {
  const { by, cut, lengths, job } = usual();
  expect(by).toBeNear(inches(20), 1e-6);
  expect(lengths.map(({ after, before }) => [before, after])).toEqual([
    [expect.closeTo(inches(130), 6), expect.closeTo(inches(150), 6)],
    [expect.closeTo(inches(76), 6), expect.closeTo(inches(96), 6)],
    [expect.closeTo(inches(45), 6), expect.closeTo(inches(45), 6)],
    [expect.closeTo(inches(205), 6), expect.closeTo(inches(225), 6)],
  ]);
  if (cut.kind !== 'found') throw new Error(cut.kind);
  const [place] = cut.cuts;
  // Straps and hangers reach a few inches from their middles, 76 and 104.
  expect(place!.from).toBeGreaterThan(inches(76));
  expect(place!.to).toBeLessThan(inches(130 - 26));
  checkJob(job);
});

it('gives the blank its length, what it is cut to with kerf and gaps, and its weight by hand', () => {
  const { steel, job, result } = usual();
  const { newPieces } = markSheet(job, result);
  const { kerf, gaps } = newPieces[0]!;
  expect([steel.added[0]!.length, steel.added[0]!.cutTo]).toEqual([
    expect.closeTo(inches(20), 6),
    expect.closeTo(inches(20) + kerf - gaps, 6),
  ]);
  // (7.375 + 2 × 2.4375) × 3/16 = 2.297 in²; 20 in of it at 7850 kg/m³.
  const area = (7.375 + 2 * 2.4375) * (3 / 16) * 25.4 ** 2;
  expect(steel.added).toHaveLength(1);
  expect(steel.added[0]!.mass).toBeNear(area * inches(20) * 7.85e-6, 1e-3);
  expect(steel.removed).toBe(0);
});

it('predicts the diagonals from corner to corner', () => {
  const { diagonals } = usual();
  // Points lie 2 in inside both ends, on the outside edges.
  const diagonal = (length: number) => Math.hypot(length - inches(4), inches(34));
  expect(diagonals.map(({ before, predicted }) => [before, predicted])).toEqual(
    [1, 2].map(() => [expect.closeTo(diagonal(inches(205)), 6), expect.closeTo(diagonal(inches(225)), 6)]),
  );
});

it('says what happens to the shaft and to each line', () => {
  const { shaft, lines } = usual();
  expect(shaft!.after! - shaft!.before!).toBeNear(inches(20), 0.5);
  expect(lines.map(({ name, before, after }) => [name, (after ?? NaN) - (before ?? NaN)])).toEqual([
    ['Brake line', expect.closeTo(inches(20), 6)],
    // It ends at the tank, ahead of the cut.
    ['Fuel line', expect.closeTo(0, 6)],
    ['Rear harness', expect.closeTo(inches(20), 6)],
  ]);
});

it('takes out what is too long, and says how much comes out of each rail', () => {
  const { by, steel, lengths } = answer({ wanted: inches(126) });
  expect(by).toBeNear(inches(-4), 1e-6);
  expect([steel.added, steel.removed]).toEqual([[], expect.closeTo(inches(4), 6)]);
  expect(lengths[0]!.after).toBeNear(inches(126), 1e-6);
});

it('takes a cab-to-axle or a body length as what is wanted', () => {
  expect(answer({ goal: 'cab-to-axle', wanted: inches(84) }).by).toBeNear(inches(84 - 76), 1e-6);
  // From 2 in behind the cab to the end: 76 − 2 + 45 = 119.
  expect(answer({ goal: 'body-length', wanted: inches(144) }).by).toBeNear(inches(144 - 119), 1e-6);
});

it('needs no cut where it is long enough', () => {
  const { cut, steel, job } = answer({ wanted: inches(130) });
  expect([cut.kind, steel.added, job.plan.operations]).toEqual(['none-needed', [], []]);
});

it('finds no place for more than the frame has, and says so', () => {
  const { cut } = answer({ wanted: inches(6) });
  expect(cut).toMatchObject({ kind: 'none-found', why: expect.stringMatching(/\w/) });
});

it('counts everything as assumed, and asks for five measurements first', () => {
  const { job, measureFirst } = usual();
  const { features, axles, points, lines, rooms, sections, rails } = job.donor;
  const stations = rails.kind === 'mirrored' ? rails.stations : [];
  const all = [...features, ...axles, ...points, ...lines, ...rooms, ...sections, ...stations];
  expect(all.filter(({ origin }) => origin !== 'assumed')).toEqual([]);
  expect(measureFirst.map(({ id }) => id)).toEqual(['axles', 'stations', 'crossmembers', 'suspension', 'sections']);
});

it('says what the place was chosen without, where hangers and tank were left out', () => {
  const bare = answer({
    frontHanger: null,
    rearHangerAhead: null,
    rearHangerBehind: null,
    tankFront: null,
    tankRear: null,
    cabBack: null,
  });
  expect(bare.unmeasured.map(({ lane }) => lane)).toEqual(expect.arrayContaining(['suspension', 'members', 'bend']));
  expect(bare.lengths[1]).toMatchObject({ before: null, after: null });
});

it.each([
  [{ wheelbase: null }, 'wheelbase', /Enter wheelbase now/],
  [{ wanted: null }, 'wanted', /Enter the wheelbase that you want/],
  [{ wanted: -3 }, 'wanted', /more than 0/],
  [{ width: 0 }, 'width', /from 8 in to/],
  [{ ahead: -1 }, 'ahead', /from 0 in to/],
  [{ cabBack: null, goal: 'cab-to-axle' }, 'cabBack', /Enter back of cab/],
  [{ cabBack: inches(140) }, 'cabBack', /behind the rear axle/],
  [{ tankRear: null }, 'tankRear', /front and the rear of the tank/],
  [{ tankRear: inches(50) }, 'tankRear', /behind its front/],
  [{ tankRear: inches(200) }, 'tankRear', /behind the frame/],
  [{ rearHangerAhead: null }, 'rearHangerAhead', /both hangers/],
  [{ rearHangerAhead: inches(131) }, 'rearHangerAhead', /ahead of the front axle/],
  [{ rearHangerBehind: inches(46) }, 'rearHangerBehind', /behind the end/],
  [{ frontHanger: inches(110) }, 'frontHanger', /ends behind the rear spring/],
  [{ section: { kind: 'channel', depth: 10, flange: 10, thickness: 8 } }, 'section', /./],
] as const)('does not take %j', (wrong, field, message) => {
  const problems = quickProblems({ ...entries, ...wrong });
  expect(problems.find((problem) => problem.field === field)?.message).toMatch(message);
});

it('makes a right job of any entries without a problem', () => {
  const mm = (max: number) =>
    fc.option(
      fc.integer({ min: 0, max: 4 * max }).map((quarters) => quarters / 4),
      { nil: null },
    );
  fc.assert(
    fc.property(
      fc.record({
        wheelbase: mm(8000),
        wanted: mm(8000),
        width: mm(1200),
        ahead: mm(1500),
        frontHanger: mm(900),
        cabBack: mm(3000),
        tankFront: mm(3000),
        tankRear: mm(4000),
        rearHangerAhead: mm(1000),
        rearHangerBehind: mm(1000),
        behind: mm(2500),
        section: fc.constantFrom(...STOCK_SECTIONS.map(({ section }) => section)),
        goal: fc.constantFrom('wheelbase', 'cab-to-axle', 'body-length'),
      }),
      (some) => {
        const all: QuickEntries = { ...entries, ...some };
        fc.pre(quickProblems(all).length === 0);
        const job = checkJob(quickJob(all, names));
        expect(Number.isFinite(quickGoal(job, all).by)).toBe(true);
      },
    ),
    { numRuns: 150, seed: 28 },
  );
});
