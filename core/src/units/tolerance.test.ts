import fc from 'fast-check';
import { expect, it } from 'vitest';
import { exceeds, isAt, isInside, isWithin, overlap, settled, TOLERANCE } from './index.ts';

const noise = fc.double({ min: -TOLERANCE * 0.99, max: TOLERANCE * 0.99, noNaN: true });
const far = fc.double({ min: TOLERANCE * 1.01, max: 1000, noNaN: true });

it('noise on a station changes no verdict', () => {
  fc.assert(
    fc.property(fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: 1, max: 500 }), noise, (from, long, off) => {
      const span = { from, to: from + long };
      expect(isAt(from + off, from)).toBe(true);
      expect(isInside(from + off, span)).toBe(false);
      expect(isWithin(from + off, span)).toBe(true);
      expect(exceeds(from + off, from)).toBe(false);
      expect(overlap(span, { from: span.to + off, to: span.to + 10 })).toBe(false);
      expect(settled(off)).toBe(0);
    }),
  );
});

it('what is beyond it counts, and keeps its sign and size', () => {
  fc.assert(
    fc.property(far, (mm) => {
      expect([settled(mm), settled(-mm)]).toEqual([mm, -mm]);
      expect([exceeds(mm, 0), isAt(mm, 0)]).toEqual([true, false]);
    }),
  );
});
