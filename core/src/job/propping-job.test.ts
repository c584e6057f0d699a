import { describe, expect, it } from 'vitest';
import { jobOf, operationsFor, ZOO } from '../../test/zoo.ts';
import { van } from '../../test/joints.ts';
import { withNeutralStands, withoutOperation } from '../plan/index.ts';
import { jobFileOf, parseJobFile, propsOf, writeJobFile } from './index.ts';

describe('props of a job', () => {
  it.each(ZOO.map((animal) => [animal.name, animal] as const))(
    'travel with it and hold the same afterwards: a frame that is %s',
    (_, animal) => {
      const [, lengthen] = operationsFor(animal).find(([, { kind }]) => kind === 'lengthen')!;
      const job = jobOf(animal, lengthen);
      let count = 0;
      const propping = withNeutralStands(job, job.plan.operations[0]!.id, () => `prop-${(count += 1)}`);
      if (!propping) return;
      const held = { ...job, plan: { ...job.plan, propping: { ...propping, level: 700 } } };
      const again = parseJobFile(writeJobFile(jobFileOf(held, []))).job;
      expect(again.plan.propping).toEqual(held.plan.propping);
      expect(propsOf(again).findings).toEqual(propsOf(held).findings);
    },
  );

  it('go with the operation that they are for; those that stay all along stay', () => {
    const [first] = van.plan.propping.props;
    const kept = { ...first!, id: 'all-along', step: null };
    const plan = { ...van.plan, propping: { ...van.plan.propping, props: [...van.plan.propping.props, kept] } };
    const without = withoutOperation(plan, 'stretch');
    expect(without.propping.props.some(({ step }) => step === 'stretch')).toBe(false);
    expect(without.propping.props.map(({ id }) => id)).toContain('all-along');
    expect(without.propping.props.some(({ step }) => step === 'tail')).toBe(true);
  });

  it('have ids of their own: one that is used twice is refused', () => {
    const [first] = van.plan.propping.props;
    const twice = {
      ...van,
      plan: { ...van.plan, propping: { ...van.plan.propping, props: [first!, { ...first!, x: first!.x + 100 }] } },
    };
    expect(() => parseJobFile(writeJobFile(jobFileOf(twice, [])))).toThrow(/used twice/);
  });
});
