import { describe, expect, it } from 'vitest';
import { lengthened } from '../../test/found.ts';
import { featureAt, inputOf, memberAt, plainFrame } from '../../test/frames.ts';
import type { Frame, Station } from '../frame/index.ts';
import { ruleValue, withRule } from '../rules/index.ts';
import { type FinderGoal, whereToCut } from './index.ts';
import { assumedRooms, unmeasuredOf } from './unmeasured.ts';

const goal: FinderGoal = { of: 'wheelbase', by: 300 };
const bare = plainFrame();
const rule = ruleValue(inputOf(bare).rules, 'finder/axle-room');
const [front, rear] = ['front', 'rear'].map((role) => bare.axles.find((axle) => axle.role === role)!);
const found = (changes: Partial<Frame> = {}, stations?: Station[]) =>
  whereToCut(inputOf(plainFrame(changes, stations)), goal);

describe('an axle whose brackets nobody has measured', () => {
  it('is kept clear of as far as the rulebook says, and no answer stands beside it', () => {
    const { answers, lanes } = found();
    expect(answers.length).toBeGreaterThan(0);
    for (const { cuts } of answers)
      for (const { x } of cuts)
        for (const axle of [front!, rear!]) expect(Math.abs(x - axle.x)).toBeGreaterThanOrEqual(rule - 1e-6);
    const kept = lanes.stretches.filter(({ state }) => state === 'assumed');
    expect(kept.every(({ lane }) => lane === 'suspension')).toBe(true);
    expect(kept.map(({ about }) => about[0])).toEqual(expect.arrayContaining([front!.name, rear!.name]));
  });

  it('with a measured bracket is judged by that, and the band is as wide as the rule', () => {
    const hanger = featureAt('hanger', rear!.x - 500, { kind: 'spring-hanger' });
    expect(assumedRooms({ ...bare, features: [hanger] }, 500).map(({ axle }) => axle)).toEqual([front!.id]);
    expect(assumedRooms(bare, 500)[0]).toMatchObject({ from: front!.x - 500, to: front!.x + 500 });
    const none = inputOf(bare);
    const free = whereToCut({ ...none, rules: withRule(none.rules, 'finder/axle-room', 0) }, goal);
    expect(free.lanes.stretches.some(({ state }) => state === 'assumed')).toBe(false);
  });
});

describe('what nobody has measured', () => {
  it('is unknown in its lane with what to measure, until it is there', () => {
    const lanes = (changes: Partial<Frame>, weighed = false) =>
      unmeasuredOf({ ...bare, ...changes }, weighed).map(({ lane }) => lane);
    expect(lanes({})).toEqual(['bend', 'taper', 'suspension', 'members', 'holes', 'tank', 'strip', 'load']);
    expect(lanes({ crossmembers: [memberAt('c', 900)] }, true)).not.toEqual(
      expect.arrayContaining(['members', 'load']),
    );
    const hole = featureAt('h', 900, { kind: 'hole' });
    expect(lanes({ features: [...bare.features, hole] })).not.toContain('holes');
    // The datum hole alone says nothing of the others.
    expect(lanes({ features: bare.features, datum: bare.features[0]!.id })).toContain('holes');
  });

  it('is nothing on a frame that has been measured', () => {
    expect(lengthened().lanes.unmeasured).toEqual([]);
  });
});

describe('the words', () => {
  it('never leave a sentence empty, and one place alone is the best of all', () => {
    for (const at of [300, 150]) {
      const { obvious } = whereToCut(inputOf(bare), { of: 'wheelbase', by: at });
      expect(obvious.length).toBeGreaterThan(0);
      for (const { says } of obvious) expect(says).toMatch(/[a-z]{3}.*\.$/);
      expect(obvious.filter(({ says }) => says === 'It is the best of all.').length).toBeLessThan(2);
    }
  });

  it('call no rail that falls a kick-up, and one that rises out of its run is', () => {
    const at = (x: number, top: number): Station => ({ x, halfWidth: 430, top, section: 'rail' });
    const kick = (...stations: Station[]) => found({}, stations).obvious.some(({ id }) => id === 'kick-up');
    expect(kick(at(0, 0), at(2000, 0), at(3000, -120), at(6000, -120))).toBe(false);
    expect(kick(at(0, 0), at(6000, 600))).toBe(false);
    expect(kick(at(0, 0), at(2000, 0), at(3000, 120), at(6000, 120))).toBe(true);
  });

  it('a tie goes to the longest clear straight stretch', () => {
    // Alike but for how far the crossmembers are apart: 500 and 1100 clear.
    const crossmembers = [1600, 2200, 3400].map((x) => memberAt(`c${x}`, x));
    const { answers } = found({ crossmembers });
    const same = answers.filter(({ judged }) => Math.abs(judged.score - answers[0]!.judged.score) < 0.005);
    const clear = same.map(({ cuts }) =>
      Math.min(...cuts.map(({ from, to, straight }) => Math.min(straight, to - from))),
    );
    expect(clear[0]).toBe(Math.max(...clear));
  });
});
