import { describe, expect, it } from 'vitest';
import { jobOf, operationsFor, ZOO } from '../../../test/zoo.ts';
import { donor as onDonor, inputOf, plainFrame, planOf as plan } from '../../../test/frames.ts';
import { van, tour, channel, inside, proposing } from '../../../test/joints.ts';
import { type Job, checkJob, couponsOf, progressOf, isHeld } from '../../job/index.ts';
import { markSheet, markTables } from '../../markout/index.ts';
import { STOCK_MATERIALS } from '../../materials/index.ts';
import { newRecord } from '../../records/index.ts';
import { RULES } from '../../rules/index.ts';
import { type RailSplice } from '../../splice/index.ts';
import { contextOf } from '../context.ts';
import { evaluatePlan } from '../evaluate-plan.ts';
import { carryOutEdit } from '../plan-edit.ts';
import { PLAIN_BOLTED, PLAIN_BUTT, calculateSplice, usualSleeve, splicePlanWith } from './index.ts';

describe('what a plan says of its joints', () => {
  it('left and right are made alike, unless there is a reason', () => {
    const [first] = van.plan.splices;
    const other = (reason: string): Job => ({
      ...van,
      plan: { ...van.plan, splices: [{ ...first!, others: [{ rail: 'right', splice: PLAIN_BUTT, reason }] }] },
    });
    expect(() => checkJob(other(''))).toThrow(/made alike unless there is a reason/);
    const [outcome] = evaluatePlan(other('the tank is in the way')).splices;
    expect(outcome!.rails.map(({ rail, otherwise }) => [rail, otherwise])).toEqual([
      ['left', null],
      ['right', 'the tank is in the way'],
    ]);
    expect(outcome!.worst.rail).toBe('right');
  });

  it.each([
    [{ joint: 'gone/1' }, /does not have/],
    [{ others: [{ rail: 'x-leg/left', splice: PLAIN_BUTT, reason: '' }] }, /remove it from the joint/],
  ])('what names nothing is refused: %o', (changes, words) => {
    const splices = [{ ...van.plan.splices[0]!, ...changes }] as Job['plan']['splices'];
    expect(() => checkJob({ ...van, plan: { ...van.plan, splices } })).toThrow(words);
  });

  it('a member that is re-fitted has a joint of its own, on both sides', () => {
    const leg = evaluatePlan(tour).splices.find(({ joint }) => joint.of === 'member')!;
    expect(leg.joint.letter).toBe('X leg');
    expect(leg.rails.map(({ rail }) => rail)).toEqual(['x-leg/left', 'x-leg/right']);
    expect(leg.worst.steel.section.kind).toBe('tube');
    expect(leg.worst.strength!.ratio).toBe(1);
  });

  it('a member that is cut with the rails is told of by itself, and is made in a way of its own', () => {
    const animal = ZOO.find(({ name }) => name === 'x of legs')!;
    const [, operation] = operationsFor(animal).find(([name]) => name === 'lengthen')!;
    const job = jobOf(animal, operation);
    const strong = { ...PLAIN_BUTT, weld: { way: 'both-sides', test: 'dye', flush: true } as const };
    const [first] = evaluatePlan(job).splices;
    const made = { ...job, plan: { ...job.plan, splices: [{ joint: first!.joint.id, rails: strong, others: [] }] } };
    const weak = evaluatePlan(made).conflicts.filter(({ code }) => code.startsWith('splice-weak'));
    expect(weak.length).toBeGreaterThan(0);
    for (const { message } of weak) expect(message).toMatch(/^Joint A, .+ \(nobody has decided how\) carries 0\.\d\d/);
    const [outcome] = evaluatePlan(made).splices;
    const leg = outcome!.rails.find(({ rail }) => rail.includes('/'))!.rail;
    const mended = splicePlanWith(outcome!, leg, strong);
    const pair = ['left', 'right'].map((side) => leg.replace(/\w+$/, side));
    expect(mended).toMatchObject({ rails: strong, others: pair.map((rail) => ({ rail, splice: strong })) });
    const whole = { ...made, plan: { ...made.plan, splices: [mended] } };
    expect(() => checkJob(whole)).not.toThrow();
    expect(evaluatePlan(whole).conflicts.filter(({ code }) => code.startsWith('splice-weak'))).toEqual([]);
  });

  it('goes with the operation that makes the joint, and comes with it to another place in the list', () => {
    const dropped = carryOutEdit(van, { do: 'drop', operation: 'stretch' }, 'x');
    expect(dropped.plan.splices).toEqual([]);
    const moved = carryOutEdit(van, { do: 'order', operation: 'tail', before: 'stretch' }, 'x');
    expect(moved.plan.splices).toEqual(van.plan.splices);
  });

  it('gaps come off the new rail less what the welds pull, and are told', () => {
    const sheet = markSheet(van, evaluatePlan(van));
    const t = 4.7625;
    const gap = RULES['weld/gap'].value;
    const cap = (2 / 3) * RULES['weld/band'].value * RULES['weld/cap'].value;
    const weld = gap * t + (t - RULES['weld/land'].value) ** 2 * Math.tan(Math.PI / 6) + cap;
    expect(sheet.newPieces[0]!.gaps).toBeNear(2 * (gap - (0.1 * weld) / t), 1e-9);
    expect(sheet.welds.map(({ text }) => text).join()).toMatch(
      /Set the ends 3\/32 in apart; the weld is expected to draw them 1\/32 in scant/,
    );
    const open = { ...van, plan: { ...van.plan, splices: [] } };
    expect(markSheet(open, evaluatePlan(open)).newPieces[0]!.gaps).toBe(0);
  });

  it('a step is marked by the three lines that are cut, once where one cut makes two joints, and by no square line', () => {
    const sheet = markSheet(van, evaluatePlan(van));
    const left = sheet.lines.filter(({ side }) => side === 'left');
    expect(left.map(({ letters, part, kerf }) => [letters, part, kerf])).toEqual([
      ['A B', 'upper vertical', 'line'],
      ['A B', 'horizontal', 'line'],
      ['A B', 'lower vertical', 'line'],
      ['C', 'across', 'behind'],
    ]);
    const [upper, horizontal, lower] = left;
    expect(lower!.from.bottom! - upper!.from.top!).toBeNear(76.2, 1e-9);
    expect([upper!.from.bottom, lower!.from.top, horizontal!.from.top]).toEqual([null, null, null]);
    expect(horizontal).toMatchObject({ height: 187.325 / 2, to: lower!.from.web });
    expect(markTables(sheet)[0]!.rows).toHaveLength(4);
  });

  it('a shorten with a step has the three lines at each of its two cuts, and each end its own side of the blade', () => {
    const job = inputOf(plainFrame(), { kind: 'shorten', from: onDonor(2000), to: onDonor(2500) });
    const form = { form: 'step', length: 80, height: 60, radius: 6, upper: 'ahead' } as const;
    const splices = [{ joint: 'op1/1', rails: { ...PLAIN_BUTT, form }, others: [] }];
    const input = { ...job, plan: { ...job.plan, splices } };
    const left = markSheet(input, evaluatePlan(input)).lines.filter(({ side }) => side === 'left');
    // The datum hole is at 100: each vertical half of 80 beside its cut.
    expect(left.map(({ part, kerf, from, to }) => [part, kerf, from.top ?? from.bottom ?? from.web, to])).toEqual([
      ['upper vertical', 'behind', 1860, null],
      ['horizontal', 'behind', 1860, 1940],
      ['lower vertical', 'behind', 1940, null],
      ['upper vertical', 'ahead', 2360, null],
      ['horizontal', 'ahead', 2360, 2440],
      ['lower vertical', 'ahead', 2440, null],
    ]);
  });

  it('an angled cut is one line that leans by its run, on every side it is cut', () => {
    const job = inputOf(plainFrame(), { kind: 'shorten', from: onDonor(2000), to: onDonor(2500) });
    const splices = [
      { joint: 'op1/1', rails: { ...PLAIN_BUTT, form: { form: 'angled' as const, run: 90 } }, others: [] },
    ];
    const input = { ...job, plan: { ...job.plan, splices } };
    const left = markSheet(input, evaluatePlan(input)).lines.filter(({ side }) => side === 'left');
    expect(left.map(({ form, from, lean }) => [form, from.top, from.web, from.bottom, lean])).toEqual([
      ['angled cut', 1945, 1900, 1855, -90],
      ['angled cut', 2445, 2400, 2355, -90],
    ]);
  });
});

