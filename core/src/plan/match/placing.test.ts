import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newBody, onBody, onFrame } from '../../body/index.ts';
import { leastSquares, missed, placedAtMounts, placedBy, type PlacingTarget, usualPose } from './placing.ts';

const LEVEL = { x: 0, z: 0, rake: 0 };
const degrees = (angle: number) => (angle * Math.PI) / 180;
const body = {
  ...newBody('bed'),
  openings: [
    { id: 'f', name: 'Front', over: 'front' as const, x: 800, z: 300 },
    { id: 'r', name: 'Rear', over: 'rear' as const, x: 4200, z: 310 },
  ],
};
const axles = { front: { x: 0, z: 380 }, rear: { x: 3350, z: 390 } };

describe('where a body sits', () => {
  it('a rake lifts the rear, and is turned exactly', () => {
    const at = onFrame({ x: 100, z: 50, rake: degrees(30) }, { x: 1000, y: -400, z: 200 });
    expect(at).toEqual({
      x: expect.toBeNear(100 + 1000 * Math.cos(degrees(30)) - 100, 1e-9),
      y: -400,
      z: expect.toBeNear(50 + 500 + 200 * Math.cos(degrees(30)), 1e-9),
    });
  });

  it('there and back is where it was', () => {
    const number = fc.double({ min: -3000, max: 3000, noNaN: true });
    fc.assert(
      fc.property(
        number,
        number,
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        number,
        number,
        (x, z, rake, a, b) => {
          const back = onBody({ x, z, rake }, onFrame({ x, z, rake }, { x: a, y: 7, z: b }));
          expect(back).toEqual({ x: expect.toBeNear(a, 1e-8), y: 7, z: expect.toBeNear(b, 1e-8) });
        },
      ),
    );
  });

  it('both openings in x and z, weighted two to one: as in the independent solution', () => {
    const { cases } = JSON.parse(
      readFileSync(new URL('../../../test/reference/mounts.json', import.meta.url), 'utf8'),
    ) as { cases: { id: string; input: never; expected: never }[] };
    const { input, expected } = cases.find(({ id }) => id === 'place_least_squares_openings') as unknown as {
      input: { targets: { body_xz_mm: [number, number]; x_mm: number; z_mm: number; weight: number }[] };
      expected: { pose: { x_mm: number; z_mm: number; rake_deg: number }; weighted_sum_of_squares: number };
    };
    const targets = input.targets.map(({ body_xz_mm: [x, z], x_mm, z_mm, weight }): PlacingTarget => ({
      at: { x, z },
      x: x_mm,
      z: z_mm,
      weight,
    }));
    const pose = leastSquares(targets, LEVEL);
    expect(pose).toEqual({
      x: expect.toBeNear(expected.pose.x_mm, 1e-6),
      z: expect.toBeNear(expected.pose.z_mm, 1e-6),
      rake: expect.toBeNear(degrees(expected.pose.rake_deg), 1e-9),
    });
    expect(missed(pose, targets)).toBeNear(expected.weighted_sum_of_squares, 1e-6);
  });

  it('nothing near it misses less', () => {
    const number = fc.double({ min: -400, max: 400, noNaN: true });
    fc.assert(
      fc.property(number, number, number, fc.double({ min: 0.1, max: 5, noNaN: true }), (dx, dz, tilt, weight) => {
        const targets: PlacingTarget[] = [
          { at: { x: 0, z: 0 }, x: dx, z: dz, weight },
          { at: { x: 3400, z: 20 }, x: 3380, z: tilt, weight: 1 },
          { at: { x: 1700, z: -30 }, z: 60, weight: 0.5 },
        ];
        const pose = leastSquares(targets, LEVEL);
        const least = missed(pose, targets);
        for (const by of [-0.5, 0.5])
          for (const other of [
            { ...pose, x: pose.x + by },
            { ...pose, z: pose.z + by },
            { ...pose, rake: pose.rake + by / 1000 },
          ])
            expect(missed(other, targets)).toBeGreaterThanOrEqual(least - 1e-9);
      }),
    );
  });

  it('what the targets do not say stays as it was', () => {
    const from = { x: 12, z: 34, rake: 0.02 };
    expect(leastSquares([], from)).toEqual(from);
    const along = leastSquares([{ at: { x: 800, z: 300 }, x: 0, weight: 1 }], from);
    expect([along.z, along.rake]).toEqual([34, 0.02]);
    const high = leastSquares([{ at: { x: 800, z: 300 }, z: 500, weight: 1 }], from);
    expect([high.x, high.rake]).toEqual([12, 0.02]);
  });
});

