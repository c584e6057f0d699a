import { Bench } from 'tinybench';
import { inputOf } from '../../test/frames.ts';
import { largeFrame, manyOperations } from '../../test/large.ts';
import { evaluatePlan, type PlanInput, type PlanResult, type Step } from './index.ts';

/** Everything that an evaluation says, worked out. */
const whole = (result: PlanResult) => [result, ...result.seats].map((part) => Object.values(part));

/** Evaluates as if neither frame nor plan had been seen before. */
const fresh = (input: PlanInput) => () => {
  const operations = input.plan.operations.map((operation) => ({ ...operation }));
  whole(evaluatePlan({ ...input, donor: { ...input.donor }, plan: { ...input.plan, operations } }));
};

const sized = (features: number, operations: number) =>
  inputOf(largeFrame(60, features), ...manyOperations(operations));

const asked = sized(150, 12);
const kept = asked.plan.operations.slice(0, -1);
const last = asked.plan.operations.at(-1) as Step;
let turn = 0;

/** Goals in a quiet moment on the machine of docs/benchmarks.md; growth with size no worse than linear. */
export default new Bench({ time: 2500, warmupTime: 600 })
  .add('60 stations a side, 150 features, 12 operations, all new (goal 1.2 ms)', fresh(asked))
  .add('the same, last operation changed, ahead of all others (goal 0.5 ms)', () => {
    turn += 1;
    const operations = [...kept, { ...last, rise: 10 + (turn % 50) / 10 }];
    whole(evaluatePlan({ ...asked, plan: { ...asked.plan, operations } }));
  })
  .add('150 features × 6 operations', fresh(sized(150, 6)))
  .add('300 features × 12 operations: 4 times', fresh(sized(300, 12)))
  .add('600 features × 24 operations: 16 times', fresh(sized(600, 24)));
