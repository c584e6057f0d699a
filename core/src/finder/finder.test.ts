import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LENGTHENED, lengthened, shares, SHORTENED, shortened } from '../../test/found.ts';
import { featureAt, inputOf, memberAt, plainFrame } from '../../test/frames.ts';
import { sprayer, van } from '../../test/joints.ts';
import { jobOf, ZOO } from '../../test/zoo.ts';
import type { Frame, Station } from '../frame/index.ts';
import { evaluatePlan, type PlanInput } from '../plan/index.ts';
import { type RuleId, ruleValue, withRule } from '../rules/index.ts';
import { inches } from '../units/index.ts';
import {
  baseOf,
  type FinderGoal,
  gridOf,
  groundOf,
  type JudgedOption,
  judgeOption,
  judgeContextOf,
  inputWith,
  type JudgeContext,
  operationAt,
  whereToCut,
} from './index.ts';

const members = [600, 2400, 4300, 5700].map((x) => memberAt(`cm${x}`, x));
/** A straight bare frame with no mass that bends it: what a place costs is then counted by hand. */
const frame = (changes: Partial<Frame> = {}, stations?: Station[]) =>
  inputOf(plainFrame({ crossmembers: members, ...changes }, stations));
const with_ = (...features: Frame['features']) => frame({ features: [...plainFrame().features, ...features] });
const stretch: FinderGoal = { of: 'wheelbase', by: 300 };
const shorten: FinderGoal = { of: 'wheelbase', by: -200 };

const judgeContext = (input: PlanInput, goal: FinderGoal): JudgeContext => {
  const base = baseOf(input, goal);
  return judgeContextOf(goal, base, groundOf(input, base));
};
const at = (input: PlanInput, goal: FinderGoal, x: number): JudgedOption =>
  judgeOption([operationAt(goal, goal.by, x, input)], judgeContext(input, goal));
const hours = ({ costs }: JudgedOption, code: string): readonly number[] =>
  costs.filter((cost) => cost.code === code).map((cost) => cost.hours);
const rule = (id: RuleId, { rules }: PlanInput = frame()) => ruleValue(rules, id);

describe('a place for a cut', () => {
  it('on a straight bare stretch costs its joints, and how hard the rail works there', () => {
    const judged = at(frame(), stretch, 1500);
    expect(judged.refusals).toEqual([]);
    expect(new Set(judged.costs.map(({ code }) => code))).toEqual(new Set(['joints', 'bending', 'fatigue']));
    expect(judged.hours).toBe(2 * rule('finder/joint'));
    expect(at(frame(), shorten, 1500).hours).toBe(rule('finder/joint'));
  });

  it('where a bracket is on the rail that comes out costs that bracket', () => {
    const input = with_(featureAt('perch', 1550, { kind: 'body-mount', movable: 're-drill' }));
    expect(hours(at(input, shorten, 1480), 'feature-lost')).toEqual([rule('finder/bracket')]);
    expect(hours(at(input, shorten, 1800), 'feature-lost')).toEqual([]);
  });

  it('through a stamp, where the wheelbase stays, or without room for plates is refused with the reason', () => {
    const stamped = with_(featureAt('stamp', 1500, { kind: 'identity-stamp', movable: 'no', ahead: 60, behind: 60 }));
    expect(at(stamped, stretch, 1500).refusals[0]).toMatchObject({ code: 'identity-stamp' });
    expect(at(frame(), stretch, 5000).refusals).toMatchObject([{ code: 'elsewhere' }]);
    expect(at(frame(), { of: 'rear-overhang', by: -100 }, 5850).refusals).toMatchObject([{ code: 'no-room' }]);
  });

  it('near a bend costs by how much straight rail is missing, by hand', () => {
    const bent = frame({}, [
      { x: 0, halfWidth: 430, top: 0, section: 'rail' },
      { x: 2000, halfWidth: 430, top: 0, section: 'rail' },
      { x: 3000, halfWidth: 380, top: 0, section: 'rail' },
      { x: 6000, halfWidth: 380, top: 0, section: 'rail' },
    ]);
    const wanted = rule('finder/straight');
    for (const short of [0.25, 0.5, 0.75])
      expect(hours(at(bent, stretch, 2000 - wanted * short), 'crooked')[0]).toBeCloseTo(
        rule('finder/crooked') * (1 - short),
        9,
      );
    expect(hours(at(bent, stretch, 2000 - wanted), 'crooked')).toEqual([]);
    expect(hours(at(bent, stretch, 2500), 'tapered')).toEqual([rule('finder/tapered')]);
  });

  it('whose ends lie apart costs what brings them together, left and right told', () => {
    const tapered = frame({}, [
      { x: 0, halfWidth: 430, top: 0, section: 'rail' },
      { x: 2500, halfWidth: 430, top: 0, section: 'rail' },
      { x: 3500, halfWidth: 380, top: 0, section: 'rail' },
      { x: 6000, halfWidth: 380, top: 0, section: 'rail' },
    ]);
    const judged = at(tapered, shorten, 2900);
    // 200 mm of a taper of 1 in 20: 10 mm on each side.
    expect(judged.ends[0]).toMatchObject({ verdict: 'needs-a-transition-piece' });
    expect(judged.ends[0]!.left).toBeCloseTo(10, 6);
    expect(judged.ends[0]!.right).toBeCloseTo(10, 6);
    expect(hours(judged, 'apart')[0]).toBeCloseTo((rule('finder/apart') * 10) / inches(1 / 8), 6);
    expect(hours(judged, 'ends-needs-a-transition-piece')).toEqual([rule('finder/transition')]);
  });

  it('under a cab, a tank or an engine costs what is in the way, once', () => {
    const input = frame({
      features: [
        ...plainFrame().features,
        featureAt('cab-1', 1000, { kind: 'cab-mount', movable: 're-drill' }),
        featureAt('cab-2', 2000, { kind: 'cab-mount', movable: 're-drill' }),
      ],
      units: [
        {
          id: 'cab',
          name: 'Cab',
          kind: 'cab',
          mounts: [
            { kind: 'feature', id: 'cab-1' },
            { kind: 'feature', id: 'cab-2' },
          ],
        },
      ],
    });
    const judged = at(input, stretch, 1500);
    expect(hours(judged, 'access')).toEqual([rule('finder/cab')]);
    expect(hours(judged, 'mount-left')).toEqual([rule('finder/bracket')]);
    expect(hours(at(input, stretch, 2000 + rule('finder/reach') + 100), 'access')).toEqual([]);
  });

  it('through a suspension is refused unless the shop says otherwise, and then costs', () => {
    const x = inches(124);
    const told = { ...van, rules: withRule(van.rules, 'finder/split-suspension', 1) };
    const goal: FinderGoal = { of: 'wheelbase', by: inches(6) };
    expect(at(van, goal, x).refusals.map(({ code }) => code)).toContain('unit-split');
    const judged = at(told, goal, x);
    expect(judged.refusals.map(({ code }) => code)).not.toContain('unit-split');
    expect(hours(judged, 'unit-split')[0]).toBe(rule('finder/suspension'));
  });
});

