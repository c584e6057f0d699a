import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../input-error.ts';
import type { Section } from '../sections/index.ts';
import {
  effectiveSection,
  filletCapacity,
  type JointForm,
  type Plate,
  plateOn,
  plugCapacity,
  reachFedInFull,
  type Splice,
  spliceStrength,
  weldAt,
  wedgeSleeve,
} from './index.ts';

const rail: Section = { kind: 'channel', depth: 187.325, flange: 66.675, thickness: 4.7625 };
const metal = { electrode: 482, allowed: 0.3 };
const butt: JointForm = { form: 'butt', x: 0 };
const bare: Splice = {
  section: rail,
  yieldStress: 345,
  joint: butt,
  efficiency: 0.6,
  heatAffected: 1,
  metal,
  parts: [],
  holes: [],
  edge: 'fed-parts',
};
const plate: Plate = {
  name: 'inside',
  face: 'web-inside',
  outline: { shape: 'rectangle' },
  ahead: 250,
  behind: 250,
  depth: 139.7,
  thickness: 4.7625,
  yieldStress: 345,
  leg: 4.7625,
  endsWelded: true,
  off: 0,
  plugs: [],
  bolts: [],
};
const withPlate = (changes: Partial<Plate> = {}, splice: Partial<Splice> = {}) =>
  spliceStrength({ ...bare, parts: [plateOn({ ...plate, ...changes }, rail)], ...splice });

describe('worked splices', () => {
  it('welds: a leg of 5 carries 511 N a mm, a plug of 16 29 074 N', () => {
    expect(filletCapacity(5, metal)).toBeNear(511.2, 0.1);
    expect(plugCapacity(16, metal)).toBeNear(29_074, 1);
  });

  it('butt welded from one side, seen only: 0.600', () => {
    expect(spliceStrength(bare).ratio).toBeNear(0.6, 1e-12);
    expect(spliceStrength(bare)).toMatchObject({ weakest: [0], limitedBy: 'weld', underfed: [] });
  });

  it('with an inside web plate that is fed in full: 0.744', () => {
    const { ratio, curve } = withPlate();
    expect(ratio).toBeNear(0.744, 5e-4);
    const at = curve.find(({ x }) => x === 0);
    expect(at?.iy).toBeWithin(5_596_194, 1e-6);
    expect((at?.resisting ?? 0) / 1000).toBeWithin(20_613, 1e-4);
    expect(at?.parts[0]?.moment?.asked).toBeWithin(5_344_000, 1e-3);
  });

  it('its long seams feed it in full from 78.6 mm on each side of the joint', () => {
    const share = (reach: number) =>
      withPlate({ ahead: reach, behind: reach, endsWelded: false }).curve.find(({ x }) => x === 0)?.parts[0]?.share;
    expect(share(78.6)).toBe(1);
    expect(share(78.5)).toBeLessThan(1);
  });

  it('step cut at mid-depth: 0.647, and 1 where the weld is as good as the wall', () => {
    const joint: JointForm = { form: 'step', upperX: 0, lowerX: 150, z: rail.depth / 2 };
    const { ratio, weakest, curve } = spliceStrength({ ...bare, joint });
    expect(ratio).toBeNear(0.647, 5e-4);
    expect(weakest).toEqual([0, 150]);
    const at = curve.find(({ x }) => x === 0);
    expect(at?.centroidZ).toBeNear(rail.depth / 2 - 16.13, 0.01);
    expect(at?.iy).toBeWithin(5_710_433, 1e-5);
    expect(at?.edge).toBeNear(109.79, 0.01);
    expect(spliceStrength({ ...bare, joint, efficiency: 1 })).toMatchObject({
      ratio: 1,
      weakest: [],
      limitedBy: 'rail',
    });
  });

  it('wedge sleeve of 127 over 600 to 116.9: slides 38.06, overlaps 561.94', () => {
    const { angle, slide, overlap } = wedgeSleeve({ height: 127, length: 600 }, 2, 116.9);
    expect((angle * 180) / Math.PI).toBeNear(11.951, 1e-3);
    expect(slide).toBeNear(38.06, 0.01);
    expect(overlap).toBeNear(561.94, 0.01);
  });
});

