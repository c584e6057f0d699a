import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../test/reference/mounts.json' with { type: 'json' };
import { PROFILES, type Rulebook } from '../rules/index.ts';
import { sectionProperties } from '../sections/index.ts';
import { inches } from '../units/index.ts';
import {
  type Bracket,
  bentStrip,
  boltFor,
  bracketChecks,
  heightOf,
  loadedLayers,
  mountingProblems,
  type StackLayer,
  weldGroup,
  weldsOffMiddle,
  weldStress,
  weldStressInPlane,
} from './index.ts';

const caseOf = <T>(id: string) => reference.cases.find((one) => one.id === id) as unknown as T;
const rules: Rulebook = { profile: Object.keys(PROFILES)[0] as keyof typeof PROFILES, changes: {} };
const mild: Rulebook = { ...rules, changes: { 'mount/dynamic': 1 } };

describe('a stack', () => {
  const { input, expected } = caseOf<{
    input: {
      rail_top_z_mm: number;
      body_underside_z_wanted_mm: number;
      load_share_N: number;
      layers_from_rail_up_without_bracket: {
        what: string;
        free_height_mm: number;
        rate_N_per_mm?: number;
      }[];
    };
    expected: { squeeze_mm: number; loaded_height_of_layers_mm: number; bracket_height_mm: number };
  }>('stack_one_bushing');
  const layers = input.layers_from_rail_up_without_bracket.map(
    ({ what, free_height_mm, rate_N_per_mm }, at): StackLayer => ({
      id: `l${at}`,
      kind: what.includes('bushing') ? 'bushing' : 'plate',
      height: free_height_mm,
      ...(rate_N_per_mm === undefined ? {} : { rate: rate_N_per_mm }),
    }),
  );

  it('with a bushing squeezed by its share: as in the independent case', () => {
    const loaded = loadedLayers(layers, input.load_share_N);
    expect(loaded.find(({ kind }) => kind === 'bushing')!.squeeze).toBeNear(expected.squeeze_mm, 1e-6);
    expect(heightOf(loaded)).toBeNear(expected.loaded_height_of_layers_mm, 1e-6);
    const left = input.body_underside_z_wanted_mm - input.rail_top_z_mm - heightOf(loaded);
    expect(left).toBeNear(expected.bracket_height_mm, 1e-6);
  });

  it('a bushing without a rate, and one that is pulled, keep their free height', () => {
    const bushing: StackLayer = { id: 'b', kind: 'bushing', height: 30 };
    expect(heightOf(loadedLayers([bushing], 2000))).toBe(30);
    expect(heightOf(loadedLayers([{ ...bushing, rate: 100 }], -500))).toBe(30);
    expect(heightOf(loadedLayers([{ ...bushing, kind: 'plate', rate: 100 }], 500))).toBe(30);
  });

  it('more load never makes it higher', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        (a, b) => {
          const high = (load: number) => heightOf(loadedLayers(layers, load));
          expect(high(Math.max(a, b))).toBeLessThanOrEqual(high(Math.min(a, b)));
        },
      ),
    );
  });
});

describe('a strip laid flat', () => {
  it.each(['flat_L_90'])('%s: as in the independent case', (id) => {
    const { input, expected } = caseOf<{
      input: {
        t_mm: number;
        inside_radius_mm: number;
        bend_angles_deg: number[];
        outside_legs_to_virtual_corner_mm: number[];
      };
      expected: {
        straight_lengths_mm: number[];
        'k_0.44': { flat_length_mm: number; bend_zones_from_the_first_edge_mm: number[][] };
        'k_0.33': { flat_length_mm: number };
      };
    }>(id);
    const flat = (k: number) =>
      bentStrip(
        input.outside_legs_to_virtual_corner_mm,
        input.bend_angles_deg.map((angle) => (angle * Math.PI) / 180),
        { thickness: input.t_mm, radius: input.inside_radius_mm, k },
      );
    expect(flat(0.44).length).toBeNear(expected['k_0.44'].flat_length_mm, 1e-5);
    expect(flat(0.33).length).toBeNear(expected['k_0.33'].flat_length_mm, 1e-5);
    expected.straight_lengths_mm.forEach((straight, at) => expect(flat(0.44).straights[at]!).toBeNear(straight, 1e-9));
    expected['k_0.44'].bend_zones_from_the_first_edge_mm.forEach((zone, at) =>
      zone.forEach((edge, end) => expect(flat(0.44).zones[at]![end as 0 | 1]).toBeNear(edge, 1e-5)),
    );
  });

  it('without a turn a leg is as long flat as it is bent', () => {
    expect(bentStrip([40, 60], [0], { thickness: 5, radius: 6, k: 0.44 }).length).toBe(100);
  });
});

