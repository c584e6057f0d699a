import { describe, expect, it } from 'vitest';
import { type Bare, donor, featureAt, inputOf, memberAt, plainFrame, pointAt } from '../../test/frames.ts';
import { evaluatePlan, PLAIN_BUTT, type PlanInput } from './index.ts';

/** A tube 150 deep, 0 to 6000. */
const holes = (...at: readonly (readonly [id: string, x: number, down: number])[]) =>
  plainFrame({
    features: [
      ...plainFrame().features,
      ...at.map(([id, x, down]) => featureAt(id, x, { down, diameter: 10, kind: 'hole', attachment: 'hole' })),
    ],
  });
const statuses = (input: PlanInput) =>
  Object.fromEntries(evaluatePlan(input).features.map(({ feature, status }) => [feature.id, status]));
const shorten: Bare = { kind: 'shorten', from: donor(2000), to: donor(2500) };
const joined = (input: PlanInput, form: object): PlanInput => ({
  ...input,
  plan: {
    ...input.plan,
    splices: [{ joint: 'op1/1', rails: { ...PLAIN_BUTT, form: form as never }, others: [] }],
  },
});

describe('what stays and what goes is decided by the steel as it is really cut', () => {
  // The step: the upper half is cut 40 ahead of each square line, the lower half 40 behind it.
  const step = { form: 'step', length: 80, height: 75, radius: 0, upper: 'ahead' };
  const frame = holes(['up', 1980, 30], ['low', 2020, 120], ['rear-up', 2480, 30], ['rear-low', 2520, 120]);

  it('with a step: items on its halves', () => {
    expect(statuses(inputOf(frame, shorten))).toMatchObject({
      up: 'stays',
      low: 'lost',
      'rear-up': 'lost',
      'rear-low': 'moves',
    });
    expect(statuses(joined(inputOf(frame, shorten), step))).toMatchObject({
      up: 'lost',
      low: 'stays',
      'rear-up': 'moves',
      'rear-low': 'lost',
    });
  });

  it('with an angled joint: by the slant at their own height', () => {
    // 120 over the depth: at 30 below the top the cut lies 36 behind the square line, at 120 below 36 ahead of it.
    expect(statuses(joined(inputOf(frame, shorten), { form: 'angled', run: 120 }))).toMatchObject({
      up: 'stays',
      low: 'lost',
    });
    const behind = holes(['up', 2020, 30], ['low', 1980, 120]);
    expect(statuses(joined(inputOf(behind, shorten), { form: 'angled', run: 120 }))).toMatchObject({
      up: 'stays',
      low: 'lost',
    });
  });

  it('a seam of the step through a hole stops the plan', () => {
    const through = holes(['hole', 1963, 30]);
    expect(statuses(joined(inputOf(through, shorten), step))).toMatchObject({ hole: 'cut-through' });
  });

  it('near a step the distance is that to the weld, and what is gone is near nothing', () => {
    const input = joined(inputOf(frame, shorten), step);
    const near = evaluatePlan(input).conflicts.filter(({ code }) => code === 'near-joint');
    expect(near.map(({ about }) => about).sort()).toEqual(['low', 'rear-up']);
    // 20 − 5 behind the lower vertical… the hole lies 15 ahead of it.
    expect(near.find(({ about }) => about === 'low')!.message).toMatch(/^low is 9\/16 in full from joint A/);
  });
});

describe('beyond the top edge of an angled end', () => {
  const trim: Bare = { kind: 'trim', end: 'rear', at: donor(5000), angle: Math.PI / 4, lean: 'bottom-longer' };
  const bracket = (x: number, down: number): Bare => ({
    kind: 'bracket',
    change: { what: 'add', at: donor(x), feature: featureAt('new', x, { down }) },
  });

  it('a bracket goes on the steel that is there lower down, and not above it', () => {
    const low = evaluatePlan(inputOf(plainFrame(), trim, bracket(5080, 110)));
    expect(low.operations[1]!.status).toBe('done');
    expect(low.features.find(({ feature }) => feature.id === 'new')).toMatchObject({ status: 'new', piece: 0 });
    expect(evaluatePlan(inputOf(plainFrame(), trim, bracket(5080, 40))).operations[1]!.refusal!.code).toBe(
      'operation/place-gone',
    );
  });

  it('a crossmember beside the cut is held at all of its heights or cut', () => {
    const frame = (x: number) => plainFrame({ crossmembers: [memberAt('c', x, { below: 20, depth: 100 })] });
    const status = (x: number) => evaluatePlan(inputOf(frame(x), trim)).crossmembers[0]!.status;
    // It takes 30 to each side, 20 … 120 below the top: the cut lies 20 behind 5000 at its top, 120 at its underside.
    expect(status(4985)).toBe('stays');
    expect(status(5000)).toBe('cut-through');
    expect(status(5160)).toBe('lost');
  });
});

describe('past the ends of the frame', () => {
  it('a crossmember that stands half a millimeter out is not cut by anything, and keeps its weight', () => {
    const frame = plainFrame({ crossmembers: [memberAt('c', 29.5), memberAt('rear', 5970.6)] });
    const { crossmembers, conflicts, measures } = evaluatePlan(inputOf(frame));
    expect(crossmembers.map(({ status, mass }) => [status, mass])).toEqual([
      ['stays', 4],
      ['stays', 4],
    ]);
    expect(conflicts).toEqual([]);
    expect(measures.after.mass).toBe(measures.before.mass);
  });

  it('what is mounted beyond an end goes with it where that is cut off, and says so', () => {
    const hitch = { ...pointAt('hitch', 6080, 0, -100), kind: 'mass' as const, mass: 40 };
    const axles = [...plainFrame().axles, { ...plainFrame().axles[1]!, id: 'tag', name: 'Tag axle', x: 6050 }];
    const frame = plainFrame({ points: [hitch], axles });
    const trim: Bare = { kind: 'trim', end: 'rear', at: donor(5800), angle: 0, lean: 'top-longer' };
    const { conflicts, points, measures } = evaluatePlan(inputOf(frame, trim));
    expect(points[0]!.built).toBeNull();
    expect(conflicts.map(({ code, about }) => [code, about])).toEqual([
      ['axle-lost', 'tag'],
      ['point-lost', 'hitch'],
    ]);
    expect(measures.before.mass - measures.after.mass).toBeGreaterThan(40);
    // Nothing is cut there: it stays.
    expect(evaluatePlan(inputOf(frame)).points[0]!.built).toMatchObject({ x: 6080 });
  });
});

describe('a cut that lands on a bend', () => {
  // Level to 2000, then 1 in 2 up: no station is hit exactly in floating point.
  const x = 2000 + 1e-10;
  const bent = plainFrame({}, [
    { x: 0, halfWidth: 430, top: 0, section: 'rail' },
    { x: 2000, halfWidth: 430, top: 0, section: 'rail' },
    { x: 2400, halfWidth: 430, top: 200, section: 'rail' },
    { x: 6000, halfWidth: 430, top: 200, section: 'rail' },
  ]);

  it.each([-1, 0, 1])('takes the front side for what stays ahead, the rear side for what stays behind (%s)', (way) => {
    const at = 2000 + way * (x - 2000);
    const { joints } = evaluatePlan(inputOf(bent, { kind: 'lengthen', at: donor(at), length: 300 }));
    const [front, rear] = joints.map(({ sides }) => sides.left.pitch);
    expect(front).toBeNear(0, 1e-9);
    expect(rear).toBeNear(Math.atan(0.5), 1e-9);
  });
});
