import { type Job, type Lengthen, lineChanges, markedLines, markSheet, planOf } from '@splay/core';
import { afterAll, describe, expect, it } from 'vitest';
import { closeDatabase } from '../src/server/db/database.ts';
import { addRecords } from '../src/server/services/records.ts';
import { newJob, readJob, saveJob } from '../src/server/services/jobs.ts';
import { issuedSheet, issuedSheets, issueMarks } from '../src/server/services/sheets.ts';
import { demoJob } from './demo.ts';
import { newShop } from './shops.ts';

afterAll(closeDatabase);

const { job: van } = demoJob('parcel-van');
const movedBy = (job: Job, mm: number): Job => ({
  ...job,
  plan: {
    ...job.plan,
    operations: job.plan.operations.map((operation) =>
      operation.kind === 'lengthen'
        ? ({ ...operation, at: { ...operation.at, x: operation.at.x + mm } } satisfies Lengthen)
        : operation,
    ),
  },
});
const linesOf = (job: Job) => markedLines(markSheet(job, planOf(job)));

describe('a marks sheet that is printed', () => {
  it('gets the next number, keeps its letters, and the same number while the plan stays', async () => {
    const { owner } = await newShop();
    const { id } = await newJob(owner, { job: van, label: 'begun' });
    const first = await issueMarks(owner, id);
    expect(first).toMatchObject({ number: 1, revision: 2 });
    const kept = (await readJob(owner, id)).job.plan.letters;
    expect(kept?.map(({ letter }) => letter)).toEqual(['A', 'B', 'C']);
    expect(await issueMarks(owner, id)).toEqual(first);

    const { job, revision } = await readJob(owner, id);
    await saveJob(owner, id, { basedOn: revision, label: 'moved', job: movedBy(job, 177.8) });
    expect(await issueMarks(owner, id)).toMatchObject({ number: 2, revision: 3 });
    const [old, now] = await issuedSheets(owner, id);
    const changes = lineChanges(old!.body.lines, linesOf((await readJob(owner, id)).job));
    expect(
      new Set(changes.map(({ letters, was, now: at }) => `${letters} ${((at ?? 0) - (was ?? 0)).toFixed(1)}`)),
    ).toEqual(new Set(['A B 177.8']));
    expect(lineChanges(now!.body.lines, linesOf((await readJob(owner, id)).job))).toEqual([]);
  });

  it('gives every one of several that print at once the same sheet', async () => {
    const { owner } = await newShop();
    const { id } = await newJob(owner, { job: van, label: 'begun' });
    const all = await Promise.all(Array.from({ length: 4 }, () => issueMarks(owner, id)));
    expect(new Set(all.map(({ sheet }) => sheet)).size).toBe(1);
    expect(await issuedSheets(owner, id)).toHaveLength(1);
  });

  it('keeps its letters whoever prints it, and nothing else of the plan changes', async () => {
    const { owner } = await newShop();
    const { id } = await newJob(owner, { job: van, label: 'begun' });
    await issueMarks({ ...owner, userId: 'welder', name: 'welder', role: 'welder' }, id);
    const { job } = await readJob(owner, id);
    expect(job.plan.letters).toHaveLength(3);
    const { letters: _, ...plan } = job.plan;
    expect({ ...job, plan }).toEqual(van);
  });

  it('is nobody’s of another shop, cannot be made up by a device, and is not printed by a reviewer', async () => {
    const { owner, reviewer } = await newShop();
    const { owner: stranger } = await newShop();
    const { id } = await newJob(owner, { job: van, label: 'begun' });
    const { sheet } = await issueMarks(owner, id);
    await expect(issuedSheet(stranger, id, sheet)).rejects.toThrow();
    await expect(issueMarks(stranger, id)).rejects.toThrow();
    await expect(issueMarks(reviewer, id)).rejects.toThrow();
    const forged = {
      id: 'forged',
      kind: 'sheet-issued',
      version: 1,
      taken: '2026-05-02T10:00:00.000Z',
      by: 'x',
      body: { number: 9, revision: 1, lines: [] },
    };
    const { refused } = await addRecords(owner, id, [forged]);
    expect(refused[0]?.message).toMatch(/gets its number when it is printed/);
  });
});
