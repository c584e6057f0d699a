import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Client } from 'pg';
import { describe, expect, it } from 'vitest';
import { makeBackup, outdated, restoreBackup, settleRestore, timeOf } from '../../scripts/lib/backup.mjs';
import { programs } from '../../scripts/lib/postgres.mjs';
import { closeDatabase } from '../src/server/db/database.ts';
import { migrateDatabase } from '../src/server/db/migrate.ts';
import { addAttachment, readAttachment } from '../src/server/services/attachments.ts';
import { exportJob, importJob } from '../src/server/services/job-files.ts';
import { listJobs } from '../src/server/services/job-listing.ts';
import { saveJob } from '../src/server/services/jobs.ts';
import { lastBackup } from '../src/server/services/shop-state.ts';
import { ownCluster } from './own-cluster.ts';
import { flagshipText, newShop } from './shops.ts';

const own = ownCluster('backup');
const { folder } = own;
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
);
const place = () => ({ bin: programs()!, url: own.url() });

it('a backup made under way, proved and brought back, has all that was there then, and loses nothing of what came after', async () => {
  const { owner } = await newShop();
  const { id, job } = await importJob(owner, flagshipText);
  const hash = await addAttachment(owner, 'image/png', PIXEL);
  const before = (await exportJob(owner, id, 'inside')).text;
  expect(await lastBackup()).toBeNull();
  // Saves go on while it is made.
  let going = true;
  const saving = (async () => {
    for (let basedOn = 1; going; basedOn += 1)
      await saveJob(owner, id, { basedOn, label: `${basedOn}`, job: { ...job, note: `${basedOn}` } as never });
  })().catch(() => undefined);
  const backups = join(folder, 'backups');
  const begun = Date.now();
  const made = await makeBackup(place(), backups);
  going = false;
  await saving;
  expect(made.bytes).toBeGreaterThan(10_000);
  expect(readdirSync(backups)).toEqual([made.file.split('/').at(-1)]);
  // A second, where the two clocks are read to another fineness.
  expect((await lastBackup())!.getTime()).toBeGreaterThan(begun - 1000);
  const later = await importJob(owner, flagshipText);
  expect(await listJobs(owner)).toHaveLength(2);

  const old = await restoreBackup(place(), made.file);
  // Connections of the server were ended; it takes new ones.
  const there = await listJobs(owner);
  expect(there.map((one) => one.id)).toEqual([id]);
  const then = await exportJob(owner, id, 'inside');
  expect(JSON.parse(then.text)).toMatchObject({
    job: { donor: (JSON.parse(before) as { job: { donor: object } }).job.donor },
  });
  expect(Buffer.from((await readAttachment(owner, hash)).bytes)).toEqual(PIXEL);
  await migrateDatabase();
  await saveJob(owner, id, { basedOn: there[0]!.revision, label: 'after', job });

  // What came after the backup is in the old one.
  await closeDatabase();
  process.env.DATABASE_URL = process.env.DATABASE_URL!.replace(/\/splay$/, `/${old}`);
  expect((await listJobs(owner)).map((one) => one.id).toSorted()).toEqual([id, later.id].toSorted());
});

it('the password of the database stands in no list of processes', async () => {
  const bin = join(folder, 'stand-ins');
  const log = join(folder, 'started.log');
  mkdirSync(bin);
  writeFileSync(
    join(bin, 'pg_dump'),
    `#!/bin/sh\nprintf '%s\\n' "$@" "in its environment: $PGPASSWORD" > '${log}'\nexit 1\n`,
    {
      mode: 0o755,
    },
  );
  const url = own.url();
  const password = decodeURIComponent(new URL(url).password);
  expect(password.length).toBeGreaterThan(8);
  await expect(makeBackup({ bin, url }, join(folder, 'never'))).rejects.toThrow(/pg_dump failed/);
  const [environment, ...started] = readFileSync(log, 'utf8').trim().split('\n').toReversed();
  expect(environment).toBe(`in its environment: ${password}`);
  expect(started).toEqual(expect.arrayContaining([expect.stringMatching(/^postgres(ql)?:/), '--format=custom']));
  expect(started.join(' ')).not.toContain(password);
});

