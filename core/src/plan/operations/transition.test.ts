import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../../test/frames.ts';
import { builtX, codeOf, conflictsOf } from '../../../test/outcomes.ts';
import type { Rail } from '../../frame/index.ts';
import { markSheet } from '../../markout/index.ts';
import { evaluatePlan } from '../index.ts';
import { transitionFor } from '../joint.ts';

/** Outer half-width tapers straight from 457.2 at 1524 to 406.4 at 2540: 0.05 a mm. */
const taper: Rail = [
  { x: 0, halfWidth: 457.2, top: 0, section: 'rail' },
  { x: 1524, halfWidth: 457.2, top: 0, section: 'rail' },
  { x: 2540, halfWidth: 406.4, top: 0, section: 'rail' },
  { x: 6000, halfWidth: 406.4, top: 0, section: 'rail' },
];
const late = { ...plainFrame().features[0]!, id: 'late', name: 'late', x: 5000 };
const frame = plainFrame({ features: [...plainFrame().features, late] }, taper);
const out = (transition: number, length = 406.4) =>
  inputOf(frame, { kind: 'shorten', from: donor(1778), to: donor(1778 + length), transition });

describe('a transition where rail comes out', () => {
  // By hand: ends 444.5 at 1778 and 409.18 at 2484.4, which comes forward to 2078. The new rail runs 35.32 in over
  // 300: 6.7145°, where the taper itself runs 2.8624°; so each joint turns by 3.8521°.
  it('runs straight from one end to the other, and the rear comes no farther forward for it', () => {
    const result = evaluatePlan(out(300));
    expect(result.pieces.map(({ source }) => source)).toEqual(['donor', 'op1', 'donor']);
    const rail = result.pieces[1]!.rails.right;
    expect([rail[0]!.x, rail[1]!.x]).toEqual([1778, 2078]);
    expect(rail[0]!.halfWidth).toBeNear(444.5, 1e-9);
    expect(rail[1]!.halfWidth).toBeNear(409.18, 1e-9);
    expect(builtX(result, 'late')).toBeNear(5000 - 406.4, 1e-9);
    expect(result.measures.after.wheelbase).toBeNear(3600 - 406.4, 1e-9);
    expect(result.tape.folds).toMatchObject([{ donorFrom: 1778, donorTo: 2484.4 }]);
  });

  it('meets both ends, each at the kink worked by hand', () => {
    const { joints, conflicts } = evaluatePlan(out(300));
    expect(joints.map(({ verdict }) => verdict)).toEqual(['meets', 'meets']);
    for (const [index, sign] of [1, -1].entries()) {
      const { left, right } = joints[index]!.sides;
      expect(Math.hypot(right.dy, right.dz, right.gapTop, right.gapBottom)).toBeNear(0, 1e-9);
      expect((right.yaw * 180) / Math.PI).toBeNear(-3.8521 * sign, 1e-3);
      expect(left.yaw).toBeNear(-right.yaw, 1e-12);
    }
    expect(conflicts.filter(({ code }) => code.startsWith('joint') || code.startsWith('transition'))).toEqual([]);
  });

  it('is on the marks sheet: two lines with the waste between them, and the new piece by its true length', () => {
    const input = out(300);
    const { lines, newPieces } = markSheet(input, evaluatePlan(input));
    expect(lines.filter(({ side }) => side === 'left').map(({ letters, kerf }) => [letters, kerf])).toEqual([
      ['A', 'behind'],
      ['B', 'ahead'],
    ]);
    expect(newPieces).toMatchObject([{ side: 'left', letters: 'A B', kerf: 0 }, { side: 'right' }]);
    for (const { length } of newPieces) expect(length).toBeNear(Math.hypot(300, 35.32), 1e-9);
  });

  it.each([
    [-5, 'operation/not-positive'],
    [Number.NaN, 'operation/not-positive'],
    [9000, 'operation/no-room-for-transition'],
  ])('of %d is refused', (transition, code) => {
    expect(codeOf(evaluatePlan(out(transition)))).toBe(code);
  });

  it('that is short turns the rail more than the rulebook allows; a longer one does not', () => {
    // 20.32 + 0.05·60 over 60 is 21.2°, less the taper's 2.9°.
    expect(conflictsOf(out(60))).toContain('warn transition-steep');
    expect(evaluatePlan(out(60)).conflicts.find(({ code }) => code === 'transition-steep')?.message).toBe(
      'The transition piece between A and B turns the rail by 18.4°; the rulebook allows 15.0°.',
    );
    const rules = { profile: 'weld-and-reinforce', changes: { 'joint/transition-turn': 0.4 } } as const;
    expect(conflictsOf({ ...out(60), rules })).not.toContain('warn transition-steep');
  });

  it('does not bring a rail farther over than the rulebook lets a transition piece', () => {
    const narrowing: Rail = [
      { x: 0, halfWidth: 600, top: 0, section: 'rail' },
      { x: 6000, halfWidth: 300, top: 0, section: 'rail' },
    ];
    const input = inputOf(plainFrame({}, narrowing), {
      kind: 'shorten',
      from: donor(1000),
      to: donor(3500),
      transition: 1000,
    });
    expect(conflictsOf(input)).toContain('stop transition-far');
  });

  it('widening with one is held to the same', () => {
    const widen = (transition: number) =>
      inputOf(plainFrame(), { kind: 'widen', amount: 160, from: donor(2500), to: null, transition });
    expect(conflictsOf(widen(200))).toContain('warn transition-steep');
    expect(conflictsOf(widen(400))).not.toContain('warn transition-steep');
  });
});

describe('transitionFor', () => {
  it('gives none where the ends meet, or where they lie too far apart for any', () => {
    expect(transitionFor(evaluatePlan(out(0, 20)).joints[0]!, out(0))).toBeNull();
    const rules = { ...out(0).rules, changes: { 'joint/transition': 20 } };
    expect(transitionFor(evaluatePlan(out(0, 700)).joints[0]!, { ...out(0), rules })).toBeNull();
  });

  it('gives one that turns the rail by half of what is allowed, to the next inch or centimetre', () => {
    // 20.32 / tan 7.5° = 154.35 mm: 7 in.
    expect(transitionFor(evaluatePlan(out(0)).joints[0]!, out(0))).toBeNear(177.8, 1e-9);
    const display = { unit: 'mm', division: 16 } as const;
    expect(transitionFor(evaluatePlan(out(0)).joints[0]!, { ...out(0), display })).toBe(160);
  });

  it('is always long enough, whatever comes out of the taper', () => {
    fc.assert(
      fc.property(fc.double({ min: 150, max: 1200, noNaN: true }), (length) => {
        const plain = out(0, length);
        const transition = transitionFor(evaluatePlan(plain).joints[0]!, plain);
        if (transition === null) return;
        const codes = conflictsOf(out(transition, length));
        expect(codes.filter((code) => code.includes('transition') || code.includes('joint-'))).toEqual([]);
      }),
    );
  });
});
