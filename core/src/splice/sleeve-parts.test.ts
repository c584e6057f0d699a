import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Section } from '../sections/index.ts';
import type { SplicePart } from './part.ts';
import type { SpliceSleeve } from './rail-splice.ts';
import { sleeveParts, sleeveProblems } from './sleeve-parts.ts';

const channel: Section = { kind: 'channel', depth: 180, flange: 64, thickness: 5 };
const tube: Section = { kind: 'tube', depth: 140, width: 70, thickness: 4, inner: 4 };
const round: Section = { kind: 'round', depth: 90, thickness: 5 };

const inner: SpliceSleeve = {
  kind: 'inner',
  stock: 'tube 130 × 60 × 4',
  height: 130,
  width: 60,
  wall: 4,
  cornerRadius: 6,
  ahead: 200,
  behind: 240,
  through: false,
  caps: false,
  plugs: { diameter: 16, flanges: 2, sides: 4 },
  endLeg: 4,
  wedgeLength: 0,
  yieldStress: 317,
};
const made = (changes: Partial<SpliceSleeve> = {}, section: Section = tube, span: readonly [number, number] = [0, 0]) =>
  sleeveParts({ ...inner, ...changes }, section, 4, span);
const said = (changes: Partial<SpliceSleeve>, section: Section = tube) =>
  sleeveProblems({ ...inner, ...changes }, section, 4).map(({ path, message }) => `${path}: ${message}`);

/** Steel of all walls, mm², where nothing lies over anything else. */
const area = (parts: readonly SplicePart[]) =>
  parts.reduce((sum, { slices: [slice] }) => sum + (slice!.y[1] - slice!.y[0]) * (slice!.z[1] - slice!.z[0]), 0);
const box = (parts: readonly SplicePart[], axis: 'y' | 'z') => [
  Math.min(...parts.map(({ slices: [slice] }) => slice![axis][0])),
  Math.max(...parts.map(({ slices: [slice] }) => slice![axis][1])),
];

describe('a sleeve as its walls', () => {
  it('has the steel of a tube, inside the wall of the rail', () => {
    const parts = made();
    expect(parts.map(({ name, fed }) => [name, fed])).toEqual(
      ['top wall', 'bottom wall', 'outer wall', 'inner wall'].map((name) => [`sleeve, ${name}`, 'as-flange']),
    );
    expect(area(parts)).toBeNear(130 * 60 - 122 * 52, 1e-9);
    expect([box(parts, 'y'), box(parts, 'z')]).toEqual([
      [4, 64],
      [4, 134],
    ]);
    for (const { slices } of parts) expect(slices.map(({ x }) => x)).toEqual([-200, 240]);
  });

  it('has its own thickness in each side, where they are not alike', () => {
    const parts = made({ inner: 2.5 });
    expect(area(parts)).toBeNear(130 * 60 - 122 * (60 - 4 - 2.5), 1e-9);
    const inner = parts.find(({ name }) => name === 'sleeve, inner wall')!;
    expect(inner.slices[0]!.y).toEqual([64 - 2.5, 64]);
    expect(said({ inner: 57 })).toEqual([expect.stringContaining('sleeve.wall: A sleeve must have a wall')]);
    // Over a rail there is more room beside it.
    expect(said({ kind: 'outer', height: 152, width: 80 })).toEqual([]);
    expect(said({ kind: 'outer', height: 152, width: 77 })).not.toEqual([]);
    expect(said({ kind: 'outer', height: 152, width: 77, inner: 2 })).toEqual([]);
  });

  it('goes round the rail as far on one side as on the other', () => {
    const parts = made({ kind: 'outer', height: 152, width: 82 });
    expect([box(parts, 'y'), box(parts, 'z')]).toEqual([
      [-6, 76],
      [-6, 146],
    ]);
  });

  it('as a wedge fills the rail, however high its tube was', () => {
    expect(box(made({ kind: 'wedge', height: 144 }), 'z')).toEqual([4, 136]);
  });

  it('folded is a web and two flanges, open to the inside, its web fed a moment by two rows', () => {
    const parts = made({ kind: 'folded', height: 168, width: 55 }, channel);
    expect(parts.map(({ name, fed }) => [name, fed])).toEqual([
      ['sleeve, top wall', 'as-flange'],
      ['sleeve, bottom wall', 'as-flange'],
      ['sleeve, outer wall', 'as-web'],
    ]);
    expect(new Set(parts[2]!.plugs.map(({ across }) => across))).toEqual(new Set([5 + 42, 5 + 126]));
  });

  it('has so many plugs on each side of the joint, none beyond an end', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 12 }), (flanges, sides) => {
        for (const { name, plugs } of made({ plugs: { diameter: 14, flanges, sides } })) {
          const each = /top|bottom/.test(name) ? flanges : sides;
          expect(plugs.filter(({ x }) => x < 0 && x > -200)).toHaveLength(each);
          expect(plugs.filter(({ x }) => x > 0 && x < 240)).toHaveLength(each);
          expect(plugs).toHaveLength(2 * each);
        }
      }),
    );
  });

  it('that runs through a stretch reaches as far beyond it, and has its plugs beyond both ends', () => {
    const [top] = made({}, tube, [-300, 0]);
    expect(top!.slices.map(({ x }) => x)).toEqual([-500, 240]);
    expect(top!.plugs.map(({ x }) => x)).toEqual([-350, -450, 60, 180]);
  });
});

describe('what is wrong with a sleeve is said at its field', () => {
  it.each([
    ['a wall of nothing', { wall: 0 }, tube, /^sleeve\.wall: .*must have a wall/],
    ['a wall of all of it', { wall: 30 }, tube, /^sleeve\.wall/],
    ['on one side only', { behind: 0 }, tube, /^sleeve\.ahead: .*both sides/],
    ['a fillet below 0', { endLeg: -1 }, tube, /^sleeve\.endLeg/],
    ['too high', { height: 133 }, tube, /^sleeve\.height: .*grind it, or make it a wedge/],
    ['too wide', { width: 63 }, tube, /^sleeve\.width: .*wider than the inside/],
    ['a wedge that is no higher than the rail', { kind: 'wedge' }, tube, /^sleeve\.height: .*take a plain one/],
    ['a channel folded into a closed rail', { kind: 'folded' }, tube, /^sleeve\.kind: .*cannot be reached/],
    ['over the rail, too small', { kind: 'outer', height: 147, width: 82 }, tube, /^sleeve\.height: .*too small/],
    ['into a round tube', {}, round, /^sleeve\.kind: .*does not go into/],
    ['over a round tube', { kind: 'outer' }, round, /^sleeve\.kind: .*does not go over/],
  ] as const)('%s', (_, changes, section, words) => {
    expect(said(changes, section)).toEqual([expect.stringMatching(words)]);
  });

  it('and nothing is said of those that go', () => {
    expect(said({})).toEqual([]);
    expect(said({ height: 132, width: 62 })).toEqual([]);
    expect(said({ kind: 'wedge', height: 133, wedgeLength: 900 })).toEqual([]);
    expect(said({ kind: 'outer', height: 148, width: 78 })).toEqual([]);
    expect(said({ kind: 'folded', height: 170, width: 59 }, channel)).toEqual([]);
  });
});
