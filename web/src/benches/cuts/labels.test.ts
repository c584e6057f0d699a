import { layLabels } from '@splay/core';
import type { Conflict } from '@splay/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pileConflicts } from './conflict-marks.tsx';
import { chainOf } from './dimension-chain.tsx';

describe('labels along a line', () => {
  const labels = fc
    .array(fc.record({ middle: fc.integer({ min: 0, max: 800 }), width: fc.integer({ min: 10, max: 90 }) }), {
      maxLength: 30,
    })
    .map((list) => list.sort((a, b) => a.middle - b.middle));

  it('never overlap in a lane, however close their places are', () => {
    fc.assert(
      fc.property(labels, fc.integer({ min: 1, max: 3 }), (list, lanes) => {
        const placed = layLabels(list, lanes, 40).map((place, index) => ({ ...place, width: list[index]?.width ?? 0 }));
        for (const [index, a] of placed.entries())
          for (const b of placed.slice(index + 1))
            if (a.lane === b.lane) expect(b.x - b.width / 2).toBeGreaterThanOrEqual(a.x + a.width / 2);
      }),
    );
  });

  it('stand at their own place while there is room, and go up a lane before they go far', () => {
    const list = [100, 110, 200].map((middle) => ({ middle, width: 60 }));
    expect(layLabels(list, 2, 40)).toEqual([
      { x: 100, lane: 0 },
      { x: 110, lane: 1 },
      { x: 200, lane: 0 },
    ]);
  });
});

describe('the chain of dimensions', () => {
  it('runs from the datum hole through every cut, and says which links are new steel', () => {
    expect(chainOf(0, [1400, 1800, -300], [[1400, 1800]])).toEqual([
      { from: -300, to: 0, added: false },
      { from: 0, to: 1400, added: false },
      { from: 1400, to: 1800, added: true },
    ]);
  });

  it('adds up to the distance between its ends', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -1000, max: 6000 }), { minLength: 1 }), (cuts) => {
        const sum = chainOf(0, cuts, []).reduce((total, { from, to }) => total + to - from, 0);
        expect(sum).toBe(Math.max(0, ...cuts) - Math.min(0, ...cuts));
      }),
    );
  });

  it('leaves out links too short to draw', () => {
    expect(chainOf(0, [0.2, 100], [])).toEqual([{ from: 0.2, to: 100, added: false }]);
  });
});

describe('conflicts on the drawing', () => {
  const view = { from: 0, scale: 0.1, width: 800 };
  const at = (builtX: number | null, severity: Conflict['severity'], donorX: number | null = null): Conflict => ({
    code: 'x',
    severity,
    operation: null,
    donorX,
    builtX,
    about: null,
    message: '',
    fixes: [],
    key: 'x',
    acceptable: false,
    accepted: null,
  });

  it('pile up where they fall on one place; notes and things without a place are not drawn', () => {
    const drawn = pileConflicts(
      [
        at(1000, 'stop'),
        at(1050, 'warn'),
        at(3000, 'warn'),
        at(1000, 'note'),
        at(null, 'stop'),
        at(null, 'warn', 5000),
      ],
      view,
    );
    expect(drawn.map(({ x, level }) => [x, level])).toEqual([
      [100, 0],
      [100, 1],
      [300, 0],
      [500, 0],
    ]);
  });

  it('go on beside each other where a pile would leave the strip, each in a place of its own', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 8000 }), { maxLength: 40 }), (xs) => {
        const drawn = pileConflicts(
          xs.map((x) => at(x, 'warn')),
          view,
        );
        expect(drawn).toHaveLength(xs.length);
        for (const [index, a] of drawn.entries()) {
          expect(a.level).toBeLessThan(2);
          for (const b of drawn.slice(index + 1))
            expect(a.level !== b.level || Math.abs(a.x - b.x) >= 17 - 1e-6).toBe(true);
        }
      }),
    );
    const five = pileConflicts(
      [1000, 1000, 1010, 1000, 990].map((x) => at(x, 'stop')),
      view,
    );
    expect(five.map(({ x, level }) => [x, level])).toEqual([
      [100, 0],
      [100, 1],
      [117, 0],
      [117, 1],
      [134, 0],
    ]);
  });

  it('end the search when rounding puts the next place slightly inside a full pile', () => {
    // 0.01 + 17 − 0.01 is less than 17 in binary fractions.
    const drawn = pileConflicts([at(0.1, 'stop'), at(0.1, 'warn'), at(0.1, 'warn')], view);
    expect(drawn.map(({ level }) => level)).toEqual([0, 1, 0]);
  });
});
