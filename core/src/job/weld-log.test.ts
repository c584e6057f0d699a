import { describe, expect, it } from 'vitest';
import { van } from '../../test/joints.ts';
import { newRecord, type ShopRecord } from '../records/index.ts';
import { laidStitches, planOf, seamStates, stepsNow, weldingOf } from './index.ts';

const plan = planOf(van);
const welding = weldingOf(van, plan);
const stitchesOf = (what: string) =>
  welding.steps.filter((step) => step.what === what).flatMap((step) => step.stitches);

let count = 0;
const welded = (stitch: string, laid = true, taken = '2026-04-12T08:00:00Z'): ShopRecord => {
  count += 1;
  return newRecord(
    'stitch-welded',
    { stitch, laid, settings: null, note: '' },
    { id: `w${count}`, taken, by: 'welder' },
  );
};

describe('what was welded', () => {
  it('is the last that was said of each stitch', () => {
    const [a, b] = stitchesOf('tack').map(({ id }) => id);
    const laid = laidStitches([
      welded(b!, true, '2026-04-12T08:01:00Z'),
      welded(a!, true, '2026-04-12T08:00:00Z'),
      welded(b!, false, '2026-04-12T08:02:00Z'),
    ]);
    expect([...laid.keys()]).toEqual([a]);
    const again = laidStitches([welded(b!, false), welded(b!, true, '2026-04-12T08:03:00Z')]);
    expect([...again.keys()]).toEqual([b]);
  });
});

describe('what is welded next', () => {
  const all = (...whats: string[]) =>
    laidStitches(whats.flatMap((what) => stitchesOf(what).map(({ id }) => welded(id))));

  it('is the tacks of one joint after the other', () => {
    const now = stepsNow(welding, new Map(), false, true);
    expect(now.open.map(({ what }) => what)).toEqual(['tack']);
    expect(now.measure).toBe(null);
    const [first] = welding.steps;
    const half = laidStitches(first!.stitches.map(({ id }) => welded(id)));
    const second = stepsNow(welding, half, false, true);
    expect(second.open[0]!.joint!.id).not.toBe(first!.joint!.id);
    expect(second.steps[0]).toMatchObject({ laid: first!.stitches.length });
  });

  it('is nothing until the readings after tacking are let pass', () => {
    const now = stepsNow(welding, all('tack'), false, true);
    expect(now.open).toEqual([]);
    expect(now.measure!.what).toBe('measure-tacked');
  });

  it('is then a step of every joint in turn, or of one joint where the shop works so', () => {
    const inTurn = stepsNow(welding, all('tack'), true, true);
    expect(inTurn.open.map(({ what }) => what)).toEqual(['butt', 'butt']);
    expect(new Set(inTurn.open.map(({ joint }) => joint!.id)).size).toBe(2);
    expect(stepsNow(welding, all('tack'), true, false).open).toHaveLength(1);
    const later = stepsNow(welding, all('tack', 'butt'), true, true);
    expect(later.open.every(({ what }) => what === 'inside')).toBe(true);
  });

  it('is nothing more when all is laid', () => {
    const now = stepsNow(welding, all('tack', 'butt', 'inside', 'outside', 'sleeve'), true, true);
    expect(now).toMatchObject({ open: [], measure: null, done: true });
    expect(stepsNow({ steps: [] }, new Map(), true, true).done).toBe(false);
  });
});

describe('a seam', () => {
  it('is laid when every pass of it is, and keeps the last check', () => {
    const [seam] = welding.seams;
    const own = stitchesOf('butt').filter((stitch) => stitch.seam.id === seam!.id);
    const check = (result: 'passed' | 'repair', taken: string): ShopRecord =>
      newRecord(
        'seam-checked',
        { seam: seam!.id, test: 'visual', result, flush: false, note: '' },
        { id: `c${taken}`, taken, by: 'welder' },
      );
    const records = [
      ...own.map(({ id }) => welded(id)),
      check('passed', '2026-04-13T09:00:00Z'),
      check('repair', '2026-04-13T08:00:00Z'),
    ];
    const state = seamStates(welding, plan, records).find((each) => each.seam.id === seam!.id)!;
    expect(state).toMatchObject({ laid: own.length, of: own.length });
    expect(state.checked!.body.result).toBe('passed');
    expect(seamStates(welding, plan, []).every(({ laid, checked }) => laid === 0 && checked === null)).toBe(true);
  });

  it('names the coupon of its wall, kind and position', () => {
    const states = seamStates(welding, plan, []);
    const of = (where: string, part = 'rail') =>
      states.find(({ seam }) => seam.where === where && seam.part === part)!.coupon!;
    expect(of('web')).toMatchObject({ joint: 'butt', position: 'vertical' });
    expect(of('bottom flange')).toMatchObject({ joint: 'butt', position: 'overhead' });
    expect(of('top flange').joint).toBe('butt');
    const fillet = states.find(({ seam }) => seam.weld.kind === 'fillet')!;
    expect(fillet.coupon!.joint).toBe('fillet');
    expect(fillet.coupon!.logged).toBe(null);
  });
});
