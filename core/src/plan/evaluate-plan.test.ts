import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame, pointAt } from '../../test/frames.ts';
import { evaluatePlan, type PlanInput } from './index.ts';

const frame = plainFrame({ points: [{ ...pointAt('cab', 1500, 0, 900), kind: 'cab-back' }] });
const input = inputOf(
  frame,
  { kind: 'lengthen', at: donor(2000), length: 300 },
  { kind: 'shorten', from: donor(3000), to: donor(3200) },
  { kind: 'trim', end: 'rear', at: donor(5500), angle: 0, lean: 'top-longer' },
);
const withOperations = (change: (operations: PlanInput['plan']['operations']) => PlanInput['plan']['operations']) => ({
  ...input,
  plan: { ...input.plan, operations: change(input.plan.operations) },
});
/** The same evaluated on a frame that nothing is remembered of. */
const fresh = (of: PlanInput) => evaluatePlan(structuredClone(of));

describe('an evaluation remembers the last one on its frame', () => {
  const variants: readonly [name: string, PlanInput][] = [
    ['the same', input],
    ['the last operation longer', withOperations(([a, b, c]) => [a!, b!, { ...c!, note: 'x' }])],
    ['the first switched off', withOperations(([a, ...rest]) => [{ ...a!, off: true }, ...rest])],
    ['another order', withOperations(([a, b, c]) => [b!, a!, c!])],
    ['one less', withOperations(([a]) => [a!])],
    ['none', withOperations(() => [])],
    ['other rules', { ...input, rules: { ...input.rules, changes: { 'joint/hole-distance': 400 } } }],
    ['another gap behind the cab', { ...input, rules: { ...input.rules, changes: { 'body/cab-gap': 77 } } }],
    ['in millimeters', { ...input, display: { unit: 'mm', division: 16 } }],
  ];

  it.each(variants)('%s gives what it gives on its own, whatever came before', (_, of) => {
    for (const [, before] of variants) {
      evaluatePlan(before);
      expect(structuredClone(evaluatePlan(of))).toEqual(structuredClone(fresh(of)));
    }
  });

  it.each(variants)('%s says the same when it is asked after others were evaluated', (_, of) => {
    const late = evaluatePlan(of);
    for (const [, after] of variants) structuredClone(evaluatePlan(after));
    expect(structuredClone(late)).toEqual(structuredClone(fresh(of)));
  });

  it('does not carry out again what is the same', () => {
    const first = evaluatePlan(input);
    const second = evaluatePlan(withOperations(([a, b, c]) => [a!, b!, { ...c!, note: 'x' }]));
    expect(second.steps.map((step, index) => step.state === first.steps[index]!.state)).toEqual([true, true, false]);
    const reordered = evaluatePlan(withOperations(([a, b, c]) => [b!, a!, c!]));
    expect(reordered.steps[2]!.state).not.toBe(second.steps[2]!.state);
  });
});

it('tells of each operation how it went, and lettered what it made', () => {
  const { operations } = evaluatePlan(
    withOperations(([a, b, c]) => [a!, { ...b!, off: true }, { ...c!, at: donor(9000) } as typeof c & object]),
  );
  expect(operations.map(({ status, letters, refusal }) => [status, letters, refusal?.code ?? null])).toEqual([
    ['done', ['A', 'B'], null],
    ['off', [], null],
    ['refused', [], 'operation/off-the-frame'],
  ]);
});

it('gives the place of the datum on the donor and as built', () => {
  const ahead = inputOf(frame, { kind: 'lengthen', at: donor(50), length: 200 });
  expect(evaluatePlan(ahead).datum).toEqual({ donor: 100, built: 300 });
});
