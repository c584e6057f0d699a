import fc from 'fast-check';
import { emptyPlan, evaluatePlan, inches, planOutline, sectionLookup, sideOutline } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { multiples, tickStep } from './ticks.ts';
import { demoJob } from '../../test/demo.ts';
import { acrossPx, closeSideStrip, planNote, planStrip, sideStrip, stripHeights, TAPE_HEIGHT } from './strips.ts';
import { centeredOn, fitView, toMm, toPx, zoomedView } from './view.ts';

const reach = [-800, 5000] as const;
const whole = fitView(800, reach);
const { job } = demoJob('parcel-van');

describe('the view', () => {
  it('fits the whole frame with a margin, and turns stations into pixels and back', () => {
    expect(toPx(whole, reach[0])).toBeCloseTo(34, 9);
    expect(toPx(whole, reach[1])).toBeCloseTo(766, 9);
    fc.assert(
      fc.property(fc.integer({ min: -800, max: 5000 }), (x) => Math.abs(toMm(whole, toPx(whole, x)) - x) < 1e-6),
    );
  });

  it('is a part of the whole, as close as it is zoomed, with the station asked for in the middle', () => {
    fc.assert(
      fc.property(fc.integer({ min: -800, max: 5000 }), fc.double({ min: 1, max: 12, noNaN: true }), (x, k) => {
        const view = zoomedView(whole, centeredOn(whole, x, k));
        expect(view.scale).toBeCloseTo(k * whole.scale, 9);
        expect(toMm(view, view.width / 2)).toBeCloseTo(x, 6);
      }),
    );
  });

  it('is the whole frame untouched', () => {
    expect(zoomedView(whole, { k: 1, x: 0 })).toEqual(whole);
  });
});

