import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { JOB_VERSION } from '@splay/core';
import { closeDatabase } from '../../src/server/db/database.ts';
import { Busy } from '../../src/server/services/errors.ts';
import { importJob } from '../../src/server/services/job-files.ts';
import { asker, askedBy, Fair } from '../../src/server/threads/fair.ts';
import { closeThreads } from '../../src/server/threads/pool.ts';
import { flagshipText, newShop } from '../shops.ts';
import { signInAt } from '../sign-in.ts';
import { served, type Served } from './served.ts';

/** Work that goes on until it is let go, and what was under way at once. */
function workshop(most: number) {
  const fair = new Fair(most);
  const begun: string[] = [];
  const open = new Map<string, () => void>();
  const start = (what: string, person: string, shop: string, priority = 0) =>
    askedBy({ person, shop }, () =>
      fair.run(
        () =>
          new Promise<string>((done) => {
            begun.push(what);
            open.set(what, () => done(what));
          }),
        priority,
      ),
    );
  const rest = () => new Promise((resolve) => setImmediate(resolve));
  const finish = async (what: string) => {
    open.get(what)?.();
    open.delete(what);
    await rest();
    await rest();
  };
  return { fair, begun, open, start, rest, finish };
}

describe('what takes long', () => {
  it('is done for two of a person and four of a shop at once, and the others go on', async () => {
    const { begun, start, rest } = workshop(100);
    for (const person of ['a', 'b', 'c']) for (let at = 0; at < 5; at += 1) void start(`${person}${at}`, person, 'one');
    void start('z0', 'z', 'two');
    await rest();
    expect(begun.filter((what) => what !== 'z0')).toHaveLength(4);
    expect(begun).toContain('z0');
    for (const person of ['a', 'b', 'c'])
      expect(begun.filter((what) => what.startsWith(person)).length).toBeLessThanOrEqual(2);
  });

  it('goes by how urgent it is where threads are short: another shop’s save before imports that wait', async () => {
    const { begun, start, rest, finish } = workshop(1);
    for (const person of ['a', 'b']) for (let at = 0; at < 4; at += 1) void start(`${person}${at}`, person, 'one', 2);
    await rest();
    void start('save', 'z', 'two', 3);
    await rest();
    await finish(begun[0]!);
    expect(begun[1]).toBe('save');
  });

  it('of one person that piles up is refused, and of nobody else', async () => {
    const { start, rest } = workshop(1);
    const all = Array.from({ length: 40 }, (_, at) => start(`a${at}`, 'a', 'one').catch((error: unknown) => error));
    await rest();
    const refused = (await Promise.all(all.slice(30).map((one) => Promise.race([one, rest()])))).filter(
      (one) => one instanceof Busy,
    );
    expect(refused).toHaveLength(10);
    await expect(Promise.race([start('z', 'z', 'two'), rest().then(() => 'waits')])).resolves.toBe('waits');
  });

  it('is done as who asked for it, whoever’s work it is begun after', async () => {
    const fair = new Fair(1);
    const people = ['a', 'b', 'c', 'd'];
    const done = await Promise.all(
      people.map((person) =>
        askedBy({ person, shop: person }, () =>
          fair.run(async () => {
            await Promise.resolve();
            return asker()?.person;
          }),
        ),
      ),
    );
    expect(done).toEqual(people);
  });

  it('leaves no lane behind when it is done, nor when it fails', async () => {
    const { fair, open, start, rest, finish } = workshop(2);
    const one = start('x', 'a', 'one');
    const bad = askedBy({ person: 'b', shop: 'one' }, () => fair.run(() => Promise.reject(new Error('no'))));
    await expect(bad).rejects.toThrow('no');
    await rest();
    expect(fair.lanes).toBe(2);
    expect(open.size).toBe(1);
    await finish('x');
    await one;
    await rest();
    expect(fair.lanes).toBe(0);
  });
});

describe('a member who sends thirty large files at once', () => {
  let server: Served;
  beforeAll(async () => {
    server = await served();
  });
  afterAll(async () => {
    server.stop();
    await closeThreads();
    await closeDatabase();
  });

  it('keeps nobody of another shop from saving', async () => {
    const [greedy, other] = [await newShop(), await newShop()];
    const { id } = await importJob(other.owner, flagshipText);
    const [theirs, mine] = [
      await signInAt(server.base, greedy.email, greedy.password),
      await signInAt(server.base, other.email, other.password),
    ];
    const file = JSON.parse(flagshipText) as { job: { name: string }; records: { id: string }[] };
    const many = Array.from({ length: 3000 }, (_, at) => ({ ...file.records[0], id: `r${at}` }));
    const large = JSON.stringify({ ...file, records: many });
    let under = 30;
    const flood = Array.from({ length: 30 }, () =>
      server.call('POST', '/api/jobs', theirs, large).then(({ status }) => {
        under -= 1;
        return status;
      }),
    );
    const saves: [status: number, under: number][] = [];
    for (let turn = 1; turn <= 5; turn += 1) {
      const job = { ...file.job, name: `Saved ${turn}` };
      const body = JSON.stringify({ basedOn: turn, label: 'x', version: JOB_VERSION, job });
      const { status } = await server.call('PUT', `/api/jobs/${id}`, mine, body);
      saves.push([status, under]);
    }
    expect(saves.map(([status]) => status)).toEqual([200, 200, 200, 200, 200]);
    // They went by the flood, not behind it.
    expect(saves[0]![1]).toBeGreaterThan(10);
    const statuses = await Promise.all(flood);
    expect(statuses.filter((status) => status !== 201 && status !== 503)).toEqual([]);
    expect(statuses).toContain(201);
  });

  it('and limits the windows of one person', async () => {
    const shop = await newShop();
    const { id } = await importJob(shop.owner, flagshipText);
    const cookie = await signInAt(server.base, shop.email, shop.password);
    const opened = await Promise.all(
      Array.from({ length: 24 }, () => server.call('GET', `/api/jobs/${id}/live`, cookie)),
    );
    expect(new Set(opened.map(({ status }) => status))).toEqual(new Set([200]));
    expect((await server.call('GET', `/api/jobs/${id}/live`, cookie)).status).toBe(429);
    await Promise.all(opened.map(({ body }) => body?.cancel()));
    await expect
      .poll(async () => {
        const answer = await server.call('GET', `/api/jobs/${id}/live`, cookie);
        await answer.body?.cancel();
        return answer.status;
      })
      .toBe(200);
  });
});
