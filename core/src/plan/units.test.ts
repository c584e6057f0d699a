import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Bare, donor, featureAt, inputOf, memberAt, plainFrame, pointAt } from '../../test/frames.ts';
import type { Frame, Unit } from '../frame/index.ts';
import { inches } from '../units/index.ts';
import { carryOutEdit, evaluatePlan, type PlanInput } from './index.ts';

const mounts = (...ids: readonly string[]): Unit['mounts'] => ids.map((id) => ({ kind: 'feature', id }));
const cabOn = (...ids: readonly string[]): Unit => ({ id: 'cab', name: 'Cab', kind: 'cab', mounts: mounts(...ids) });
const framed = (changes: Partial<Frame>) =>
  plainFrame({ ...changes, features: [plainFrame().features[0]!, ...(changes.features ?? [])] });
const found = (input: PlanInput, code: string) => evaluatePlan(input).conflicts.filter((each) => each.code === code);
const asMount = (id: string, x: number) => featureAt(id, x, { kind: 'cab-mount' });

describe('a cab on mounts either side of a cut', () => {
  // Tape stations count from the datum hole at 2000: cab back +3, rear axle +61, the cut from −19 to −9.
  const tape = (along: number) => 2000 + inches(along);
  const frame = framed({
    datum: 'hole',
    features: [featureAt('hole', 2000), asMount('front-mount', tape(-40)), asMount('rear-mount', tape(-4))],
    units: [cabOn('front-mount', 'rear-mount')],
    axles: plainFrame().axles.map((axle) => (axle.role === 'rear' ? { ...axle, x: tape(61) } : axle)),
    points: [{ ...pointAt('cab-back', tape(3), 0, 300), kind: 'cab-back' }],
  });
  const cut: Bare = { kind: 'shorten', from: donor(tape(-19)), to: donor(tape(-9)) };
  const input = inputOf(frame, cut);

  it('keeps its place: cab to axle goes from 58 to 48, with the rear mount re-drilled 10 back', () => {
    const [left] = found(input, 'mount-left');
    expect(left).toMatchObject({ severity: 'warn', about: 'rear-mount' });
    expect(left!.message).toMatch(/^rear-mount has left Cab: it lies 10 in too far forward/);
    expect(left!.fixes[0]!.say).toBe('Re-drill rear-mount 10 in back, where Cab still has it');
    const cured = evaluatePlan(carryOutEdit(input, left!.fixes[0]!.edit!, 'cure'));
    expect(cured.measures.before.cabToAxle).toBeNear(inches(58), 1e-9);
    expect(cured.measures.after.cabToAxle).toBeNear(inches(48), 1e-9);
    expect(cured.conflicts.map(({ code }) => code)).not.toContain('mount-left');
    expect(cured.units[0]!.mounts.every(({ off }) => off && Math.abs(off.x) < 1e-9)).toBe(true);
  });

  it('goes with the mount that the plan names, and then the other one has left it', () => {
    const [left] = found(input, 'mount-left');
    const goes = left!.fixes.find(({ say }) => say.startsWith('Let Cab go with'))!;
    const other = carryOutEdit(input, goes.edit!, 'unused');
    expect(other.plan.stays).toEqual([{ unit: 'cab', mount: 'rear-mount' }]);
    expect(evaluatePlan(other).measures.after.cabToAxle).toBeNear(inches(58), 1e-9);
    expect(found(other, 'mount-left').map(({ about }) => about)).toEqual(['front-mount']);
  });

  it('drops with its piece, and a mount that then stands lower is told with what to pack', () => {
    const drop: Bare = {
      kind: 'step',
      from: donor(tape(-19)),
      to: donor(tape(-9)),
      rise: -50,
      method: 'new-middle',
    };
    const [left] = found(inputOf(frame, drop), 'mount-left');
    expect(left!.message).toMatch(/too low/);
    expect(left!.fixes.map(({ say }) => say)).toContain('Pack 1 15/16 in full under rear-mount.');
  });

  it('is not split by a cut ahead of or behind all its mounts', () => {
    for (const x of [tape(-60), tape(20)])
      expect(found(inputOf(frame, { kind: 'lengthen', at: donor(x), length: 300 }), 'mount-left')).toEqual([]);
  });
});

