import { describe, expect, it } from 'vitest';
import { inside, calculate, van } from '../../../test/joints.ts';
import { RULES, withRule } from '../../rules/index.ts';
import type { RailSplice } from '../../splice/index.ts';
import { PLAIN_BUTT, usualSleeve } from './index.ts';
import { proposing } from '../../../test/joints.ts';

const range = RULES['fatigue/range'].value;
const rulesOf = (splice: RailSplice) => calculate(splice).details.map(({ rule }) => rule);
const welded = (changes: object): RailSplice => ({ ...PLAIN_BUTT, weld: { ...PLAIN_BUTT.weld, ...changes } });

describe('details that cracks begin at', () => {
  it.each([
    ['from one side', {}, 'fatigue/butt-one-side'],
    ['on a backing', { way: 'on-backing' }, 'fatigue/butt-backing'],
    ['from both sides', { way: 'both-sides' }, 'fatigue/butt'],
    ['from both sides, ground flush', { way: 'both-sides', flush: true }, 'fatigue/butt-flush'],
    ['ground flush over a root that nobody sees', { flush: true }, 'fatigue/butt-one-side'],
  ] as const)('a butt %s', (_, changes, rule) => {
    const [detail] = calculate(welded(changes)).details;
    expect(detail).toMatchObject({ rule, detailClass: RULES[rule].value, range });
    expect(detail!.cycles).toBeNear(2e6 * (RULES[rule].value / range) ** 3, 1e-3);
  });

  it('the end of a plate by its shape, or by its bolts', () => {
    const plated = (changes: object) => rulesOf({ ...PLAIN_BUTT, plates: [inside(changes)] });
    expect(plated({ outline: { shape: 'rectangle' } })).toContain('fatigue/plate-end');
    expect(plated({ outline: { shape: 'diamond' } })).toContain('fatigue/tapered-end');
    expect(plated({ fastening: { by: 'bolts', grade: '10.9', bolts: { diameter: 16, along: 2, rows: 2 } } })).toContain(
      'fatigue/bolts',
    );
    expect(rulesOf({ ...PLAIN_BUTT, form: { form: 'bolted' } })).toEqual([]);
  });

  it('the end of a sleeve by whether it is welded round', () => {
    const sleeve = usualSleeve('inner', { form: 'butt' }, proposing)!;
    expect(rulesOf({ ...PLAIN_BUTT, sleeve })).toContain('fatigue/plate-end');
    expect(rulesOf({ ...PLAIN_BUTT, sleeve: { ...sleeve, endLeg: 0 } })).toContain('fatigue/fillet');
  });

  it('nearer the middle of the web an end sees less, on a flange all of it', () => {
    const at = (changes: object) =>
      calculate({ ...PLAIN_BUTT, plates: [inside(changes)] }).details.find(
        ({ rule }) => rule !== 'fatigue/butt-one-side',
      )!;
    const half = van.donor.sections[0]!.section.depth / 2;
    expect(at({ outline: { shape: 'rectangle' }, depth: 80 }).range).toBeNear((range * 40) / half, 1e-9);
    expect(at({ outline: { shape: 'rectangle' }, depth: 80, off: 20 }).range).toBeNear((range * 60) / half, 1e-9);
    expect(at({ outline: { shape: 'diamond' }, depth: 80 })).toMatchObject({ range: 0, cycles: null });
    expect(at({ face: 'top-flange', depth: 40 }).range).toBe(range);
  });

  it('the worst is told first, and a range of the shop’s own changes every life by its cube', () => {
    const splice = { ...welded({ way: 'both-sides' }), plates: [inside({ outline: { shape: 'rectangle' } })] };
    const cycles = calculate(splice).details.map((detail) => detail.cycles ?? Infinity);
    expect(cycles).toEqual(cycles.toSorted((a, b) => a - b));
    const twice = { ...van, rules: withRule(van.rules, 'fatigue/range', 2 * range) };
    const [now, then] = [calculate(splice), calculate(splice, twice)].map(({ details }) => details[0]!.cycles!);
    expect(now! / then!).toBeNear(8, 1e-9);
    const still = { ...van, rules: withRule(van.rules, 'fatigue/range', 0) };
    expect(calculate(splice, still).details.every((detail) => detail.cycles === null)).toBe(true);
  });
});
