import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inches } from '../units/index.ts';
import { type EndsRead, fitUpOf, GAP_PLACES } from './fit-up.ts';

const rules = { profile: 'weld-and-reinforce', changes: { 'weld/gap': inches(1 / 8) } } as const;
const read = (side: 'left' | 'right', [top, web, bottom]: readonly number[], [out, up] = [0, 0]): EndsRead => ({
  side,
  top: inches(top!),
  web: inches(web!),
  bottom: inches(bottom!),
  out: inches(out!),
  up: inches(up!),
});

describe('the fit of two ends', () => {
  it('by hand: the right top is a sixteenth tight, the rest is even; then it is drawn together', () => {
    const found = fitUpOf([read('left', [3 / 16, 3 / 16, 3 / 16]), read('right', [1 / 8, 3 / 16, 3 / 16])], rules);
    expect(found.dress).toEqual([{ side: 'right', place: 'top', off: expect.closeTo(inches(1 / 16), 9) as number }]);
    expect(found.draw).toBeNear(inches(1 / 16), 1e-9);
    expect(found.fits).toBe(false);
  });
  it('even at the root gap it fits; a step out or up is named with its way', () => {
    const even = [1 / 8, 1 / 8, 1 / 8];
    expect(fitUpOf([read('left', even), read('right', even)], rules)).toMatchObject({
      dress: [],
      steps: [],
      fits: true,
    });
    const { steps, fits } = fitUpOf([read('left', even, [1 / 16, 0]), read('right', even, [0, -1 / 16])], rules);
    expect(steps.map(({ side, way }) => `${side} ${way}`)).toEqual(['left out', 'right up']);
    expect(fits).toBe(false);
  });
  it('tight all round it goes back, and nothing is dressed', () => {
    const found = fitUpOf([read('left', [0, 0, 0])], rules);
    expect(found).toMatchObject({ dress: [], fits: false });
    expect(found.draw).toBeNear(-inches(1 / 8), 1e-9);
  });
  it('after what is dressed and drawn, every gap is the root gap, as near as even is', () => {
    const gap = fc.double({ min: 0, max: 12, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(gap, gap, gap), fc.tuple(gap, gap, gap), (a, b) => {
        const ends = [
          { ...read('left', [0, 0, 0]), top: a[0], web: a[1], bottom: a[2] },
          { ...read('right', [0, 0, 0]), top: b[0], web: b[1], bottom: b[2] },
        ];
        const { dress, draw } = fitUpOf(ends, rules);
        for (const end of ends)
          for (const place of GAP_PLACES) {
            const off = dress.find((each) => each.side === end.side && each.place === place)?.off ?? 0;
            const left = end[place] + off - draw - inches(1 / 8);
            expect(left).toBeGreaterThanOrEqual(-1e-9);
            expect(left).toBeLessThanOrEqual(inches(1 / 32) + 1e-9);
          }
      }),
    );
  });
});
