import { Bench } from 'tinybench';
import van from '../../../demo/parcel-van.json' with { type: 'json' };
import type { PlanInput } from '../plan/index.ts';
import { inches } from '../units/index.ts';
import { baseOf, type FinderGoal, findOptions, groundOf, judgeOption, judgeContextOf, operationAt } from './index.ts';

const job = van.job as unknown as PlanInput;
const goal: FinderGoal = { of: 'wheelbase', by: inches(14.75) };

/** Every single place and every pair of halves on the flagship at 1/16 in. */
const searched = () => findOptions(job, goal);

/** Every single place and every pair of halves on a grid of so many inches, each judged through the evaluation of its plan. */
function exhaustive(step: number) {
  const base = baseOf(job, goal);
  const judgeContext = judgeContextOf(goal, base, groundOf(job, base));
  const [from, to] = [inches(-26), inches(188)];
  const xs = Array.from({ length: Math.floor((to - from) / inches(step)) + 1 }, (_, at) => from + at * inches(step));
  let [best, count] = [Infinity, 0];
  const take = (operations: Parameters<typeof judgeOption>[0]) => {
    const { refusals, score } = judgeOption(operations, judgeContext);
    count += 1;
    if (refusals.length === 0 && score < best) best = score;
  };
  for (const [index, a] of xs.entries()) {
    take([operationAt(goal, goal.by, a, base.input)]);
    for (const b of xs.slice(index + 1))
      take([operationAt(goal, goal.by / 2, a, base.input, 1), operationAt(goal, goal.by / 2, b, base.input, 2)]);
  }
  return { best, count };
}

/** The same winner: the fine grid holds the coarse one, so that it can only be as good or better. */
const [fine, coarse] = [searched(), exhaustive(4)];
const best = fine.options[0]?.judged.score ?? Infinity;
if (best > coarse.best + 0.006) throw new Error(`the search found ${best}, judgeContext one by one ${coarse.best}`);
const looked = fine.counted.places + fine.counted.pairs;

const bench = new Bench({ time: 4000, warmupTime: 1500 });
bench.add(`the van lengthened by 14 3/4: ${looked} places and pairs at 1/16 in`, () => void searched());
bench.add(`the same judged one by one: ${coarse.count} on a grid of 4 in`, () => void exhaustive(4));
export default bench;