describe('what is advised against', () => {
  const conflicts = (rails: RailSplice, job = van) =>
    evaluatePlan({
      ...job,
      plan: { ...job.plan, splices: [{ joint: 'stretch/1', rails, others: [] }] },
    }).conflicts.filter(({ about, operation }) => about === 'stretch/1' || operation === 'stretch');
  const codes = (rails: RailSplice) => conflicts(rails).map(({ code }) => code);

  it('a weak joint asks for a decision, with suggested fixes that make it stronger', () => {
    const weak = conflicts(PLAIN_BUTT).find(({ code }) => code === 'splice-weak')!;
    expect(weak).toMatchObject({ severity: 'warn', acceptable: true });
    expect(weak.message).toMatch(/carries 0\.60 of the bare rail/);
    const [first] = weak.fixes;
    const job = { ...van, plan: { ...van.plan, splices: [{ joint: 'stretch/1', rails: PLAIN_BUTT, others: [] }] } };
    const better = evaluatePlan(carryOutEdit(job, first!.edit!, 'x'));
    expect(better.splices[0]!.worst.strength!.ratio).toBe(1);
  });

  it.each([
    ['fillet-large', { fastening: { by: 'weld', leg: 8, ends: true, plugs: null } }],
    ['fillet-small', { fastening: { by: 'weld', leg: 2, ends: true, plugs: null } }],
    ['plate-thick', { thickness: 9 }],
    ['square-ends', { outline: { shape: 'rectangle' } }],
    ['plug-spacing', { fastening: { by: 'weld', leg: 4, ends: true, plugs: { diameter: 16, along: 9, rows: 3 } } }],
    ['flange-plate', { face: 'top-flange', depth: 40 }],
    ['boxing-ends', { face: 'inner-side', outline: { shape: 'hexagon', point: 20 } }],
    ['bolt-edge', { fastening: { by: 'bolts', grade: '8.8', bolts: { diameter: 20, along: 8, rows: 1 } } }],
  ] as const)('%s', (code, changes) => {
    expect(codes({ ...PLAIN_BUTT, plates: [inside(changes)] })).toContain(`splice-${code}`);
    expect(codes({ ...PLAIN_BUTT, plates: [inside()] })).not.toContain(`splice-${code}`);
  });

  it('plates or sleeves of two joints that lie over each other stop it, and one sleeve can run through', () => {
    const both = (rails: RailSplice) => ({
      ...van,
      plan: { ...van.plan, splices: ['stretch/1', 'stretch/2'].map((joint) => ({ joint, rails, others: [] })) },
    });
    const stop = (job: Job) => evaluatePlan(job).conflicts.find(({ code }) => code === 'splice-overlap');
    const plated = (reach: number) => both({ ...PLAIN_BUTT, plates: [inside({ ahead: reach, behind: reach })] });
    expect(stop(plated(187))).toBeUndefined();
    expect(stop(plated(200))).toMatchObject({
      severity: 'stop',
      message: expect.stringMatching(/plates of A and B lie over each other by 1 in/) as string,
    });
    const half = stop(plated(300))!.fixes[0]!;
    expect(half.say).toBe('End both half-way, 7 1/8 in from each joint');
    const ended = carryOutEdit(plated(300), half.edit!, 'x');
    expect(stop(ended)).toBeUndefined();
    expect(ended.plan.splices.map(({ rails: { plates } }) => [plates[0]!.ahead, plates[0]!.behind])).toEqual([
      [300, expect.closeTo(180.975, 6)],
      [expect.closeTo(180.975, 6), 300],
    ]);
    const sleeved = both({ ...PLAIN_BUTT, sleeve: usualSleeve('folded', PLAIN_BUTT.form, proposing) });
    const [way] = stop(sleeved)!.fixes;
    expect(way!.say).toBe('Let the sleeve of A run through to B');
    const through = carryOutEdit(sleeved, way!.edit!, 'x');
    expect(stop(through)).toBeUndefined();
    expect(evaluatePlan(through).splices[1]).toMatchObject({ sleeveFrom: 'A' });
  });

  it('a joint that cannot be made stops the plan, and says what to change', () => {
    const stop = conflicts({ ...PLAIN_BUTT, plates: [inside({ depth: 400 })] }).find(
      ({ severity }) => severity === 'stop',
    )!;
    expect(stop.message).toMatch(/runs past the flat of the rail: make it less deep/);
  });

  it('a step keeps clear of holes along all of its weld: by the true distance to the nearest seam', () => {
    const near = (length: number) => {
      const step = { form: 'step', length, height: 90, radius: 4, upper: 'ahead' } as const;
      const form = length > 0 ? step : PLAIN_BUTT.form;
      const splices = [{ joint: 'stretch/2', rails: { ...PLAIN_BUTT, form }, others: [] }];
      const job = { ...van, plan: { ...van.plan, splices } };
      return evaluatePlan(job).conflicts.filter(({ code, about }) => code === 'near-joint' && about === 'hole-7');
    };
    expect(near(0)).toEqual([]);
    // 20.6 behind the lower vertical and 40.2 over the horizontal that ends there: √(20.6² + 40.2²) = 45.2.
    expect(near(60)[0]!.message).toBe('Hole 7 is 1 3/4 in full from joint B.');
  });

  it('rails that must not be welded are bolted: shown, checked in shear and bearing, and let through', () => {
    const hard: Job = {
      ...van,
      donor: { ...van.donor, material: STOCK_MATERIALS['heat-treated-110'] },
      plan: { ...van.plan, splices: [] },
    };
    const stopped = (job: Job) =>
      evaluatePlan(job).conflicts.find(({ code, message }) => code === 'not-weldable' && message.startsWith('Joint'));
    const first = stopped(hard)!;
    expect(first.fixes[0]!.say).toMatch(/Bolt joint A/);
    const once = carryOutEdit(hard, first.fixes[0]!.edit!, 'x');
    expect(stopped(once)!.about).toBe('stretch/2');
    const twice = carryOutEdit(once, stopped(once)!.fixes[0]!.edit!, 'x');
    expect(stopped(twice)).toBeUndefined();
    const { strength, made } = evaluatePlan(twice).splices[0]!.worst;
    expect(strength!.ratio).toBeGreaterThan(0.2);
    expect(strength!.ratio).toBeLessThan(1);
    const [bolt] = made.plates[0]!.bolts;
    const shear = 0.225 * 1040 * (Math.PI / 4) * 16 ** 2;
    const bearing = 1.2 * 760 * 16 * 4.7625;
    expect(bolt!.carries).toBeNear(Math.min(shear, bearing), 1e-6);
    expect(
      calculateSplice(PLAIN_BOLTED, channel, hard.donor.material, contextOf(hard)).made.problems[0]!.message,
    ).toMatch(/add plates with bolts/);
  });

  it('a notch that leaves too little is told, with the plate that mends it', () => {
    const notch = {
      kind: 'notch',
      at: onDonor(2000),
      width: 200,
      depth: 30,
      from: 'below',
      form: 'round',
      plate: 0,
    } as const;
    const input = { ...van, donor: plainFrame(), body: null, plan: plan(notch) };
    const weak = evaluatePlan(input).conflicts.find(({ code }) => code === 'notch-weak')!;
    expect(weak.message).toMatch(/carries 0\.\d\d of the bare rail’s bending, without a plate/);
    const edit = weak.fixes.find(({ say }) => say.startsWith('Lay a plate'))?.edit;
    expect(edit).toBeTruthy();
    const mended = evaluatePlan(carryOutEdit(input, edit!, 'x'));
    expect(mended.conflicts.some(({ code }) => code === 'notch-weak')).toBe(false);
  });
});

