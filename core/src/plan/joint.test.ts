import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import type { Rail, Station } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { inches } from '../units/index.ts';
import { carryOutEdit, evaluatePlan, letterOf } from './index.ts';

/** A rail whose rear half stands `out` farther out and `up` higher, joined by a short ramp that the cut takes away. */
const stepped = (out: number, up: number, yaw = 0, pitch = 0): Rail => {
  const station = (x: number, halfWidth: number, top: number): Station => ({ x, halfWidth, top, section: 'rail' });
  return [
    station(0, 430, 0),
    station(3000, 430, 0),
    station(3200, 430 + out, up),
    station(6000, 430 + out + Math.tan(yaw) * 2800, up + Math.tan(pitch) * 2800),
  ];
};
const verdict = (rail: Rail) => {
  const result = evaluatePlan(
    inputOf(plainFrame({}, rail), { kind: 'shorten', transition: 0, from: donor(3000), to: donor(3200) }),
  );
  return result.joints[0]!.verdict;
};
const degrees = (count: number) => (count * Math.PI) / 180;

describe('how two ends meet', () => {
  it.each([
    ['exactly', 0, 'meets'],
    ['up to a sixteenth', inches(1 / 16) - 1e-6, 'meets'],
    ['just over a sixteenth', inches(1 / 16) + 1e-6, 'dress'],
    ['up to an eighth', inches(1 / 8) - 1e-6, 'dress'],
    ['just over an eighth', inches(1 / 8) + 1e-6, 'needs-a-transition-piece'],
    ['up to four inches', inches(4) - 1e-6, 'needs-a-transition-piece'],
    ['over four inches', inches(4) + 1e-6, 'cannot'],
  ] as const)('%s apart: %s mm is %s, sideways or in height', (_, mm, expected) => {
    expect(verdict(stepped(mm, 0))).toBe(expected);
    expect(verdict(stepped(-mm, 0))).toBe(expected);
    expect(verdict(stepped(0, mm))).toBe(expected);
  });

  it('sideways and in height count together, by Pythagoras', () => {
    const each = inches(1 / 16) / Math.SQRT2;
    expect(verdict(stepped(each - 1e-6, each - 1e-6))).toBe('meets');
    expect(verdict(stepped(each + 1e-3, each + 1e-3))).toBe('dress');
  });

  it.each([
    [0.4, 'meets'],
    [0.6, 'ease-with-a-pie-cut'],
    [14.9, 'ease-with-a-pie-cut'],
    [15.1, 'needs-a-transition-piece'],
  ] as const)('a kink of %s° is %s, in plan or in side view', (angle, expected) => {
    expect(verdict(stepped(0, 0, degrees(angle)))).toBe(expected);
    expect(verdict(stepped(0, 0, 0, degrees(angle)))).toBe(expected);
  });

  describe('where a rail is cut through and opened by an angle', () => {
    // Nothing comes out: the far edge of a rail 150 deep opens by 150 · sin of the angle, along the rail ahead.
    const opened = (angle: number, pivot: 'top' | 'bottom' = 'top') =>
      evaluatePlan(
        inputOf(plainFrame(), {
          kind: 'pie-cut',
          at: donor(3000),
          pivot,
          mode: 'open',
          turned: 'rear',
          amount: { by: 'angle', angle },
          wedge: 'square',
        }),
      );

    it('gapes at the edge away from the pivot, and touches at the other', () => {
      const [top, bottom] = (['top', 'bottom'] as const).map((pivot) => opened(0.1, pivot).joints[0]!.sides.left);
      expect(top).toMatchObject({ verdict: 'needs-a-transition-piece' });
      expect([top!.gapTop, bottom!.gapBottom].map((gap) => Math.abs(gap) < 1e-9)).toEqual([true, true]);
      expect(top!.gapBottom).toBeNear(150 * Math.sin(0.1), 1e-9);
      expect(bottom!.gapTop).toBeNear(150 * Math.sin(0.1), 1e-9);
    });

    it('meets no longer once it gapes by more than the rulebook fills', () => {
      const { rules } = inputOf(plainFrame());
      const limit = Math.asin(ruleValue(rules, 'joint/gap') / 150);
      expect(opened(limit * 0.999).joints[0]!.verdict).toBe('dress');
      expect(opened(limit * 1.001).joints[0]!.verdict).toBe('needs-a-transition-piece');
    });

    it('says by how much and where, and that a wedge fills it', () => {
      const conflict = opened(0.1).conflicts.find(({ code }) => code.startsWith('joint-'))!;
      // 150 · sin 0.1 = 14.975 mm, 0.5896 in.
      expect(conflict.message).toMatch(/^Joint A: ends do not meet, open 9\/16 in full at the bottom\.$/);
      expect(conflict.fixes.at(-1)!.say).toMatch(/Fill the opening with a wedge/);
    });
  });

  it('the shop can change where each verdict begins', () => {
    const input = inputOf(plainFrame({}, stepped(4, 0)), {
      kind: 'shorten',
      transition: 0,
      from: donor(3000),
      to: donor(3200),
    });
    const of = (changes: object) => evaluatePlan({ ...input, rules: { ...input.rules, changes } }).joints[0]!.verdict;
    expect(of({})).toBe('needs-a-transition-piece');
    expect(of({ 'joint/dress': 5 })).toBe('dress');
    expect(of({ 'joint/dress': 5, 'joint/meets': 4.5 })).toBe('meets');
    expect(of({ 'joint/transition': 3.9 })).toBe('cannot');
  });

  it('tells each side of a frame measured apart, and takes the worse', () => {
    const rails = { kind: 'measured', left: stepped(0, 0), right: stepped(5, 0) } as const;
    const input = inputOf(plainFrame({ rails }), {
      kind: 'shorten',
      transition: 0,
      from: donor(3000),
      to: donor(3200),
    });
    const [joint] = evaluatePlan(input).joints;
    expect(joint!.sides.left.verdict).toBe('meets');
    expect(joint!.sides.right).toMatchObject({ verdict: 'needs-a-transition-piece', dy: 5 });
    expect(joint!.verdict).toBe('needs-a-transition-piece');
  });

  it('a transition piece is offered where the frame has room for it, and only there', () => {
    const offered = (end: number) => {
      const rail = stepped(0, 40).map((station) => (station.x === 6000 ? { ...station, x: end } : station));
      const input = inputOf(plainFrame({ axles: [] }, rail), {
        kind: 'shorten',
        from: donor(3000),
        to: donor(3200),
      });
      const [conflict] = evaluatePlan(input).conflicts.filter(({ code }) => code === 'joint-needs-a-transition-piece');
      return { input, edit: conflict!.fixes.find(({ say }) => say.startsWith('Put a transition piece'))?.edit };
    };
    const { input, edit } = offered(6000);
    const bridged = evaluatePlan(carryOutEdit(input, edit!, 'x'));
    expect(bridged.conflicts.map(({ code }) => code)).not.toContain('joint-needs-a-transition-piece');
    expect(bridged.operations.map(({ status }) => status)).toEqual(['done']);
    expect(offered(3300).edit).toBeUndefined();
  });

  it('letters run A to Z and on', () => {
    expect([0, 25, 26, 51, 52, 701, 702].map(letterOf)).toEqual(['A', 'Z', 'AA', 'AZ', 'BA', 'ZZ', 'AAA']);
  });
});
