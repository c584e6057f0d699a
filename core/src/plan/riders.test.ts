import { describe, expect, it } from 'vitest';
import { donor, inputOf, memberAt, plainFrame } from '../../test/frames.ts';
import type { Feature, Frame, FramePoint } from '../frame/index.ts';
import { carryOutEdit, evaluatePlan, type PlanInput } from './index.ts';

const bare = plainFrame().features[0]!;
const mount = (id: string, x: number, kind: Feature['kind'], changes: Partial<Feature> = {}): Feature => ({
  ...bare,
  id,
  name: id,
  x,
  kind,
  diameter: 0,
  movable: 're-drill',
  ...changes,
});
const point = (id: string, kind: FramePoint['kind'], x: number, changes: Partial<FramePoint> = {}): FramePoint => ({
  id,
  name: id,
  kind,
  x,
  y: 0,
  z: 200,
  mass: 0,
  ...changes,
});
const framed = (changes: Partial<Frame>) => plainFrame({ ...changes, features: [bare, ...(changes.features ?? [])] });
const codes = (input: PlanInput) => evaluatePlan(input).conflicts.map(({ code, about }) => `${code} ${about}`);
const out = (from: number, to: number) => ({ kind: 'shorten', from: donor(from), to: donor(to) }) as const;

describe('the back of a cab', () => {
  const frame = framed({
    features: [mount('front-mount', 1500, 'cab-mount'), mount('rear-mount', 2400, 'cab-mount')],
    units: [
      {
        id: 'the-cab',
        name: 'Cab',
        kind: 'cab',
        mounts: [
          { kind: 'feature', id: 'front-mount' },
          { kind: 'feature', id: 'rear-mount' },
        ],
      },
    ],
    points: [point('cab', 'cab-back', 2700)],
  });

  it('stays with the first mount when rail comes out between the mounts, and the rear mount has left it', () => {
    // 200 out between the mounts: the cab stays in front, the axle comes 200 nearer.
    const input = inputOf(frame, out(1800, 2000));
    const { measures, conflicts, points } = evaluatePlan(input);
    expect(points[0]).toMatchObject({ built: { x: 2700 }, carrier: { kind: 'unit', id: 'the-cab' } });
    expect(measures.before.cabToAxle).toBe(1600);
    expect(measures.after.cabToAxle).toBeNear(1400, 1e-9);
    const parted = conflicts.find(({ code }) => code === 'mount-left')!;
    expect(parted).toMatchObject({ severity: 'warn', about: 'rear-mount' });
    // One press puts it back where the cab still has it.
    const way = parted.fixes.find(({ edit }) => edit)!;
    expect(way.say).toMatch(/^Re-drill rear-mount 7 7\/8 in back, where Cab still has it$/);
    const cured = carryOutEdit(input, way.edit!, 'cure');
    const after = evaluatePlan(cured);
    expect(after.conflicts.map(({ code }) => code)).not.toContain('mount-left');
    expect(after.features.find(({ feature }) => feature.id === 'rear-mount')!.places.left!.built!.x).toBeNear(
      2400,
      1e-9,
    );
  });

  it('is missed aloud where all its mounts go with the steel, and what rests on it is named', () => {
    const result = evaluatePlan(inputOf(frame, out(1400, 2500)));
    expect(result.measures.after.cabToAxle).toBeNull();
    expect(result.conflicts.find(({ code }) => code === 'point-lost')).toMatchObject({
      about: 'cab',
      operation: 'op1',
      message: expect.stringMatching(/Cab carries it.*cab to axle cannot be told/),
    });
    expect(result.conflicts.find(({ code }) => code === 'unit-lost')).toMatchObject({ about: 'the-cab' });
  });

  it('goes on with its other mounts where one of them goes with the steel', () => {
    const { points, units } = evaluatePlan(inputOf(frame, out(1400, 1600)));
    expect(units[0]!.staysWith).toEqual({ kind: 'feature', id: 'rear-mount' });
    expect(points[0]!.built!.x).toBeNear(2500, 1e-9);
  });
});

