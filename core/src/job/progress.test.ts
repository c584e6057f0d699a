import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { evaluatePlan } from '../plan/index.ts';
import { gatesOf, isPassed, type JobFile, nextStep, parseJobFile, stageCount } from './index.ts';

const { job, readings } = parseJobFile(
  readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'),
) as JobFile;
const result = evaluatePlan(job);

it('the flagship has passed the gate before cutting and stands at the one before welding out', () => {
  const [cutting, welding] = gatesOf(job, result, readings);
  expect(isPassed(cutting!)).toBe(true);
  expect(isPassed(welding!)).toBe(false);
  expect(stageCount(job, result, readings, 'tacked')).toEqual({
    right: result.controls.length - 2,
    wrong: 2,
    missing: 0,
    total: result.controls.length,
  });
  expect(nextStep(job, result, readings)).toEqual({ text: 'Readings after tacking: 2 not right', bench: 'true-up' });
});

it('says what is missing, one thing at a time', () => {
  expect(nextStep({ ...job, done: [] }, result, readings).bench).toBe('donor');
  const bare = { ...job, plan: { ...job.plan, operations: [] } };
  expect(nextStep(bare, evaluatePlan(bare), readings)).toEqual({
    text: 'A plan to cut by: no operation yet',
    bench: 'cuts',
  });
  const unread = nextStep(job, result, []);
  expect(unread.text).toBe(
    `Readings before the cut: ${result.controls.length} of ${result.controls.length} still to take`,
  );
  const noPoints = { ...job, donor: { ...job.donor, controlMeasurements: [] } };
  expect(nextStep(noPoints, evaluatePlan(noPoints), [])).toMatchObject({ bench: 'donor' });
});

it('a plan that must stop does not pass', () => {
  const operations = job.plan.operations.map((operation) =>
    operation.kind === 'lengthen' ? { ...operation, at: { x: -127, on: 'donor' as const } } : operation,
  );
  const through = { ...job, plan: { ...job.plan, operations } };
  const [cutting] = gatesOf(through, evaluatePlan(through), readings);
  expect(cutting!.checks[1]).toMatchObject({ passed: false });
  expect(cutting!.checks[1]!.detail).toMatch(/Identity stamp/);
});
