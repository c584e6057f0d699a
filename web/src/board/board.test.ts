import fc from 'fast-check';
import { inches } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { multiples, tickStep } from './ticks.ts';
import { fitView, panView, toMm, toPx, type View, zoomView } from './view.ts';

const reach = [-800, 5000] as const;
const whole = fitView(800, reach);
const ends = (view: View) => [toMm(view, 0), toMm(view, view.width)] as const;

describe('the view', () => {
  it('fits the whole frame with a margin, and turns stations into pixels and back', () => {
    expect(toPx(whole, reach[0])).toBeCloseTo(34, 9);
    expect(toPx(whole, reach[1])).toBeCloseTo(766, 9);
    fc.assert(
      fc.property(fc.integer({ min: -800, max: 5000 }), (x) => Math.abs(toMm(whole, toPx(whole, x)) - x) < 1e-6),
    );
  });

  it('zooms about the place under the pointer', () => {
    const under = toMm(whole, 300);
    const closer = zoomView(whole, 3, 300, reach);
    expect(closer.scale).toBeCloseTo(3 * whole.scale, 12);
    expect(toMm(closer, 300)).toBeCloseTo(under, 6);
  });

  it('never loses the frame, however it is zoomed and panned', () => {
    const move = fc.oneof(
      fc.record({ zoom: fc.double({ min: 0.1, max: 10, noNaN: true }), px: fc.integer({ min: 0, max: 800 }) }),
      fc.record({ pan: fc.integer({ min: -5000, max: 5000 }) }),
    );
    fc.assert(
      fc.property(fc.array(move, { maxLength: 12 }), (moves) => {
        const view = moves.reduce<View>(
          (at, step) => ('pan' in step ? panView(at, step.pan, reach) : zoomView(at, step.zoom, step.px, reach)),
          whole,
        );
        const [left, right] = ends(view);
        expect(view.scale).toBeGreaterThanOrEqual(whole.scale - 1e-12);
        expect(right).toBeGreaterThan(reach[0]);
        expect(left).toBeLessThan(reach[1]);
      }),
    );
  });
});

describe('the marks of the tape', () => {
  const tape = { unit: 'in', division: 16 } as const;

  it('keep figures 40 px apart and small marks 5 px, at any scale', () => {
    for (const format of [tape, { unit: 'mm', division: 16 } as const])
      fc.assert(
        fc.property(fc.double({ min: 0.03, max: 1.6, noNaN: true }), (scale) => {
          const { major, minor } = tickStep(scale, format);
          expect(major * scale).toBeGreaterThanOrEqual(40);
          expect(minor * scale).toBeGreaterThanOrEqual(5);
          expect(Math.abs(major / minor - Math.round(major / minor))).toBeLessThan(1e-9);
        }),
      );
  });

  it('fall on whole inches from the datum hole', () => {
    expect(multiples(inches(-25), inches(25), inches(12)).map((mm) => Math.round(mm / inches(1)))).toEqual([
      -24, -12, 0, 12, 24,
    ]);
    expect(multiples(5, 4, 10)).toEqual([]);
  });
});
