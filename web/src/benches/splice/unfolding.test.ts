import { evaluatePlan, type RailSplice, type Section, type SpliceForm } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import type { Selection } from './selection.ts';
import { plateShape, unfold, weldPoints } from './unfolding.ts';

const channel: Section = { kind: 'channel', depth: 180, flange: 60, thickness: 5 };
const tube: Section = { kind: 'tube', depth: 180, width: 60, thickness: 5, inner: 5 };
const { job: van } = demoJob('parcel-van');
const [outcome] = evaluatePlan(van).splices;
const x = (mm: number) => 500 + mm;

/** The joint at hand, cut in a form of one's own. */
const cut = (form: SpliceForm): Selection => {
  const one = { ...outcome!.rails[0]!, splice: { form } as RailSplice, steel: { section: channel } };
  return { outcome: outcome!, one } as unknown as Selection;
};

describe('the rail unfolded', () => {
  it.each([channel, tube])('has top flange, web and bottom flange one below the other, each seam once: $kind', (of) => {
    const { edges, web, top, bottom } = unfold(of, x, 20, 240);
    expect(edges).toEqual([20, 50, 230, 260]);
    expect([web(180), web(0), web(90)]).toEqual([50, 230, 140]);
    // A flange is folded up from where it meets the web: its far edge is the outermost.
    expect([top(0), top(60)]).toEqual([50, 20]);
    expect([bottom(0), bottom(60)]).toEqual([230, 260]);
  });

  it('fills whatever height it is given', () => {
    for (const height of [120, 240, 411]) {
      const { edges } = unfold(channel, x, 7, height);
      expect(edges[0]).toBe(7);
      expect(edges[3]).toBeCloseTo(7 + height, 9);
    }
  });
});

describe('the weld', () => {
  const to = unfold(channel, x, 20, 240);

  it('of a butt runs straight down, of a bolted joint the gap does', () => {
    for (const form of ['butt', 'bolted'] as const)
      expect(weldPoints(cut({ form }), to)).toEqual([
        [500, 20],
        [500, 260],
      ]);
  });

  it('that is angled slants over the web alone, its top edge behind', () => {
    expect(weldPoints(cut({ form: 'angled', run: 80 }), to)).toEqual([
      [540, 20],
      [540, 50],
      [460, 230],
      [460, 260],
    ]);
  });

  it('of a step has its upper vertical where it was said', () => {
    const step = { form: 'step', length: 90, height: 60, radius: 6 } as const;
    const ahead = weldPoints(cut({ ...step, upper: 'ahead' }), to);
    expect(ahead).toEqual([
      [455, 20],
      [455, 170],
      [545, 170],
      [545, 260],
    ]);
    const behind = weldPoints(cut({ ...step, upper: 'behind' }), to);
    expect(behind.map(([px]) => px)).toEqual([545, 545, 455, 455]);
  });

  it('of a step that is typed outside the rail is not drawn outside it', () => {
    const high = { form: 'step', length: 90, height: 500, radius: 6, upper: 'ahead' } as const;
    for (const [, y] of weldPoints(cut(high), to)) expect(y >= 20 && y <= 260).toBe(true);
  });
});

describe('a plate', () => {
  const to = unfold(channel, x, 20, 240);
  const [plate] = outcome!.rails[0]!.made.plates;
  const laid = {
    ...plate!,
    ahead: 100,
    behind: 150,
    depth: 80,
    off: 0,
    thickness: 5,
    outline: { shape: 'rectangle' },
  } as const;

  it('on the web lies about its middle', () => {
    expect(plateShape(laid, channel, to)).toBe('M400 180L650 180L650 100L400 100Z');
  });

  it('on a flange lies on that flange', () => {
    const shape = (face: 'top-flange' | 'bottom-flange') => plateShape({ ...laid, face, depth: 40 }, channel, to);
    expect(shape('top-flange')).toBe('M400 45L650 45L650 25L400 25Z');
    expect(shape('bottom-flange')).toBe('M400 235L650 235L650 255L400 255Z');
  });

  it('that tapers keeps its straight edge', () => {
    const outline = { shape: 'taper', over: 50, end: 20 } as const;
    expect(plateShape({ ...laid, outline }, channel, to)).toBe(
      'M400 180L450 180L600 180L650 180L650 160L600 100L450 100L400 160Z',
    );
  });
});