describe('a restore that was killed', () => {
  /** As whoever may rename, in a database that is in nobody's way. */
  const admin = async (run: (client: Client, names: () => Promise<string[]>) => Promise<void>) => {
    const client = new Client({ connectionString: own.url().replace(/\/[^/]*$/, '/postgres') });
    await client.connect();
    const names = async () => {
      const { rows } = await client.query<{ datname: string }>(
        "select datname from pg_database where starts_with(datname, 'shop') and datallowconn order by 1",
      );
      return rows.map(({ datname }) => datname);
    };
    await run(client, names);
    for (const name of await names()) await client.query(`drop database "${name}" with (force)`);
    await client.end();
  };
  const aside = 'shop_before_2026-03-01t101500z';

  it('leaves no database closed', () =>
    admin(async (client, names) => {
      await client.query('create database shop allow_connections false');
      await settleRestore(client, 'shop');
      expect(await names()).toEqual(['shop']);
    }));

  it('is finished where what was there is put aside and what was brought back stands beside it', () =>
    admin(async (client, names) => {
      for (const name of [aside, 'shop_restored']) await client.query(`create database "${name}"`);
      await settleRestore(client, 'shop');
      expect(await names()).toEqual(['shop', aside]);
    }));

  it('is undone where nothing was brought back: the one that was put aside last is there again', () =>
    admin(async (client, names) => {
      for (const name of [aside, 'shop_before_2026-02-01t101500z']) await client.query(`create database "${name}"`);
      await settleRestore(client, 'shop');
      expect(await names()).toEqual(['shop', 'shop_before_2026-02-01t101500z']);
    }));

  it('is nothing to do with a database that is there, or was never there', () =>
    admin(async (client, names) => {
      await client.query('create database shop_restored');
      await settleRestore(client, 'shop');
      expect(await names()).toEqual(['shop_restored']);
      await client.query('create database shop');
      await settleRestore(client, 'shop');
      expect(await names()).toEqual(['shop', 'shop_restored']);
    }));
});

it('a file that is no backup is refused, and what is there stays', async () => {
  const file = join(folder, 'wrong.dump');
  writeFileSync(file, 'no backup');
  await expect(restoreBackup(place(), file)).rejects.toThrow(/pg_restore failed/);
  await expect(makeBackup({ ...place(), bin: '/nowhere' }, join(folder, 'none'))).rejects.toThrow();
  expect(readdirSync(join(folder, 'none'))).toEqual([]);
});

describe('what is kept', () => {
  const DAY = 86_400_000;
  const named = (time: number) => `splay-${new Date(time).toISOString().slice(0, 19).replaceAll(':', '')}Z.dump`;
  const end = Date.UTC(2026, 5, 30, 12);

  it('the last five, and the newest of seven days, five weeks and twelve months', () => {
    const all = Array.from({ length: 800 }, (_, at) => named(end - at * (DAY / 2)));
    const gone = new Set(outdated(all));
    const kept = all.filter((name) => !gone.has(name));
    expect(kept.slice(0, 5)).toEqual(all.slice(0, 5));
    const times = kept.map((name) => timeOf(name)!.getTime());
    for (let day = 0; day < 7; day += 1)
      expect(times.some((time) => Math.floor(time / DAY) === Math.floor(end / DAY) - day)).toBe(true);
    expect(new Set(times.map((time) => new Date(time).toISOString().slice(0, 7))).size).toBe(12);
    expect(kept.length).toBeLessThanOrEqual(5 + 7 + 5 + 12);
  });

  it('made day after day, the newest is never dropped, and months stay', () => {
    let there: string[] = [];
    for (let at = 0; at < 400; at += 1) {
      there.push(named(end + at * DAY));
      const gone = new Set(outdated(there));
      there = there.filter((name) => !gone.has(name));
      expect(there).toContain(named(end + at * DAY));
    }
    expect(there.length).toBeGreaterThanOrEqual(18);
    expect(new Set(there.map((name) => name.slice(6, 13))).size).toBe(12);
  });

  it('other files are left alone', () => {
    expect(outdated(['notes.txt', 'splay.dump', 'splay-2026-01-01T000000Z.dump.part'])).toEqual([]);
  });
});
