import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { conflictsOf } from '../../test/outcomes.ts';
import type { FramePoint } from '../frame/index.ts';
import { evaluatePlan } from './index.ts';

const radians = (degrees: number) => (degrees * Math.PI) / 180;
const degrees = (angle: number | null) => ((angle ?? Number.NaN) * 180) / Math.PI;
const point = (id: FramePoint['kind'], x: number, z: number, more: Partial<FramePoint> = {}): FramePoint => ({
  id,
  name: id,
  kind: id,
  x,
  y: 0,
  z,
  mass: 0,
  ...more,
});
const flange = point('output-flange', 1000, 0, { pitch: radians(-3), yaw: 0 });
const pinion = point('pinion', 3000, -100, { pitch: radians(-2), yaw: 0 });
const carrier = point('carrier-bearing', 2000, -30);
const with_ = (...points: FramePoint[]) => plainFrame({ points });
const lineOf = (...points: FramePoint[]) => evaluatePlan(inputOf(with_(...points))).driveLine.after;
const stretch = { kind: 'lengthen', at: donor(1500), length: 1000, section: null } as const;

describe('the drive line', () => {
  // By hand: 100 down over 2000 is 2.8624°; the flange falls 3°, the pinion 2°.
  it('of one shaft works at the difference of the slopes', () => {
    const line = lineOf(flange, pinion)!;
    expect(line.shafts).toHaveLength(1);
    expect(line.shafts[0]!.length).toBeNear(Math.hypot(2000, 100), 1e-9);
    expect(degrees(line.shafts[0]!.front.angle)).toBeNear(0.1376, 1e-4);
    expect(degrees(line.shafts[0]!.rear.angle)).toBeNear(0.8624, 1e-4);
    expect(line.worst?.point.id).toBe('pinion');
  });

  // 30 over 1000 is 1.7184°, 70 over 1000 is 4.0042°.
  it('of two shafts has a joint at the carrier, between shaft and shaft', () => {
    const line = lineOf(pinion, carrier, flange)!;
    expect(line.shafts.map(({ front, rear }) => `${front.point.id} to ${rear.point.id}`)).toEqual([
      'output-flange to carrier-bearing',
      'carrier-bearing to pinion',
    ]);
    expect(degrees(line.shafts[0]!.rear.angle)).toBeNear(4.0042 - 1.7184, 1e-4);
    expect(line.shafts[0]!.rear).toBe(line.shafts[1]!.front);
  });

  // cos of the whole = cos of one × cos of the other where one is in plan and the other in side view.
  it('takes plan and side view together, as the angle in space', () => {
    const aside = { ...pinion, y: 150, z: -100, pitch: 0 };
    const line = lineOf({ ...flange, pitch: 0 }, aside)!;
    const [sideways, down] = [Math.atan2(150, Math.hypot(2000, 100)), Math.atan2(100, 2000)];
    expect(line.shafts[0]!.front.angle).toBeNear(Math.acos(Math.cos(sideways) * Math.cos(down)), 1e-12);
  });

  it('knows no angle where no direction was measured, and no line where an end is missing', () => {
    const { pitch: _, yaw: __, ...plain } = flange;
    const line = lineOf(plain, pinion)!;
    expect(line.shafts[0]!.front.angle).toBeNull();
    expect(degrees(line.worst!.angle)).toBeNear(0.8624, 1e-4);
    expect(lineOf(flange)).toBeNull();
    expect(lineOf(carrier, pinion)).toBeNull();
  });

  it('is gone where the plan takes the steel under one of its points', () => {
    const input = inputOf(with_(flange, pinion), { kind: 'shorten', transition: 0, from: donor(900), to: donor(1100) });
    expect(evaluatePlan(input).driveLine).toMatchObject({ before: { shafts: [{}] }, after: null });
  });

  it('turns the pinion with the steel that carries it', () => {
    const pie = {
      kind: 'pie-cut',
      at: donor(2500),
      pivot: 'top',
      mode: 'close',
      turned: 'rear',
      amount: { by: 'angle', angle: radians(2) },
      wedge: 'symmetric',
    } as const;
    const { before, after } = evaluatePlan(inputOf(with_(flange, pinion), pie)).driveLine;
    const slope = Math.atan2(after!.shafts[0]!.rear.at.z, after!.shafts[0]!.rear.at.x - 1000);
    // The wedge is at the bottom: what is behind drops, and points 2° farther down.
    expect(after!.shafts[0]!.rear.angle).toBeNear(Math.abs(radians(-4) - slope), 1e-9);
    expect(after!.shafts[0]!.length).toBeWithin(before!.shafts[0]!.length, 0.01);
  });

  it('mirrors: left and right give the same angles', () => {
    const angle = fc.double({ min: -0.2, max: 0.2, noNaN: true });
    fc.assert(
      fc.property(angle, angle, fc.double({ min: -200, max: 200, noNaN: true }), (pitch, yaw, y) => {
        const front = (sign: 1 | -1) =>
          lineOf({ ...flange, pitch, yaw: sign * yaw }, { ...pinion, y: sign * y })!.shafts[0]!.front.angle!;
        expect(front(-1)).toBeNear(front(1), 1e-12);
      }),
    );
  });
});

describe('what is wrong with a drive line', () => {
  it('a shaft that must be longer is said, with the true difference', () => {
    const found = evaluatePlan(inputOf(with_(flange, pinion), stretch)).conflicts.find(
      ({ code }) => code === 'shaft-length',
    );
    const longer = Math.hypot(3000, 100) - Math.hypot(2000, 100);
    expect(longer).toBeNear(999.17, 0.01);
    expect(found).toMatchObject({ severity: 'note', message: expect.stringMatching(/39 5\/16 in.* longer/) as string });
  });

  it('a joint that the plan bends too far asks for a decision; one that the donor had bent is said', () => {
    const low = { ...pinion, z: -200 };
    expect(conflictsOf(inputOf(with_(flange, low)))).toContain('note shaft-angle');
    const shorter = { kind: 'shorten', transition: 0, from: donor(1500), to: donor(2300) } as const;
    expect(conflictsOf(inputOf(with_(flange, low), shorter))).toContain('warn shaft-angle');
    const rules = {
      profile: 'weld-and-reinforce',
      changes: { 'shaft/angle': radians(12), 'shaft/ends': 0.2 },
    } as const;
    expect(conflictsOf({ ...inputOf(with_(flange, low), shorter), rules }).join()).not.toContain('shaft-angle');
  });

  it('ends that differ by more than a degree are said', () => {
    expect(conflictsOf(inputOf(with_(flange, { ...pinion, pitch: 0 })))).toContain('note shaft-ends');
    expect(conflictsOf(inputOf(with_(flange, pinion))).join()).not.toContain('shaft');
  });
});