describe('a rule', () => {
  it('puts one opening over its axle and keeps height and rake, or both as near as can be', () => {
    const from = { x: 0, z: 40, rake: 0 };
    expect(placedBy('front-opening', body, axles, from)).toEqual({ x: expect.toBeNear(-800, 1e-9), z: 40, rake: 0 });
    expect(placedBy('rear-opening', body, axles, from)).toEqual({ x: expect.toBeNear(-850, 1e-9), z: 40, rake: 0 });
    // The openings stand 3400 apart, the axles 3350: each is missed by half of the difference.
    expect(placedBy('both-openings', body, axles, from)!.x).toBeNear(-825, 1e-9);
  });

  it('keeps a rake: the opening is over the axle all the same', () => {
    const raked = placedBy('rear-opening', body, axles, { x: 0, z: 40, rake: degrees(2) })!;
    expect(raked.rake).toBe(degrees(2));
    expect(onFrame(raked, { x: 4200, z: 310 }).x).toBeNear(3350, 1e-9);
  });

  it('says no where the opening or the axle is not there', () => {
    const bed = { ...body, openings: body.openings.slice(1) };
    expect(placedBy('front-opening', bed, axles, LEVEL)).toBeNull();
    expect(placedBy('both-openings', bed, axles, LEVEL)).toBeNull();
    expect(placedBy('rear-opening', body, { ...axles, rear: null }, LEVEL)).toBeNull();
    expect(usualPose(bed, axles).x).toBeNear(-850, 1e-9);
    expect(usualPose(newBody('x'), axles)).toEqual(LEVEL);
  });
});

describe('a body placed by its mounts', () => {
  const mount = (id: string, x: number, z: number) => ({ id, name: id, x, y: -400, z });
  const bed = { ...newBody('bed'), mounts: [mount('a', 500, 0), mount('b', 2500, 20), mount('c', 4000, 0)] };
  const from = { x: 100, z: 200, rake: 0.02 };

  it('is exactly where two wishes can both be met, and keeps what none names', () => {
    const placed = placedAtMounts(
      bed,
      [
        { mount: 'a', z: 300, weight: 1 },
        { mount: 'b', z: 380, x: 2600, weight: 1 },
      ],
      from,
    )!;
    // 80 up over the chord from a to b, whose ends lie 20 apart in height on the body.
    const rake = Math.asin(80 / Math.hypot(2000, 20)) - Math.atan2(20, 2000);
    expect(placed.pose.rake).toBeNear(rake, 1e-9);
    expect(onFrame(placed.pose, bed.mounts[1]!)).toMatchObject({
      x: expect.toBeNear(2600, 1e-6),
      z: expect.toBeNear(380, 1e-6),
    });
    expect(placed.misses).toEqual([
      { mount: 'a', x: null, z: expect.toBeNear(0, 1e-6) },
      { mount: 'b', x: expect.toBeNear(0, 1e-6), z: expect.toBeNear(0, 1e-6) },
    ]);
    const along = placedAtMounts(bed, [{ mount: 'c', x: 4321, weight: 3 }], from)!.pose;
    expect(along).toMatchObject({ z: from.z, rake: from.rake });
    const high = placedAtMounts(bed, [{ mount: 'c', z: 250, weight: 3 }], from)!.pose;
    expect(high).toMatchObject({ x: from.x, rake: from.rake });
  });

  it('weighs wishes that cannot all be met, and says how far each is off', () => {
    // Three heights in a row on a level body: a line through 0, 0 and 60 with the last counting double.
    const level = { ...bed, mounts: [mount('a', 0, 0), mount('b', 1000, 0), mount('c', 2000, 0)] };
    const wish = (id: string, z: number, weight = 1) => ({ mount: id, z, weight });
    const { misses, pose } = placedAtMounts(level, [wish('a', 0), wish('b', 0), wish('c', 60, 2)], LEVEL)!;
    // Weighted normal equations by hand: Σw = 4, Σwx = 5000, Σwx² = 9e6, Σwz = 120, Σwxz = 240 000.
    const slope = (4 * 240_000 - 5000 * 120) / (4 * 9e6 - 5000 ** 2);
    expect(Math.sin(pose.rake)).toBeNear(slope, 2e-5);
    const offset = (120 - slope * 5000) / 4;
    expect(misses.map(({ z }) => z)).toEqual(
      [offset, offset + slope * 1000, offset + slope * 2000 - 60].map((off) => expect.toBeNear(off, 0.02)),
    );
  });

  it('is left alone where nothing says where', () => {
    expect(placedAtMounts(bed, [], from)).toBeNull();
    expect(
      placedAtMounts(
        bed,
        [
          { mount: 'gone', x: 5, weight: 1 },
          { mount: 'a', weight: 1 },
        ],
        from,
      ),
    ).toBeNull();
  });
});
