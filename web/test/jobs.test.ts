import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { eq, sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import { InputError, JOB_VERSION, jobFileOf, parseJobFile, newRecord } from '@splay/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { closeDatabase, database } from '../src/server/db/database.ts';
import { migrateDatabase } from '../src/server/db/migrate.ts';
import { jobRevisions, jobs, attachments, records } from '../src/server/db/schema.ts';
import { type Member, WALLED_ROLE, withShop } from '../src/server/db/shop.ts';
import { Forbidden, NotFound } from '../src/server/services/errors.ts';
import { exportJob, importJob } from '../src/server/services/job-files.ts';
import { JOBS_A_PAGE, listJobs, listPage } from '../src/server/services/job-listing.ts';
import {
  copyJob,
  newJob,
  placeJob,
  readJob,
  restoreRevision,
  saveJob,
  StaleSave,
} from '../src/server/services/jobs.ts';
import { listRevisions } from '../src/server/services/revisions.ts';
import { addRecords, listRecords } from '../src/server/services/records.ts';
import { addAttachment, readAttachment } from '../src/server/services/attachments.ts';
import { jobCard } from '../src/shared/job-card.ts';
import { cardsOf } from '../src/server/services/job-card.ts';
import { flagshipText, newShop } from './shops.ts';
import { until } from './until.ts';

/** The smallest PNG there is: one pixel. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

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
    expect((await exportJob(owner, id, 'inside')).text).toBe(flagshipText);
  });

  it('stores nothing of a file that is not right', async () => {
    const before = (await listJobs(owner)).length;
    await expect(importJob(owner, flagshipText.replace('"Ostler 35 cab-chassis"', '""'))).rejects.toThrow(InputError);
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
    expect(() => addRecords(reviewer, id, [])).toThrow(Forbidden);
    await expect(importJob(reviewer, flagshipText)).rejects.toThrow(Forbidden);
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
    expect((await listJobs(owner)).find((one) => one.id === id)).toMatchObject({
      revision: head.revision,
    });
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

describe('records', () => {
  it('that came with a file say so beside the name, and those taken here do not; the file stays as it was', async () => {
    const { owner } = await newShop();
    const { id } = await importJob(owner, flagshipText);
    const brought = await listRecords(owner, id);
    expect(brought.length).toBeGreaterThan(0);
    expect(brought.every(({ by }) => by.endsWith(' (from a file)'))).toBe(true);
    const { records: added } = await addRecords(owner, id, [{ ...brought[0], id: 'taken-here' }]);
    expect(added[0]!.by).toBe(owner.name);
    const shown = new Map((await listRecords(owner, id)).map((record) => [record.id, record.by]));
    expect(shown.get('taken-here')).toBe(owner.name);
    const other = await newShop();
    const again = await importJob(other.owner, flagshipText);
    expect((await exportJob(other.owner, again.id, 'inside')).text).toBe(flagshipText);
  });

  const reading = (id: string, changes: object = {}) =>
    newRecord(
      'reading',
      { measurement: 'p1-width', stage: 'fit-up', value: 755.65, ...changes },
      { id, taken: '2026-05-02T10:00:00Z', by: 'owner' },
    );

  it('are added once each, from two people at a time', async () => {
    const { id } = await importJob(owner, flagshipText);
    const before = (await listRecords(owner, id)).length;
    await Promise.all([
      addRecords(owner, id, [reading('a'), reading('b')]),
      addRecords(owner, id, [reading('b'), reading('c')]),
    ]);
    const after = await listRecords(owner, id);
    expect(after).toHaveLength(before + 3);
    expect(after.find((one) => one.id === 'b')).toEqual(reading('b'));
  });

  it('are each taken for themselves, by who is signed in, and no tape at 0 or below', async () => {
    const { id } = await importJob(owner, flagshipText);
    const { records: kept, refused } = await addRecords(owner, id, [
      { ...reading('mine'), by: 'somebody else' },
      reading('zero', { value: 0 }),
      reading('low', { measurement: 'p1-height-left', value: -3 }),
      { id: 'half' },
      'nonsense',
      reading('deleted', { measurement: 'taken-off-the-list' }),
    ]);
    expect(kept.find((one) => one.id === 'mine')).toMatchObject({ by: owner.name });
    expect(kept.map((one) => one.id)).toEqual(expect.arrayContaining(['mine', 'low', 'deleted']));
    expect(refused.map((one) => one.id)).toEqual(['zero', 'half', '']);
    expect(refused[0]?.message).toBe('A tape reads more than 0.');
    const again = await addRecords(owner, id, [reading('mine', { value: 12 })]);
    expect(again.refused).toMatchObject([{ id: 'mine', message: expect.stringContaining('has this id already') }]);
    expect((await exportJob(owner, id, 'inside')).text).toContain('taken-off-the-list');
    await importJob(owner, (await exportJob(owner, id, 'inside')).text);
  });

  it('and revisions can be neither changed nor taken back, even by the database’s own hand', async () => {
    const { id } = await importJob(owner, flagshipText);
    const refused = (statement: string) =>
      expect(
        withShop(owner.shopId, (tx) => tx.execute(sql.raw(`${statement} where job_id = '${id}'`))),
      ).rejects.toThrow();
    await refused('update records set version = 7');
    await refused('delete from records');
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
      () => listRecords(stranger, id),
      () => exportJob(stranger, id, 'inside'),
      () => saveJob(stranger, id, { basedOn: 1, label: 'x', job }),
      () => restoreRevision(stranger, id, 1, 1),
      () =>
        addRecords(stranger, id, [
          { id: 'x', measurement: 'p1-width', stage: 'tacked', value: 1, taken: '2026-05-02T10:00:00Z', by: 'x' },
        ]),
    ])
      await expect(attempt()).rejects.toThrow(NotFound);
    expect((await readJob(owner, id)).revision).toBe(1);
  });

  it('stand in the database: a query that forgets the shop finds nothing', async () => {
    await importJob(owner, flagshipText);
    await addAttachment(owner, 'image/png', PIXEL);
    for (const table of [jobs, jobRevisions, records, attachments]) {
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
    const own = { DATABASE_URL: process.env.DATABASE_URL, SPLAY_OWNER_URL: process.env.SPLAY_OWNER_URL };
    await closeDatabase();
    process.env.DATABASE_URL = process.env.SPLAY_OWNER_URL = process.env.SUPERUSER_URL;
    await migrateDatabase();
    const seen = await database().transaction(async (tx) => {
      await tx.execute(sql`select set_config('splay.shop', ${stranger.shopId}, true)`);
      await tx.execute(sql.raw(`set local role ${WALLED_ROLE}`));
      return tx.select().from(jobs);
    });
    expect(seen).toEqual([]);
    await closeDatabase();
    Object.assign(process.env, own);
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
    const before = (await exportJob(me, id, 'inside')).text;
    for (const place of ['archived', 'deleted', 'listed'] as const) {
      await placeJob(me, id, place);
      expect(await places()).toEqual([place]);
    }
    expect((await exportJob(me, id, 'inside')).text).toBe(before);
    await withShop(me.shopId, (tx) =>
      tx.execute(sql.raw(`update jobs set deleted_at = now() - interval '31 days' where id = '${id}'`)),
    );
    expect(await places()).toEqual([]);
  });

  it('copies a job without the records that were taken for the other', async () => {
    const { owner: me } = await newShop();
    const { id, job } = await importJob(me, flagshipText);
    const copy = await copyJob(me, id);
    expect(copy.job).toMatchObject({ name: `${job.name}, copy`, donor: job.donor, plan: job.plan, done: [] });
    expect(await listRecords(me, copy.id)).toEqual([]);
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
    expect(listed.map(({ revision }) => revision).sort()).toEqual([1, 2]);
    // On a busy machine the first look may be too soon for either.
    await until(async () => {
      const cards = await cardsOf(me, listed);
      expect(cards.map(({ card }) => card === null).sort()).toEqual([false, true]);
    });
    expect((await exportJob(me, id, 'inside')).text).toContain('is this');
  });
});

describe('what the list says of a job', () => {
  it('is kept beside it, and made again where the job, its records or the program is another', async () => {
    const { owner: me } = await newShop();
    const { id, job } = await importJob(me, flagshipText);
    // While the server has much to do the list shows what it said before, and says so.
    const card = () =>
      until(async () => {
        const [listed] = await cardsOf(me, await listJobs(me));
        expect(listed!.outdated).toBe(false);
        return listed!.card;
      });
    const stored = () =>
      withShop(me.shopId, async (tx) => (await tx.select({ card: jobs.card, of: jobs.cardOf }).from(jobs))[0]!);
    expect((await stored()).card).toBeNull();
    const first = await card();
    expect(first).toEqual(jobCard(job, await listRecords(me, id)));
    const { of } = await stored();
    // What is kept is what is shown.
    await withShop(me.shopId, (tx) => tx.update(jobs).set({ card: { ...first, about: 'as kept' } }));
    expect((await card())!.about).toBe('as kept');
    await addRecords(me, id, [photo(await addAttachment(me, 'image/png', PIXEL))]);
    expect((await card())!.about).toBe(first!.about);
    await saveJob(me, id, { basedOn: 1, label: 'x', job: { ...job, donor: { ...job.donor, name: 'Another donor' } } });
    expect((await card())!.about).toMatch(/^Another donor/);
    await withShop(me.shopId, (tx) => tx.update(jobs).set({ card: { about: 'of an old program' }, cardOf: of }));
    expect((await card())!.about).toMatch(/^Another donor/);
  });

  it('comes page by page', async () => {
    const { owner: me } = await newShop();
    const { job } = parseJobFile(flagshipText);
    for (let at = 0; at < JOBS_A_PAGE + 2; at += 1)
      await newJob(me, { job: { ...job, name: `Job ${at}` }, label: 'x' });
    const [
      {
        listed: { jobs: first, all },
      },
      {
        listed: { jobs: second },
      },
    ] = [await listPage(me, 1), await listPage(me, 2)];
    expect([first.length, second.length, all]).toEqual([JOBS_A_PAGE, 2, JOBS_A_PAGE + 2]);
    expect(new Set([...first, ...second].map(({ id }) => id)).size).toBe(JOBS_A_PAGE + 2);
    expect(first[0]!.name).toBe(`Job ${JOBS_A_PAGE + 1}`);
    // Signs of a pattern are looked for as they are.
    const found = async (find: string) => (await listPage(me, 1, find)).listed.jobs.map(({ name }) => name);
    expect(await found(`jOB ${JOBS_A_PAGE + 1}`)).toEqual([`Job ${JOBS_A_PAGE + 1}`]);
    expect([await found('%'), await found('Job_1'), await found('\\')]).toEqual([[], [], []]);
    expect((await listPage(me, 1, 'job 2')).listed.all).toBe(3);
  });

  it('stays a page however many jobs were put away: five hundred of each, the latest first, the others by name', async () => {
    const { owner: me } = await newShop();
    const { job } = parseJobFile(flagshipText);
    const { id } = await newJob(me, { job: { ...job, name: 'First' }, label: 'x' });
    const many = (place: 'listed' | 'archived' | 'deleted', moment: string) => sql`
      insert into jobs (id, shop_id, name, head, updated_at, archived_at, deleted_at, created_at)
      select gen_random_uuid(), shop_id, ${place} || ' ' || n, head, now() - n * interval '1 minute',
        ${sql.raw(place === 'archived' ? moment : 'null')}, ${sql.raw(place === 'deleted' ? moment : 'null')}, now()
      from jobs, generate_series(1, 500) n where id = ${id}`;
    await withShop(me.shopId, async (tx) => {
      for (const place of ['listed', 'archived', 'deleted'] as const) await tx.execute(many(place, 'now()'));
    });
    const page = await listPage(me, 26);
    expect(Object.values(page).map(({ jobs: some, all }) => [some.length, all])).toEqual([
      [1, 501],
      [JOBS_A_PAGE, 500],
      [JOBS_A_PAGE, 500],
    ]);
    expect(page.archived.jobs[0]!.name).toBe('archived 1');
    expect((await listPage(me, 1, 'archived 499')).archived.jobs.map(({ name }) => name)).toEqual(['archived 499']);
  });
});

const photo = (hash: string) =>
  newRecord(
    'photo',
    { of: { kind: 'feature', id: 'datum' }, note: 'The datum hole', attachment: hash, width: 1, height: 1 },
    { id: 'photo-1', taken: '2026-05-02T10:00:00Z', by: 'owner' },
  );

describe('pictures', () => {
  it('are kept once by their hash, and travel in the job file', async () => {
    const { owner: me } = await newShop();
    const { id } = await importJob(me, flagshipText);
    const hash = await addAttachment(me, 'image/png', PIXEL);
    expect(await addAttachment(me, 'image/png', PIXEL)).toBe(hash);
    await addRecords(me, id, [photo(hash)]);
    const { text } = await exportJob(me, id, 'inside');
    expect(parseJobFile(text).attachments).toEqual([{ hash, type: 'image/png', data: PIXEL.toString('base64') }]);
    // In another shop they are there again, from the file.
    const { owner: other } = await newShop();
    await expect(readAttachment(other, hash)).rejects.toThrow(NotFound);
    const { id: there } = await importJob(other, text);
    expect(Buffer.from((await readAttachment(other, hash)).bytes)).toEqual(PIXEL);
    expect((await exportJob(other, there, 'inside')).text).toBe(text);
  });

  it('that are none, or not what their hash says, are refused, and nothing of the file is stored', async () => {
    const { owner: me, reviewer: looks } = await newShop();
    expect(() => addAttachment(me, 'image/jpeg', PIXEL)).toThrow(InputError);
    expect(() => addAttachment(me, 'image/png', Buffer.concat([PIXEL, Buffer.alloc(600_000)]))).toThrow(
      /InputError|512 KB/,
    );
    expect(() => addAttachment(looks, 'image/png', PIXEL)).toThrow(Forbidden);
    const file = JSON.parse(flagshipText) as object;
    const forged = { hash: 'a'.repeat(64), type: 'image/png', data: PIXEL.toString('base64') };
    await expect(importJob(me, JSON.stringify({ ...file, attachments: [forged] }))).rejects.toThrow(InputError);
    expect(await listJobs(me)).toEqual([]);
  });
});
