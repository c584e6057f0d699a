import { GRAVITY } from '../../units/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Bare, donor, featureAt, inputOf, plainFrame, pointAt } from '../../../test/frames.ts';
import { tour, van } from '../../../test/joints.ts';
import type { Frame } from '../../frame/index.ts';
import type { Shore, Shoring } from '../../shoring/index.ts';
import {
  evaluatePlan,
  evaluateShoring,
  neutralOf,
  type PlanInput,
  withNeutralStands,
  withoutOperation,
} from '../index.ts';

/** kg of one rail of the plain frame for each mm: a tube 150 × 60 × 5 of steel. */
const PER_MM = (150 * 60 - 140 * 50) * 7.85e-6;

const lengthen: Bare = { kind: 'lengthen', at: donor(2000), length: 300 };
const shorten: Bare = { kind: 'shorten', from: donor(2500), to: donor(2900) };
const stand = (id: string, x: number, changes: Partial<Shore> = {}): Shore => ({
  id,
  kind: 'stand',
  side: 'both',
  x,
  to: x,
  rise: 0,
  shim: 0,
  floor: 0,
  step: null,
  note: '',
  ...changes,
});
const on = (input: PlanInput, shores: readonly Shore[], changes: Partial<Shoring> = {}): PlanInput => ({
  ...input,
  plan: { ...input.plan, shoring: { ...input.plan.shoring, shores, ...changes } },
});
const only = (input: PlanInput) => evaluateShoring(input).steps[0]!;
const codes = (input: PlanInput) => evaluateShoring(input).findings.map(({ code }) => code);
const plain = inputOf(plainFrame(), lengthen);

describe('what is remembered while a stand is moved', () => {
  /** The same input as other objects throughout: nothing of it can be remembered. */
  const fresh = (input: PlanInput): PlanInput => structuredClone(input);
  const told = (input: PlanInput) => {
    const { steps, findings } = evaluateShoring(input);
    const parts = ({ whole, loose }: (typeof steps)[number]) =>
      [whole, ...loose].map(({ name, mass, center, stands }) => ({
        name,
        mass,
        center,
        loads: stands.map(({ load }) => load),
      }));
    return JSON.stringify([steps.map((step) => [step.letters, parts(step), step.weightless]), findings]);
  };
  const [first] = van.plan.shoring.shores;
  const moved = on(van, [{ ...first!, x: first!.x + 40 }, ...van.plan.shoring.shores.slice(1)]);
  const { features, units } = van.donor;
  /** Plans that share their operations, and differ elsewhere. */
  const plans: readonly (readonly [string, PlanInput])[] = [
    ['as it is', van],
    ['a stand moved', moved],
    ['a unit taken off', on(van, van.plan.shoring.shores, { off: units.map(({ id }) => ({ id, step: null })) })],
    [
      'units that stay where they are',
      { ...van, plan: { ...van.plan, stays: [{ unit: units[0]!.id, mount: units[0]!.mounts[0]!.id }] } },
    ],
    [
      'something heavier',
      { ...van, donor: { ...van.donor, features: features.map((each) => ({ ...each, mass: each.mass + 7 })) } },
    ],
    ['as it is, again', van],
  ];

  it.each(plans)('is never of another plan: %s', (_, input) => {
    for (const [, other] of plans) told(other);
    expect(told(input)).toBe(told(fresh(input)));
  });

  it('is not evaluated again', () => {
    const [step, after] = [only(van), only(moved)];
    expect(after.pieces[0]!.piece).toBe(step.pieces[0]!.piece);
    expect(only(fresh(moved)).pieces[0]!.piece).not.toBe(step.pieces[0]!.piece);
  });
});

