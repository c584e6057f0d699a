import pg from 'pg';
import { afterAll, afterEach, beforeAll, expect, it } from 'vitest';
import { JOB_VERSION } from '@splay/core';
import { closeDatabase } from '../../src/server/db/database.ts';
import { importJob } from '../../src/server/services/job-files.ts';
import { listJobs } from '../../src/server/services/job-listing.ts';
import { listRecords } from '../../src/server/services/records.ts';
import { closeThreads } from '../../src/server/threads/pool.ts';
import { flagshipText, newShop } from '../shops.ts';
import { signInAt } from '../sign-in.ts';
import { served, type Served, worker } from './served.ts';
import { until } from '../until.ts';

/** Long tasks, over two web processes and workers on one database. */

const client = new pg.Client({ connectionString: process.env.SUPERUSER_URL });
let servers: Served[];
const workers: Awaited<ReturnType<typeof worker>>[] = [];
const hire = async () => {
  const hired = await worker();
  workers.push(hired);
  return hired;
};

beforeAll(async () => {
  await client.connect();
  servers = [await served({ SPLAY_WORKERS: '1' }), await served({ SPLAY_WORKERS: '1' })];
});
afterEach(() => {
  for (const { stop } of workers.splice(0)) stop();
});
afterAll(async () => {
  for (const { stop } of servers) stop();
  await client.end();
  await closeThreads();
  await closeDatabase();
});

/** How many tasks are in the queue and not done, by the shop. */
async function queued(): Promise<ReadonlyMap<string, number>> {
  const { rows } = await client.query<{ shop: string; count: number }>(
    "select data->>'shop' as shop, count(*)::int as count from pgboss.job where state < 'completed' group by 1",
  );
  return new Map(rows.map(({ shop, count }) => [shop, count]));
}

/** A shop of its own, and its owner's cookie at each server. */
async function shopAt() {
  const shop = await newShop();
  const cookies = await Promise.all(servers.map(({ base }) => signInAt(base, shop.email, shop.password)));
  const call = (at: number, method: string, path: string, body?: string, headers?: Readonly<Record<string, string>>) =>
    servers[at]!.call(method, path, cookies[at], body, headers);
  return { ...shop, call };
}

it('of a shop only so many are in the queue at once, of both servers together, and all are done in the end', async () => {
  const [greedy, other] = [await shopAt(), await shopAt()];
  const sent = Array.from({ length: 8 }, (_, at) => greedy.call(at % 2, 'POST', '/api/jobs', flagshipText));
  await until(async () => expect((await queued()).get(greedy.owner.shopId)).toBe(2));
  const theirs = other.call(0, 'POST', '/api/jobs', flagshipText);
  await until(async () => expect((await queued()).get(other.owner.shopId)).toBe(1));
  // One person of the shop: two at once, whichever server took them.
  expect((await queued()).get(greedy.owner.shopId)).toBe(2);
  await hire();
  expect((await theirs).status).toBe(201);
  expect((await Promise.all(sent)).map(({ status }) => status)).toEqual(Array(8).fill(201));
  expect(await listJobs(greedy.owner)).toHaveLength(8);
  expect((await client.query('select 1 from long_tasks')).rows).toEqual([]);
});

it('what people bring in goes before what they take away', async () => {
  const [mover, printer, bringer] = [await shopAt(), await shopAt(), await shopAt()];
  const ids = await Promise.all([mover, printer].map(async ({ owner }) => (await importJob(owner, flagshipText)).id));
  const done: string[] = [];
  const wait = async (what: string, answer: Promise<Response>) => {
    await (await answer).arrayBuffer();
    done.push(what);
  };
  const exported = wait('export', mover.call(0, 'GET', `/api/jobs/${ids[0]}/export`));
  await until(async () => expect((await queued()).size).toBe(1));
  const printed = wait('sheet', printer.call(0, 'GET', `/api/jobs/${ids[1]}/stands.pdf`));
  await until(async () => expect((await queued()).size).toBe(2));
  const brought = wait('import', bringer.call(0, 'POST', '/api/jobs', flagshipText));
  await until(async () => expect((await queued()).size).toBe(3));
  const { rows } = await client.query<{ shop: string }>(
    "select data->>'shop' as shop from pgboss.job where state < 'completed' order by priority desc",
  );
  expect(rows.map(({ shop }) => shop)).toEqual([bringer, printer, mover].map(({ owner }) => owner.shopId));
  await hire();
  await Promise.all([exported, printed, brought]);
  expect([...done].sort()).toEqual(['export', 'import', 'sheet']);
});

