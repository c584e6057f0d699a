import { describe, expect, it } from 'vitest';
import { jobOf, operationsFor, ZOO } from '../../test/zoo.ts';
import { van } from '../../test/joints.ts';
import { withNeutralStands, withoutOperation } from '../plan/index.ts';
import { jobFileOf, parseJobFile, shoringOf, writeJobFile } from './index.ts';

describe('shores of a job', () => {
  it.each(ZOO.map((animal) => [animal.name, animal] as const))(
    'travel with it and hold the same afterward: a frame that is %s',
    (_, animal) => {
      const [, lengthen] = operationsFor(animal).find(([, { kind }]) => kind === 'lengthen')!;
      const job = jobOf(animal, lengthen);
      let count = 0;
      const shoring = withNeutralStands(job, job.plan.operations[0]!.id, () => `shore-${(count += 1)}`);
      if (!shoring) return;
      const held = { ...job, plan: { ...job.plan, shoring: { ...shoring, level: 700 } } };
      const again = parseJobFile(writeJobFile(jobFileOf(held, []))).job;
      expect(again.plan.shoring).toEqual(held.plan.shoring);
      expect(shoringOf(again).findings).toEqual(shoringOf(held).findings);
    },
  );

  it('go with the operation that they are for; those that stay all along stay', () => {
    const [first] = van.plan.shoring.shores;
    const kept = { ...first!, id: 'all-along', step: null };
    const plan = { ...van.plan, shoring: { ...van.plan.shoring, shores: [...van.plan.shoring.shores, kept] } };
    const without = withoutOperation(plan, 'stretch');
    expect(without.shoring.shores.some(({ step }) => step === 'stretch')).toBe(false);
    expect(without.shoring.shores.map(({ id }) => id)).toContain('all-along');
    expect(without.shoring.shores.some(({ step }) => step === 'tail')).toBe(true);
  });

  it('have ids of their own: one that is used twice is refused', () => {
    const [first] = van.plan.shoring.shores;
    const twice = {
      ...van,
      plan: { ...van.plan, shoring: { ...van.plan.shoring, shores: [first!, { ...first!, x: first!.x + 100 }] } },
    };
    expect(() => parseJobFile(writeJobFile(jobFileOf(twice, [])))).toThrow(/used twice/);
  });
});