it('a power unit on a mount and a crossmember carries the flange, and the crossmember is moved back in one press', () => {
  const frame = framed({
    features: [featureAt('engine', 1000, { kind: 'engine-mount' })],
    crossmembers: [memberAt('transmission-member', 1900)],
    units: [
      {
        id: 'power',
        name: 'Power unit',
        kind: 'power-unit',
        mounts: [
          { kind: 'feature', id: 'engine' },
          { kind: 'crossmember', id: 'transmission-member' },
        ],
      },
    ],
    points: [{ ...pointAt('flange', 2100, 0, -50), kind: 'output-flange' }],
  });
  const input = inputOf(frame, { kind: 'lengthen', at: donor(1500), length: 200 });
  const result = evaluatePlan(input);
  expect(result.points[0]).toMatchObject({ built: { x: 2100 }, carrier: { kind: 'unit', id: 'power' } });
  const [left] = found(input, 'mount-left');
  expect(left!.fixes[0]!.say).toBe('Move transmission-member 7 7/8 in forward, where Power unit still has it');
  const cured = evaluatePlan(carryOutEdit(input, left!.fixes[0]!.edit!, 'cure'));
  expect(cured.crossmembers[0]!.built!.x).toBeNear(1900, 1e-9);
});

describe('a rear suspension', () => {
  const frame = framed({
    features: [
      featureAt('hanger', 3700, { kind: 'spring-hanger' }),
      featureAt('shackle', 4800, { kind: 'spring-hanger' }),
      featureAt('shock', 4200, { kind: 'shock-bracket', movable: 're-weld' }),
    ],
    units: [
      { id: 'rear', name: 'Rear suspension', kind: 'rear-suspension', mounts: mounts('hanger', 'shackle', 'shock') },
    ].map((unit) => ({ ...unit, id: 'suspension', kind: 'rear-suspension' as const })),
  });

  it('carries its axle, and stays with the mounts on the steel at the axle', () => {
    const input = inputOf(frame, { kind: 'lengthen', at: donor(4000), length: 100 });
    const { axles, units } = evaluatePlan(input);
    expect(axles[1]).toMatchObject({ built: { x: 4400 }, carrier: { kind: 'unit', id: 'suspension' } });
    expect(units[0]!.staysWith).toEqual({ kind: 'feature', id: 'shock' });
    const [split] = found(input, 'unit-split');
    expect(split!.message).toMatch(/Left behind: hanger\.$/);
    expect(split!.fixes.map(({ say }) => say)).toContain(
      'Re-drill hanger 3 15/16 in back, where Rear suspension still has it',
    );
    expect(found(inputOf(frame, { kind: 'lengthen', at: donor(3000), length: 100 }), 'unit-split')).toEqual([]);
  });

  it('comes off with its mounts where the plan takes them all off, which is only noted', () => {
    const off = (feature: string): Bare => ({ kind: 'bracket', change: { what: 'remove', feature } });
    const bare = framed({ features: [asMount('a', 1500), asMount('b', 2400)], units: [cabOn('a', 'b')] });
    expect(found(inputOf(bare, off('a'), off('b')), 'unit-off')).toMatchObject([{ severity: 'note', about: 'cab' }]);
    expect(found(inputOf(bare, off('a'), off('b')), 'unit-lost')).toEqual([]);
    expect(found(inputOf(bare, off('a')), 'unit-off')).toEqual([]);
  });

  it('without any of its mounts stops the plan', () => {
    const input = inputOf(frame, { kind: 'shorten', from: donor(3600), to: donor(4900) });
    expect(found(input, 'unit-lost')).toMatchObject([{ severity: 'stop', about: 'suspension' }]);
  });
});

