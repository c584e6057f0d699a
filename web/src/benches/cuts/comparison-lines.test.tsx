import { type Job, plansOf, setAside } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { candidateOf, comparisonLines } from './comparison-lines.tsx';

const { job } = demoJob('orchard-sprayer');

const candidatesOf = (of: Job) => plansOf(of).map((plan) => candidateOf(of, plan));
const apart = (of: Job) =>
  comparisonLines(of)
    .filter(({ differs }) => differs(candidatesOf(of)))
    .map(({ name }) => name);

it('tells the sprayer’s plans apart by what they cost, by where they cut, and by what they weigh', () => {
  expect(apart(job)).toEqual([
    'Joints',
    'To decide',
    'Cuts, level from the datum',
    'Hours of work',
    'Weighed against it',
    'Weakest joint, of the bare rail',
    'Cautions',
    'Removed or lost',
    'Re-drilled or re-welded',
    'Operations',
    'Mass of the frame',
    'Front axle, laden',
    'Rear axle, laden',
  ]);
});

it('tells apart two plans that only cut elsewhere, or whose masses are a little apart', () => {
  const moved = job.plan.operations.map((operation) =>
    operation.kind === 'shorten'
      ? {
          ...operation,
          from: { ...operation.from, x: operation.from.x + 20 },
          to: { ...operation.to, x: operation.to.x + 20 },
        }
      : operation,
  );
  const other = { ...job.plan, name: 'A little behind', operations: moved };
  expect(apart({ ...job, variants: [other] })).toContain('Cuts, level from the datum');
  const [member] = job.donor.crossmembers;
  const lighter = {
    ...job.plan,
    name: 'One out',
    operations: [
      ...job.plan.operations,
      {
        id: 'out',
        note: '',
        off: false,
        kind: 'crossmember' as const,
        change: { what: 'remove' as const, crossmember: member!.id },
      },
    ],
  };
  expect(member!.mass).toBeLessThan(10);
  expect(apart({ ...job, variants: [lighter] })).toContain('Mass of the frame');
});

it('finds nothing between a plan and its copy, and the lengths between a plan and none', () => {
  const alone = { ...job, variants: [] };
  expect(apart(setAside(alone, 'Copy', 'copy'))).toEqual([]);
  expect(apart(setAside(alone, 'Nothing', 'empty'))).toEqual(
    expect.arrayContaining(['Joints', 'Rail cut away', 'Wheelbase', 'Cab to axle', 'Rear axle, laden']),
  );
});

it('a figure that one plan lacks tells it apart', () => {
  const shorten = job.plan.operations.find(({ kind }) => kind === 'shorten');
  if (shorten?.kind !== 'shorten') throw new Error('the sprayer is shortened');
  // Takes out the station of the cab’s back, so that there is no cab to axle.
  const under = { ...shorten, from: { x: 1900, on: 'donor' as const }, to: { x: 2000, on: 'donor' as const } };
  const other = { ...job.plan, name: 'Under the cab', operations: [under] };
  expect(apart({ ...job, variants: [other] })).toContain('Cab to axle');
});
