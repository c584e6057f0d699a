import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../../test/frames.ts';
import { codeOf } from '../../../test/outcomes.ts';
import { evaluatePlan, frameProfile, type Widen } from '../index.ts';
import { sectionLookup } from '../../frame/index.ts';

const widen = (changes: Partial<Omit<Widen, 'id' | 'note' | 'off'>>) => ({
  kind: 'widen' as const,
  amount: 100,
  from: donor(2000),
  to: donor(4000),
  transition: 300,
  ...changes,
});
const widthAt = (input: ReturnType<typeof inputOf>, x: number) =>
  frameProfile(evaluatePlan(input).pieces, sectionLookup(input.donor)).find((row) => Math.abs(row.builtX - x) < 1e-6)
    ?.outsideWidth;

describe('widen and narrow', () => {
  it('gives the range its new width and leaves the rest', () => {
    const input = inputOf(plainFrame(), widen({}));
    expect(widthAt(input, 0)).toBeNear(860, 1e-9);
    expect(widthAt(input, 1700)).toBeNear(860, 1e-9);
    expect(widthAt(input, 2000)).toBeNear(960, 1e-9);
    expect(widthAt(input, 4000)).toBeNear(960, 1e-9);
    expect(widthAt(input, 4300)).toBeNear(860, 1e-9);
  });

  it('each transition is a new piece whose rails run out by half the change', () => {
    const result = evaluatePlan(inputOf(plainFrame(), widen({})));
    expect(result.pieces.map(({ source }) => source)).toEqual(['donor', 'op1', 'donor', 'op1', 'donor']);
    const [out] = result.joints;
    expect(out!.sides.left.yaw).toBeNear(-Math.atan(50 / 300), 1e-9);
    expect(out!.sides.right.yaw).toBeNear(Math.atan(50 / 300), 1e-9);
    expect(out!.plannedKink).toBe(true);
    expect(result.joints.map(({ verdict }) => verdict)).toEqual(['meets', 'meets', 'meets', 'meets']);
  });

  it('without a transition leaves a step sideways of half the change at each end', () => {
    const result = evaluatePlan(inputOf(plainFrame(), widen({ transition: 0 })));
    expect(result.joints.map(({ sides }) => sides.right.dy)).toEqual([50, -50]);
    expect(result.joints[0]!.verdict).toBe('needs-a-transition-piece');
  });

  it('keeps the length of the frame, and the steel of the transitions is accounted for', () => {
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 400 }), fc.integer({ min: 50, max: 900 }), (amount, transition) => {
        if (amount === 0) return;
        const result = evaluatePlan(inputOf(plainFrame(), widen({ amount, transition })));
        expect(result.measures.after.overallLength).toBeNear(6000, 1e-9);
        const perMm = (result.measures.before.mass - 0) / 6000;
        const oblique = 2 * Math.hypot(transition, amount / 2);
        expect(result.measures.after.mass).toBeNear(perMm * (6000 - 2 * transition + oblique), 1e-6);
      }),
    );
  });

  it('moves what hangs there outward, and says how much wider crossmembers must be', () => {
    const member = {
      id: 'm',
      name: 'Crossmember 3',
      x: 3000,
      length: 80,
      depth: 60,
      below: 40,
      fixing: 'bolted' as const,
      removable: true,
      mass: 9,
    };
    const hung = { ...plainFrame().features[0]!, id: 'h', x: 3000 };
    const frame = plainFrame({ crossmembers: [member], features: [...plainFrame().features, hung] });
    const result = evaluatePlan(inputOf(frame, widen({ amount: -60 })));
    expect(result.crossmembers[0]!.wider).toBeNear(-60, 1e-9);
    expect(result.features.find(({ feature }) => feature.id === 'h')!.shift!.dy).toBeNear(-30, 1e-9);
    expect(result.conflicts.find(({ code }) => code === 'crossmember-width')!.message).toContain('narrower');
  });

  it.each([
    ['no change', widen({ amount: 0 }), 'operation/not-positive'],
    ['a transition below 0', widen({ transition: -5 }), 'operation/not-positive'],
    ['a range the wrong way round', widen({ from: donor(4000), to: donor(2000) }), 'operation/order'],
    ['rails that would cross', widen({ amount: -900 }), 'operation/rails-cross'],
    ['no room ahead', widen({ from: donor(200) }), 'operation/no-room-for-transition'],
    ['no room behind', widen({ to: donor(5900) }), 'operation/no-room-for-transition'],
  ] as const)('%s is refused', (_, operation, code) => {
    const result = evaluatePlan(inputOf(plainFrame(), operation));
    expect(codeOf(result)).toBe(code);
    expect(result.pieces).toHaveLength(1);
  });
});