describe('a plain frame cut in two', () => {
  const held = on(
    plain,
    [300, 1500, 2400, 5500].map((x, at) => stand(`s${at}`, x)),
  );

  it('weighs what its steel weighs, on each side of the cut and together', () => {
    const { whole, loose, cuts } = only(held);
    expect(whole.mass).toBeNear(2 * 6000 * PER_MM, 1e-6);
    expect(whole.mass).toBeNear(evaluatePlan(held).measures.before.mass, 1e-9);
    expect(loose.map(({ name }) => name)).toEqual(['Front part', 'Rear part']);
    expect(loose.map(({ mass }) => mass)).toEqual([
      expect.closeTo(2 * 2000 * PER_MM, 9),
      expect.closeTo(2 * 4000 * PER_MM, 9),
    ]);
    expect(loose[1]!.center.x).toBeNear(4000, 1e-6);
    expect(cuts).toHaveLength(1);
    expect(cuts[0]!.depth).toBe(150);
  });

  it('each part on its two pairs, by levers', () => {
    const { loose } = only(held);
    // The rear part balances at 4000 between stands at 2400 and 5500; half on each rail.
    const weight = 2 * 4000 * PER_MM * GRAVITY;
    const behind = (weight * (4000 - 2400)) / (5500 - 2400);
    expect(loose[1]!.stands.map(({ load }) => load)).toEqual([
      expect.closeTo((weight - behind) / 2, 4),
      expect.closeTo((weight - behind) / 2, 4),
      expect.closeTo(behind / 2, 4),
      expect.closeTo(behind / 2, 4),
    ]);
    // Under the middle of a rail 60 wide, 430 from the middle of the frame to its outside.
    expect(loose[1]!.stands[0]!.at).toEqual({ x: 2400, y: -400, z: -150 });
    expect(loose[1]!.stability.margins).toMatchObject({ front: 1600, rear: 1500, left: 400, nearest: 400 });
  });

  it('on the loads that leave nothing at the cut, nothing is there', () => {
    const [cut] = only(held).cuts;
    const neutral = neutralOf(cut!)!;
    expect(neutral.loads.reduce((sum, load) => sum + load, 0)).toBeNear(2 * 6000 * PER_MM * GRAVITY, 1e-6);
    const shims = [stand('s0', 300), stand('s1', 1500), stand('s2', 2400), stand('s3', 5500)];
    const shimmed = only(
      on(
        plain,
        shims.map((shore, at) => ({ ...shore, shim: neutral.shims[at]! })),
      ),
    ).cuts[0]!;
    expect(Math.abs(shimmed.kerf.before!.moment)).toBeLessThan(1);
    expect(Math.abs(shimmed.kerf.before!.shear)).toBeLessThan(0.01);
    expect(shimmed.advice).toMatchObject({ pinches: 'neither', begin: 'either' });
    // Level, it sags or hogs; then it closes on one side and is begun from the other.
    const level = cut!.advice;
    expect(level.pinches).not.toBe('neither');
    expect(level.begin).toBe(level.pinches === 'top' ? 'bottom' : 'top');
    expect(level.last).toBe(level.pinches);
  });

  it('a part that would go over, or has nothing under it, stops the cut with the reason and how far', () => {
    const tipping = on(plain, [stand('a', 300), stand('b', 1500), stand('c', 2400), stand('d', 3600)]);
    const [finding] = evaluateShoring(tipping).findings;
    expect(finding).toMatchObject({ code: 'stands/tips', severity: 'stop' });
    // It balances at 4000, 400 behind the last stand: 15 3/4 in.
    expect(finding!.message).toBe(
      'Rear part goes rear down once it is cut free: it balances 15 3/4 in behind its last stand. It goes over the stand under both rails at 137 13/16 in scant; how far its cut front end moves is not known without the height over the floor.',
    );
    expect(codes(on(plain, [stand('a', 300), stand('b', 1500)]))).toContain('stands/nothing-under');
    expect(codes(on(plain, [stand('a', 300), stand('b', 1500), stand('c', 4000)]))).toContain('stands/balances');
  });

  it('a part that goes over turns about two stands until its rails meet the floor; its cut end goes up by that', () => {
    const stands = [stand('a', 300), stand('b', 1500), stand('c', 2400), stand('d', 3600)];
    const part = only(on(plain, stands, { level: 700 })).loose[1]!;
    expect(part.edge!.map(({ shore, side }) => [shore.id, side])).toEqual([
      ['d', 'left'],
      ['d', 'right'],
    ]);
    // Undersides 550 over the floor, 2400 from the stands to the end: sin θ = 550/2400; the cut end is 1600 ahead of them,
    // its top 150 higher.
    const angle = Math.asin(550 / 2400);
    expect(part.freed).toEqual([
      { end: 'front', moves: expect.closeTo(1600 * Math.sin(angle) - 150 * (1 - Math.cos(angle)), 6) },
    ]);
    // Three stands: the part goes over the slanted line between the two that its weight lies beyond.
    const three = [
      stand('e', 2400, { side: 'left' }),
      stand('f', 2400, { side: 'right' }),
      stand('g', 4500, { side: 'left' }),
    ];
    const slanted = only(on(plain, [stand('a', 300), stand('b', 1500), ...three], { level: 700 })).loose[1]!;
    expect(slanted.stability.state).toBe('tips');
    expect(slanted.edge!.map(({ shore }) => shore.id).sort()).toEqual(['f', 'g']);
  });

  it('three stands under a part: loads that leave nothing at the cut', () => {
    const stations = [300, 1000, 1700, 2400, 5500];
    const five = (shims: readonly number[]) =>
      only(
        on(
          plain,
          stations.map((x, at) => stand(`s${at}`, x, { shim: shims[at] ?? 0 })),
        ),
      ).cuts[0]!;
    const neutral = neutralOf(five([]))!;
    const weight = 2 * 6000 * PER_MM * GRAVITY;
    // The front part alone, 2000 long and even, on 300 | 1000 | 1700: three moments, M = w·300²/2 at the outer two.
    const w = weight / 6000;
    const outer = (w * 300 ** 2) / 2;
    const middle = (w * 700 ** 2) / 8 - outer / 2;
    expect(neutral.loads[1]).toBeNear(w * 700 + (2 * (middle - outer)) / 700, 1e-6 * weight);
    expect(neutral.loads.slice(0, 3).reduce((sum, load) => sum + load, 0)).toBeNear(w * 2000, 1e-6 * weight);
    const there = five(neutral.shims).kerf.before!;
    expect(Math.abs(there.moment)).toBeLessThan(1);
    expect(Math.abs(there.shear)).toBeLessThan(0.01);
  });

  it('a threaded leg stands on the floor and carries; a threaded rod ties', () => {
    const pairs = [stand('a', 300), stand('b', 1500), stand('c', 2400)];
    const legged = only(on(plain, [...pairs, stand('d', 5500, { kind: 'leg' })]));
    expect(legged.loose.map(({ stability }) => stability.state)).toEqual(['stays', 'stays']);
    expect(legged.loose[1]!.stands.every(({ load }) => load !== null && load > 0)).toBe(true);
    const rod = only(on(plain, [...pairs, stand('d', 1500, { kind: 'rod', to: 2500 })]));
    expect(rod.loose).toHaveLength(1);
  });

  it('a strongback keeps both sides one, and holds what the steel held; clamps are not trusted to', () => {
    const short = [stand('a', 300), stand('b', 3900)];
    const tie = (kind: 'strongback' | 'clamp') => stand('t', 1500, { kind, to: 2500 });
    expect(codes(on(plain, short))).toContain('stands/tips');
    const tied = on(plain, [...short, tie('strongback')]);
    const { loose, cuts } = only(tied);
    expect(loose).toHaveLength(1);
    expect(loose[0]!.mass).toBeNear(2 * 6000 * PER_MM, 1e-6);
    expect(cuts[0]!.inTies).toBeNear(cuts[0]!.kerf.before!.moment, 1e-9);
    expect(codes(tied)).toEqual(['stands/in-ties']);
    expect(codes(on(plain, [...short, tie('clamp')]))).toContain('stands/tips');
  });

  it('a strap holds down what would lift, and is said to be all that does', () => {
    const straps = [stand('a', 300), stand('b', 1500), stand('c', 2600), stand('d', 3800)];
    expect(codes(on(plain, straps))).toContain('stands/tips');
    const held = on(plain, [...straps, stand('e', 2300, { kind: 'strap' })]);
    expect(codes(held)).toContain('stands/strapped');
    expect(codes(held)).not.toContain('stands/tips');
  });

  it('a jack is never all that holds a part', () => {
    const jacks = [stand('a', 300), stand('b', 1500), ...[2600, 5500].map((x) => stand(`j${x}`, x, { kind: 'jack' }))];
    expect(codes(on(plain, jacks))).toContain('stands/jack-alone');
    expect(codes(on(plain, [...jacks, stand('s', 5000)]))).not.toContain('stands/jack-alone');
  });

  it('a stand is as high as the steel over the floor where it stands', () => {
    const { loose } = only(on(plain, [stand('a', 300, { floor: -12 }), stand('b', 1500)], { level: 700 }));
    // The rail is 150 deep below the datum plane, and the floor 12 lower there.
    expect(loose[0]!.stands[0]!.height).toBeNear(700 - 150 + 12, 1e-9);
    expect(only(held).loose[0]!.stands[0]!.height).toBeNull();
  });

  it('a stand off the steel, or for another cut, is not counted', () => {
    expect(codes(on(plain, [...held.plan.shoring.shores, stand('off', 9000)]))).toContain('stands/idle');
    const other = held.plan.shoring.shores.map((shore) => ({ ...shore, step: 'another' }));
    expect(only(on(plain, other)).whole.stability.state).toBe('falls');
  });
});

