import { describe, expect, it } from 'vitest';
import { type Material, materialProblems, STOCK_MATERIAL_IDS, STOCK_MATERIALS } from './index.ts';

const mild: Material = STOCK_MATERIALS['mild-50'];

describe('stock materials', () => {
  it.each(STOCK_MATERIAL_IDS)('%s can be worked with, and says where its figures are from', (id) => {
    expect(materialProblems(STOCK_MATERIALS[id], 'donor.material')).toEqual([]);
    expect(STOCK_MATERIALS[id].source).toMatch(/certificate or the donor maker/);
  });

  it('carry the yield that their name says, in thousands of pounds per square inch', () => {
    for (const id of STOCK_MATERIAL_IDS) {
      const said = /(\d+) ksi/.exec(STOCK_MATERIALS[id].name)?.[1];
      if (said) expect(STOCK_MATERIALS[id].yieldStress).toBeWithin(Number(said) * 6.894757, 0.01);
    }
  });

  it('lose strength beside a weld but for plain mild steel', () => {
    for (const id of STOCK_MATERIAL_IDS) expect(STOCK_MATERIALS[id].heatAffected === 1).toBe(id.startsWith('mild-'));
  });
});

describe('materialProblems', () => {
  it.each<[string, Partial<Material>, RegExp]>([
    ['yieldStress', { yieldStress: 0 }, /more than 0/],
    ['tensile', { tensile: 300 }, /less than the yield/],
    ['density', { density: -1 }, /more than 0/],
    ['heatAffected', { heatAffected: 1.2 }, /at most 100 %/],
    ['heatAffected', { heatAffected: 0 }, /more than 0/],
    ['weldable', { heatTreated: true }, /must not be called weldable/],
  ])('names what is wrong with %s', (field, changes, message) => {
    const problems = materialProblems({ ...mild, ...changes }, 'donor.material');
    expect(problems).toEqual([
      {
        code: `material/${field}`,
        path: `donor.material.${field}`,
        message: expect.stringMatching(message) as string,
      },
    ]);
  });

  it('refuses figures that are no numbers', () => {
    const none = {
      ...mild,
      yieldStress: Number.NaN,
      tensile: Number.NaN,
      density: Number.NaN,
      heatAffected: Number.NaN,
    };
    expect(materialProblems(none, 'm').map(({ path }) => path)).toEqual([
      'm.yieldStress',
      'm.tensile',
      'm.density',
      'm.heatAffected',
    ]);
  });
});