const CAB_TO_AXLE: FinderGoal = { of: 'cab-to-axle', by: -inches(12) };

/** The best place of all on a grid, each judged by the evaluation of its plan. */
function exhaustive(input: PlanInput, goal: FinderGoal, step: number) {
  const judge = judgeContext(input, goal);
  const { xs } = gridFrom(input, step);
  let best = { x: NaN, score: Infinity };
  let count = 0;
  for (const x of xs) {
    if (goal.by < 0 && x - goal.by > xs.at(-1)!) break;
    const judged = judgeOption([operationAt(goal, goal.by, x, input)], judge);
    count += 1;
    if (judged.refusals.length === 0 && judged.score < best.score - 1e-9) best = { x, score: judged.score };
  }
  return { ...best, count };
}

function gridFrom({ donor }: PlanInput, step: number) {
  const stations = donor.rails.kind === 'mirrored' ? donor.rails.stations : donor.rails.left;
  const datum = donor.features.find(({ id }) => id === donor.datum)!.x;
  const [from, to] = [stations[0]!.x + 1, stations.at(-1)!.x - 1];
  const first = Math.ceil((from - datum) / step);
  const count = Math.floor((to - datum) / step) - first + 1;
  return { xs: Array.from({ length: count }, (_, index) => datum + (first + index) * step) };
}

describe('how hard the rail works', () => {
  it('weighs by what is bent, what the joint carries of the rail, and its worst detail', () => {
    const judged = at(frame(), stretch, 2500);
    const share = hours(judged, 'bending')[0]! / rule('finder/bending');
    // Between the axles of a bare frame the middle is bent hardest, or the longer overhang.
    expect(share).toBeGreaterThan(0);
    expect(share).toBeLessThanOrEqual(1);
    const told = judged.costs.find(({ code }) => code === 'fatigue')!;
    const detail = Number(/class (\d+)/.exec(told.says)![1]);
    expect(told.hours).toBeCloseTo(rule('finder/fatigue') * share * (1 - detail / rule('fatigue/butt-flush')), 2);
  });
});