describe('rail that is cut out', () => {
  it('is cut where less is in the steel first; what comes out weighs its length, and is held by hand up to a limit', () => {
    const input = on(
      inputOf(plainFrame(), shorten),
      [300, 2000, 3400, 5500].map((x) => stand(`s${x}`, x)),
    );
    const { cuts, loose } = only(input);
    expect(cuts.map(({ name }) => name).toSorted()).toEqual(['A, front line', 'A, rear line']);
    expect(loose.map(({ name, removed }) => [name, removed])).toEqual([
      ['Front part', false],
      ['What is cut out', true],
      ['Rear part', false],
    ]);
    expect(loose[1]!.mass).toBeNear(2 * 400 * PER_MM, 1e-6);
    expect(codes(input)).toContain('stands/cut-out');
    const strict = { ...input, rules: { ...input.rules, changes: { 'stands/by-hand': 5 } } };
    expect(codes(strict)).toContain('stands/cut-out-heavy');
    expect(codes(on(strict, [...input.plan.shoring.shores, stand('s2600', 2600), stand('s2800', 2800)]))).not.toContain(
      'stands/cut-out-heavy',
    );
  });

  it('a pie cut leaves the flange that it folds about: nothing is loose', () => {
    const pie: Bare = {
      kind: 'pie-cut',
      at: donor(5000),
      pivot: 'top',
      mode: 'close',
      turned: 'rear',
      amount: { by: 'angle', angle: 0.05 },
      wedge: 'symmetric',
    };
    const step = only(on(inputOf(plainFrame(), pie), [stand('a', 500), stand('b', 4500)]));
    expect(step.pieces.map(({ removed }) => removed)).toEqual([false, true, false]);
    expect(step.loose).toHaveLength(1);
    expect(step.cuts[0]!.tied).toEqual(['the flange that it folds about']);
  });
});