it('errors are the same with a worker and without', async () => {
  await hire();
  const alone = await served();
  const shop = await newShop();
  const answers = await Promise.all(
    [servers[0]!, alone].map(async (server) => {
      const cookie = await signInAt(server.base, shop.email, shop.password);
      const bad = await server.call('POST', '/api/jobs', cookie, flagshipText.replace('"version"', '"varsion"'));
      return [bad.status, bad.headers.get('content-type'), await bad.json()];
    }),
  );
  alone.stop();
  expect(answers[0]![0]).toBe(422);
  expect(answers[0]).toEqual(answers[1]);
});

it('a server and a worker that are killed in the middle lose nothing: all is done once, and others save meanwhile', async () => {
  const [first] = [await hire(), await hire()];
  const doomed = await served({ SPLAY_WORKERS: '1' });
  const file = JSON.parse(flagshipText) as { job: { name: string }; records: { id: string }[] };
  const large = JSON.stringify({
    ...file,
    records: Array.from({ length: 3000 }, (_, at) => ({ ...file.records[0], id: `r${at}` })),
  });
  const shops = await Promise.all(
    [0, 1, 2].map(async (at) => {
      const shop = await shopAt();
      return { ...shop, at, doomed: await signInAt(doomed.base, shop.email, shop.password) };
    }),
  );
  /** Sends a file until it is taken, as a page does: to the server that dies as long as it lives, then to another. */
  const bring = async ({ at, doomed: cookie, call }: (typeof shops)[number], key: string) => {
    for (let turn = 0; ; turn += 1)
      try {
        const headers = { 'idempotency-key': key };
        const answer = await (turn === 0
          ? doomed.call('POST', '/api/jobs', cookie, large, headers)
          : call(at % 2, 'POST', '/api/jobs', large, headers));
        if (answer.status === 201) return ((await answer.json()) as { id: string }).id;
        await answer.arrayBuffer();
      } catch {
        // It was killed: asked again.
      }
  };
  const saver = await shopAt();
  const { id, job } = await importJob(saver.owner, flagshipText);
  const sent = shops.flatMap((shop) => [0, 1, 2].map((turn) => bring(shop, `key-of-${shop.owner.shopId}-${turn}`)));
  await until(async () => expect([...(await queued()).values()].reduce((a, b) => a + b, 0)).toBeGreaterThan(0));
  process.kill(first!.pid, 'SIGKILL');
  process.kill(doomed.pid, 'SIGKILL');
  for (let turn = 1; turn <= 5; turn += 1) {
    const body = JSON.stringify({
      basedOn: turn,
      label: 'x',
      version: JOB_VERSION,
      job: { ...job, name: `Saved ${turn}` },
    });
    expect((await saver.call(1, 'PUT', `/api/jobs/${id}`, body)).status).toBe(200);
  }
  const ids = await Promise.all(sent);
  expect(new Set(ids).size).toBe(9);
  for (const { owner } of shops) {
    const there = await listJobs(owner);
    expect(there).toHaveLength(3);
    for (const each of there) expect(await listRecords(owner, each.id)).toHaveLength(3000);
  }
  // What the killed worker was at is done too.
  await until(async () => expect((await queued()).size).toBe(0));
});
