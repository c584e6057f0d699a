import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { van } from '../../test/joints.ts';
import type { Operation } from '../plan/index.ts';
import { checkJob, type Job, mergeJobs, takingTheirs } from './index.ts';

const withOperations = (job: Job, edit: (operations: readonly Operation[]) => readonly Operation[]): Job => ({
  ...job,
  plan: { ...job.plan, operations: edit(job.plan.operations) },
});
const longer = (by: number) => (job: Job) =>
  withOperations(job, (all) =>
    all.map((each) => (each.kind === 'lengthen' ? { ...each, length: each.length + by } : each)),
  );
const noted = (note: string) => (job: Job) =>
  withOperations(job, (all) => all.map((each) => (each.kind === 'lengthen' ? { ...each, note } : each)));
const without = (id: string) => (job: Job) => withOperations(job, (all) => all.filter((each) => each.id !== id));
const renamed = (name: string) => (job: Job) => ({ ...job, name });

describe('two versions of a job', () => {
  it.each([
    ['different fields of one operation', longer(25), noted('as drawn')],
    ['the plan and the name', longer(25), renamed('Bread van')],
    ['an operation and another that is taken out', longer(25), without('hitch-off')],
    [
      'a feature and a level',
      (job: Job): Job => ({
        ...job,
        donor: {
          ...job.donor,
          features: job.donor.features.map((each, at) => (at === 3 ? { ...each, x: each.x + 5 } : each)),
        },
      }),
      (job: Job): Job => ({ ...job, plan: { ...job.plan, shoring: { ...job.plan.shoring, level: 800 } } }),
    ],
  ] as const)('keep both changes: %s', (_, one, other) => {
    const { job, conflicts } = mergeJobs(van, one(van), other(van));
    expect(conflicts).toEqual([]);
    expect(job).toEqual(one(other(van)));
    expect(checkJob(JSON.parse(JSON.stringify(job)))).toEqual(job);
    // Whoever merges comes to the same.
    expect(mergeJobs(van, other(van), one(van)).job).toEqual(job);
  });

  it('ask where both changed one field, and keep mine until somebody decides', () => {
    const merged = mergeJobs(van, longer(25)(van), renamed('Bread van')(longer(50)(van)));
    const was = van.plan.operations.find((each) => each.kind === 'lengthen')!.length;
    expect(merged.conflicts).toEqual([
      { path: ['plan', 'operations', 'stretch', 'length'], base: was, mine: was + 25, theirs: was + 50 },
    ]);
    expect(merged.job).toEqual(renamed('Bread van')(longer(25)(van)));
    expect(takingTheirs(merged.job, merged.conflicts)).toEqual(renamed('Bread van')(longer(50)(van)));
  });

  it('ask where one changed what the other took out', () => {
    const { conflicts, job } = mergeJobs(van, longer(25)(van), without('stretch')(van));
    expect(conflicts).toMatchObject([{ path: ['plan', 'operations', 'stretch'], theirs: undefined }]);
    expect(job).toEqual(longer(25)(van));
    expect(takingTheirs(job, conflicts)).toEqual(without('stretch')(van));
  });

  it('add to one list what both added, and leave the order to whoever changed it', () => {
    const [first] = van.plan.operations;
    const added = (id: string) => (job: Job) => withOperations(job, (all) => [...all, { ...first!, id }]);
    const turned = (job: Job) => withOperations(job, (all) => [...all].reverse());
    const ids = (job: Job) => job.plan.operations.map(({ id }) => id);
    const before = ids(van);
    expect(ids(mergeJobs(van, added('mine')(van), added('theirs')(van)).job)).toEqual([...before, 'mine', 'theirs']);
    expect(ids(mergeJobs(van, turned(van), added('theirs')(van)).job)).toContain('theirs');
    expect(ids(mergeJobs(van, turned(van), added('theirs')(van)).job).filter((id) => id !== 'theirs')).toEqual(
      [...before].reverse(),
    );
    const done = (...benches: readonly string[]): Job => ({ ...van, done: [...benches] as Job['done'] });
    const merged = mergeJobs(done('donor', 'body'), done('donor', 'match'), done('donor', 'body', 'cuts'));
    expect(merged.job.done).toEqual(['donor', 'cuts', 'match']);
  });

  it('of which one is unchanged are the other, whatever that is', () => {
    const edit = fc.constantFrom(
      longer(25),
      longer(-3),
      noted('x'),
      without('tail'),
      without('hitch-off'),
      renamed('New'),
    );
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 4 }), (edits) => {
        const changed = edits.reduce<Job>((job, next) => next(job), van);
        expect(mergeJobs(van, changed, van)).toEqual({ job: changed, conflicts: [] });
        expect(mergeJobs(van, van, changed)).toEqual({ job: changed, conflicts: [] });
        expect(mergeJobs(van, changed, changed)).toEqual({ job: changed, conflicts: [] });
      }),
    );
  });
});
