import { describe, expect, it } from 'vitest';
import { channel, inside, calculate, van } from '../../../test/joints.ts';
import { RULES, ruleValue } from '../../rules/index.ts';
import { PLAIN_BOLTED, PLAIN_BUTT } from './index.ts';

// The flagship's channel: once round the open section along its outside.
const { depth, flange, thickness } = channel as Extract<typeof channel, { kind: 'channel' }>;
const wall = depth + 2 * flange;
const bare = inside({
  ahead: 200,
  behind: 200,
  depth: 100,
  outline: { shape: 'rectangle' },
  fastening: { by: 'weld', leg: 4, ends: true, plugs: null },
});

describe('what welding a joint takes', () => {
  it('butt: once round the wall', () => {
    expect(calculate(PLAIN_BUTT).weld.length).toBeNear(wall, 1e-6);
  });

  it('angled: longer by what the slant adds over the web; step: by its horizontal', () => {
    const angled = { ...PLAIN_BUTT, form: { form: 'angled', run: depth } as const };
    expect(calculate(angled).weld.length).toBeNear(wall + depth * (Math.SQRT2 - 1), 1e-6);
    const step = { ...PLAIN_BUTT, form: { form: 'step', length: 90, height: 70, radius: 6, upper: 'ahead' } as const };
    expect(calculate(step).weld.length).toBeNear(wall + 90, 1e-6);
  });

  it('round a plate both edges and both ends, round each plug its rim', () => {
    expect(calculate({ ...PLAIN_BUTT, plates: [bare] }).weld.length).toBeNear(wall + 2 * 400 + 2 * 100, 1e-6);
    const plugged = { ...bare, fastening: { ...bare.fastening, plugs: { diameter: 16, along: 3, rows: 2 } } };
    expect(calculate({ ...PLAIN_BUTT, plates: [plugged] as never }).weld.length).toBeNear(
      wall + 1000 + 12 * Math.PI * 16,
      1e-6,
    );
  });

  it('bolted: none, no gap, and nothing pulls', () => {
    expect(calculate(PLAIN_BOLTED).weld).toEqual({ area: 0, length: 0, heat: 0, gap: 0, shrinkage: 0 });
  });

  it('heat goes with its length, shrinkage with its cross-section; from both sides the groove is half, with two caps', () => {
    const one = calculate(PLAIN_BUTT).weld;
    const both = calculate({ ...PLAIN_BUTT, weld: { ...PLAIN_BUTT.weld, way: 'both-sides' } }).weld;
    const gap = RULES['weld/gap'].value;
    const groove = (thickness - RULES['weld/land'].value) ** 2 * Math.tan(RULES['weld/groove'].value / 2);
    const cap = (2 / 3) * RULES['weld/band'].value * RULES['weld/cap'].value;
    expect(one.area).toBeNear(gap * thickness + groove + cap, 1e-9);
    expect(both.area).toBeNear(gap * thickness + groove / 2 + 2 * cap, 1e-9);
    for (const { area, length, heat, shrinkage } of [one, both]) {
      expect(heat).toBeNear(length * ruleValue(van.rules, 'weld/heat'), 1e-9);
      expect(shrinkage).toBeNear((0.1 * area) / thickness, 1e-12);
    }
  });
});
