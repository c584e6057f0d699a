import { describe, expect, it } from 'vitest';
import { newBody } from '../../body/index.ts';
import { type Bare, donor, featureAt, inputOf, memberAt, plainFrame } from '../../../test/frames.ts';
import { sectionLookup } from '../../frame/index.ts';
import { markSheet } from '../../markout/index.ts';
import { carryOutEdit, evaluatePlan, type PlanInput, triedFixes } from '../index.ts';
import { railUnder } from './rail-under.ts';

/** A tube rail 150 deep, its top at 0, from 0 to 6000. */
const DEPTH = 150;
const mount = (id: string, x: number, z = 0) => ({ id, name: id, x, y: 400, z, hole: 12, thickness: 5 });
const bodied = (mounts: ReturnType<typeof mount>[], ...operations: Bare[]): PlanInput => ({
  ...inputOf(plainFrame(), ...operations),
  bodies: [{ ...newBody('box'), mounts }],
  plan: {
    ...inputOf(plainFrame(), ...operations).plan,
    seats: [{ body: 'box', x: 0, z: 0, rake: 0 }],
  },
});
const notch = (changes: object = {}): Bare => ({
  kind: 'notch',
  at: donor(3000),
  width: 300,
  depth: 40,
  from: 'above',
  form: 'arch',
  plate: 0,
  ...changes,
});
const under = (input: PlanInput, x: number) => {
  const { pieces, reworks } = evaluatePlan(input);
  return railUnder({ pieces, reworks }, 'right', x, sectionLookup(input.donor));
};

describe('the rail under a mount is the steel that is really there', () => {
  it('is lower where it is notched from above, and higher underneath where it is notched from below', () => {
    const above = bodied([mount('m', 3000)], notch());
    expect(under(above, 3000)).toMatchObject({ top: -40, underside: -DEPTH });
    expect(under(above, 2840)).toMatchObject({ top: 0 });
    const [gap] = evaluatePlan(above).seats[0]!.mounts;
    expect([gap!.up, gap!.way]).toEqual([40, 'perch']);
    const below = bodied([mount('m', 3000)], notch({ from: 'below' }));
    expect(under(below, 3000)).toMatchObject({ top: 0, underside: -DEPTH + 40 });
  });

  it('ends where an angled end really ends, lower than the top edge', () => {
    const trim: Bare = { kind: 'trim', end: 'rear', at: donor(5000), angle: Math.PI / 4, lean: 'bottom-longer' };
    const input = bodied([mount('m', 5100)], trim);
    // 100 behind the cut on the top edge the face has come down by 100.
    expect(under(input, 5100)!.top).toBeNear(-100, 1e-9);
    expect(under(input, 5100)!.underside).toBeNear(-DEPTH, 1e-9);
    expect(under(input, 5151)).toBeNull();
    expect(evaluatePlan(input).seats[0]!.mounts[0]!.up).toBeNear(100, 1e-9);
  });

  it('where there is none it is a conflict that says how much longer the rail must be, and one press makes it so', () => {
    const input = bodied([mount('m', 6180)]);
    const conflict = evaluatePlan(input).conflicts.find(({ code }) => code === 'mount-no-rail')!;
    expect(conflict.message).toMatch(/^No rail under m of .*: the right rail ends 7 1\/16 in full ahead of it/);
    const [way] = triedFixes(input, conflict);
    expect(way!.say).toMatch(/^Extend the rear by/);
    const longer = carryOutEdit(input, way!.edit!, 'horn');
    expect(evaluatePlan(longer).seats[0]!.mounts[0]!.way).toBe('sits');
    const front = evaluatePlan(bodied([mount('m', -90)])).conflicts.find(({ code }) => code === 'mount-no-rail')!;
    expect(front.fixes[0]!.say).toMatch(/^Extend the front by/);
  });
});

