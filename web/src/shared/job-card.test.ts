import { type Job, newRecord, type ShopRecord } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { jobCard } from './job-card.ts';

const { job, records } = demoJob('parcel-van');
const passedOf = (of: Job, taken: readonly ShopRecord[]) =>
  jobCard(of, taken).steps.flatMap(({ name, passed }) => (passed ? [name] : []));
const handed = (id: string, taken: string, done: boolean) =>
  newRecord(
    'handoff',
    { to: 'welder', task: 'Tack the right rail', note: 'clamps are on', done },
    { id, taken, by: 'owner' },
  );

it('goes by what was done: a frame that was read after tacking is not only “released”', () => {
  expect(passedOf(job, records)).toEqual(['Measured', 'Planned', 'Released', 'Tacked']);
  // The same without its readings, and with something that stops it.
  const stopped: Job = { ...job, plan: { ...job.plan, operations: [] }, done: [] };
  expect(passedOf(stopped, [])).toEqual([]);
  // A hold point that opened again does not undo a cut.
  expect(passedOf(stopped, records)).toEqual(['Released', 'Tacked']);
});

it('says who is next until somebody takes it up', () => {
  const first = handed('h1', '2026-05-02T10:00:00.000Z', false);
  expect(jobCard(job, records).handoff).toBeNull();
  expect(jobCard(job, [...records, first]).handoff).toEqual({
    to: 'welder',
    task: 'Tack the right rail',
    note: 'clamps are on',
    done: false,
    by: 'owner',
    taken: '2026-05-02T10:00:00.000Z',
  });
  const taken = handed('h2', '2026-05-02T11:00:00.000Z', true);
  // In whatever order they arrive.
  expect(jobCard(job, [taken, first]).handoff).toBeNull();
});