describe('what holds of any splice', () => {
  const reach = fc.double({ min: 20, max: 400, noNaN: true });
  const depth = fc.double({ min: 20, max: 170, noNaN: true });
  const efficiency = fc.double({ min: 0.3, max: 1, noNaN: true });

  it('more weld, a longer plate, or a plate at all never makes it weaker', () => {
    fc.assert(
      fc.property(reach, depth, efficiency, fc.double({ min: 1, max: 2, noNaN: true }), (ahead, deep, good, more) => {
        const of = (changes: Partial<Plate>) =>
          withPlate({ ahead, behind: ahead, depth: deep, ...changes }, { efficiency: good }).ratio;
        const without = spliceStrength({ ...bare, efficiency: good }).ratio;
        expect(of({})).toBeGreaterThanOrEqual(without - 1e-9);
        expect(of({ leg: plate.leg * more })).toBeGreaterThanOrEqual(of({}) - 1e-9);
        expect(of({ ahead: ahead * more, behind: ahead * more })).toBeGreaterThanOrEqual(of({}) - 1e-9);
      }),
      { numRuns: 40 },
    );
  });

  it('left and right, ahead and behind: mirrored along the rail it is worth the same', () => {
    fc.assert(
      fc.property(reach, reach, (ahead, behind) => {
        expect(withPlate({ ahead, behind }).ratio).toBeNear(withPlate({ ahead: behind, behind: ahead }).ratio, 1e-9);
      }),
      { numRuns: 25 },
    );
  });

  it('an off-center strip that takes the moment’s edge out can lower it, and is shown to', () => {
    const top: Plate = {
      ...plate,
      name: 'strip',
      face: 'top-flange',
      depth: 20,
      thickness: 12,
      ahead: 200,
      behind: 200,
    };
    const strip = plateOn(top, rail);
    const good = { ...bare, efficiency: 1, parts: [strip] };
    expect(effectiveSection(good, 0).ratio).toBeGreaterThan(1);
    expect(effectiveSection({ ...good, edge: 'rail' }, 0).edge).toBeGreaterThan(rail.depth / 2);
    const thin: Splice = { ...bare, efficiency: 1, parts: [plateOn({ ...top, depth: 3, thickness: 40 }, rail)] };
    expect(spliceStrength(thin).ratio).toBeLessThan(1);
    expect(spliceStrength(thin)).toMatchObject({ limitedBy: 'weld' });
  });

  it('a plate that is not welded is worth nothing, and is named', () => {
    const { ratio, limitedBy, underfed } = withPlate({ leg: 0 });
    expect(ratio).toBeNear(0.6, 1e-9);
    expect(limitedBy).toBe('feeding');
    expect(underfed).toEqual(['inside']);
  });

  it('plugs feed as seams do', () => {
    const plugs = [-60, -30, 30, 60].flatMap((x) => [40, 147].map((across) => ({ x, across, diameter: 16 })));
    expect(withPlate({ leg: 0, plugs }).ratio).toBeGreaterThan(0.65);
  });

  it('an angled cut of no run is a butt over its band; a round tube is cut into strips', () => {
    const upright: JointForm = { form: 'angled', undersideX: 0, topX: 0, band: 10 };
    expect(weldAt(upright, 100, 4)).toEqual([0, 100]);
    expect(weldAt(upright, 100, 6)).toBeNull();
    expect(spliceStrength({ ...bare, joint: upright }).ratio).toBeNear(0.6, 1e-9);
    const round: Section = { kind: 'round', depth: 100, thickness: 5 };
    const whole = spliceStrength({ ...bare, section: round }).ratio;
    expect(whole).toBeNear(0.6, 1e-9);
    const step: JointForm = { form: 'step', upperX: 0, lowerX: 90, z: 50 };
    const half = spliceStrength({ ...bare, section: round, joint: step });
    expect(half.ratio).toBeGreaterThan(0.6);
    expect(half.ratio).toBeLessThan(0.75);
    // As steel, the strips are the ring.
    const steel = effectiveSection({ ...bare, section: round, joint: step, efficiency: 1 }, 0);
    expect(steel.iy).toBeWithin((Math.PI / 64) * (100 ** 4 - 90 ** 4), 2e-4);
  });
});

