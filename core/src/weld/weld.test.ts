import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  balancedOrder,
  filletArea,
  grooveArea,
  heatInput,
  passesFor,
  peakOf,
  pulled,
  pullFactor,
  pullOf,
  type PullingStitch,
  travelOf,
} from './index.ts';

describe('weld metal', () => {
  it('of a butt weld in a channel wall is 25.25 mm² in two passes', () => {
    const cap = { width: 9, height: 1.2 };
    const area = grooveArea({ wall: 4.7625, gap: 2.5, land: 1.5, bevel: Math.PI / 6, beveledEdges: 2, cap });
    // By hand: 11.906 + 3.2625² × 0.57735 = 6.145, and 7.2 of cap.
    expect(area).toBeNear(25.25, 0.005);
    expect(passesFor(area, 22)).toBe(2);
    expect(passesFor(22, 22)).toBe(1);
    expect(passesFor(11 * 2.2, 2.2)).toBe(11);
  });

  it('of a wall thinner than its land has no bevel', () => {
    const cap = { width: 6, height: 1 };
    const area = grooveArea({ wall: 1.2, gap: 1, land: 1.5, bevel: Math.PI / 6, beveledEdges: 2, cap });
    expect(area).toBeNear(1.2 + 4, 1e-12);
  });

  it('of a fillet is a triangle and a tenth', () => {
    expect(filletArea(4.7625)).toBeNear(12.475, 0.001);
  });
});

describe('heat input', () => {
  it('is 0.518 kJ/mm at 19.5 V, 155 A and 280 mm/min', () => {
    expect(heatInput({ volts: 19.5, amps: 155, travel: 280 }, 0.8)).toBeNear(0.518, 0.0005);
  });

  it('is refused for settings that no machine has', () => {
    expect(() => heatInput({ volts: 0, amps: 155, travel: 0 }, 0.8)).toThrow(/volts.*\n.*travel/);
  });

  it('takes the travel from a coupon', () => {
    expect(travelOf(150, 32)).toBeNear(281.25, 1e-9);
  });
});

/** Two channels 187.325 × 66.675 × 4.7625 with webs 425.45 out; the top flanges shrink more. */
const channels = (left: readonly [number, number, number], right = left) =>
  [-1, 1].flatMap((side) => {
    const [top, bottom, web] = side < 0 ? left : right;
    const t = 4.7625;
    const wall = (y: number, z: number, wide: number, deep: number, shrinkage: number) => ({
      area: wide * deep,
      y: side * (425.45 - y),
      z,
      wide,
      deep,
      shrinkage,
    });
    return [
      wall(66.675 / 2, 187.325 - t / 2, 66.675, t, top),
      wall(66.675 / 2, t / 2, 66.675, t, bottom),
      wall(t / 2, 93.6625, t, 187.325 - 2 * t, web),
    ];
  });

describe('how a joint pulls', () => {
  it('shortens by 0.464 mm and turns by 0.0662° where top flanges shrink by 0.7 and the rest by 0.4', () => {
    const pull = pullOf(channels([0.7, 0.4, 0.4]));
    expect(pull.shortening).toBeNear(0.464, 0.0005);
    expect((pull.pitch * 180) / Math.PI).toBeNear(0.0662, 0.00005);
    expect(pulled(pull, 1500, { x: 3300, y: 0, z: pull.center.z }).z - pull.center.z).toBeNear(2.08, 0.005);
    expect(pull.yaw).toBeNear(0, 1e-12);
  });

  it('swings to the side that shrinks more, and does not turn where all shrink alike', () => {
    expect(pullOf(channels([0.4, 0.4, 0.4], [0.7, 0.7, 0.7])).yaw).toBeGreaterThan(0);
    const even = pullOf(channels([0.5, 0.5, 0.5]));
    expect([even.pitch, even.yaw]).toEqual([expect.closeTo(0, 12), expect.closeTo(0, 12)]);
    expect(even.shortening).toBeNear(0.5, 1e-12);
  });

  it('leaves what is ahead where it is and keeps the piece behind in its shape', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1.5, noNaN: true }), { minLength: 6, maxLength: 6 }), (shrinks) => {
        const [a, b] = [shrinks.slice(0, 3), shrinks.slice(3)] as unknown as [
          [number, number, number],
          [number, number, number],
        ];
        const pull = pullOf(channels(a, b));
        const points = [
          { x: 2000, y: -400, z: 0 },
          { x: 3900, y: 410, z: 250 },
        ] as const;
        const [p, q] = points.map((point) => pulled(pull, 1500, point));
        const length = (m: { x: number; y: number; z: number }, n: typeof m) =>
          Math.hypot(m.x - n.x, m.y - n.y, m.z - n.z);
        expect(length(p!, q!)).toBeNear(length(points[0], points[1]), 1e-6);
        expect(pulled(pull, 1500, { x: 1400, y: 3, z: 4 })).toEqual({ x: 1400, y: 3, z: 4 });
      }),
    );
  });

  it('is refused where nothing joins the pieces', () => {
    expect(() => pullOf([])).toThrow('No wall joins');
  });
});