describe('the strips', () => {
  const donor = evaluatePlan({ ...job, plan: emptyPlan('') });
  const section = sectionLookup(job.donor);
  const at = (scale: number) => ({ from: 0, scale, width: 800 });

  it('leave what is free to the tray first', () => {
    for (const column of [560, 688, 900, 1300]) {
      const { side, plan, all } = stripHeights(column);
      expect(side + TAPE_HEIGHT + plan).toBe(all);
      expect(column - all).toBeGreaterThan(column * 0.4);
    }
    expect(stripHeights(688).all).toBe(376);
  });

  it('get more where the tray draws the same rails again, as far as its picture has enough', () => {
    for (const column of [560, 688, 900, 1300]) {
      const [alone, repeated] = [stripHeights(column).all, stripHeights(column, null, true).all];
      expect(repeated).toBeGreaterThanOrEqual(alone);
      if (repeated > alone) expect(column - repeated).toBeGreaterThanOrEqual(230);
    }
    expect(stripHeights(688, null, true).all).toBe(421);
    expect(stripHeights(800, 0.7, true).all).toBe(560);
  });

  it('go where the bar was dragged to, and leave the tray its least', () => {
    expect(stripHeights(800, 0.7).all).toBe(560);
    expect(stripHeights(800, 0.99).all).toBe(stripHeights(800, 1).all);
    expect(800 - stripHeights(800, 1).all).toBeGreaterThan(100);
    expect(stripHeights(800, 0.01).all).toBeGreaterThan(200);
  });

  it('are right side up and in their strips in any window, however low', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 1500 }),
        fc.double({ min: 0.02, max: 2, noNaN: true }),
        (column, scale) => {
          const { side: high, plan: wide } = stripHeights(column);
          const side = sideStrip(0, high, at(scale), donor, section);
          const plan = planStrip(high + TAPE_HEIGHT, wide, at(scale), donor, section);
          const close = closeSideStrip(Math.round(column * 0.2), at(scale), donor, section, [1800, 2400]);
          for (const { across } of [side, plan, close]) expect(across.scale).toBeGreaterThan(0);
          for (const piece of donor.pieces) {
            for (const [, z] of sideOutline(piece, 'left', section)) {
              expect(acrossPx(side.across, z)).toBeGreaterThan(0);
              expect(acrossPx(side.across, z)).toBeLessThan(high);
            }
            const ys = planOutline(piece, 'right', section).map(([, y]) => acrossPx(plan.across, y));
            expect(Math.max(...ys)).toBeLessThanOrEqual(high + TAPE_HEIGHT + wide);
          }
        },
      ),
    );
  });

  it('keep every rail inside, however close they are looked at', () => {
    for (const scale of [0.05, 0.1, 0.3, 0.8, 1.6]) {
      const side = sideStrip(0, 170, at(scale), donor, section);
      const plan = planStrip(226, 150, at(scale), donor, section);
      for (const piece of donor.pieces)
        for (const on of ['left', 'right'] as const) {
          for (const [, z] of sideOutline(piece, on, section)) {
            expect(acrossPx(side.across, z)).toBeGreaterThanOrEqual(40);
            expect(acrossPx(side.across, z)).toBeLessThanOrEqual(side.foot + 1e-6);
          }
          for (const [, y] of planOutline(piece, on, section)) {
            expect(acrossPx(plan.across, y)).toBeGreaterThanOrEqual(226);
            expect(acrossPx(plan.across, y)).toBeLessThanOrEqual(376);
          }
        }
      expect(side.across.scale).toBeLessThanOrEqual(scale);
    }
  });

  it('keep a member that rises high above the rails inside too', () => {
    const loop = {
      id: 'loop',
      name: 'Loop over the axle',
      copies: 'pair' as const,
      section: job.donor.sections[0]!.id,
      path: [
        { x: 2000, z: 0, outward: 300 },
        { x: 2600, z: 700, outward: 300 },
        { x: 3200, z: 0, outward: 300 },
      ],
      front: { on: 'own-rail' as const, fixing: 'welded' as const },
      rear: { on: 'own-rail' as const, fixing: 'welded' as const },
    };
    const high = evaluatePlan({ ...job, donor: { ...job.donor, members: [loop] }, plan: emptyPlan('') });
    for (const scale of [0.05, 0.3, 1.6]) {
      const side = sideStrip(0, 170, at(scale), high, section);
      expect(acrossPx(side.across, 700)).toBeGreaterThanOrEqual(40);
    }
  });

  it('draw the rails nearer each other only when both do not fit, and left still over right', () => {
    expect(planStrip(0, 150, at(0.1), donor, section).across.broken).toBeUndefined();
    const { across } = planStrip(0, 150, at(1), donor, section);
    expect(across.broken).toBeDefined();
    const ys = [-500, -400, -10, 0, 10, 400, 500].map((y) => acrossPx(across, y));
    expect(ys).toEqual([...ys].sort((a, b) => a - b));
  });

  it('say where the plan view is not drawn across as it is along', () => {
    const noted = (scale: number) => planNote(planStrip(0, 150, at(scale), donor, section).across, scale);
    const scales = Array.from({ length: 60 }, (_, step) => 0.05 * 1.08 ** step);
    const notes = scales.map(noted);
    // Farther away as it is; then a little smaller; then with the rails nearer to each other.
    expect([...new Set(notes)]).toEqual(['', 'widths drawn smaller', 'rails drawn nearer each other']);
    for (const [index, scale] of scales.entries())
      if (notes[index] === '') expect(planStrip(0, 150, at(scale), donor, section).across.scale).toBeCloseTo(scale, 1);
  });

  it('a plan view of widened rails holds them and where they were, close up too', () => {
    const widen = {
      id: 'wide',
      note: '',
      off: false,
      kind: 'widen',
      amount: 260,
      from: { x: 2600, on: 'donor' },
      to: null,
      transition: 400,
    } as const;
    const wide = evaluatePlan({ ...job, plan: { ...emptyPlan(''), operations: [widen] } });
    const both = { ...wide, pieces: [...wide.pieces, ...donor.pieces] };
    for (const scale of [0.1, 0.5, 1.2])
      for (const piece of both.pieces)
        for (const on of ['left', 'right'] as const)
          for (const [, y] of planOutline(piece, on, section)) {
            const at = acrossPx(planStrip(10, 110, { from: 0, scale, width: 600 }, both, section).across, y);
            expect(at).toBeGreaterThanOrEqual(10);
            expect(at).toBeLessThanOrEqual(120);
          }
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
