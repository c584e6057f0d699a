import { spawnSync } from 'node:child_process';
import { expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { database } from '../src/server/db/database.ts';
import { importJob } from '../src/server/services/job-files.ts';
import { listJobs } from '../src/server/services/job-listing.ts';
import { readJob, saveJob } from '../src/server/services/jobs.ts';
import { listRevisions } from '../src/server/services/revisions.ts';
import { ownCluster } from './own-cluster.ts';
import { flagshipText, newShop } from './shops.ts';
import { until } from './until.ts';

const own = ownCluster('crash');

it('kill -9 of the database in the middle of saves loses no acknowledged save', async () => {
  const { owner } = await newShop();
  const { id, job } = await importJob(owner, flagshipText);
  const acknowledged: [revision: number, name: string][] = [];
  let failures = 0;
  for (let count = 0; failures === 0 && count < KILLED_AFTER + 100; count += 1) {
    const name = `Save ${count}`;
    try {
      const saving = saveJob(owner, id, {
        basedOn: acknowledged.at(-1)?.[0] ?? 1,
        label: name,
        job: { ...job, name },
      });
      // In the middle of this save, whatever the machine is doing besides.
      if (count === KILLED_AFTER) process.kill(own.cluster().pid(), 'SIGKILL');
      const saved = await saving;
      acknowledged.push([saved.revision, name]);
    } catch {
      failures += 1;
    }
  }
  expect(failures).toBe(1);
  expect(acknowledged.length).toBeGreaterThanOrEqual(KILLED_AFTER);

  await own.startAgain();
  const history = new Map((await listRevisions(owner, id)).map(({ number, label }) => [number, label]));
  for (const [revision, name] of acknowledged) expect(history.get(revision)).toBe(name);
  const last = acknowledged.at(-1)!;
  expect((await readJob(owner, id, last[0])).job.name).toBe(last[1]);
  const head = await readJob(owner, id);
  expect((await saveJob(owner, id, { basedOn: head.revision, label: 'After', job })).revision).toBe(head.revision + 1);
});

it('connections that the database drops before a transaction begins are replaced, and nobody sees it', async () => {
  const { owner } = await newShop();
  const dropAll = () => spawnSync('psql', [own.cluster().superuserUrl, '-c', DROP_ALL], { stdio: 'ignore' }).status;
  for (let count = 0; count < 12; count += 1) {
    await until(() => database().execute(sql`select 1`));
    // While this process waits for psql it cannot notice that its idle connection was closed: BEGIN finds out.
    expect(dropAll()).toBe(0);
    expect(await listJobs(owner)).toEqual([]);
  }
});

/** Saves that are acknowledged before the database is killed. */
const KILLED_AFTER = 60;

const DROP_ALL = `select pg_terminate_backend(pid) from pg_stat_activity where usename = 'splay'`;