describe('what is on the frame', () => {
  const cab = (changes: Partial<Frame> = {}) =>
    plainFrame({
      features: [
        ...plainFrame().features,
        featureAt('m1', 800, { kind: 'cab-mount' }),
        featureAt('m2', 2400, { kind: 'cab-mount' }),
      ],
      units: [
        {
          id: 'cab',
          name: 'Cab',
          kind: 'cab',
          mounts: [
            { kind: 'feature', id: 'm1' },
            { kind: 'feature', id: 'm2' },
          ],
        },
      ],
      points: [
        {
          id: 'w',
          name: 'Cab weight',
          kind: 'mass',
          x: 1200,
          y: 0,
          z: 600,
          mass: 400,
          carrier: { kind: 'unit', id: 'cab' },
        },
      ],
      ...changes,
    });
  const stands = [300, 1600, 2600, 5500].map((x) => stand(`s${x}`, x));
  const input = on(inputOf(cab(), lengthen), stands);

  it('a unit bears at its mounts by levers, on both sides of the cut', () => {
    const { loose, spanning } = only(input);
    // 400 kg, 400 behind a mount and 1200 ahead of the other.
    expect(loose[0]!.mass).toBeNear(2 * 2000 * PER_MM + 300, 1e-6);
    expect(loose[1]!.mass).toBeNear(2 * 4000 * PER_MM + 100, 1e-6);
    expect(spanning).toEqual([{ unit: 'cab', name: 'Cab', ahead: ['m1'], behind: ['m2'], holds: false }]);
    expect(codes(input)).toContain('stands/spans');
  });

  it('a unit that nobody weighed is said, until it is weighed or off', () => {
    const unweighed = on({ ...input, donor: cab({ points: [] }) }, stands);
    expect(evaluateShoring(unweighed).findings.find(({ code }) => code === 'stands/no-weight')?.message).toMatch(
      /^No weight is given for cab:/,
    );
    expect(codes(on(unweighed, stands, { off: [{ id: 'cab', step: null }] }))).not.toContain('stands/no-weight');
    expect(codes(input)).not.toContain('stands/no-weight');
  });

  it('an axle that rides on a unit is its weight: the unit is not missing one, and comes off with it', () => {
    const axle = { ...cab().axles[0]!, id: 'front-axle' };
    const heavy = {
      ...pointAt('w', axle.x, 0, -150),
      kind: 'mass' as const,
      mass: 200,
      carrier: { kind: 'axle', id: axle.id },
    };
    const donorOf = cab({
      axles: [{ ...axle, carrier: { kind: 'unit', id: 'cab' } }, ...cab().axles.slice(1)],
      points: [heavy as never],
    });
    const weighed = on({ ...input, donor: donorOf }, stands);
    expect(codes(weighed)).not.toContain('stands/no-weight');
    expect(only(weighed).whole.mass).toBeNear(2 * 6000 * PER_MM + 200, 1e-6);
    expect(only(on(weighed, stands, { off: [{ id: 'cab', step: null }] })).whole.mass).toBeNear(
      2 * 6000 * PER_MM,
      1e-6,
    );
  });

  it('taken off for one cut, it is on the frame at the others, and with the cut its being off goes', () => {
    const [first] = input.plan.operations;
    const later = inputOf(input.donor, shorten).plan.operations[0]!;
    const both = { ...input, plan: { ...input.plan, operations: [first!, { ...later, id: 'later' }] } };
    const off = on(both, stands, { off: [{ id: 'cab', step: 'later' }] });
    const masses = evaluateShoring(off).steps.map(({ whole }) => whole.mass);
    const kept = evaluateShoring(on(both, stands)).steps.map(({ whole }) => whole.mass);
    expect(kept[1]! - masses[1]!).toBeNear(400, 1e-6);
    expect(kept[0]).toBeNear(masses[0]!, 1e-9);
    expect(withoutOperation(off.plan, 'later').shoring.off).toEqual([]);
  });

  it('taken off it weighs nothing and spans nothing; counted on, it holds both sides', () => {
    const off = on(input, stands, { off: [{ id: 'cab', step: null }] });
    expect(only(off).whole.mass).toBeNear(2 * 6000 * PER_MM, 1e-6);
    expect(only(off).spanning).toEqual([]);
    const holding = on(input, stands, { holding: ['cab'] });
    expect(only(holding).loose).toHaveLength(1);
    expect(codes(holding)).not.toContain('stands/tips');
  });
});