it('keeps the distances between what it carries, whatever the plan does', () => {
  const frame = framed({
    features: [asMount('a', 1500), asMount('b', 2400)],
    units: [cabOn('a', 'b')],
    points: [
      { ...pointAt('back', 2700, 0, 300), kind: 'cab-back', carrier: { kind: 'unit', id: 'cab' } },
      { ...pointAt('pedals', 1700, 200, 80), carrier: { kind: 'unit', id: 'cab' } },
    ],
  });
  const operation = fc.oneof(
    fc.record({
      kind: fc.constant('lengthen' as const),
      at: fc.integer({ min: 300, max: 5500 }),
      length: fc.integer({ min: 10, max: 400 }),
    }),
    fc.record({
      kind: fc.constant('pie-cut' as const),
      at: fc.integer({ min: 300, max: 5500 }),
      angle: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
    }),
    fc.record({
      kind: fc.constant('shorten' as const),
      at: fc.integer({ min: 300, max: 5000 }),
      length: fc.integer({ min: 10, max: 400 }),
    }),
  );
  fc.assert(
    fc.property(fc.array(operation, { maxLength: 4 }), (given) => {
      const operations = given.map((one): Bare =>
        one.kind === 'lengthen'
          ? { kind: 'lengthen', at: donor(one.at), length: one.length }
          : one.kind === 'shorten'
            ? { kind: 'shorten', from: donor(one.at), to: donor(one.at + one.length) }
            : {
                kind: 'pie-cut',
                at: donor(one.at),
                pivot: 'top',
                mode: 'close',
                turned: 'rear',
                amount: { by: 'angle', angle: one.angle },
                wedge: 'symmetric',
              },
      );
      const [back, pedals] = evaluatePlan(inputOf(frame, ...operations)).points;
      if (!back!.built || !pedals!.built) return back!.built === pedals!.built;
      const apart = Math.hypot(
        back!.built.x - pedals!.built.x,
        back!.built.y - pedals!.built.y,
        back!.built.z - pedals!.built.z,
      );
      return Math.abs(apart - Math.hypot(1000, 200, 220)) < 1e-6;
    }),
    { seed: Number(process.env.FUZZ_SEED ?? 5), numRuns: 150 },
  );
});

describe('a suspension that is pulled apart', () => {
  it('says along, across and up what its rear end does, where it is more than one of them', () => {
    const frame = framed({
      features: [
        featureAt('front-link', 3000, { kind: 'link-bracket' }),
        featureAt('seat', 4000, { kind: 'coil-seat' }),
      ],
      units: [{ id: 'rear', name: 'Rear links', kind: 'rear-suspension', mounts: mounts('front-link', 'seat') }],
    });
    const lifted: Bare = { kind: 'shorten', from: donor(3300), to: donor(3400), rise: 60 };
    const [both] = found(inputOf(frame, lifted), 'unit-split');
    expect(both!.message).toMatch(
      /shrinks by .* \(its rear end goes 3 15\/16 in .*farther forward, 2 3\/8 in .*up\)\./,
    );
    const [longer] = found(inputOf(frame, { kind: 'lengthen', at: donor(3500), length: 100 }), 'unit-split');
    expect(longer!.message).not.toContain('its rear end goes');
  });
});

describe('an axle under a frame that is widened', () => {
  const wide: Bare = { kind: 'widen', amount: 60, from: donor(2500), to: null, transition: 300 };
  const [front, rear] = plainFrame().axles;
  const tracks = (axles: Frame['axles']) =>
    evaluatePlan(inputOf(framed({ axles }), wide)).axles.map(({ item }) => item.track);

  it('keeps its track where it is solid; independent wheels go apart with the rails', () => {
    expect(tracks([front!, rear!])).toEqual([front!.track, rear!.track]);
    const hung = (axle: typeof front) => ({ ...axle!, suspension: 'independent' as const });
    // Only what stands on widened rail: the rear one, by the whole amount.
    expect(tracks([hung(front), hung(rear)])).toEqual([front!.track, expect.toBeNear(rear!.track + 60, 1e-9)]);
  });
});