describe('the shop’s own factor', () => {
  it('is the median of what was measured over what was expected', () => {
    const samples = [0.8, 1.2, 1.0, 1.5].map((measured) => ({ expected: 1, measured }));
    expect(pullFactor(samples, 3)).toEqual({ factor: 1.1, spread: [0.8, 1.5], count: 4, used: true });
  });

  it('is the textbook’s until enough joints are known', () => {
    const few = [
      { expected: 1, measured: 2 },
      { expected: 0, measured: 3 },
    ];
    expect(pullFactor(few, 3)).toEqual({ factor: 1, spread: null, count: 1, used: false });
    expect(pullFactor([], 0).factor).toBe(1);
  });
});

const stitch = fc.record<PullingStitch>({
  y: fc.integer({ min: -450, max: 450 }),
  z: fc.integer({ min: 0, max: 220 }),
  area: fc.integer({ min: 8, max: 30 }),
  length: fc.integer({ min: 40, max: 100 }),
});

/** The least peak by trying every order. */
function leastOfAll(stitches: readonly PullingStitch[], center: { y: number; z: number }): number {
  if (stitches.length === 0) return 0;
  const tried = (done: readonly PullingStitch[], left: readonly PullingStitch[]): number =>
    left.length === 0
      ? peakOf(done, center)
      : Math.min(
          ...left.map((one) =>
            tried(
              [...done, one],
              left.filter((other) => other !== one),
            ),
          ),
        );
  return tried([], stitches);
}

describe('the order of stitches', () => {
  const center = { y: 0, z: 100 };

  it('is as balanced as the best of all orders', () => {
    fc.assert(
      fc.property(fc.array(stitch, { minLength: 1, maxLength: 6 }), (stitches) => {
        const { order, peak } = balancedOrder(stitches, center);
        expect(order.toSorted((a, b) => a - b)).toEqual(stitches.map((_, at) => at));
        expect(peak).toBeWithin(leastOfAll(stitches, center), 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('of many stitches stays within a tenth of what no order can go below', () => {
    fc.assert(
      fc.property(fc.array(stitch, { minLength: 16, maxLength: 40 }), (stitches) => {
        const { order, peak } = balancedOrder(stitches, center);
        expect(order.toSorted((a, b) => a - b)).toEqual(stitches.map((_, at) => at));
        // No order is below half of the largest single step, nor below where it ends.
        const steps = stitches.map((one) => peakOf([one], center));
        const end = peakOf([{ y: 0, z: 100, area: 0, length: 0 }], center, stitches);
        expect(peak).toBeLessThanOrEqual(1.1 * Math.max(end, ...steps));
      }),
      { numRuns: 25 },
    );
  });

  it('is the mirrored one for a mirrored joint', () => {
    const stitches = [-1, 1].flatMap((side) =>
      [0, 80, 160, 220].map((z, at): PullingStitch => ({ y: side * (430 - 20 * at), z, area: 15 + at, length: 70 })),
    );
    const mirrored = stitches.map((one) => ({ ...one, y: -one.y }));
    expect(balancedOrder(mirrored, center)).toEqual(balancedOrder(stitches, center));
  });

  it('begins from what is welded already', () => {
    const [top, bottom] = [
      { y: 0, z: 200, area: 20, length: 80 },
      { y: 0, z: 0, area: 20, length: 80 },
    ];
    expect(balancedOrder([top, bottom], center, [top]).order).toEqual([1, 0]);
  });

  it('keeps what must go first first', () => {
    const stitches = Array.from({ length: 6 }, (_, at) => ({ y: (at - 2.5) * 100, z: 50 * at, area: 20, length: 80 }));
    const { order } = balancedOrder(stitches, center, [], [[5], [], [], [], [1], []]);
    expect(order.indexOf(5)).toBeLessThan(order.indexOf(0));
    expect(order.indexOf(1)).toBeLessThan(order.indexOf(4));
    const many = Array.from({ length: 20 }, (_, at) => ({ y: (at - 9.5) * 40, z: 10 * at, area: 20, length: 80 }));
    const long = balancedOrder(
      many,
      center,
      [],
      many.map((_, at) => (at === 0 ? [19] : [])),
    );
    expect(long.order.indexOf(19)).toBeLessThan(long.order.indexOf(0));
  });
});
