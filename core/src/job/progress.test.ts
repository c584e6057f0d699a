import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { newRecord, readingsIn } from '../records/index.ts';
import {
  evaluateJob,
  isPassed,
  type Job,
  type JobFile,
  parseJobFile,
  progressOf,
  signableNow,
  stageCount,
} from './index.ts';

const { job, records } = parseJobFile(
  readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'),
) as JobFile;
const result = evaluateJob(job, records);
const progress = progressOf(job, records);
const { controls } = result.plan;

it('the flagship has passed the hold point before cutting and stands at the one before the final weld', () => {
  const [cutting, welding] = progress.holdPoints;
  expect(isPassed(cutting!)).toBe(true);
  expect(isPassed(welding!)).toBe(false);
  expect(stageCount(job, result.plan, readingsIn(records), 'tacked')).toEqual({
    right: controls.length - 2,
    wrong: 2,
    missing: 0,
    total: controls.length,
  });
  expect(progress.next).toEqual({ text: 'Readings after tacking: 2 not right', bench: 'true-up' });
  expect(progress.done).toEqual(['donor', 'body', 'match', 'where', 'cuts', 'splice', 'marks', 'stands', 'mounts']);
  expect(result.stage).toBe('tacked');
  // One tape was read from the 1 in mark.
  expect(Math.abs(result.worstReading!.off)).toBeNear(25.4, 1);
});

it('is the same object for the same job and records, and another for others', () => {
  expect(evaluateJob(job, records)).toBe(result);
  expect(evaluateJob(job, [...records])).not.toBe(result);
  expect(evaluateJob(job, [...records]).plan).toBe(result.plan);
  expect(evaluateJob({ ...job }, records).plan).not.toBe(result.plan);
  const now = progressOf(job, records);
  expect(progressOf(job, records)).toBe(now);
  expect(progressOf(job, [...records])).not.toBe(now);
});

it('says what is missing, one thing at a time', () => {
  expect(progressOf({ ...job, done: [] }, records).next.bench).toBe('donor');
  const bare = { ...job, plan: { ...job.plan, operations: [] } };
  expect(progressOf(bare, records).next).toEqual({ text: 'A plan to cut by: no operation yet', bench: 'cuts' });
  expect(progressOf(job, []).next.text).toBe(
    `Readings before the cut: ${controls.length} of ${controls.length} still to take`,
  );
  const noPoints = { ...job, donor: { ...job.donor, controlMeasurements: [] } };
  expect(progressOf(noPoints, []).next).toMatchObject({ bench: 'donor' });
});

const throughTheStamp: Job = {
  ...job,
  plan: {
    ...job.plan,
    operations: job.plan.operations.map((operation) =>
      operation.kind === 'lengthen' ? { ...operation, at: { x: -127, on: 'donor' as const } } : operation,
    ),
  },
};

it('a plan that must stop does not pass', () => {
  const [cutting] = progressOf(throughTheStamp, records).holdPoints;
  expect(cutting!.checks[1]).toMatchObject({ passed: false });
  expect(cutting!.checks[1]!.detail).toMatch(/VIN stamp/);
});

it('a hold point passes with a signed reason, for the checks it was signed for and no others', () => {
  const [, welding] = progress.holdPoints;
  expect(signableNow(welding!).map(({ id }) => id)).toEqual(['readings-tacked']);
  const made = { id: 's1', taken: '2026-04-01T10:00:00Z', by: 'owner' };
  const body = { gate: 'before-welding-out', checks: ['readings-tacked'], reason: 'tape read twice' };
  const signed = progressOf(job, [...records, newRecord('gate-signed', body, made)]);
  expect(isPassed(signed.holdPoints[1]!)).toBe(true);
  expect(signed.holdPoints[1]!.checks.find(({ id }) => id === 'readings-tacked')).toMatchObject({
    passed: false,
    signed: { by: 'owner', reason: 'tape read twice' },
  });
  expect(signed.done).toContain('true-up');
  const other = newRecord('gate-signed', { ...body, checks: ['decided'] }, made);
  expect(isPassed(progressOf(job, [...records, other]).holdPoints[1]!)).toBe(false);
});

it('what stops a plan cannot be signed away', () => {
  const signed = newRecord(
    'gate-signed',
    { gate: 'before-cutting', checks: ['unstopped'], reason: 'in a hurry' },
    { id: 's1', taken: '2026-04-01T10:00:00Z', by: 'owner' },
  );
  const [cutting] = progressOf(throughTheStamp, [...records, signed]).holdPoints;
  expect(isPassed(cutting!)).toBe(false);
  expect(signableNow(cutting!)).toEqual([]);
});

it('a body is measured once it has openings and mounts, and matched once nothing of it waits for a decision', () => {
  const done = (changes: Partial<Job>) => progressOf({ ...job, ...changes }, []).done;
  const [body] = job.bodies;
  expect(done({ bodies: [] })).not.toContain('body');
  expect(done({ bodies: [{ ...body!, mounts: [] }] })).not.toContain('match');
  const moved = { ...job.plan, seats: [{ body: body!.id, x: 200, z: 0, rake: 0 }] };
  expect(done({ plan: moved })).toContain('body');
  expect(done({ plan: moved })).not.toContain('match');
});
