import { bench, describe } from 'vitest';
import { inputOf } from '../../test/frames.ts';
import { largeFrame, manyOperations } from '../../test/large.ts';
import { evaluatePlan } from './index.ts';

/** The size that is asked to stay under 4 ms (whole) and 2 ms (last operation changed): see docs/benchmarks.md. */
describe('60 stations a side, 150 features, 12 operations', () => {
  const operations = manyOperations(12);
  let turn = 0;
  bench('a new frame and plan', () => {
    evaluatePlan(inputOf(largeFrame(60, 150), ...operations));
  });
  const frame = largeFrame(60, 150);
  bench('only the last operation changed', () => {
    turn += 1;
    evaluatePlan(
      inputOf(frame, ...operations.slice(0, -1), {
        kind: 'trim',
        end: 'rear',
        at: { x: 11_500 + (turn % 50), on: 'donor' },
        angle: 0.2,
        lean: 'top-longer',
      }),
    );
  });
});

describe.each([6, 12, 24])('%i operations on 300 features', (count) => {
  const frame = largeFrame(60, 300);
  const operations = manyOperations(count);
  bench('evaluate', () => {
    evaluatePlan(inputOf(frame, ...operations));
  });
});
