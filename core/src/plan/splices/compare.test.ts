import { describe, expect, it } from 'vitest';
import { beach, on, calculate, sprayer, van } from '../../../test/joints.ts';
import type { Job } from '../../job/index.ts';
import { RULES, withRule } from '../../rules/index.ts';
import { contextOf } from '../context.ts';
import { compareForms, PLAIN_BUTT } from './index.ts';

const rowsOf = (job: Job, now = PLAIN_BUTT, aheadOfHanger = true) =>
  compareForms(now, { ...on(job), material: job.donor.material, context: contextOf(job), aheadOfHanger });
const row = (id: string, job = van, now = PLAIN_BUTT) => rowsOf(job, now).find((one) => one.id === id)!;

describe('what each form of a joint takes', () => {
  it('hours are those of its weld, its parts and its bolts, by the rulebook', () => {
    const hour = (rule: 'work/weld' | 'work/plate' | 'work/step' | 'work/inside' | 'work/bolt' | 'work/sleeve') =>
      RULES[rule].value;
    const meters = (id: string) => row(id).weldLength / 1000;
    expect(row('butt').hours).toBeNear(meters('butt') * hour('work/weld'), 1e-9);
    expect(row('step-inside').hours).toBeNear(
      meters('step-inside') * hour('work/weld') + hour('work/step') + hour('work/plate') + hour('work/inside'),
      1e-9,
    );
    expect(row('inner').hours).toBeNear(meters('inner') * hour('work/weld') + hour('work/sleeve'), 1e-9);
    // Three plates, each with three by two bolts on both sides of the joint.
    expect(row('bolted').hours).toBeNear(3 * hour('work/plate') + hour('work/inside') + 36 * hour('work/bolt'), 1e-9);
  });

  it('a rule that the shop changes is at once in every row that it bears on', () => {
    const dear = { ...van, rules: withRule(van.rules, 'work/plate', RULES['work/plate'].value + 2) };
    expect(row('butt-both', dear).hours - row('butt-both').hours).toBeNear(4, 1e-9);
    expect(row('butt', dear).hours).toBe(row('butt').hours);
  });

  it('steel is that of its plates and sleeve', () => {
    expect(row('butt').steel).toBe(0);
    const [plate] = row('butt-diamond').splice.plates;
    // A diamond is half of what is cut it from.
    const { ahead, behind, depth, thickness } = plate!;
    expect(row('butt-diamond').steel).toBeNear(
      ((ahead + behind) / 2) * depth * thickness * van.donor.material.density,
      1e-9,
    );
    // A hexagon is less by a triangle at each corner.
    const hexagons = row('butt-both').splice.plates.map((each) => {
      const point = each.outline.shape === 'hexagon' ? each.outline.point : NaN;
      return (each.ahead + each.behind - point) * each.depth * each.thickness * van.donor.material.density;
    });
    expect(row('butt-both').steel).toBeNear(hexagons[0]! + hexagons[1]!, 1e-9);
    const { height, width, wall, ahead: before, behind: after } = row('inner').splice.sleeve!;
    expect(row('inner').steel).toBeNear(
      (height * width - (height - 2 * wall) * (width - 2 * wall)) * (before + after) * van.donor.material.density,
      1e-9,
    );
  });

  it('more steel over the same cut never carries less, and the figures are those of the joint itself', () => {
    const ratio = (id: string) => row(id).ratio!;
    expect(ratio('butt-both')).toBeGreaterThanOrEqual(ratio('butt-inside'));
    expect(ratio('butt-inside')).toBeGreaterThan(ratio('butt'));
    expect(ratio('step')).toBeGreaterThan(ratio('butt'));
    for (const { splice, ratio: told, atWeld, weldLength, heat } of rowsOf(van)) {
      const { strength, weld } = calculate(splice);
      expect([told, atWeld, weldLength, heat]).toEqual([
        strength?.ratio ?? null,
        strength?.ratioAtWeld ?? null,
        weld.length,
        weld.heat,
      ]);
    }
  });
});

describe('what is offered', () => {
  it('a closed rail has no boxing and no folded channel, an open one no plate on an inner wall', () => {
    const ids = (job: Job) => rowsOf(job).map(({ id }) => id);
    expect(ids(van)).toEqual(expect.arrayContaining(['butt-boxed', 'folded']));
    expect(ids(sprayer)).not.toContain('butt-boxed');
    expect(ids(sprayer)).not.toContain('folded');
    const faces = rowsOf(sprayer)
      .find(({ id }) => id === 'butt-both')!
      .splice.plates.map(({ face }) => face);
    expect(faces).toEqual(['inner-side', 'web-outside']);
  });

  it('all of them with the weld that is planned, but a sleeve is a backing', () => {
    const dye = { ...PLAIN_BUTT, weld: { ...PLAIN_BUTT.weld, test: 'dye' as const } };
    const ways = new Map(rowsOf(van, dye).map(({ id, splice }) => [id, splice.weld]));
    expect(ways.get('butt')).toEqual(dye.weld);
    expect(ways.get('inner')).toEqual({ ...dye.weld, way: 'on-backing' });
    expect(ways.get('outer')).toEqual(dye.weld);
    const through = { ...PLAIN_BUTT, weld: { ...PLAIN_BUTT.weld, way: 'both-sides' as const } };
    expect(rowsOf(van, through).find(({ id }) => id === 'inner')!.splice.weld.way).toBe('both-sides');
  });

  it('with what must be reached and what must come apart', () => {
    expect(row('butt').reached).toEqual(['outside of the web', 'top flange', 'bottom flange']);
    expect(row('butt').apart).toBe('nothing');
    expect(row('butt', beach).reached).toContain('inner wall');
    expect(row('butt-inside').apart).toMatch(/comes off/);
    expect(row('bolted').reached).toEqual(['inside of the web', 'top flange', 'bottom flange']);
    const through = { ...PLAIN_BUTT, weld: { ...PLAIN_BUTT.weld, way: 'both-sides' as const } };
    expect(row('now', van, through).reached).toContain('inside of the web');
    expect(row('now', beach, through).reached).toContain('inside of the tube');
  });

  it('with both schools, and the bolting one goes by where the hanger is', () => {
    const bolt = (ahead: boolean) => rowsOf(van, PLAIN_BUTT, ahead).find(({ id }) => id === 'butt')!.schools.bolt;
    expect([bolt(true), bolt(false)]).toEqual(['not ahead of the hanger', 'behind the hanger only']);
    const flanges = rowsOf(van, PLAIN_BUTT, false).find(({ id }) => id === 'butt-flanges')!.schools;
    expect(flanges).toEqual({ weld: 'only small tapered ones', bolt: 'no weld across a flange' });
    expect(row('bolted').schools.weld).toMatch(/heat is not allowed/);
    const square = { ...row('butt-inside').splice };
    const plates = square.plates.map((plate) => ({ ...plate, outline: { shape: 'rectangle' as const } }));
    expect(row('now', van, { ...square, plates }).schools.weld).toBe('taper the ends');
  });
});
