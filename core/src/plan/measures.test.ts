import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodyOf, donor, featureAt, inputOf, plainFrame, pointAt, tankAt } from '../../test/frames.ts';
import type { Axle } from '../frame/index.ts';
import { endWords, evaluatePlan } from './index.ts';

/** Both axle centers at the same height, so that the ground is level: 530 below the datum plane. */
const level = (changes: Partial<Axle> = {}): Axle[] =>
  (['front', 'rear'] as const).map((role) => ({
    id: role,
    name: role,
    role,
    x: role === 'front' ? 800 : 4400,
    z: -150,
    tireRadius: 380,
    track: 1600,
    ...changes,
  }));
const measure = (changes = {}) => evaluatePlan(inputOf(plainFrame({ axles: level(), ...changes }))).measures.before;

/** The angle by which a line through a point outside a tire must be turned to touch it from below: bisected, not solved. */
function tangent(away: number, height: number, radius: number): number {
  // Height of the ramp's line through the point over the lowest point of the tire, for a ramp of `angle`.
  const clears = (angle: number) => {
    const distance = Math.abs(Math.sin(angle) * away - Math.cos(angle) * height);
    return distance - radius;
  };
  let [low, high] = [Math.atan2(height, away), Math.PI / 2];
  for (let step = 0; step < 200; step += 1) {
    const middle = (low + high) / 2;
    if (clears(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

describe('measures', () => {
  it('lengths along the frame', () => {
    const points = [{ ...pointAt('cab', 1500, 0, 900), kind: 'cab-back' as const }];
    expect(measure({ points })).toMatchObject({
      wheelbase: 3600,
      cabToAxle: 2900,
      axleToEnd: 1600,
      frontOverhang: 800,
      overallLength: 6000,
      widest: 860,
      narrowest: 860,
    });
  });

  it('two rear axles count as one in the middle of them', () => {
    const axles = [...level(), { ...level()[1]!, id: 'second', x: 5600 }];
    expect(measure({ axles }).wheelbase).toBe(4200);
  });

  it('two front axles seat the body in the middle of them, on the board as on the scales', () => {
    const axles = plainFrame().axles.flatMap((axle) =>
      axle.role === 'front' ? [axle, { ...axle, id: 'front-2', x: axle.x + 500 }] : [axle],
    );
    // 700 and 1200 stand around 950; 250 put in between them moves the second, and the middle by half of it.
    const { seats, laden } = evaluatePlan({
      ...inputOf(plainFrame({ axles }), { kind: 'lengthen', at: donor(900), length: 250 }),
      bodies: [bodyOf([{ id: 'load', name: 'Load', mass: 1e6, x: 1000, y: 0, z: 500 }])],
    });
    expect([seats[0]!.onDonor.x, seats[0]!.pose.x]).toEqual([950, 1075]);
    // A load that outweighs the frame balances where it stands: 1000 behind the seat.
    expect(laden.before!.centerOfGravity.x).toBeNear(1950, 2);
    expect(laden.after!.centerOfGravity.x).toBeNear(2075, 2);
  });

  it('is null where the frame lacks what is asked, and never a number made up', () => {
    const bare = measure();
    expect(bare.cabToAxle).toBeNull();
    expect(bare.usableCabToAxle).toBeNull();
  });

  it('clearance counts from the ground under the tires, level or leaning', () => {
    // Underside of the rail at −150; ground at −530.
    expect(measure().lowest).toMatchObject({ clearance: 380, what: 'left rail' });
    const nose = level().map((axle) => (axle.role === 'front' ? { ...axle, tireRadius: 280 } : axle));
    // Ground at −430 under the front axle, −530 under the rear: lowest at the front end of the rail.
    const slope = -100 / 3600;
    expect(measure({ axles: nose }).lowest!.clearance).toBeNear(-150 - (-430 - 800 * slope), 1e-9);
  });

  it('approach, departure and breakover lines touch the tires', () => {
    const { approach, departure, breakover } = measure();
    // The rail's lower corner is level with the axle centers.
    expect(approach).toBeNear(tangent(800, 0, 380), 1e-9);
    expect(departure).toBeNear(tangent(1600, 0, 380), 1e-9);
    // Under a level rail the worst place is half-way between the axles, whether a station was measured there or not.
    expect(breakover).toBeNear(2 * tangent(1800, 0, 380), 1e-9);
    const rails = {
      kind: 'mirrored',
      stations: [0, 2100, 2600, 6000].map((x) => ({ x, halfWidth: 430, top: 0, section: 'rail' })),
    };
    expect(measure({ rails }).breakover).toBeNear(2 * tangent(1800, 0, 380), 1e-9);
  });

  it('count everything that is mounted there: a spare wheel under the tail, a hitch behind it', () => {
    const spare = tankAt({
      id: 'spare',
      name: 'Spare wheel',
      kind: 'other',
      front: 5200,
      rear: 5900,
      low: -300,
      high: -160,
    });
    expect(measure({ rooms: [spare] }).departure).toBeNear(tangent(1500, -150, 380), 1e-9);
    expect(measure({ rooms: [spare] }).lowest).toMatchObject({ clearance: 230, what: 'Spare wheel' });
    const hitch = featureAt('hitch', 5950, { kind: 'hitch', ahead: 50, behind: 350, down: 140 });
    const features = [...plainFrame().features, hitch];
    expect(measure({ features }).departure).toBeNear(tangent(1900, 10, 380), 1e-9);
    expect(measure({ features }).axleToEnd).toBe(1600);
  });

  it('are measured from the ground that the tires stand on, however the frame leans on it', () => {
    const [front, rear] = level();
    const large = [front!, { ...rear!, tireRadius: 480 }];
    const is = measure({ axles: large });
    // The same truck, turned so that its ground is level: the tail's corner about the front tire's foot.
    const slope = Math.atan(-100 / 3600);
    const turned = (x: number, z: number) => ({
      x: x * Math.cos(slope) + z * Math.sin(slope),
      z: z * Math.cos(slope) - x * Math.sin(slope),
    });
    const [wheel, corner] = [turned(4400, -150), turned(6000, -150)];
    expect(is.departure).toBeNear(tangent(corner.x - wheel.x, corner.z - wheel.z, 480), 1e-9);
    const [nose, ahead] = [turned(800, -150), turned(0, -150)];
    expect(is.approach).toBeNear(tangent(nose.x - ahead.x, ahead.z - nose.z, 380), 1e-9);
  });

  it.each([
    ['bottom-longer', 'bottom'],
    ['top-longer', 'top'],
  ] as const)('the end of a frame that is trimmed %s is its %s corner, and says so', (lean, corner) => {
    const trimmed = inputOf(plainFrame({ axles: level() }), {
      kind: 'trim',
      end: 'rear',
      at: donor(5600),
      angle: Math.PI / 4,
      lean,
    });
    const { before, after } = evaluatePlan(trimmed).measures;
    expect(after.ends.rear.corner).toBe(corner);
    expect(after.axleToEnd).toBeNear(after.ends.rear.x - 4400, 1e-9);
    expect(after.axleToEnd).toBeNear(corner === 'bottom' ? 1350 : 1200, 1e-9);
    expect(before.ends.rear).toEqual({ x: 6000, top: 0, corner: null });
    expect(endWords(before.ends.rear)).toBe('end of the frame');
    expect(endWords(after.ends.rear)).toBe(`end of the frame, ${corner === 'top' ? 'upper' : 'lower'} corner`);
  });

  it('a shorter rear overhang never makes departure worse', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4850, max: 5900 }), (x) => {
        const { before, after } = evaluatePlan(
          inputOf(plainFrame({ axles: level() }), {
            kind: 'trim',
            end: 'rear',
            at: donor(x),
            angle: 0,
            lean: 'top-longer',
          }),
        ).measures;
        expect(after.departure!).toBeGreaterThanOrEqual(before.departure! - 1e-12);
      }),
    );
  });

  it('mass is length × area × density, and balances in the middle of a plain frame', () => {
    const { mass, centerOfGravity, axleLoads } = measure();
    expect(mass).toBeNear(2 * 6000 * (150 * 60 - 140 * 50) * 7.85e-6, 1e-9);
    expect(centerOfGravity!.x).toBeNear(3000, 1e-9);
    expect(centerOfGravity!.y).toBeNear(0, 1e-9);
    expect(centerOfGravity!.z).toBeNear(-75, 1e-9);
    expect(axleLoads!.front + axleLoads!.rear).toBeNear(mass, 1e-9);
  });

  it('a weight moves the balance by levers, wherever it stands', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -800, max: 6800 }),
        fc.integer({ min: -400, max: 400 }),
        fc.integer({ min: 1, max: 2000 }),
        (x, y, mass) => {
          const points = [{ ...pointAt('load', x, y, 300), kind: 'mass' as const, mass }];
          const [empty, laden] = [measure(), measure({ points })];
          const lever = (a: number, b: number) => (empty.mass * a + mass * b) / (empty.mass + mass);
          expect(laden.mass).toBeNear(empty.mass + mass, 1e-6);
          expect(laden.centerOfGravity!.x).toBeNear(lever(3000, x), 1e-6);
          expect(laden.centerOfGravity!.y).toBeNear(lever(0, y), 1e-6);
          expect(laden.centerOfGravity!.z).toBeNear(lever(-75, 300), 1e-6);
        },
      ),
    );
  });
});

describe('the tape', () => {
  it('gives back the donor station of every built one, and the other way round', async () => {
    const { builtOf, donorOf } = await import('./index.ts');
    const { tape } = evaluatePlan(
      inputOf(
        plainFrame(),
        { kind: 'lengthen', at: donor(4000), length: 500, section: null },
        { kind: 'shorten', transition: 0, from: donor(1500), to: donor(1900) },
        { kind: 'trim', end: 'rear', at: donor(5700), angle: 0, lean: 'top-longer' },
      ),
    );
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5700 }), (x) => {
        const there = builtOf(tape, x);
        if (x > 1500 && x < 1900) expect(there).toBeNull();
        else expect(donorOf(tape, there!)).toSatisfy((back: number) => Math.abs(back - x) < 1e-6 || x === 1900);
      }),
    );
    expect(builtOf(tape, 5800)).toBeNull();
    expect(donorOf(tape, 3700)).toBeNull();
    expect(tape.spans.map(({ kind }) => kind)).toEqual(['donor', 'donor', 'new', 'donor']);
    expect(tape.spans.at(-1)!.builtTo).toBeNear(5700 + 500 - 400, 1e-9);
  });
});
