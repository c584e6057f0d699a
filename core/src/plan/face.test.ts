import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Rail } from '../frame/index.ts';
import { type CutFace, crossing, faceAt, TOP_EDGE } from './face.ts';

const rail: Rail = [
  { x: 0, halfWidth: 400, top: 0, section: 'rail' },
  { x: 1000, halfWidth: 400, top: 0, section: 'rail' },
  { x: 1400, halfWidth: 400, top: 300, section: 'deep' },
  { x: 3000, halfWidth: 400, top: 300, section: 'deep' },
];
const depthOf = (section: string) => (section === 'deep' ? 200 : 150);

describe('where a face crosses a line along a rail', () => {
  it('a square face crosses every line at its own station', () => {
    const face: CutFace = { x: 1234, z: 0, lean: 0 };
    expect([TOP_EDGE, depthOf].map((line) => crossing(rail, face, line))).toEqual([1234, 1234]);
    expect(faceAt(face, 99)).toBe(1234);
  });

  it('on a level rail it goes by the lean times the depth', () => {
    const face: CutFace = { x: 500, z: 0, lean: 0.5 };
    expect(crossing(rail, face, TOP_EDGE)).toBeNear(500, 1e-9);
    // 150 below the top: 500 − 0.5 · 150.
    expect(crossing(rail, face, depthOf)).toBeNear(425, 1e-9);
    expect(faceAt(face, -150)).toBeNear(425, 1e-9);
  });

  it('on a ramp it meets the ramp: x = 1200 + lean (0.75 (x − 1000) − 150)', () => {
    const face: CutFace = { x: 1200, z: 150, lean: -0.4 };
    // Through the top edge of the ramp at 1200, where that is 150 high.
    expect(crossing(rail, face, TOP_EDGE)).toBeNear(1200, 1e-9);
    // 150 below the ramp: x = 1200 − 0.4 (0.75 (x − 1000) − 150 − 150), so 1.3 x = 1200 + 300 + 120.
    expect(crossing(rail, face, depthOf)).toBeNear(1620 / 1.3, 1e-9);
  });

  it('beyond the ends the rail is carried on straight', () => {
    expect(crossing(rail, { x: -50, z: 0, lean: 0.3 }, depthOf)).toBeNear(-95, 1e-9);
    expect(crossing(rail, { x: 3100, z: 300, lean: 0.3 }, depthOf)).toBeNear(3040, 1e-9);
  });

  it('where the line jumps with the section and the face falls into the jump, it is the station', () => {
    // The bottom edge falls from 150 to 200 below at 1400: this face passes through 1400 at 120 high, inside the jump.
    const face: CutFace = { x: 1400, z: 120, lean: 0.1 };
    expect(crossing(rail, face, depthOf)).toBeNear(1400, 1e-9);
  });

  it('lies on the face and on the line, wherever it is', () => {
    const top = (x: number) => (x <= 1000 ? 0 : x >= 1400 ? 300 : 0.75 * (x - 1000));
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 2900 }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.integer({ min: 0, max: 150 }),
        (x, lean, down) => {
          const face: CutFace = { x, z: top(x), lean };
          const found = crossing(rail, face, () => down);
          if (found < 0 || found > 3000) return;
          expect(faceAt(face, top(found) - down)).toBeNear(found, 1e-6);
        },
      ),
    );
  });
});