describe('how far a plate must reach', () => {
  it('as far as its seams need to feed it: 78.6 mm where its ends are not welded', () => {
    const open = { ...plate, endsWelded: false };
    expect(reachFedInFull(open, bare)).toBeNear(5_344_000 / (486.9 * 139.7), 0.1);
    // Heavier fillets get by with less; end welds feed no moment, and change nothing on the centroid.
    expect(reachFedInFull({ ...open, leg: 7 }, bare)).toBeLessThan(60);
    expect(reachFedInFull(plate, bare)).toBeNear(reachFedInFull(open, bare) ?? NaN, 0.02);
  });

  it('what it says is enough, and a little less is not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 170, noNaN: true }),
        fc.double({ min: 3, max: 10, noNaN: true }),
        (deep, leg) => {
          const of = { ...plate, depth: deep, leg };
          const reach = reachFedInFull(of, bare) ?? NaN;
          const share = (ahead: number) =>
            withPlate({ ...of, ahead, behind: ahead }).curve.find(({ x }) => x === 0)?.parts[0]?.share ?? NaN;
          expect(share(reach)).toBe(1);
          expect(share(reach - 0.5)).toBeLessThan(1);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('over a step it must be fed at both verticals; without welds no length does it', () => {
    const joint: JointForm = { form: 'step', upperX: -75, lowerX: 75, z: rail.depth / 2 };
    expect(reachFedInFull(plate, { ...bare, joint })).toBeGreaterThan(75 + 78);
    expect(reachFedInFull({ ...plate, leg: 0 }, bare)).toBeNull();
  });
});

describe('what cannot be', () => {
  it.each<[string, () => unknown, RegExp]>([
    ['a factor above 1', () => spliceStrength({ ...bare, efficiency: 1.2 }), /from 0 to 1/],
    ['a factor below 0', () => spliceStrength({ ...bare, heatAffected: -0.1 }), /from 0 to 1/],
    ['a plate over one side', () => plateOn({ ...plate, behind: 0 }, rail), /both sides/],
    ['a plate deeper than the web', () => plateOn({ ...plate, depth: 180 }, rail), /past the flat/],
    ['a plate of no thickness', () => plateOn({ ...plate, thickness: 0 }, rail), /above 0/],
    [
      'a point longer than the plate',
      () => plateOn({ ...plate, outline: { shape: 'hexagon', point: 300 } }, rail),
      /taper/,
    ],
    ['a flat plate on a round tube', () => plateOn(plate, { kind: 'round', depth: 200, thickness: 5 }), /round tube/],
    ['a wedge that has to grow', () => wedgeSleeve({ height: 100, length: 600 }, 2, 110), /gets lower/],
  ])('%s is refused with what to do', (_, made, words) => {
    expect(made).toThrow(InputError);
    expect(made).toThrow(words);
  });

  it('shapes that taper have less seam to feed them by, and are weaker or equal', () => {
    const straight = withPlate({ ahead: 120, behind: 120 }).ratio;
    for (const outline of [
      { shape: 'diamond' },
      { shape: 'hexagon', point: 60 },
      { shape: 'taper', over: 60, end: 40 },
    ] as const) {
      const { ratio } = withPlate({ ahead: 120, behind: 120, outline });
      expect(ratio).toBeLessThanOrEqual(straight + 1e-9);
      expect(ratio).toBeGreaterThan(0.6);
    }
  });
});
