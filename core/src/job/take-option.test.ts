import { describe, expect, it } from 'vitest';
import { LENGTHENED, lengthened, SHORTENED, shortened } from '../../test/found.ts';
import { beach, sprayer } from '../../test/joints.ts';
import { type FinderGoal, whereToCut } from '../finder/index.ts';
import { evaluatePlan } from '../plan/index.ts';
import { inches } from '../units/index.ts';
import { checkJob, MOST_VARIANTS, withOptionAsPlan, withOptionAsVariant } from './index.ts';

const newIds = () => {
  let count = 0;
  return () => `way-${(count += 1)}`;
};
const beachGoal: FinderGoal = { of: 'wheelbase', by: inches(8) };

describe('an option of the finder', () => {
  it('becomes the plan: it gives what was asked for, spliced, and the plan in hand is kept beside it', () => {
    for (const [{ input: job, goal }, [answer], wheelbase] of [
      [SHORTENED, shortened().answers, 133.875],
      [LENGTHENED, lengthened().answers, 155.75],
    ] as const) {
      const next = withOptionAsPlan(job, goal, answer!, newIds());
      checkJob(next);
      const result = evaluatePlan(next);
      expect(result.measures.after.wheelbase! / 25.4).toBeCloseTo(wheelbase, 6);
      const own = result.splices.filter(({ joint }) => joint.operation.startsWith('way-'));
      expect(own.length).toBeGreaterThan(0);
      expect(own.every(({ decided }) => decided !== null)).toBe(true);
      expect(result.conflicts.filter(({ severity }) => severity === 'stop')).toEqual([]);
      expect(next.variants.at(-1)).toEqual(job.plan);
      expect(next.plan.name).toBe(answer!.name);
      // What else the plan did stays.
      const others = job.plan.operations.filter(({ kind }) => kind !== 'lengthen' && kind !== 'shorten');
      expect(next.plan.operations.filter(({ id }) => !id.startsWith('way-'))).toEqual(others);
    }
  });

  it('is put into a plan that did nothing for it yet, whose name stays', () => {
    const { goal, answers } = whereToCut(beach, beachGoal);
    const next = withOptionAsPlan(beach, goal, answers[0]!, newIds());
    checkJob(next);
    expect(next.plan.name).toBe(beach.plan.name);
    expect(next.variants).toEqual(beach.variants);
    expect(next.plan.operations.map(({ id }) => id)).toEqual(['way-1']);
  });

  it('is kept beside the plan under a name of its own, twice under two names, and never one too many', () => {
    const { goal, answers } = shortened();
    const ids = newIds();
    const once = withOptionAsVariant(sprayer, goal, answers[1]!, ids);
    const twice = withOptionAsVariant(once, goal, answers[1]!, ids);
    checkJob(twice);
    expect(twice.plan).toEqual(sprayer.plan);
    expect(twice.variants.slice(-2).map(({ name }) => name)).toEqual([answers[1]!.name, `${answers[1]!.name} 2`]);
    const others = Array.from({ length: MOST_VARIANTS - twice.variants.length }, (_, index) => ({
      ...sprayer.plan,
      name: `Other ${index}`,
    }));
    const full = { ...twice, variants: [...twice.variants, ...others] };
    checkJob(full);
    expect(withOptionAsVariant(full, goal, answers[0]!, ids)).toBe(full);
    expect(withOptionAsPlan(full, goal, answers[0]!, ids)).toBe(full);
  });
});