describe('a shorter middle and a trimmed tail', () => {
  const goal: FinderGoal = { of: 'wheelbase', by: -inches(23.625), tail: -inches(6) };
  it('are one option: the tail comes off with whatever is done in the middle', () => {
    const { answers, replaced } = whereToCut(sprayer, goal);
    expect(replaced.map(({ kind }) => kind)).toEqual(['shorten']);
    const { after } = evaluatePlan(inputWith(baseOf(sprayer, goal), answers[0]!.operations)).measures;
    expect(after.wheelbase! / 25.4).toBeCloseTo(133.875, 6);
    const bare = evaluatePlan(baseOf(sprayer, goal).input).measures.after;
    expect((bare.axleToEnd! - after.axleToEnd!) / 25.4).toBeCloseTo(6, 3);
    expect(hours(answers[0]!.judged, 'trim')).toEqual([rule('finder/trim')]);
    expect(answers[0]!.judged.score).toBeGreaterThan(shortened().answers[0]!.judged.score);
  });
});

describe('the search', () => {
  it('finds what judgeContext every single place finds', () => {
    const { input, goal } = LENGTHENED;
    const single = lengthened().answers.find(({ cuts }) => cuts.length === 1)!;
    const all = exhaustive(input, goal, gridOf(input.display));
    expect(all.count).toBeGreaterThan(2500);
    // Of places that score alike it takes one in the middle.
    expect(Math.abs(single.judged.score - all.score)).toBeLessThan(0.006);
  });

  it.each([
    ['shortened', () => shortened(), SHORTENED.goal],
    ['cab to axle', () => whereToCut(sprayer, CAB_TO_AXLE), CAB_TO_AXLE],
  ] as const)('is beaten by no place of every fifth: sprayer, %s', (_, found, goal) => {
    const single = found().answers.find(({ cuts }) => cuts.length === 1)!;
    const all = exhaustive(sprayer, goal, 5 * gridOf(sprayer.display));
    expect(all.count).toBeGreaterThan(500);
    expect(single.judged.score).toBeLessThan(all.score + 0.006);
  });

  it('finds what judgeContext every pair on a coarse grid finds', () => {
    const { goal } = SHORTENED;
    const half = -Math.round(23.625 * 8) / 16;
    const [first, second] = [inches(half), goal.by - inches(half)];
    const judge = judgeContext(sprayer, goal);
    const { input } = judge.base;
    const { xs } = gridFrom(input, inches(4));
    let best = Infinity;
    for (const [index, a] of xs.entries())
      for (const b of xs.slice(index + 1)) {
        if (b + inches(12) > xs.at(-1)!) continue;
        const judged = judgeOption(
          [operationAt(goal, first, a, input, 1), operationAt(goal, second, b, input, 2)],
          judge,
        );
        if (judged.refusals.length === 0) best = Math.min(best, judged.score);
      }
    const { answers } = shortened();
    const pair = answers.find(({ cuts }) => cuts.length === 2)!;
    expect(best).toBeLessThan(Infinity);
    expect(pair.judged.score).toBeLessThanOrEqual(best + 0.006);
  });

  it('every answer is a plan that gives what was asked for, is not refused, and ranks by its score', () => {
    for (const [{ input, goal }, { answers, counted }] of [
      [LENGTHENED, lengthened()],
      [SHORTENED, shortened()],
    ] as const) {
      const judge = judgeContext(input, goal);
      expect(answers.length).toBeGreaterThan(4);
      expect(counted.pairs).toBeGreaterThan(100_000);
      const scores = answers.map(({ judged }) => judged.score);
      expect(scores).toEqual(scores.toSorted((a, b) => a - b));
      for (const { operations, judged, cuts } of answers) {
        expect(judgeOption(operations, judge)).toEqual(judged);
        expect(cuts.reduce((sum, cut) => sum + cut.by, 0)).toBeCloseTo(goal.by, 6);
        for (const { x, from, to } of cuts) {
          expect(x).toBeGreaterThanOrEqual(from);
          expect(x).toBeLessThanOrEqual(to);
          const steps = (x - cuts[0]!.x) / gridOf(input.display);
          expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6);
        }
      }
    }
  });

  it('gives distinct places: none of one cut is within the distance of another', () => {
    const { answers } = lengthened();
    const singles = answers.flatMap(({ cuts }) => (cuts.length === 1 ? [cuts[0]!.x] : []));
    for (const [index, a] of singles.entries())
      for (const b of singles.slice(index + 1))
        expect(Math.abs(a - b)).toBeGreaterThanOrEqual(rule('finder/distinct') - 1e-6);
  });

  it('a mirrored frame has the same answers', () => {
    const other = { left: 'right', right: 'left', both: 'both' } as const;
    const { rails, features } = sprayer.donor;
    const mirrored: PlanInput = {
      ...sprayer,
      donor: {
        ...sprayer.donor,
        rails: rails.kind === 'measured' ? { kind: 'measured', left: rails.right, right: rails.left } : rails,
        features: features.map((feature) => ({ ...feature, side: other[feature.side] })),
      },
    };
    const places = ({ answers }: ReturnType<typeof whereToCut>) =>
      answers.map(({ cuts, judged }) => [cuts.map(({ x }) => x.toFixed(3)), judged.score.toFixed(6)]);
    expect(places(whereToCut(mirrored, SHORTENED.goal))).toEqual(places(shortened()));
  });

  it('what stands in the way never makes a place better, nor does keeping farther from it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 900, max: 4000 }), fc.integer({ min: 10, max: 120 }), (x, wide) => {
        const kept = with_(featureAt('in-the-way', x, { movable: 'no', ahead: 40, behind: 40 }));
        const wider = with_(featureAt('in-the-way', x, { movable: 'no', ahead: 40 + wide, behind: 40 + wide }));
        const [free, near, far] = [frame(), kept, wider].map((input) => judgeContext(input, stretch));
        for (let place = 750; place < 4200; place += 150) {
          const operations = [operationAt(stretch, stretch.by, place, frame())];
          const [a, b, c] = [free!, near!, far!].map((judge) => judgeOption(operations, judge));
          for (const [better, worse] of [
            [a!, b!],
            [b!, c!],
          ] as const)
            if (worse.refusals.length === 0) {
              expect(better.refusals).toEqual([]);
              expect(worse.score).toBeGreaterThanOrEqual(better.score - 1e-9);
            }
        }
      }),
      { numRuns: 10 },
    );
  });

  it('the obvious cut behind the cab of the sprayer loses because its ends lie apart and a bed mount goes', () => {
    const { obvious, answers } = shortened();
    const cab = obvious.find(({ id }) => id === 'behind-the-cab')!;
    expect(cab.rank).not.toBe(1);
    expect(cab.says).toMatch(/apart sideways/);
    expect(cab.judged.costs.some(({ says }) => /Bed mount 1/.test(says))).toBe(true);
    expect(cab.judged.score).toBeGreaterThan(answers[0]!.judged.score + 10);
  });

  it('tells of every station of the frame, without a figure that is none, whatever the frame', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 200, max: 5800 }), { minLength: 0, maxLength: 12 }),
        fc.integer({ min: -900, max: 900 }).filter((by) => by !== 0),
        fc.constantFrom('wheelbase', 'rear-overhang', 'width', 'height', 'cab-to-axle'),
        (xs, by, of) => {
          const input = with_(
            ...xs.map((x, index) =>
              featureAt(
                `f${index}`,
                x,
                index % 2 ? {} : { kind: 'body-mount', movable: 're-drill', ahead: 40, behind: 40 },
              ),
            ),
          );
          const found = whereToCut(input, { of, by: by / 2 });
          expect(JSON.stringify(found)).not.toMatch(/NaN|Infinity/);
          for (const { from, to } of found.lanes.stretches) expect(to).toBeGreaterThanOrEqual(from);
          for (const { judged } of found.answers) expect(judged.score).toBeLessThan(1000);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('of a change that the frame has no room for it says so, in whatever direction', () => {
    for (const by of [-9000, -3700, 1e5]) {
      const found = whereToCut(frame(), { of: 'wheelbase', by });
      expect(JSON.stringify(found)).not.toMatch(/NaN|null,null/);
      if (by < 0) expect(found.answers).toEqual([]);
    }
  });

  it('tells how far it has come, up to the end', () => {
    lengthened();
    expect(shares.length).toBeGreaterThan(20);
    expect(shares.at(-1)).toBe(1);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  });
});

describe('on every frame of the zoo', () => {
  it.each(ZOO.map((animal) => [animal.name, animal] as const))('%s', (_, animal) => {
    const input: PlanInput = { ...jobOf(animal), bodies: [] };
    const goals: readonly FinderGoal[] = [
      { of: 'wheelbase', by: -140, tail: -30 },
      { of: 'height', by: -70 },
    ];
    for (const goal of goals) {
      const { of, by } = goal;
      if (baseOf(input, goal).now === null) continue;
      const found = whereToCut(input, goal);
      expect(JSON.stringify(found)).not.toMatch(/NaN|Infinity|undefined/);
      const judge = judgeContext(input, goal);
      for (const { operations, judged } of found.answers.slice(0, 2)) {
        expect(judged.refusals).toEqual([]);
        const now = evaluatePlan(inputWith(judge.base, operations));
        expect(now.operations.every(({ status }) => status !== 'refused')).toBe(true);
        if (of === 'wheelbase') expect(now.measures.after.wheelbase! - judge.base.now!).toBeCloseTo(by, -1.2);
      }
    }
  });
});
