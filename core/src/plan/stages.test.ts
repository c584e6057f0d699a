import { cutOf } from './cut-moment.ts';
import { describe, expect, it } from 'vitest';
import { type Bare, donor, inputOf, plainFrame } from '../../test/frames.ts';
import { operationsFor, planned, ZOO } from '../../test/zoo.ts';
import { evaluateGeometry, evaluateOutcomes, evaluatePlan, judge } from './index.ts';
import { frontSpine, rearSpine } from './piece.ts';

const cut: Bare = { kind: 'shorten', from: donor(2000), to: donor(2400) };

describe('the stages of an evaluation', () => {
  it('give together what the whole gives', () => {
    const input = inputOf(plainFrame(), cut);
    expect(judge(evaluateOutcomes(evaluateGeometry(input)))).toEqual(evaluatePlan(input));
  });

  it('can be run alone: where the steel goes, and what becomes of what hangs on it', () => {
    const geometry = evaluateGeometry(inputOf(plainFrame(), cut));
    expect(geometry.state.pieces.map(({ pose }) => pose.dx)).toEqual([0, -400]);
    expect(geometry.datum).toEqual({ donor: 100, built: 100 });
    expect(geometry).not.toHaveProperty('conflicts');
    const outcomes = evaluateOutcomes(geometry);
    expect(outcomes.joints.map(({ verdict }) => verdict)).toEqual(['meets']);
    expect(outcomes).not.toHaveProperty('measures');
  });

  it('give the station of the datum hole before and after', () => {
    const frame = plainFrame({ datum: 'rear', features: [{ ...plainFrame().features[0]!, id: 'rear', x: 5000 }] });
    expect(evaluatePlan(inputOf(frame, cut)).datum).toEqual({ donor: 5000, built: 4600 });
  });
});

describe('the moment when a frame is cut and nothing has moved', () => {
  const stands = ({ steps }: ReturnType<typeof evaluatePlan>, index: number) =>
    cutOf(steps[index]!).map((piece) => [frontSpine(piece).x, rearSpine(piece).x].map((x) => Number(x.toFixed(6))));

  it('has what comes out still in its place', () => {
    const result = evaluatePlan(inputOf(plainFrame(), cut));
    expect(stands(result, 0)).toEqual([
      [0, 2000],
      [2000, 2400],
      [2400, 6000],
    ]);
  });

  it('has no new rail yet, and begins where the operation before it left off', () => {
    const longer: Bare = { kind: 'lengthen', at: donor(4000), length: 500 };
    const result = evaluatePlan(inputOf(plainFrame(), cut, longer));
    expect(stands(result, 1)).toEqual([
      [0, 2000],
      [2000, 3600],
      [3600, 5600],
    ]);
  });

  it('is the frame as it was where nothing is cut, or the operation is off or refused', () => {
    const off = inputOf(plainFrame(), cut);
    const { steps, donorState } = evaluatePlan({
      ...off,
      plan: { ...off.plan, operations: off.plan.operations.map((operation) => ({ ...operation, off: true })) },
    });
    expect(cutOf(steps[0]!)).toBe(donorState.pieces);
  });

  it.each(ZOO.map((animal) => [animal.name, animal] as const))('loses no steel and moves none: %s', (_, animal) => {
    for (const [, operation] of operationsFor(animal)) {
      const { steps, donorState } = evaluatePlan(planned(animal, operation));
      const [step] = steps;
      if (step!.outcome.status !== 'done') continue;
      for (const piece of cutOf(step!)) {
        expect(piece.source).toBe('donor');
        expect(piece.pose).toEqual(donorState.pieces[0]!.pose);
        expect(piece.spread).toBe(0);
      }
      const reach = cutOf(step!).reduce((sum, piece) => sum + rearSpine(piece).x - frontSpine(piece).x, 0);
      const whole = rearSpine(donorState.pieces[0]!).x - frontSpine(donorState.pieces[0]!).x;
      // Pieces lie against each other; a wedge, whose faces lean, shares its top edge with nobody.
      expect(reach).toBeNear(whole, whole * 0.05);
    }
  });
});
