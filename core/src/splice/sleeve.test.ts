import { describe, expect, it } from 'vitest';
import { InputError } from '../input-error.ts';
import type { Section } from '../sections/index.ts';
import {
  cyclesToCompare,
  insideOf,
  shrinkageAcross,
  type Sleeve,
  sleeveFit,
  sleeveWalls,
  type Splice,
  spliceStrength,
  type StockTube,
} from './index.ts';

const rail: Section = { kind: 'tube', depth: 140, width: 70, thickness: 4, inner: 4 };
const tube: StockTube = { name: '130 × 60 × 2', height: 130, width: 60, wall: 2, cornerRadius: 4 };
const rules = { slide: 0.8, loose: 10, grind: 1.5, wedge: 15 };

describe('sleeve walls', () => {
  const sleeve: Sleeve = {
    tube,
    y: 5,
    z: 5,
    ahead: 110,
    behind: 110,
    yieldStress: 317,
    plugs: { diameter: 16, inTopAndBottom: [25, 53], inSides: [25, 53, 81] },
    endLeg: 0,
  };
  const splice: Splice = {
    section: rail,
    yieldStress: 317,
    joint: { form: 'butt', x: 0 },
    efficiency: 0.65,
    heatAffected: 0.9,
    metal: { electrode: 482, allowed: 0.3 },
    parts: sleeveWalls(sleeve),
    holes: [],
    edge: 'rail',
  };

  it('fed in full by two plugs in top and bottom, three in each side: 0.985, as in the reference', () => {
    expect(spliceStrength(splice).ratio).toBeNear(0.9851242957, 1e-5);
  });

  it('fewer plugs feed less, and the walls that they leave hungry are named', () => {
    const fewer = sleeveWalls({ ...sleeve, plugs: { ...sleeve.plugs, inSides: [25] } });
    const { ratio, underfed } = spliceStrength({ ...splice, parts: fewer });
    expect(ratio).toBeLessThan(0.985);
    expect(underfed).toEqual(['outer', 'inner']);
  });

  it('welded round its ends it needs fewer plugs', () => {
    const none = { diameter: 16, inTopAndBottom: [], inSides: [] };
    const bare = spliceStrength({ ...splice, parts: sleeveWalls({ ...sleeve, plugs: none }) }).ratio;
    const ends = spliceStrength({ ...splice, parts: sleeveWalls({ ...sleeve, plugs: none, endLeg: 3 }) }).ratio;
    expect(bare).toBeNear(0.585, 1e-6);
    expect(ends).toBeGreaterThan(bare);
  });

  it('a plug beyond its end, or a sleeve on one side only, is refused', () => {
    expect(() => sleeveWalls({ ...sleeve, behind: 0 })).toThrow(/both sides/);
    expect(() => sleeveWalls({ ...sleeve, plugs: { ...sleeve.plugs, inSides: [120] } })).toThrow(InputError);
  });
});

describe('the sleeve finder', () => {
  const fits = (changes: Partial<StockTube>, section: Section = rail, radius = 4) =>
    sleeveFit({ ...tube, ...changes }, section, insideOf(section, radius), rules);

  it('slides in with what is left beside it', () => {
    expect(fits({})).toEqual({ fit: 'slides-in', clearance: { height: 2, width: 2 } });
  });

  it('goes in once its sides are ground, each by half of what is too much', () => {
    expect(fits({ height: 132 })).toEqual({ fit: 'slides-in-ground', grind: { height: 0.8, width: 0, corner: 0 } });
    expect(fits({ height: 135 })).toMatchObject({ fit: 'wedge' });
  });

  it('goes in once its corners are ground where the rail’s are rounder', () => {
    const found = fits({ cornerRadius: 1 }, rail, 6);
    expect(found).toMatchObject({ fit: 'slides-in-ground', grind: { height: 0, width: 0 } });
    expect(found.fit === 'slides-in-ground' && found.grind.corner).toBeNear(
      5 * (Math.SQRT2 - 1) - 1 / Math.SQRT2,
      1e-9,
    );
  });

  it('goes over the rail', () => {
    expect(fits({ height: 150, width: 80, wall: 4 })).toEqual({
      fit: 'slides-over',
      clearance: { height: 2, width: 2 },
    });
  });

  it('too high for the rail it is cut to a wedge, with a strip beside it', () => {
    expect(fits({ height: 140, width: 50 })).toEqual({ fit: 'wedge', packing: 12 });
  });

  it('in an open channel the room to its open edge need not be filled', () => {
    const channel: Section = { kind: 'channel', depth: 140, flange: 70, thickness: 4 };
    expect(fits({ width: 40 }, channel)).toMatchObject({ fit: 'slides-in', clearance: { width: 26 } });
    expect(fits({ width: 40 })).toEqual({ fit: 'none' });
  });

  it('nothing rectangular goes into a round tube or a hat', () => {
    expect(insideOf({ kind: 'round', depth: 100, thickness: 4 }, 0)).toBeNull();
    expect(fits({}, { kind: 'round', depth: 100, thickness: 4 })).toEqual({ fit: 'none' });
    expect(fits({ height: 60, width: 40 })).toEqual({ fit: 'none' });
  });
});

describe('for comparing', () => {
  it('half the stress range is eight times the cycles; at its class two million', () => {
    expect(cyclesToCompare(80, 80)).toBe(2e6);
    expect(cyclesToCompare(80, 40)).toBe(16e6);
  });

  it('a weld of 30 mm² in a wall of 5 pulls 0.6', () => {
    expect(shrinkageAcross(30, 5)).toBeNear(0.6, 1e-12);
  });
});
