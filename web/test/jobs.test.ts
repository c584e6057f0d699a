import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { eq, sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import { InputError, JOB_VERSION, jobFileOf, parseJobFile, type Reading } from '@splay/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { closeDatabase, database } from '../src/server/db/database.ts';
import { migrateDatabase } from '../src/server/db/migrate.ts';
import { jobRevisions, jobs, readings as readingRows } from '../src/server/db/schema.ts';
import { type Member, WALLED_ROLE, withShop } from '../src/server/db/shop.ts';
import { Forbidden, NotFound } from '../src/server/services/errors.ts';
import {
  addReadings,
  exportJob,
  importJob,
  listJobs,
  listReadings,
  listRevisions,
  readJob,
  restoreRevision,
  saveJob,
  StaleSave,
} from '../src/server/services/jobs.ts';
import { flagshipText, newShop } from './shops.ts';

let owner: Member;
let reviewer: Member;
let stranger: Member;

beforeAll(async () => {
  ({ owner, reviewer } = await newShop());
  stranger = (await newShop()).owner;
});
afterAll(closeDatabase);

const renamed = async (id: string, name: string) => ({ ...(await readJob(owner, id)).job, name });

describe('import and export', () => {
  it('gives the same bytes back', async () => {
    const { id } = await importJob(owner, flagshipText);
    expect((await exportJob(owner, id)).text).toBe(flagshipText);
  });

  it('stores nothing of a file that is not right', async () => {
    const before = (await listJobs(owner)).length;
    expect(() => importJob(owner, flagshipText.replace('"Ostler 35 cab-chassis"', '""'))).toThrow(InputError);
    expect(await listJobs(owner)).toHaveLength(before);
  });
});

describe('saving', () => {
  it('adds revisions, refuses a stale one with both versions, and restores an old one as the newest', async () => {
    const { id } = await importJob(owner, flagshipText);
    const second = await saveJob(owner, id, { basedOn: 1, label: 'Renamed', job: await renamed(id, 'Second name') });
    expect(second.revision).toBe(2);
    const stale = saveJob(owner, id, { basedOn: 1, label: 'Renamed too', job: await renamed(id, 'Other name') });
    await expect(stale).rejects.toThrow(StaleSave);
    await expect(stale).rejects.toMatchObject({ theirs: { revision: 2, job: { name: 'Second name' } } });
    const restored = await restoreRevision(owner, id, 1, 2);
    expect(restored).toMatchObject({ revision: 3, job: { name: 'Parcel van on an Ostler 35' } });
    expect((await listRevisions(owner, id)).map(({ number, label }) => [number, label])).toEqual([
      [3, 'Restored revision 1'],
      [2, 'Renamed'],
      [1, 'Imported'],
    ]);
  });

  it('stores a save once when its answer was lost and it is sent again', async () => {
    const { id } = await importJob(owner, flagshipText);
    const save = { basedOn: 1, label: 'Renamed', job: await renamed(id, 'Twice') };
    await saveJob(owner, id, save);
    expect((await saveJob(owner, id, save)).revision).toBe(2);
    expect(await listRevisions(owner, id)).toHaveLength(2);
  });

  it('lets only one of many saves at once through', async () => {
    const { id } = await importJob(owner, flagshipText);
    const job = (await readJob(owner, id)).job;
    const all = await Promise.allSettled(
      Array.from({ length: 8 }, (_, index) =>
        saveJob(owner, id, { basedOn: 1, label: `${index}`, job: { ...job, name: `Name ${index}` } }),
      ),
    );
    expect(all.filter((one) => one.status === 'fulfilled')).toHaveLength(1);
    expect((await readJob(owner, id)).revision).toBe(2);
  });

  it('reviewers read and change nothing', async () => {
    const { id, job } = await importJob(owner, flagshipText);
    expect((await readJob(reviewer, id)).job.name).toBe(job.name);
    expect(() => saveJob(reviewer, id, { basedOn: 1, label: '', job })).toThrow(Forbidden);
    expect(() => addReadings(reviewer, id, [])).toThrow(Forbidden);
    expect(() => importJob(reviewer, flagshipText)).toThrow(Forbidden);
  });
});

describe('a job stored in version 1 of the format', () => {
  it('is read as it is today, and its next revision is stored in the present version', async () => {
    const { id } = await importJob(owner, flagshipText);
    const text = readFileSync(join(import.meta.dirname, '../../core/test/job-files/version-1.json'), 'utf8');
    const { job: old } = JSON.parse(text) as { job: object };
    await withShop(owner.shopId, async (tx) => {
      const values = { shopId: owner.shopId, jobId: id, number: 2, label: 'Old', document: old, savedBy: 'owner' };
      await tx.insert(jobRevisions).values({ ...values, version: 1 });
      await tx.update(jobs).set({ head: 2 }).where(eq(jobs.id, id));
    });
    const head = await readJob(owner, id);
    expect(old).not.toHaveProperty('variants');
    expect(head.job).toEqual(parseJobFile(text).job);
    expect((await listJobs(owner)).find((one) => one.id === id)?.job).toEqual(head.job);
    expect(() => parseJobFile(JSON.stringify(jobFileOf(head.job, [])))).not.toThrow();
    await saveJob(owner, id, { basedOn: 2, label: 'Now', job: head.job });
    const versions = await withShop(owner.shopId, (tx) =>
      tx
        .select({ version: jobRevisions.version })
        .from(jobRevisions)
        .where(eq(jobRevisions.jobId, id))
        .orderBy(jobRevisions.number),
    );
    expect(versions.map(({ version }) => version)).toEqual([JOB_VERSION, 1, JOB_VERSION]);
  });
});

describe('readings', () => {
  const reading = (id: string): Reading => ({
    id,
    measurement: 'p1-width',
    stage: 'fit-up',
    value: 755.65,
    taken: '2026-05-02T10:00:00Z',
    by: 'owner',
  });

  it('are added once each, from two people at a time', async () => {
    const { id } = await importJob(owner, flagshipText);
    const before = (await listReadings(owner, id)).length;
    await Promise.all([
      addReadings(owner, id, [reading('a'), reading('b')]),
      addReadings(owner, id, [reading('b'), reading('c')]),
    ]);
    const after = await listReadings(owner, id);
    expect(after).toHaveLength(before + 3);
    expect(after.find((one) => one.id === 'b')).toEqual(reading('b'));
  });

  it('and revisions can be neither changed nor taken back, even by the database’s own hand', async () => {
    const { id } = await importJob(owner, flagshipText);
    const refused = (statement: string) =>
      expect(
        withShop(owner.shopId, (tx) => tx.execute(sql.raw(`${statement} where job_id = '${id}'`))),
      ).rejects.toThrow();
    await refused('update readings set value = 1');
    await refused('delete from readings');
    await refused(`update job_revisions set label = 'x'`);
    await refused('delete from job_revisions');
  });
});

describe('the walls between shops', () => {
  it('hide everything of another shop', async () => {
    const { id, job } = await importJob(owner, flagshipText);
    expect(await listJobs(stranger)).toEqual([]);
    for (const attempt of [
      () => readJob(stranger, id),
      () => readJob(stranger, id, 1),
      () => listRevisions(stranger, id),
      () => listReadings(stranger, id),
      () => exportJob(stranger, id),
      () => saveJob(stranger, id, { basedOn: 1, label: 'x', job }),
      () => restoreRevision(stranger, id, 1, 1),
      () =>
        addReadings(stranger, id, [
          { id: 'x', measurement: 'p1-width', stage: 'tacked', value: 1, taken: '2026-05-02T10:00:00Z', by: 'x' },
        ]),
    ])
      await expect(attempt()).rejects.toThrow(NotFound);
    expect((await readJob(owner, id)).revision).toBe(1);
  });

  it('stand in the database: a query that forgets the shop finds nothing', async () => {
    await importJob(owner, flagshipText);
    for (const table of [jobs, jobRevisions, readingRows]) {
      expect(await database().select().from(table)).toEqual([]);
      const mine = await withShop(owner.shopId, (tx) => tx.select().from(table));
      expect(mine.length).toBeGreaterThan(0);
      expect(mine.every((row) => row.shopId === owner.shopId)).toBe(true);
    }
    const smuggled = withShop(stranger.shopId, (tx) =>
      tx.insert(jobs).values({ shopId: owner.shopId, name: 'smuggled', head: 1 }),
    );
    await expect(smuggled).rejects.toThrow();
  });

  it('stand for a superuser connection too', async () => {
    await importJob(owner, flagshipText);
    const pool = new Pool({ connectionString: process.env.SUPERUSER_URL });
    const everything = await drizzle(pool).select().from(jobs);
    expect(everything.length).toBeGreaterThan(0);
    const own = process.env.DATABASE_URL;
    await closeDatabase();
    process.env.DATABASE_URL = process.env.SUPERUSER_URL;
    await migrateDatabase();
    const seen = await database().transaction(async (tx) => {
      await tx.execute(sql`select set_config('splay.shop', ${stranger.shopId}, true)`);
      await tx.execute(sql.raw(`set local role ${WALLED_ROLE}`));
      return tx.select().from(jobs);
    });
    expect(seen).toEqual([]);
    await closeDatabase();
    process.env.DATABASE_URL = own;
    await pool.end();
  });
});

it('a demo file that users import is the same document the server stores', async () => {
  const { job } = await importJob(owner, flagshipText);
  expect(job).toEqual(parseJobFile(flagshipText).job);
});