describe('stands in one press', () => {
  let count = 0;
  const neutral = (input: PlanInput, operation: string) =>
    withNeutralStands(input, operation, () => `new-${(count += 1)}`);

  it.each([
    ['a plain frame', plain, 'op1'],
    ['the flagship', van, 'stretch'],
    ['a frame with legs', tour, tour.plan.operations[0]!.id],
  ] as const)('%s: every part stands, with what it wants to spare, clear of the cut', (_, input, operation) => {
    const shoring = neutral(input, operation)!;
    const step = evaluateShoring({ ...input, plan: { ...input.plan, shoring } }).steps.find(
      (each) => each.operation.id === operation,
    )!;
    for (const part of step.loose.filter(({ removed }) => !removed)) {
      expect(part.stability.state).toBe('stays');
      expect(part.stability.margins!.nearest).toBeGreaterThan(100);
      for (const { at } of part.stands) {
        expect(Math.min(...step.cuts.map(({ x }) => Math.abs(x - at.x)))).toBeGreaterThanOrEqual(152.4 - 1e-6);
      }
    }
    expect(neutralOf(step.cuts[0]!)).not.toBeNull();
  });

  it('takes the place of what held that cut up, and leaves the rest', () => {
    const tie = stand('t', 1800, { kind: 'strongback', to: 2200, step: 'op1' });
    const first = on(plain, [tie, stand('old', 4000, { step: 'op1' }), stand('all-along', 5900)]);
    const { shores } = neutral(first, 'op1')!;
    expect(shores.map(({ id }) => id).slice(0, 2)).toEqual(['t', 'all-along']);
    expect(shores.some(({ id }) => id === 'old')).toBe(false);
    expect(neutral(plain, 'nothing')).toBeNull();
  });
});