describe('a notch on a slope', () => {
  // 1 in 10, up to the rear, over all of the frame.
  const sloping = plainFrame({}, [
    { x: 0, halfWidth: 430, top: 0, section: 'rail' },
    { x: 6000, halfWidth: 430, top: 600, section: 'rail' },
  ]);
  const input = (floor?: 'level' | 'follows') =>
    inputOf(sloping, { ...notch({ from: 'below', depth: 60 }), ...(floor ? { floor } : {}) } as Bare);
  const reworkOf = (floor?: 'level' | 'follows') => {
    const job = input(floor);
    return markSheet(job, evaluatePlan(job)).reworks[0]!;
  };

  it('follows the edge unless its floor is level, and says which', () => {
    expect(reworkOf()).toMatchObject({
      floor: 'follows',
      deep: expect.closeTo(60, 6),
      deepRear: expect.closeTo(60, 6),
    });
    // A third of 300 to each side of the middle: the edge is 5 higher or lower there.
    const level = reworkOf('level');
    expect(level.floor).toBe('level');
    expect([level.deep, level.deepRear]).toEqual([expect.closeTo(65, 0), expect.closeTo(55, 0)]);
  });

  it('leaves no steel over a level floor that is higher than the rail: it is refused', () => {
    const steep = plainFrame({}, [
      { x: 0, halfWidth: 430, top: 0, section: 'rail' },
      { x: 6000, halfWidth: 430, top: 4200, section: 'rail' },
    ]);
    const job = inputOf(steep, { ...notch({ from: 'below', depth: 90, width: 300 }), floor: 'level' } as Bare);
    expect(evaluatePlan(job).operations[0]!.refusal!.code).toBe('operation/notch-depth');
  });
});

describe('clashes are exact', () => {
  const box = (front: number, rear: number, changes: object = {}) => ({
    id: 'hump',
    name: 'hump',
    kind: 'hump' as const,
    front,
    rear,
    left: -300,
    right: 300,
    low: -200,
    high: 50,
    ...changes,
  });
  const clashed = (front: number, rear: number, changes: object, ...members: Parameters<typeof memberAt>[]) => {
    const frame = plainFrame({ crossmembers: members.map((each) => memberAt(...each)) });
    const input = inputOf(frame);
    const job = {
      ...input,
      bodies: [{ ...newBody('box'), boxes: [box(front, rear, changes)] }],
      plan: { ...input.plan, seats: [{ body: 'box', x: 0, z: 0, rake: 0 }] },
    };
    return evaluatePlan(job).seats[0]!.clashes;
  };

  it('a box between the ends and the middle of a crossmember is found, and how much of it', () => {
    // The crossmember lies 2850 … 3150; the box 3040 … 3060 is between its middle and its end.
    const [clash] = clashed(3040, 3060, {}, ['c', 3000, { length: 300 }]);
    expect(clash).toMatchObject({ with: { kind: 'crossmember', id: 'c' } });
    expect([clash!.from, clash!.to]).toEqual([expect.closeTo(3040, 6), expect.closeTo(3060, 6)]);
    // Its top is 30 under the rail's: 170 over the underside of the box.
    expect(clash!.deep).toBeNear(170, 1e-9);
  });

  it('a narrow box over a rail between two stations is found, and one that only touches is none', () => {
    const beside = { left: 380, right: 420 };
    const [clash] = clashed(3007, 3013, beside);
    expect(clash).toMatchObject({ with: { kind: 'rail', side: 'right' }, deep: expect.closeTo(200, 6) });
    expect(clashed(3007, 3013, { left: 430, right: 460 })).toEqual([]);
    expect(clashed(3007, 3013, { ...beside, low: 0 })).toEqual([]);
  });
});

it('something that hangs on the rail is lost in a notch only where the notch reaches it', () => {
  const holes = [
    featureAt('deep', 3000, { down: 20, diameter: 10 }),
    featureAt('low', 3000, { down: 60, diameter: 10 }),
    featureAt('edge', 2860, { down: 12, diameter: 10 }),
  ];
  const frame = plainFrame({ features: [...plainFrame().features, ...holes] });
  const { features } = evaluatePlan(inputOf(frame, notch()));
  const status = (id: string) => features.find(({ feature }) => feature.id === id)!.status;
  expect([status('deep'), status('low')]).toEqual(['lost', 'stays']);
  // Near its end the arch is not yet as deep as the hole is low.
  expect(status('edge')).toBe('lost');
});
