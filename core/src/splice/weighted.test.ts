import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Section, sectionProperties } from '../sections/index.ts';
import { ofRectangle, ofSlice, sumOf, wall } from './weighted.ts';

const SECTIONS: readonly Section[] = [
  { kind: 'channel', depth: 180, flange: 64, thickness: 5 },
  { kind: 'closed-channel', depth: 180, flange: 64, thickness: 5, plate: 4 },
  { kind: 'tube', depth: 120, width: 60, thickness: 5, inner: 3 },
  { kind: 'hat', depth: 110, crown: 70, brim: 25, thickness: 4 },
  { kind: 'round', depth: 90, thickness: 5 },
];

describe('steel that counts with a factor', () => {
  it('two rectangles about their common centroid, by hand', () => {
    // 10 × 20 from 0 to 20 and 40 × 5 from 20 to 25, the second at half: areas 200 and 100, at 10 and 22.5.
    const { area, centroidZ, iy } = sumOf([ofRectangle(10, 0, 20, 1), ofRectangle(40, 20, 25, 0.5)]);
    expect(area).toBe(300);
    expect(centroidZ).toBeNear((200 * 10 + 100 * 22.5) / 300, 1e-12);
    const own = (10 * 20 ** 3) / 12 + (0.5 * 40 * 5 ** 3) / 12;
    expect(iy).toBeNear(own + 200 * (centroidZ - 10) ** 2 + 100 * (22.5 - centroidZ) ** 2, 1e-9);
  });

  it('steel that is taken out counts below 0, and where none is left nothing is divided by it', () => {
    const { area, iy } = sumOf([ofRectangle(10, 0, 30, 1), ofRectangle(10, 10, 20, -1)]);
    expect(area).toBe(200);
    expect(iy).toBeNear((10 * (30 ** 3 - 10 ** 3)) / 12, 1e-9);
    expect(sumOf([])).toEqual({ area: 0, centroidZ: 0, iy: 0 });
    expect(sumOf([ofRectangle(10, 0, 30, 1), ofRectangle(10, 0, 30, -1)])).toEqual({ area: 0, centroidZ: 0, iy: 0 });
  });

  it('a part stands where it is: across it only its thickness counts', () => {
    expect(ofSlice({ x: 0, y: [4, 9], z: [20, 60] }, 0.5)).toEqual(ofRectangle(5, 20, 60, 0.5));
    expect(ofSlice({ x: 0, y: [104, 109], z: [20, 60] }, 0.5)).toEqual(ofRectangle(5, 20, 60, 0.5));
  });
});

describe.each(SECTIONS)('the wall of a $kind', (section) => {
  const whole = sectionProperties(section);
  const round = section.kind === 'round';

  it('is the section itself where none of it is in weld', () => {
    const { area, centroidZ, iy } = sumOf(wall(section, null, 0.3));
    expect([area, centroidZ, iy]).toEqual([
      expect.toBeNear(whole.area, 1e-6),
      expect.toBeNear(whole.centroidZ, 1e-6),
      expect.toBeNear(whole.iy, whole.iy * 1e-9),
    ]);
  });

  it('counts with the factor alone where all of it is', () => {
    const { area, iy } = sumOf(wall(section, [-1, section.depth + 1], 0.6));
    expect(area).toBeNear(0.6 * whole.area, 1e-6);
    expect(iy).toBeNear(0.6 * whole.iy, whole.iy * 1e-9);
  });

  it('loses no steel at the edge of the weld, wherever that runs', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (a, b) => {
        const band = [Math.min(a, b) * section.depth, Math.max(a, b) * section.depth] as const;
        const { area, centroidZ, iy } = sumOf(wall(section, band, 1));
        // A ring is cut into strips there: close, not exact.
        const near = round ? 2e-3 : 1e-9;
        expect(area).toBeNear(whole.area, whole.area * near);
        expect(centroidZ).toBeNear(whole.centroidZ, section.depth * near);
        expect(iy).toBeNear(whole.iy, whole.iy * near);
      }),
      { numRuns: 40 },
    );
  });

  it('has never more of it in a larger weld', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (a, b) => {
        const up = (to: number) => sumOf(wall(section, [0, to * section.depth], 0.5)).area;
        expect(up(Math.max(a, b))).toBeLessThanOrEqual(up(Math.min(a, b)) * (round ? 1.002 : 1 + 1e-12));
      }),
      { numRuns: 40 },
    );
  });
});