it('one cut at a time, unless the shop opens several at once', () => {
  const two = on(inputOf(plainFrame(), lengthen, { kind: 'lengthen', at: donor(4000), length: 200 }), [
    stand('a', 300),
    stand('b', 5500),
  ]);
  const found = evaluateShoring(two).findings.filter(({ code }) => code === 'stands/one-cut');
  expect(found.map(({ message }) => message)).toEqual(['One cut at a time: fit up and tack cut A·B before cut C·D.']);
  const both = { ...two, rules: { ...two.rules, changes: { 'stands/one-cut': 1 } } };
  expect(evaluateShoring(both).findings.map(({ code }) => code)).not.toContain('stands/one-cut');
});

it('whatever the cuts and stands, the parts weigh what the frame weighs, and no figure is lost', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 300, max: 5600 }),
      fc.integer({ min: 1, max: 900 }),
      fc.array(fc.integer({ min: -100, max: 6100 }), { maxLength: 6 }),
      fc.boolean(),
      (from, long, places, out) => {
        const operation: Bare = out
          ? { kind: 'shorten', from: donor(from), to: donor(Math.min(5900, from + long)) }
          : { kind: 'lengthen', at: donor(from), length: long };
        const input = on(
          inputOf(plainFrame(), operation),
          places.map((x, at) => stand(`s${at}`, x, { shim: at })),
        );
        for (const step of evaluateShoring(input).steps) {
          const sum = step.loose.reduce((mass, part) => mass + part.mass, 0);
          expect(sum).toBeNear(step.whole.mass, 1e-6);
          for (const part of [step.whole, ...step.loose]) {
            const loads = part.stands.flatMap(({ load }) => load ?? []);
            expect(loads.every((load) => Number.isFinite(load) && load >= -1e-6)).toBe(true);
            if (loads.length > 0)
              expect(loads.reduce((total, load) => total + load, 0)).toBeNear(part.mass * GRAVITY, 1e-3);
          }
        }
      },
    ),
    { numRuns: 150 },
  );
});
