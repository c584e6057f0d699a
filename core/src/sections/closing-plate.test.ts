import { describe, expect, it } from 'vitest';
import { sectionProblem } from '../frame/index.ts';
import { insideOf, wallLength, wallsOf } from '../splice/index.ts';
import { sectionOutline } from '../solids/index.ts';
import { lengthText } from '../units/index.ts';
import { describeSection, type Section, sectionProperties, torsionConstant, widthOf } from './index.ts';

const channel = { kind: 'closed-channel', depth: 150, flange: 60, thickness: 5, plate: 4 } as const;
const high = (plateDepth: number): Section => ({ ...channel, plateDepth });
const bare = 150 * 5 + 2 * 55 * 5;
const bareIy = (60 * 150 ** 3 - 55 * 140 ** 3) / 12;
const show = (mm: number) => lengthText(mm, { unit: 'mm', division: 'decimal' });

describe('a closing plate that is less high than the rail', () => {
  it('set between the flanges: area, second moment and torsion by hand', () => {
    const section = high(140);
    const { area, iy } = sectionProperties(section);
    expect(area).toBeNear(bare + 140 * 4, 1e-9);
    expect(iy).toBeNear(bareIy + (4 * 140 ** 3) / 12, 1e-6);
    expect(widthOf(section)).toBe(60);
    // Bredt: the middle lines of the walls, 145 high, 60 − 2.5 − 2 apart.
    const wide = 60 - 2.5 - 2;
    expect(torsionConstant(section).j).toBeNear((4 * (145 * wide) ** 2) / (145 / 5 + (2 * wide) / 5 + 145 / 4), 1e-6);
    expect(insideOf(section, 5)).toMatchObject({ width: 60 - 5 - 4, height: 140 });
    expect([wallLength(section), wallsOf(section).inner]).toEqual([150 + 140 + 120, 140]);
  });

  it('lapped onto the flange edges, a little less high than the rail', () => {
    const section = high(144);
    expect(sectionProperties(section).area).toBeNear(bare + 144 * 4, 1e-9);
    expect(sectionProperties(section).iy).toBeNear(bareIy + (4 * 144 ** 3) / 12, 1e-6);
    expect(widthOf(section)).toBe(64);
    expect(insideOf(section, 5)!.width).toBe(55);
  });

  it('as high as the rail is what it is without one', () => {
    expect(sectionProperties(high(150))).toEqual(sectionProperties(channel));
    expect(torsionConstant(high(150))).toEqual(torsionConstant(channel));
  });

  it.each([140, 144, 150])('has the outline of its steel, %s high', (plateDepth) => {
    const area = sectionOutline(high(plateDepth)).reduce(
      (sum, ring) =>
        sum +
        ring.reduce((part, [x, y], at) => {
          const [nextX, nextY] = ring[(at + 1) % ring.length]!;
          return part + (x * nextY - nextX * y) / 2;
        }, 0),
      0,
    );
    expect(area).toBeNear(sectionProperties(high(plateDepth)).area, 1e-9);
  });

  it('that leaves the rail open, or is higher than it, is refused with what would be right', () => {
    expect(sectionProblem(high(120), show)).toMatch(/leaves the rail open: between the flanges it is 140/);
    expect(sectionProblem(high(151), show)).toMatch(/higher than the rail/);
    expect(sectionProblem(high(135), show)).toBeUndefined();
    expect(describeSection(high(140), show)).toMatch(/plate 140.* × 4/);
  });
});