describe('a transmission flange, a carrier bearing and a pinion', () => {
  const frame = framed({
    features: [mount('transmission', 1450, 'gearbox-mount')],
    crossmembers: [memberAt('middle', 2500)],
    points: [
      point('flange', 'output-flange', 1700),
      point('bearing', 'carrier-bearing', 2560),
      point('pinion', 'pinion', 4000),
    ],
  });

  it('ride on their mount, their crossmember and their axle, not on the rail beside them', () => {
    // The cut passes between the mount and the flange that overhangs behind it: the flange stays.
    const result = evaluatePlan(inputOf(frame, { kind: 'lengthen', at: donor(1600), length: 300, section: null }));
    const built = Object.fromEntries(result.points.map(({ item, built: at, carrier }) => [item.id, [at?.x, carrier]]));
    expect(built).toEqual({
      flange: [1700, { kind: 'feature', id: 'transmission' }],
      bearing: [2860, { kind: 'crossmember', id: 'middle' }],
      pinion: [4300, { kind: 'axle', id: 'rear' }],
    });
    expect(result.driveLine.after!.shafts.map(({ length }) => length)).toEqual([1160, 1440]);
    expect(result.driveLine.before!.shafts.map(({ length }) => length)).toEqual([860, 1440]);
  });

  it('go along when what carries them is moved by the plan', () => {
    const input = inputOf(frame, {
      kind: 'crossmember',
      change: { what: 'move', crossmember: 'middle', to: donor(2440) },
    });
    expect(evaluatePlan(input).points.find(({ item }) => item.id === 'bearing')!.built!.x).toBeNear(2500, 1e-9);
  });

  it('turn with what carries them', () => {
    const turned = evaluatePlan(
      inputOf(frame, {
        kind: 'pie-cut',
        at: donor(3000),
        pivot: 'top',
        mode: 'close',
        turned: 'rear',
        amount: { by: 'angle', angle: 0.1 },
        wedge: 'symmetric',
      }),
    );
    const [axle, pinion] = [turned.axles[1]!, turned.points[2]!];
    expect(pinion.turn).toBe(axle.turn);
    const apart = (a: { x: number; z: number }, b: { x: number; z: number }) => Math.hypot(a.x - b.x, a.z - b.z);
    expect(apart(pinion.built!, axle.built!)).toBeNear(apart(pinion.donor, axle.donor), 1e-9);
  });

  it('ride on what the donor says they ride on', () => {
    const said = {
      ...frame,
      points: frame.points.map((each) => ({ ...each, carrier: { kind: 'crossmember' as const, id: 'middle' } })),
    };
    const input = inputOf(said, {
      kind: 'crossmember',
      change: { what: 'move', crossmember: 'middle', to: donor(2600) },
    });
    expect(evaluatePlan(input).points.map(({ built }) => built!.x)).toEqual([1800, 2660, 4100]);
  });
});

describe('an axle', () => {
  it('that is lost with its steel stops the plan, and is named', () => {
    const input = inputOf(plainFrame(), out(4200, 4400));
    expect(codes(input)).toContain('axle-lost rear');
    expect(evaluatePlan(input).measures.after.wheelbase).toBeNull();
  });

  it('that stands where a narrowing puts its transition piece is missed aloud too', () => {
    const input = inputOf(plainFrame(), {
      kind: 'widen',
      amount: -60,
      from: donor(4400),
      to: null,
      transition: 300,
    });
    expect(codes(input)).toContain('axle-lost rear');
  });

  it('goes along with the crossmember that carries its suspension', () => {
    const frame = framed({
      crossmembers: [memberAt('front-suspension', 700)],
      axles: plainFrame().axles.map((axle) =>
        axle.role === 'front' ? { ...axle, carrier: { kind: 'crossmember' as const, id: 'front-suspension' } } : axle,
      ),
    });
    const moved = { what: 'move', crossmember: 'front-suspension', to: donor(620) } as const;
    const { measures } = evaluatePlan(inputOf(frame, { kind: 'crossmember', change: moved }));
    expect(measures.after.wheelbase! - measures.before.wheelbase!).toBeNear(80, 1e-9);
  });
});

describe('work that comes too late', () => {
  const frame = framed({
    features: [mount('strap', 2100, 'tank-strap', { ahead: 40, behind: 60 })],
    crossmembers: [memberAt('between', 3000)],
  });
  const off = { kind: 'bracket', change: { what: 'remove', feature: 'strap' } } as const;
  const outOf = { kind: 'crossmember', change: { what: 'remove', crossmember: 'between' } } as const;

  it('a bracket taken off after the cut through it still stops the plan, and one press brings it before', () => {
    const late = inputOf(frame, out(2120, 2300), off);
    const stop = evaluatePlan(late).conflicts.find(({ code }) => code === 'cut-before-taken-off')!;
    expect(stop).toMatchObject({ severity: 'stop', operation: 'op1', about: 'strap' });
    const cured = carryOutEdit(late, stop.fixes[0]!.edit!, 'x');
    expect(cured.plan.operations.map(({ id }) => id)).toEqual(['op2', 'op1']);
    expect(evaluatePlan(cured).conflicts.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });

  it('so does a bracket that is moved, and a crossmember that comes out, after the cut', () => {
    const moved = { kind: 'bracket', change: { what: 'move', feature: 'strap', to: donor(1500), down: 0 } } as const;
    expect(codes(inputOf(frame, out(2120, 2300), moved))).toContain('cut-before-taken-off strap');
    expect(codes(inputOf(frame, moved, out(2120, 2300)))).not.toContain('cut-before-taken-off strap');
    expect(codes(inputOf(frame, out(2980, 3200), outOf))).toContain('cut-before-taken-off between');
    expect(codes(inputOf(frame, outOf, out(2980, 3200)))).not.toContain('cut-before-taken-off between');
  });

  it('what lies whole on the steel that comes out may be taken off it afterward', () => {
    expect(codes(inputOf(frame, out(1900, 2300), off))).not.toContain('cut-before-taken-off strap');
  });
});

it('a boxing plate or a notch that a later cut runs through asks for a decision', () => {
  const open = plainFrame({
    sections: [{ id: 'rail', section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 } }],
  });
  const box = { kind: 'box', from: donor(2000), to: donor(3000), plate: 4, taper: 50 } as const;
  expect(codes(inputOf(open, box, out(2400, 2700)))).toContain('rework-cut null');
  expect(codes(inputOf(open, out(3100, 3300), box))).not.toContain('rework-cut null');
  const notch = {
    kind: 'notch',
    at: donor(2500),
    width: 200,
    depth: 40,
    from: 'below',
    form: 'arch',
    plate: 0,
  } as const;
  expect(codes(inputOf(open, notch, out(2450, 2700)))).toContain('rework-cut null');
});