describe('practice coupons', () => {
  it('one for each different weld of what is decided, and the hold point waits for them', () => {
    const result = evaluatePlan(van);
    const asked = couponsOf(result, []);
    expect(asked.map(({ joint, position, letters }) => [joint, position, letters])).toEqual([
      ['butt', 'vertical', ['A', 'B']],
      ['butt', 'overhead', ['A', 'B']],
      ['fillet', 'vertical', ['A', 'B']],
    ]);
    expect(asked.some(({ isThinInner }) => isThinInner)).toBe(false);
    const check = (records: Parameters<typeof couponsOf>[1]) =>
      progressOf(van, records).holdPoints[1]!.checks.find(({ id }) => id === 'coupons')!;
    expect(check([])).toMatchObject({ passed: false, signable: true, detail: '0 of 3 welded, broken and held' });
    const logged = (result: 'held' | 'failed', hour: number) =>
      asked.map(({ id }, at) =>
        newRecord(
          'coupon',
          { coupon: id, result, note: '' },
          { id: `${result}${at}`, taken: `2026-04-01T0${hour}:0${at}:00Z`, by: 'owner' },
        ),
      );
    expect(check(logged('held', 1))).toMatchObject({ passed: true });
    // What failed later counts, whatever held before.
    expect(couponsOf(result, [...logged('held', 1), ...logged('failed', 2)]).some(isHeld)).toBe(false);
    expect(couponsOf(evaluatePlan({ ...van, plan: { ...van.plan, splices: [] } }), [])).toEqual([]);
  });

  it.each([
    ['a tube', { kind: 'tube', depth: 150, width: 70, thickness: 4, inner: 1.5 }, 1.5],
    ['a channel with a closing plate', { kind: 'closed-channel', depth: 150, flange: 60, thickness: 4, plate: 2 }, 2],
  ] as const)('a thin inner wall of %s has its own coupon and its own note', (_, section, wall) => {
    const donor = { ...van.donor, sections: van.donor.sections.map((named) => ({ ...named, section })) };
    const plain = { form: { form: 'butt' }, weld: { way: 'one-side', inspected: 'seen', ground: false }, plates: [] };
    const splices = van.plan.splices.map((splice) => ({
      ...splice,
      rails: { ...splice.rails, ...plain, weld: { ...splice.rails.weld, way: 'one-side' as const }, sleeve: null },
      others: [],
    }));
    const result = evaluatePlan({ ...van, donor, plan: { ...van.plan, splices: splices as typeof van.plan.splices } });
    const coupons = couponsOf(result, []);
    expect(coupons.filter(({ isThinInner }) => isThinInner)).toMatchObject([
      { joint: 'butt', position: 'vertical', wall, letters: ['A', 'B'] },
    ]);
    expect(coupons.filter(({ isThinInner }) => !isThinInner).every((coupon) => coupon.wall === 4)).toBe(true);
    const notes = result.splices[0]!.rails[0]!.limits.filter(({ code }) => code === 'thin-wall');
    expect(notes.map(({ message }) => message.split(' is ')[0])).toEqual(['The inner wall of the rail']);
  });
});
