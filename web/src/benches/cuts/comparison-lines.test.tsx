import { evaluatePlan, type Job, plansOf, setAside, summaryOf } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { comparisonLines } from './comparison-lines.tsx';

const { job } = demoJob('orchard-sprayer');

const candidatesOf = (of: Job) =>
  plansOf(of).map((plan) => {
    const result = evaluatePlan({ ...of, plan });
    return { plan, result, summary: summaryOf(result) };
  });
const apart = (of: Job) =>
  comparisonLines(of)
    .filter(({ differs }) => differs(candidatesOf(of)))
    .map(({ name }) => name);

it('tells the sprayer’s plans apart by what they cost, not by kilograms that no scale tells', () => {
  expect(apart(job)).toEqual(['Joints', 'To decide', 'Goes', 'Drilled or welded anew', 'Operations']);
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
