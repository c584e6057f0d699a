import { describe, expect, it } from 'vitest';
import { LENGTHENED, lengthened, SHORTENED, shortened } from '../../test/found.ts';
import { beach, sprayer } from '../../test/joints.ts';
import { type FinderAsk, whereToCut } from '../finder/index.ts';
import { evaluatePlan } from '../plan/index.ts';
import { inches } from '../units/index.ts';
import { checkJob, MOST_VARIANTS, withWayAsPlan, withWayAsVariant } from './index.ts';

const newIds = () => {
  let count = 0;
  return () => `way-${(count += 1)}`;
};
const beachAsk: FinderAsk = { of: 'wheelbase', by: inches(8) };

describe('a way of the finder', () => {
  it('becomes the plan: it gives what was asked for, spliced, and the plan in hand is kept beside it', () => {
    for (const [{ input: job, ask }, [answer], wheelbase] of [
      [SHORTENED, shortened().answers, 133.875],
      [LENGTHENED, lengthened().answers, 155.75],
    ] as const) {
      const next = withWayAsPlan(job, ask, answer!, newIds());
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
    const { ask, answers } = whereToCut(beach, beachAsk);
    const next = withWayAsPlan(beach, ask, answers[0]!, newIds());
    checkJob(next);
    expect(next.plan.name).toBe(beach.plan.name);
    expect(next.variants).toEqual(beach.variants);
    expect(next.plan.operations.map(({ id }) => id)).toEqual(['way-1']);
  });

  it('is kept beside the plan under a name of its own, twice under two names, and never one too many', () => {
    const { ask, answers } = shortened();
    const ids = newIds();
    const once = withWayAsVariant(sprayer, ask, answers[1]!, ids);
    const twice = withWayAsVariant(once, ask, answers[1]!, ids);
    checkJob(twice);
    expect(twice.plan).toEqual(sprayer.plan);
    expect(twice.variants.slice(-2).map(({ name }) => name)).toEqual([answers[1]!.name, `${answers[1]!.name} 2`]);
    const others = Array.from({ length: MOST_VARIANTS - twice.variants.length }, (_, index) => ({
      ...sprayer.plan,
      name: `Other ${index}`,
    }));
    const full = { ...twice, variants: [...twice.variants, ...others] };
    checkJob(full);
    expect(withWayAsVariant(full, ask, answers[0]!, ids)).toBe(full);
    expect(withWayAsPlan(full, ask, answers[0]!, ids)).toBe(full);
  });
});
