import { bench, describe } from 'vitest';
import { inputOf } from '../../test/frames.ts';
import { largeFrame, manyOperations } from '../../test/large.ts';
import { evaluatePlan, type Step } from './index.ts';

/** The size that is asked to stay under 4 ms (whole) and 2 ms (last operation changed): see docs/benchmarks.md. */
describe('60 stations a side, 150 features, 12 operations', () => {
  const input = inputOf(largeFrame(60, 150), ...manyOperations(12));
  const kept = input.plan.operations.slice(0, -1);
  const last = input.plan.operations.at(-1) as Step;
  let turn = 0;
  bench('a new frame and a new plan', () => {
    const operations = input.plan.operations.map((operation) => ({ ...operation }));
    evaluatePlan({ ...input, donor: { ...input.donor }, plan: { ...input.plan, operations } });
  });
  bench('only the last operation changed, ahead of all the others', () => {
    turn += 1;
    evaluatePlan({
      ...input,
      plan: { ...input.plan, operations: [...kept, { ...last, rise: 10 + (turn % 50) / 10 }] },
    });
  });
});

describe.each([
  [150, 6],
  [150, 12],
  [300, 12],
  [300, 24],
  [600, 24],
])('%i features, %i operations', (features, count) => {
  const input = inputOf(largeFrame(60, features), ...manyOperations(count));
  bench('a new frame and a new plan', () => {
    const operations = input.plan.operations.map((operation) => ({ ...operation }));
    evaluatePlan({ ...input, donor: { ...input.donor }, plan: { ...input.plan, operations } });
  });
});
