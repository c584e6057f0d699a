import { JOB_VERSION } from '@splay/core';
import pg from 'pg';
import { afterAll, expect, it } from 'vitest';
import { closeDatabase } from '../src/server/db/database.ts';
import { importJob } from '../src/server/services/job-files.ts';
import { served, type Served } from './attack/served.ts';
import { ownCluster } from './own-cluster.ts';
import { flagshipText, newShop } from './shops.ts';
import { signInAt } from './sign-in.ts';
import { until } from './until.ts';

/** `npm run chaos` kills more often. */
const KILLS = Number(process.env.SPLAY_KILLS ?? 5);

const own = ownCluster('chaos');
let server: Served;

afterAll(() => server.stop());

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

it(
  `${KILLS} times kill -9 of the server or its database, in the middle of writes: nothing acknowledged is lost, nothing is there twice`,
  async () => {
    const shop = await newShop();
    const { id, job } = await importJob(shop.owner, flagshipText);
    await closeDatabase();
    server = await served();
    const cookie = await signInAt(server.base, shop.email, shop.password);
    const saves = new Map<number, string>();
    const records = new Set<string>();
    let going = true;

    /** Saves one after another; where no answer came, looks what is there now and goes on from it. */
    const saver = async (name: string) => {
      for (let count = 0; going; count += 1) {
        try {
          const head = await server.call('GET', `/api/jobs/${id}`, cookie);
          if (!head.ok) throw new Error('not there');
          const { revision } = (await head.json()) as { revision: number };
          const label = `${name} ${count}`;
          const save = { basedOn: revision, label, version: JOB_VERSION, job: { ...job, name: label } };
          const answer = await server.call('PUT', `/api/jobs/${id}`, cookie, JSON.stringify(save));
          if (answer.ok) saves.set(((await answer.json()) as { revision: number }).revision, label);
          else await answer.body?.cancel();
        } catch {
          await wait(50);
        }
      }
    };
    /** Sends each record until it is taken: after a lost answer the same one again. */
    const recorder = async () => {
      for (let count = 0; going; count += 1) {
        const record = {
          id: `reading-${count}`,
          kind: 'reading',
          version: 1,
          body: { measurement: 'p1-width', stage: 'fit-up', value: 700 + count / 10 },
          taken: '2026-05-02T10:00:00Z',
          by: 'x',
        };
        while (going && !records.has(record.id))
          try {
            const answer = await server.call('POST', `/api/jobs/${id}/records`, cookie, JSON.stringify([record]));
            await answer.arrayBuffer();
            if (answer.status === 200) records.add(record.id);
          } catch {
            await wait(50);
          }
      }
    };
    const writing = [saver('A'), saver('B'), recorder()];
    for (let kill = 0; kill < KILLS; kill += 1) {
      // Something was taken since the last kill, however busy the machine is; then at another moment each time.
      const [saved, recorded] = [saves.size, records.size];
      await until(() => {
        expect(saves.size).toBeGreaterThan(saved);
        expect(records.size).toBeGreaterThan(recorded);
      });
      await wait((kill * 173) % 600);
      if (kill % 2 === 0) {
        process.kill(server.pid, 'SIGKILL');
        server = await served();
      } else {
        process.kill(own.cluster().pid(), 'SIGKILL');
        await wait(50);
        await own.startAgain();
      }
    }
    await wait(500);
    going = false;
    await Promise.all(writing);

    const client = new pg.Client({ connectionString: own.url() });
    await client.connect();
    const { rows: revisions } = await client.query<{ number: number; label: string }>(
      'select number, label from job_revisions where job_id = $1 order by number',
      [id],
    );
    const { rows: readings } = await client.query<{ id: string }>('select id from records where job_id = $1', [id]);
    await client.end();
    const history = new Map(revisions.map(({ number, label }) => [number, label]));
    expect([...saves].filter(([number, label]) => history.get(number) !== label)).toEqual([]);
    // One after the other, without a gap, and no save twice.
    expect(revisions.map(({ number }) => number)).toEqual(revisions.map((_, at) => at + 1));
    expect(new Set(revisions.map(({ label }) => label)).size).toBe(revisions.length);
    const there = new Set(readings.map((row) => row.id));
    expect([...records].filter((record) => !there.has(record))).toEqual([]);
    expect(saves.size).toBeGreaterThanOrEqual(KILLS);
    expect(records.size).toBeGreaterThanOrEqual(KILLS);
  },
  300_000 + KILLS * 60_000,
);
