import { describe, expect, it } from 'vitest';
import { STOCK_MATERIALS } from '../materials/index.ts';
import type { Rulebook } from '../rules/index.ts';
import { type Section, sectionProperties } from '../sections/index.ts';
import { type JointWeld, type RailSplice, type RailSteel, spliceOf, spliceStrength } from './index.ts';
import { wallParts } from './section-walls.ts';

const section: Section = { kind: 'tube', depth: 140, width: 70, thickness: 5, inner: 3 };
const rail: RailSteel = { section, material: { ...Object.values(STOCK_MATERIALS)[0]!, heatAffected: 1 } };
const rules: Rulebook = { profile: 'weld-and-reinforce', changes: {} };
const welded = (weld: Partial<JointWeld>): RailSplice => ({
  form: { form: 'butt' },
  weld: { way: 'on-backing', test: 'dye', flush: false, ...weld },
  plates: [],
  sleeve: null,
});
const made = (weld: Partial<JointWeld>, steel = rail) => spliceOf(welded(weld), steel, rules);

describe('walls that are welded otherwise', () => {
  it('count each by its own weld: by hand, the inner wall not welded, the bottom from one side', () => {
    const strength = spliceStrength(
      made({
        walls: [
          { wall: 'inner', way: 'not-welded' },
          { wall: 'bottom', way: 'one-side' },
        ],
      }).splice!,
    );
    // Top and bottom 70 × 5, the outer side 5 × 130; on a backing with dye 0.9, from one side 0.6.
    const parts = [
      { b: 70, h: 5, z: 137.5, f: 0.9 },
      { b: 70, h: 5, z: 2.5, f: 0.6 },
      { b: 5, h: 130, z: 70, f: 0.9 },
    ];
    const area = parts.reduce((sum, { b, h, f }) => sum + f * b * h, 0);
    const centroid = parts.reduce((sum, { b, h, z, f }) => sum + f * b * h * z, 0) / area;
    const iy = parts.reduce((sum, { b, h, z, f }) => sum + f * ((b * h ** 3) / 12 + b * h * (z - centroid) ** 2), 0);
    const whole = sectionProperties(section).iy / 70;
    expect(strength.ratioAtWeld).toBeNear(iy / Math.max(centroid, 140 - centroid) / whole, 1e-9);
  });

  it('all named alike are the plain joint', () => {
    const all = (['top', 'bottom', 'outer', 'inner'] as const).map((wall) => ({ wall, way: 'one-side' as const }));
    expect(spliceStrength(made({ walls: all }).splice!).ratio).toBeNear(
      spliceStrength(made({ way: 'one-side' }).splice!).ratio,
      1e-12,
    );
  });

  it('are refused where the rail has no such wall, where one is named twice, or cannot be reached', () => {
    const said = (walls: JointWeld['walls'], steel = rail) => made({ walls }, steel).problems.map(({ path }) => path);
    expect(said([{ wall: 'inner', way: 'both-sides' }])).toEqual(['weld.walls[0]']);
    expect(
      said([
        { wall: 'top', way: 'one-side' },
        { wall: 'top', way: 'not-welded' },
      ]),
    ).toEqual(['weld.walls[1]']);
    const channel = { ...rail, section: { kind: 'channel', depth: 140, flange: 60, thickness: 5 } as const };
    expect(said([{ wall: 'inner', way: 'one-side' }], channel)).toEqual(['weld.walls[0]']);
    expect(said([{ wall: 'top', way: 'both-sides' }], channel)).toEqual([]);
  });
});

it.each([
  { kind: 'channel', depth: 180, flange: 64, thickness: 5 },
  { kind: 'closed-channel', depth: 180, flange: 64, thickness: 5, plate: 4 },
  { kind: 'tube', depth: 120, width: 60, thickness: 5, inner: 3 },
  { kind: 'hat', depth: 110, crown: 70, brim: 25, thickness: 4 },
] as const)('the walls of a $kind are its steel, none of it twice', (of) => {
  const { area, iy, centroidZ } = sectionProperties(of);
  const walls = wallParts(of).map(([, { z, width, height }]) => ({ a: width * height, z: z + height / 2, h: height }));
  expect(walls.reduce((sum, { a }) => sum + a, 0)).toBeNear(area, 1e-9);
  expect(walls.reduce((sum, { a, z, h }) => sum + (a * h * h) / 12 + a * (z - centroidZ) ** 2, 0)).toBeNear(iy, 1e-6);
});