describe('an arm of tube, welded all round', () => {
  const { input, expected } = caseOf<{
    input: {
      load_share_N: number;
      reach_from_rail_face_mm: number;
      section: { h_mm: number; b_mm: number; t_mm: number };
      fillet_leg_mm: number;
    };
    expected: {
      section_modulus_mm3: number;
      weld_length_mm: number;
      weld_line_I_mm3: number;
      static: { bending_stress_MPa: number; weld_resultant_MPa: number; 'utilisation_of_0.3FEXX': number };
      with_dynamic_factor: { bending_stress_MPa: number; weld_resultant_MPa: number; 'utilisation_of_0.3FEXX': number };
    };
  }>('outrigger_tube_welded_all_round');
  const { h_mm: deep, b_mm: along, t_mm: thickness } = input.section;
  const arm: Bracket = {
    form: 'arm',
    make: 'tube',
    thickness,
    along,
    deep,
    tip: deep,
    radius: 0,
    fixing: { by: 'weld', leg: input.fillet_leg_mm },
    contour: [],
  };
  const load = {
    share: input.load_share_N,
    reach: input.reach_from_rail_face_mm,
    contact: { height: deep, top: true, foot: true },
    hole: 0,
  };

  it('at rest and with the dynamic factor: as in the independent case', () => {
    for (const [book, wanted] of [
      [mild, expected.static],
      [rules, expected.with_dynamic_factor],
    ] as const) {
      const [bending, welds] = bracketChecks(arm, load, book);
      expect(bending!.stress).toBeNear(wanted.bending_stress_MPa, 1e-4);
      expect(welds!.stress).toBeNear(wanted.weld_resultant_MPa, 1e-4);
      // The electrode of the rulebook is the one of the case.
      expect(welds!.ratio).toBeNear(wanted['utilisation_of_0.3FEXX'], 1e-6);
    }
    const tube = sectionProperties({ kind: 'tube', depth: deep, width: along, thickness, inner: thickness });
    expect(tube.modulusTop).toBeNear(expected.section_modulus_mm3, 1e-3);
  });

  it('its welds as lines have the closed formula of a rectangle', () => {
    const at = (y1: number, z1: number, y2: number, z2: number) => ({ from: [y1, z1], to: [y2, z2] }) as const;
    const group = weldGroup([
      at(0, 0, 0, deep),
      at(along, 0, along, deep),
      at(0, 0, along, 0),
      at(0, deep, along, deep),
    ]);
    expect(group.length).toBeNear(expected.weld_length_mm, 1e-9);
    expect(group.inertia).toBeNear(expected.weld_line_I_mm3, 1e-6);
    expect(group.farthest).toBe(deep / 2);
    // Two uprights alone: 2 · d³ / 12.
    expect(weldGroup([at(0, 0, 0, 60), at(40, 0, 40, 60)]).inertia).toBeNear(36_000, 1e-6);
    expect(weldStress(weldGroup([at(0, 0, 40, 0)]), 3, 0, 1200)).toBeNear(10, 1e-9);
  });

  it('a longer reach, a heavier load, a shallower seat on the web never stress it less', () => {
    const number = fc.double({ min: 1, max: 400, noNaN: true });
    fc.assert(
      fc.property(number, number, fc.double({ min: 10, max: 60, noNaN: true }), (a, b, high) => {
        const worst = (changes: Partial<typeof load>) =>
          Math.max(...bracketChecks(arm, { ...load, ...changes }, rules).map(({ ratio }) => ratio));
        expect(worst({ reach: Math.max(a, b) })).toBeGreaterThanOrEqual(worst({ reach: Math.min(a, b) }));
        expect(worst({ share: 10 * Math.max(a, b) })).toBeGreaterThanOrEqual(worst({ share: 10 * Math.min(a, b) }));
        expect(worst({ contact: { height: high, top: true, foot: true } })).toBeGreaterThanOrEqual(worst({}));
      }),
    );
  });
});

