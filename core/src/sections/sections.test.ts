import { describe, expect, it } from 'vitest';
import notches from '../../test/reference/notches.json' with { type: 'json' };
import sections from '../../test/reference/sections.json' with { type: 'json' };
import { InputError } from '../input-error.ts';
import {
  builtUpSection,
  describeSection,
  partsOf,
  propertiesOfParts,
  resistingMoment,
  type Section,
  sectionProperties,
  shearArea,
  STOCK_SECTIONS,
  torsionConstant,
} from './index.ts';

const flagship: Section = { kind: 'channel', depth: 187.325, flange: 66.675, thickness: 4.7625 };
const tube: Section = { kind: 'tube', depth: 127, width: 76, thickness: 4.8, inner: 4.8 };

describe('worked sections', () => {
  it('channel 7 3/8 × 2 5/8 × 3/16', () => {
    const properties = sectionProperties(flagship);
    expect(properties.area).toBeWithin(1481.85, 1e-5);
    expect(properties.iy).toBeWithin(7_523_591, 1e-6);
    expect(properties.modulusTop).toBeWithin(80_326.6, 1e-6);
    expect(torsionConstant(flagship).j).toBeWithin(11_203, 1e-4);
    expect(resistingMoment(properties, 345) / 1000).toBeWithin(27_713, 1e-4);
  });

  it('rectangular tube 127 × 76 × 4.8', () => {
    expect(sectionProperties(tube).iy).toBeWithin(4_019_628, 1e-6);
    expect(torsionConstant(tube)).toMatchObject({ basis: 'closed cell' });
    expect(torsionConstant(tube).j).toBeWithin(3_757_657, 1e-6);
  });

  it('round tube agrees with π/64·(D⁴ − d⁴) and J = 2I', () => {
    const round: Section = { kind: 'round', depth: 76.2, thickness: 3.2 };
    const iy = (Math.PI / 64) * (76.2 ** 4 - 69.8 ** 4);
    expect(sectionProperties(round).iy).toBeWithin(iy, 1e-12);
    expect(torsionConstant(round).j).toBeWithin(2 * iy, 1e-12);
    expect(shearArea(round)).toBeWithin(sectionProperties(round).area / 2, 1e-12);
  });

  it('hat and closed channel agree with solid less void', () => {
    const hat: Section = { kind: 'hat', depth: 60, crown: 80, brim: 25, thickness: 3 };
    const brims = (y: number) => (2 * 22 * 27) / 12 + 2 * 22 * 3 * (y - 1.5) ** 2;
    const hatProperties = sectionProperties(hat);
    const z = hatProperties.centroidZ;
    const box = (80 * 60 ** 3) / 12 + 80 * 60 * (z - 30) ** 2 - ((74 * 57 ** 3) / 12 + 74 * 57 * (z - 28.5) ** 2);
    expect(hatProperties.iy).toBeWithin(box + brims(z), 1e-9);
    const closed: Section = { ...flagship, kind: 'closed-channel', plate: 3 };
    expect(sectionProperties(closed).iy).toBeWithin(7_523_591 + (3 * 187.325 ** 3) / 12, 1e-6);
  });

  it('a tube with a thin inner wall leans its centroid outward', () => {
    expect(sectionProperties({ ...tube, inner: 3 }).centroidY).toBeLessThan(38);
    expect(torsionConstant({ ...tube, inner: 3 }).j).toBeLessThan(3_757_657);
  });
});

