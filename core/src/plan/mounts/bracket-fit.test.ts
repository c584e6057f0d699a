import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arm, body, input, made, outcome, rail } from '../../../test/mounts.ts';
import type { Bracket, StackLayer } from '../../mounting/index.ts';
import { RULES } from '../../rules/index.ts';
import { contextOf } from '../context.ts';
import { evaluatePlan } from '../evaluate-plan.ts';
import { mountAssumptions, usualBracket } from './index.ts';

const none: Bracket = { form: 'none' };
const plate = (height: number): StackLayer => ({ id: 'p', kind: 'plate', height });

describe('a mount without a bracket', () => {
  it('its bolt goes through the body, all that lies over and under, and the wall of the rail', () => {
    const stack = made('a', none, {
      under: [plate(40)],
      over: [{ id: 'w', kind: 'washer', height: 20 }],
      hung: [{ id: 'h', kind: 'washer', height: 3 }],
    });
    const one = outcome(input([stack]), 'a');
    expect(one.grip).toBeNear(4 + 20 + 40 + 5 + 3, 1e-9);
    expect([one.height, one.problems]).toEqual([0, []]);
    expect(one.name).toBe('plate');
  });

  it('a gap of a shim is no fault, more of it is told with the figure', () => {
    const { shim, show } = { shim: RULES['mount/true'].value, show: contextOf(input()).show };
    const left = (gap: number) => outcome(input([made('a', none, { under: [plate(60 - gap)] })]), 'a').problems;
    expect(left(shim * 0.9)).toEqual([]);
    expect(left(-shim * 0.9)).toEqual([]);
    expect(left(12).join()).toBe(`${show(12)} are left between its stack and the rail: add a block, or take a perch.`);
    expect(left(-12).join()).toBe(`Its stack is ${show(12)} too high: take out layers, or raise the body.`);
  });

  it('beside the rail it needs an arm', () => {
    expect(outcome(input([made('c', none)]), 'c').problems.join()).toMatch(/stands .* beside the rail/);
  });
});

describe('an arm beside the rail', () => {
  // Its mount: 490 from the middle, the web's outside at 430, its top 20 over the rail; the rail 150 deep.
  const at = (z: number, bracket: Bracket) => outcome(input([made('c', bracket)], z), 'c');

  it('lies on the web from the rail top down to its own foot, by hand', () => {
    expect(at(0, arm()).contact).toEqual({ height: 80, top: false, foot: true });
    expect(at(-50, arm()).contact).toEqual({ height: 100, top: true, foot: true });
    expect(at(-100, arm()).contact).toEqual({ height: 70, top: true, foot: false });
    expect(at(-100, arm()).height).toBe(-80);
  });

  it('a foot that would hang free, over the rail or under it, is told', () => {
    expect(at(0, arm({ deep: 20, tip: 20 })).problems.join()).toMatch(/does not meet the web at that height/);
    const under = at(-180, arm());
    expect(under.problems.join()).toMatch(/Its top lies .* under the rail/);
    expect(under.contact.height).toBe(0);
  });

  it('its weld is as long as it meets the web', () => {
    const weld = (z: number) => at(z, arm()).checks.map(({ ratio }) => ratio);
    expect(at(0, arm()).checks.length).toBeGreaterThan(1);
    // Less of it on the web under the same load never holds better.
    fc.assert(
      fc.property(fc.double({ min: 0, max: 60, noNaN: true }), (up) => {
        const [before, after] = [weld(0), weld(up)];
        return Math.max(...after) >= Math.max(...before) - 1e-9;
      }),
    );
  });

  it('inboard it is fixed to the inside of the web of an open rail', () => {
    const inner = { ...body.mounts[2]!, y: -300 };
    const one = outcome(input([made('c', arm())], 0, { ...body, mounts: body.mounts.with(2, inner) }), 'c');
    expect(one.reach).toBeNear(430 - rail.thickness - 300, 1e-9);
    expect(one.name).toBe('inboard bracket');
  });
});

it('a block that lies flat under a raked body is told how much of a wedge it must be', () => {
  const flat = input([made('a', none, { under: [plate(60)] })]);
  const raked = (rake: number) => ({
    ...flat,
    plan: { ...flat.plan, seats: [{ body: 'body', x: 700, z: 0, rake }] },
  });
  const wide = RULES['mount/width'].value;
  expect(outcome(raked(0), 'a').wedge).toBeNull();
  expect(outcome(raked(0.02), 'a').wedge!).toBeNear(-Math.tan(0.02) * wide, 1e-9);
});

describe('what strength and flats rest on', () => {
  const of = (...brackets: readonly Bracket[]) => {
    const job = input(['a', 'b', 'c', 'd', 'e', 'f'].map((id, at) => made(id, brackets[at % brackets.length]!)));
    return mountAssumptions(evaluatePlan(job).mountings, job.rules, job.display).map(({ rule }) => rule);
  };
  const usual = (form: Bracket['form']) =>
    usualBracket(form, { rail: null, top: 20, rules: input().rules, display: input().display, weldable: true });

  it('nothing where there are no brackets; bolts and bends only where there are some', () => {
    expect(of(none)).toEqual([]);
    expect(of(usual('old'))).toEqual(['mount/dynamic', 'mount/yield', 'weld/electrode', 'weld/allowed', 'mount/true']);
    expect(of(arm())).toContain('bend/fibre');
    expect(of(arm())).not.toContain('bolt/shear');
    expect(of(arm({ fixing: { by: 'bolts', grade: '10.9', diameter: 12, count: 4 } }))).toEqual(
      expect.arrayContaining(['bolt/shear', 'bolt/tension']),
    );
  });

  it('each is told with its value and where it is from', () => {
    const job = input([made('a', arm())]);
    for (const { value, source } of mountAssumptions(evaluatePlan(job).mountings, job.rules, job.display)) {
      expect(value).not.toBe('');
      expect(source.length).toBeGreaterThan(3);
    }
  });
});