describe('other brackets, by hand', () => {
  const load = { share: 1000, reach: 0, contact: { height: 100, top: true, foot: true }, hole: 0 };

  it('a perch: its top from leg to leg, its feet with the lever of a mount off the middle', () => {
    const perch: Bracket = {
      form: 'perch',
      thickness: 6,
      along: 80,
      across: 66,
      radius: 9,
      boxed: false,
      leg: 5,
      contour: [],
    };
    // Span 60, load in the middle: M = 1000 · 60 / 4, W = 80 · 36 / 6.
    const [top, feet] = bracketChecks(perch, load, mild);
    expect(top!.stress).toBeNear((1000 * 15) / 480, 1e-9);
    expect(top!.allowed).toBe(250);
    expect(feet!.stress).toBeNear(1000 / (160 * 0.707 * 5), 1e-9);
    // 15 off the middle: three quarters on one leg; the top bends by 45 · 15 / 60.
    const [topOff, feetOff] = bracketChecks(perch, { ...load, reach: 15, hole: 20 }, mild);
    expect(topOff!.stress).toBeNear((1000 * 11.25) / 360, 1e-9);
    expect(feetOff!.stress).toBeNear(750 / (80 * 0.707 * 5), 1e-9);
  });

  it('an angle bends at its bend, and bolts take pull and shear together', () => {
    const angle: Bracket = {
      form: 'angle',
      thickness: 8,
      along: 75,
      upright: 100,
      radius: 12,
      fixing: { by: 'bolts', grade: '8.8', diameter: 12, count: 4 },
    };
    const [bend, bolts] = bracketChecks(angle, { ...load, reach: 50 }, mild);
    expect(bend!.stress).toBeNear((6 * 50_000) / (75 * 64), 1e-9);
    // Two bolts pull at 75 over the foot; four shear.
    const area = Math.PI * 36;
    const [pull, shear] = [50_000 / 75 / 2 / area, 1000 / 4 / area];
    expect(bolts!.ratio).toBeNear(Math.hypot(pull / (0.33 * 800), shear / (0.225 * 800)), 1e-12);
  });

  it('welds loaded in their own plane turn about their middle: by hand for two upright lines', () => {
    const at = (y1: number, z1: number, y2: number, z2: number) => ({ from: [y1, z1], to: [y2, z2] }) as const;
    const lines = [at(0, 0, 0, 100), at(60, 0, 60, 100)];
    const found = weldStressInPlane(lines, 3, [0, -4000], [190, 50]);
    // J = 2·100³/12 + 200·30² about (30, 50); the force is 160 behind that.
    const polar = (2 * 100 ** 3) / 12 + 200 * 30 ** 2;
    const turn = 4000 * 160;
    expect(found).toMatchObject({ center: [30, 50], polar, torsion: -turn });
    const wanted = Math.hypot((turn * 50) / polar, 4000 / 200 + (turn * 30) / polar) / 3;
    expect(found.stress).toBeNear(wanted, 1e-9);
    expect(found.at[0]).toBe(60);
    // Through the middle it only shears; with a moment besides it is what bends it out of its plane.
    expect(weldStressInPlane(lines, 3, [0, -4000], [30, 999]).stress).toBeNear(4000 / 200 / 3, 1e-9);
    expect(weldStressInPlane(lines, 3, [0, -4000], [30, 50], 2e5).stress).toBeNear(
      weldStress(weldGroup(lines), 3, 2e5, 4000),
      1e-9,
    );
  });

  it('a mount off the middle of its welds: nothing more at the middle, more to either side, none for a perch', () => {
    const angle = {
      form: 'angle',
      thickness: 8,
      along: 90,
      upright: 80,
      radius: 8,
      fixing: { by: 'weld', leg: 5 },
    } as const;
    const load = { share: 1500, reach: 60, contact: { height: 80, top: false, foot: true }, hole: 0 };
    const [, welds] = bracketChecks(angle, load, rules);
    const off = (mm: number) => weldsOffMiddle(angle, load, mm, rules)!.stress;
    expect(off(0)).toBeNear(welds!.stress, 1e-9);
    expect(off(25)).toBeNear(off(-25), 1e-9);
    expect(off(25)).toBeGreaterThan(off(0) + 0.1);
    expect(weldsOffMiddle({ form: 'none' }, load, 25, rules)).toBeNull();
  });

  it('of an old bracket only the welds are calculated, of no bracket nothing', () => {
    expect(bracketChecks({ form: 'old', height: 60, along: 70, leg: 4 }, load, mild)).toMatchObject([
      { what: 'welds to the rail', stress: expect.closeTo(1000 / (140 * 0.707 * 4), 9) as number },
    ]);
    expect(bracketChecks({ form: 'none' }, load, mild)).toEqual([]);
  });
});