describe('independent reference', () => {
  const expected = (c: (typeof sections.cases)[number]) => c.expected as Record<string, number>;
  it.each(sections.cases.map((c) => [c.id, c] as const))('%s', (_, c) => {
    const given = c.input as Record<string, number | string>;
    const base: Section =
      given.kind === 'rect_tube'
        ? { kind: 'tube', depth: +given.h_mm!, width: +given.b_mm!, thickness: +given.t_mm!, inner: +given.t_mm! }
        : { kind: 'channel', depth: +given.h_mm!, flange: +given.b_mm!, thickness: +given.t_mm! };
    const plate = given.kind === 'channel+outer_plate';
    const { properties, j } = builtUpSection(
      base,
      plate ? [{ kind: 'plate', face: 'outside', thickness: +given.plate_t_mm!, size: +given.plate_height_mm! }] : [],
    );
    const values = expected(c);
    expect(properties.area).toBeWithin(values.area_mm2!, 1e-6);
    expect(properties.centroidY).toBeWithin(values.centroid_y_mm!, 1e-6);
    expect(properties.iy).toBeWithin(values.Iy_mm4!, 1e-6);
    expect(properties.iz).toBeWithin(values.Iz_mm4!, 1e-6);
    expect(properties.modulusOuter).toBeWithin(values.Wz_outer_mm3!, 1e-6);
    expect(properties.modulusInner).toBeWithin(values.Wz_inner_mm3!, 1e-6);
    expect(properties.massPerMeter).toBeWithin(values.mass_kg_per_m!, 1e-6);
    expect(j).toBeWithin(values.J_thin_walled_mm4!, 1e-2);
  });

  it.each(notches.cases.map((c) => [c.id, c] as const))('notch %s', (_, c) => {
    const base: Section = { kind: 'channel', depth: c.input.h_mm, flange: c.input.b_mm, thickness: c.input.t_mm };
    const plate = c.input.plate && { width: c.input.plate.w_mm, thickness: c.input.plate.t_mm };
    const notch = { kind: 'notch', from: 'below', depth: c.input.notch_depth_mm, ...(plate ? { plate } : {}) } as const;
    const { properties } = builtUpSection(base, [notch]);
    const values = c.expected.notched;
    expect(properties.area).toBeWithin(values.area_mm2, 1e-6);
    expect(properties.centroidZ).toBeWithin(values.centroid_z_mm, 1e-6);
    expect(properties.iy).toBeWithin(values.Iy_mm4, 1e-6);
    expect(properties.iyz).toBeWithin(values.Iyz_mm4, 1e-6);
    expect(properties.modulusBottom).toBeWithin(values.Wy_bottom_mm3, 1e-6);
  });
});

describe('built-up sections', () => {
  it('boxing a channel is the closed channel', () => {
    const boxed = builtUpSection(flagship, [{ kind: 'boxing', thickness: 4.7625 }]);
    const closed: Section = { ...flagship, kind: 'closed-channel', plate: 4.7625 };
    expect(boxed.properties.iy).toBeWithin(sectionProperties(closed).iy, 1e-12);
    expect(boxed.j).toBeWithin(torsionConstant(closed).j, 1e-12);
  });

  it('plates inside, on top and below each add their share', () => {
    const area = sectionProperties(flagship).area;
    const built = builtUpSection(flagship, [
      { kind: 'plate', face: 'inside', thickness: 5, size: 150 },
      { kind: 'plate', face: 'top', thickness: 6, size: 50 },
      { kind: 'plate', face: 'bottom', thickness: 6, size: 50 },
    ]);
    expect(built.properties.area).toBeNear(area + 750 + 600, 1e-9);
    expect(built.properties.centroidZ).toBeNear(187.325 / 2, 1e-9);
  });

  it('a sleeve stands where it is put', () => {
    const sleeve: Section = { kind: 'tube', depth: 100, width: 40, thickness: 4, inner: 4 };
    const built = builtUpSection(flagship, [{ kind: 'sleeve', section: sleeve, y: 5, z: 43.6625 }]);
    expect(built.properties.iy).toBeWithin(7_523_591 + sectionProperties(sleeve).iy, 1e-6);
  });

  it('a notch of a quarter leaves about 30 % of the smaller modulus', () => {
    const notched = builtUpSection(flagship, [{ kind: 'notch', from: 'above', depth: 187.325 / 4 }]);
    expect(notched.properties.modulusTop / sectionProperties(flagship).modulusTop).toBeNear(0.3, 0.03);
  });

  it.each([
    [{ kind: 'notch', from: 'below', depth: 187.325 }, 'section/notch-depth'],
    [{ kind: 'plate', face: 'inside', thickness: 5, size: 185 }, 'section/plate-too-high'],
  ] as const)('refuses what does not fit: %o', (addition, code) => {
    const attempt = () => builtUpSection(flagship, [addition]);
    expect(attempt).toThrow(InputError);
    expect(attempt).toThrow(expect.objectContaining({ problems: [expect.objectContaining({ code })] }));
  });

  it('refuses boxing a tube and parts without area', () => {
    expect(() => builtUpSection(tube, [{ kind: 'boxing', thickness: 3 }])).toThrow(InputError);
    expect(() => propertiesOfParts([])).toThrow(RangeError);
  });
});

it('every stock section has parts that add up to a positive area and says what it is', () => {
  for (const { section } of STOCK_SECTIONS) expect(propertiesOfParts(partsOf(section)).area).toBeGreaterThan(0);
  expect(describeSection({ ...tube, inner: 3 }, String)).toBe('rectangular tube 127 × 76 × 4.8, inner wall 3');
});
