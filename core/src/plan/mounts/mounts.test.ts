import { GRAVITY } from '../../units/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/frames.ts';
import { body, frame, input, made, outcome, perch, rail } from '../../../test/mounts.ts';
import type { Bracket } from '../../mounting/index.ts';
import { contextOf } from '../context.ts';
import { evaluatePlan } from '../evaluate-plan.ts';
import { carryOutEdit } from '../plan-edit.ts';
import type { PlanInput } from '../plan-result.ts';
import { mountParts, usualBracket, withForm, worstRatio } from './index.ts';

describe('how a mount is made', () => {
  it('begins as its way asks for, and says that nobody has decided it', () => {
    const [a, c] = ['a', 'c'].map((id) => outcome(input(), id)) as [
      ReturnType<typeof outcome>,
      ReturnType<typeof outcome>,
    ];
    expect([a.name, a.decided, c.name, c.decided]).toEqual(['perch', false, 'outrigger', false]);
    expect(a.height).toBe(60);
    expect(c).toMatchObject({ reach: 60, height: 20 });
    expect(a.problems).toEqual([]);
  });

  it('its stack by hand: the bushing under its share, plates, and what is left is the bracket with its top plate', () => {
    const share = 100 * GRAVITY;
    const stack = made('a', perch, {
      under: [{ id: 'p', kind: 'plate', height: 6 }],
      over: [
        { id: 'r', kind: 'bushing', height: 25, rate: 200 },
        { id: 'w', kind: 'washer', height: 3 },
      ],
      hung: [{ id: 'h', kind: 'bushing', height: 20 }],
    });
    const one = outcome(input([stack]), 'a');
    expect(one.share!).toBeNear(share, 1e-6);
    const over = 25 - share / 200 + 3;
    expect(one.height!).toBeNear(60 - 6 - over, 1e-9);
    expect(one.top).toBeNear(60 - over, 1e-9);
    // Bracket of the body, what lies over, the top plate, what hangs under.
    expect(one.grip!).toBeNear(4 + over + 5 + 20, 1e-9);
    expect(one.bolt!.name).toMatch(/M12|1\/2/);
  });

  it('moving the body by so much makes every bracket taller by it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200, noNaN: true }), (by) => {
        const [here, there] = [evaluatePlan(input()), evaluatePlan(input([], by))];
        here.mountings.forEach(({ height }, at) => expect(there.mountings[at]!.height! - height!).toBeNear(by, 1e-9));
      }),
      { numRuns: 20 },
    );
  });

  it.each([
    ['plates that leave a gap', 'a', { form: 'none' }, /60 mm|2 3\/8.*are left/],
    ['a perch beside the rail', 'c', perch, /comes down on a leg of the perch/],
    ['an arm over the rail', 'a', { form: 'arm' }, /does not reach it/],
    ['an old bracket that is too tall', 'a', { form: 'old', height: 80, along: 70, leg: 5 }, /too tall/],
  ] as const)('%s is reported, and nothing is calculated from it', (_, id, bracket, message) => {
    const whole = (
      bracket.form === 'arm'
        ? usualBracket('arm', { rail: null, top: 60, rules: input().rules, display: input().display, weldable: true })
        : bracket
    ) as Bracket;
    const one = outcome(input([made(id, whole)]), id);
    expect(one.problems.join()).toMatch(message);
    expect(one.checks).toEqual([]);
    const found = evaluatePlan(input([made(id, whole)])).conflicts.filter(({ code }) => code === 'mount-made');
    expect(found).toMatchObject([{ severity: 'warn', about: id }]);
  });

  it('a block of what is left cures plates that leave a gap, in one press', () => {
    const job = input([made('a', { form: 'none' })]);
    const [found] = evaluatePlan(job).conflicts.filter(({ code }) => code === 'mount-made');
    const cured = carryOutEdit(job, found!.fixes[0]!.edit!, 'new');
    expect(cured.plan.mountings[0]!.under).toMatchObject([{ kind: 'block', height: 60 }]);
    expect(outcome(cured, 'a').problems).toEqual([]);
  });

  it('of the body’s own old bracket it says how much block goes under', () => {
    expect(outcome(input([made('a', { form: 'old', height: 24, along: 70, leg: 5 })]), 'a').block).toBeNear(36, 1e-9);
  });

  const filled = (height: number) => ({ under: [{ id: 'p', kind: 'block' as const, height }] });
  const usual = { rail: null, rules: input().rules, display: input().display, weldable: true };

  it('an old bracket in place of a block takes the block out, and asks for what is left under it', () => {
    const before = outcome(input([made('a', { form: 'none' }, filled(60))]), 'a');
    expect(before.height).toBeNear(0, 1e-9);
    const changed = { ...before.mounting, ...withForm(before.mounting, 'old', { ...usual, top: before.height! }) };
    expect(changed.under).toEqual([]);
    const bracket = { ...changed.bracket, height: 24 } as Bracket;
    expect(outcome(input([{ ...changed, bracket }]), 'a').block).toBeNear(36, 1e-9);
  });

  it.each([
    [50, [{ kind: 'block', height: 36 }]],
    [36 + 24, [{ kind: 'block', height: 36 }]],
    [30, [{ kind: 'block', height: 30 }]],
  ] as const)('a block of %d that is left under an old bracket is cut down in one press', (height, under) => {
    const old = made('a', { form: 'old', height: 24, along: 70, leg: 5 }, filled(height));
    const [found] = evaluatePlan(input([old])).conflicts.filter(({ code }) => code === 'mount-made');
    const done = found ? carryOutEdit(input([old]), found.fixes[0]!.edit!, 'new') : input([old]);
    expect(done.plan.mountings[0]!.under).toMatchObject(under);
    expect(outcome(done, 'a').problems).toEqual([]);
  });

  it('one that is too weak is told with ways that make it hold', () => {
    const thin = made('a', { ...perch, thickness: 1.5, radius: 2, leg: 1.5 });
    const job = input([thin]);
    const [found] = evaluatePlan(job).conflicts.filter(({ code }) => code === 'mount-weak');
    expect(found!.message).toMatch(/perch at M1L comes to \d+ % of what is allowed/);
    for (const { edit } of found!.fixes.filter((way) => way.edit)) {
      const after = evaluatePlan(carryOutEdit(job, edit!, 'new'));
      expect(after.conflicts.filter(({ code }) => code === 'mount-weak')).toEqual([]);
    }
    expect(found!.fixes.filter(({ edit }) => edit).length).toBeGreaterThan(0);
  });

  it('where nobody knows what the body weighs nothing is squeezed and no strength is told', () => {
    const one = outcome(input([made('a', perch)], 0, { ...body, masses: [] }), 'a');
    expect([one.share, one.checks, worstRatio(one)]).toEqual([null, [], null]);
  });

  it('corners are made first; those between are held against the straightedge over them', () => {
    const { mountings } = evaluatePlan(input());
    const turn = (id: string) => mountings.find(({ seat }) => seat.mount.id === id)!;
    expect(['a', 'b', 'e', 'f'].map((id) => turn(id).turn.turn).toSorted()).toEqual([1, 2, 3, 4]);
    expect(turn('c').turn.why).toMatch(/straightedge/);
    // Corners 60 over the rail, the middle one 20.
    expect(turn('c').offLine!).toBeNear(-40, 1e-9);
    expect(turn('a').offLine!).toBeNear(0, 1e-9);
  });

  it('mounts at the same station share their number', () => {
    expect(evaluatePlan(input()).mountings.map(({ tag }) => tag)).toEqual(['M1L', 'M1R', 'M2L', 'M2R', 'M3L', 'M3R']);
  });
});