describe('what no bracket can be', () => {
  const mounting = (bracket: Bracket) => ({ body: 'b', mount: 'm', under: [], bracket, over: [], hung: [] });
  const weld = { by: 'weld', leg: 5 } as const;
  const arm = {
    form: 'arm',
    make: 'folded',
    thickness: 5,
    along: 75,
    deep: 120,
    tip: 60,
    radius: 7,
    fixing: weld,
  } as const;
  it.each([
    ['deeper at its end', { ...arm, tip: 130, contour: [] }, 'bracket.tip'],
    ['no room for bends', { ...arm, along: 24, contour: [] }, 'bracket.along'],
    ['no weld', { ...arm, fixing: { by: 'weld', leg: 0 }, contour: [] }, 'bracket.fixing.leg'],
    [
      'odd bolts',
      { ...arm, fixing: { by: 'bolts', grade: '8.8', diameter: 12, count: 3 }, contour: [] },
      'bracket.fixing.count',
    ],
    [
      'a leg within its bend',
      { form: 'angle', thickness: 6, along: 75, upright: 12, radius: 9, fixing: weld },
      'bracket.upright',
    ],
    [
      'a saddle without room',
      { form: 'perch', thickness: 6, along: 75, across: 28, radius: 9, boxed: false, leg: 5, contour: [] },
      'bracket.across',
    ],
    ['nothing', { form: 'old', height: 0, along: 75, leg: 5 }, 'bracket.height'],
  ] as const)('%s is told at its field', (_, bracket, path) => {
    expect(mountingProblems(mounting(bracket as Bracket), '').map((one) => one.path)).toContain(`.${path}`);
  });

  it('a layer without height, a bushing without rate', () => {
    const layers: StackLayer[] = [
      { id: 'a', kind: 'plate', height: 0 },
      { id: 'b', kind: 'bushing', height: 20, rate: 0 },
    ];
    expect(mountingProblems({ ...mounting({ form: 'none' }), over: layers }, 'x').map(({ path }) => path)).toEqual([
      'x.over[0].height',
      'x.over[1].rate',
    ]);
    expect(mountingProblems(mounting({ form: 'none' }), '')).toEqual([]);
  });
});

it('a hole of the body tells the bolt that goes through it', () => {
  expect(boltFor(14, 'mm')).toMatchObject({ name: 'M12' });
  expect(boltFor(13, 'mm')).toMatchObject({ name: 'M12' });
  expect(boltFor(inches(9 / 16), 'in')).toMatchObject({ name: '1/2', diameter: inches(1 / 2) });
  expect(boltFor(5, 'mm')).toBeNull();
});
