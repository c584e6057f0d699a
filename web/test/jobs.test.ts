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
import { exportJob, importJob } from '../src/server/services/job-files.ts';
import {
  copyJob,
  listJobs,
  listRevisions,
  placeJob,
  readJob,
  restoreRevision,
  saveJob,
  StaleSave,
} from '../src/server/services/jobs.ts';
import { addReadings, listReadings } from '../src/server/services/readings.ts';
import { cardOf } from '../src/server/services/job-card.ts';
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

  it('are each taken for themselves, by who is signed in, and no tape at 0 or below', async () => {
    const { id } = await importJob(owner, flagshipText);
    const { readings: kept, refused } = await addReadings(owner, id, [
      { ...reading('mine'), by: 'somebody else' },
      { ...reading('zero'), value: 0 },
      { ...reading('low'), measurement: 'p1-height-left', value: -3 },
      { id: 'half' },
      'nonsense',
      { ...reading('deleted'), measurement: 'taken-off-the-list' },
    ]);
    expect(kept.find((one) => one.id === 'mine')).toMatchObject({ by: owner.name });
    expect(kept.map((one) => one.id)).toEqual(expect.arrayContaining(['mine', 'low', 'deleted']));
    expect(refused.map((one) => one.id)).toEqual(['zero', 'half', '']);
    expect(refused[0]?.message).toBe('A tape reads more than 0.');
    const again = await addReadings(owner, id, [{ ...reading('mine'), value: 12 }]);
    expect(again.refused).toMatchObject([{ id: 'mine', message: expect.stringContaining('has this id already') }]);
    expect((await exportJob(owner, id)).text).toContain('taken-off-the-list');
    await importJob(owner, (await exportJob(owner, id)).text);
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

describe('the list of jobs', () => {
  it('keeps a job that was put away or deleted, and brings it back with all it had', async () => {
    const { owner: me } = await newShop();
    const { id } = await importJob(me, flagshipText);
    const places = async () => (await listJobs(me)).map(({ place }) => place);
    expect(await places()).toEqual(['listed']);
    const before = (await exportJob(me, id)).text;
    for (const place of ['archived', 'deleted', 'listed'] as const) {
      await placeJob(me, id, place);
      expect(await places()).toEqual([place]);
    }
    expect((await exportJob(me, id)).text).toBe(before);
    await withShop(me.shopId, (tx) =>
      tx.execute(sql.raw(`update jobs set deleted_at = now() - interval '31 days' where id = '${id}'`)),
    );
    expect(await places()).toEqual([]);
  });

  it('copies a job without the readings that were taken for the other', async () => {
    const { owner: me } = await newShop();
    const { id, job } = await importJob(me, flagshipText);
    const copy = await copyJob(me, id);
    expect(copy.job).toMatchObject({ name: `${job.name}, copy`, donor: job.donor, plan: job.plan, done: [] });
    expect(await listReadings(me, copy.id)).toEqual([]);
    expect(await listJobs(me)).toHaveLength(2);
  });

  it('each stands alone: one that cannot be read takes no other along, and its file can still be had', async () => {
    const { owner: me } = await newShop();
    await importJob(me, flagshipText);
    const { id } = await importJob(me, flagshipText);
    await withShop(me.shopId, (tx) =>
      tx.insert(jobRevisions).values({
        shopId: me.shopId,
        jobId: id,
        number: 2,
        label: 'From the future',
        document: { what: 'is this' },
        version: 99,
        savedBy: 'x',
      }),
    );
    await withShop(me.shopId, (tx) => tx.execute(sql.raw(`update jobs set head = 2 where id = '${id}'`)));
    const listed = await listJobs(me);
    expect(listed.map(({ job }) => job === null).sort()).toEqual([false, true]);
    const cards = await Promise.all(listed.map((each) => cardOf(me, each)));
    expect(cards.filter((card) => card === null)).toHaveLength(1);
    expect((await exportJob(me, id)).text).toContain('is this');
  });
});