describe('its parts', () => {
  const partsOf = (bracket: Bracket, id = 'a') => {
    const job = input([made(id, bracket)]);
    return mountParts(evaluatePlan(job).mountings, contextOf(job));
  };

  it('a perch laid flat: two legs and a top less what bends save, its hole in the middle', () => {
    const [part] = partsOf(perch);
    // 90° twice: each saves 2 (r + t) and costs (π/2)(r + k t).
    const flat = 60 * 2 + rail.flange + 2 * ((Math.PI / 2) * (7.5 + 0.44 * 5) - 2 * 12.5);
    expect(part!.width).toBeNear(flat, 1e-6);
    expect(part!.length).toBeNear(80, 1e-9);
    expect(part!.flat.holes).toMatchObject([{ diameter: 14, what: 'mount' }]);
    expect(part!.flat.holes[0]!.at[1]).toBeNear(flat / 2, 1e-6);
    expect(part!.mass).toBeNear(flat * 80 * 5 * contextOf(input()).density, 1e-6);
    expect(part!.flat.lines).toHaveLength(2);
  });

  it('follows a contour that was read: a foot lower by so much is longer by it', () => {
    const contour = [
      { at: -40, gap: 0 },
      { at: 0, gap: 6 },
      { at: 40, gap: 12 },
    ];
    const [plain] = partsOf(perch);
    const [cut] = partsOf({ ...perch, contour });
    expect(cut!.width - plain!.width).toBeNear(24, 1e-6);
  });

  it('a closed one brings its ends, an arm its underside, a bolted one its foot plate', () => {
    expect(partsOf({ ...perch, boxed: true }).map(({ mark }) => mark)).toEqual(['M1L1', 'M1L2', 'M1L3']);
    const arm = usualBracket('arm', {
      rail: null,
      top: 20,
      rules: input().rules,
      display: input().display,
      weldable: false,
    }) as Extract<Bracket, { form: 'arm' }>;
    const shallow = { ...arm, deep: 100, tip: 50 };
    expect(partsOf({ ...shallow, make: 'boxed' }, 'c').map(({ name }) => name)).toEqual([
      'arm, flat',
      'underside of the arm',
      'foot plate',
    ]);
    expect(partsOf({ ...shallow, make: 'tube' }, 'c').map(({ name }) => name)).toEqual(['arm of tube', 'foot plate']);
  });

  it('left and right are mirrored, and nothing is cut of what is not decided', () => {
    const job = input([
      made(
        'c',
        usualBracket('angle', { rail: null, top: 20, rules: input().rules, display: input().display, weldable: true }),
      ),
      made(
        'd',
        usualBracket('angle', { rail: null, top: 20, rules: input().rules, display: input().display, weldable: true }),
      ),
    ]);
    const [left, right] = mountParts(evaluatePlan(job).mountings, contextOf(job));
    expect([left!.mark, right!.mark]).toEqual(['M2L', 'M2R']);
    expect(left!.width).toBeNear(right!.width, 1e-9);
    expect(mountParts(evaluatePlan(input()).mountings, contextOf(input()))).toEqual([]);
  });
});

it('a bracket on the plates of a joint is told', () => {
  const made2 = inputOf(frame, { kind: 'lengthen', at: { x: 2190, on: 'donor' }, length: 300 });
  const job: PlanInput = {
    ...made2,
    bodies: [body],
    plan: {
      ...made2.plan,
      seats: [{ body: 'body', x: 700, z: 0, rake: 0 }],
      mountings: [
        made(
          'c',
          usualBracket('arm', { rail: null, top: 20, rules: made2.rules, display: made2.display, weldable: true }),
        ),
      ],
    },
  };
  const found = evaluatePlan(job).conflicts.filter(({ code }) => code === 'mount-at-joint');
  expect(found.map(({ message }) => message).join()).toMatch(/stands over joint A/);
});
