import type { ChildProcess } from 'node:child_process';
import { JOB_VERSION, newRecord, type ShopRecord } from '@splay/core';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { serve } from '../../scripts/lib/app.mjs';
import { freePort } from '../../scripts/lib/postgres.mjs';
import { closeDatabase, database } from '../src/server/db/database.ts';
import { user } from '../src/server/db/schema.ts';
import { importJob } from '../src/server/services/job-files.ts';
import { signInAt } from './sign-in.ts';
import { flagshipText, newShop } from './shops.ts';
import { until } from './until.ts';

/** Two web processes on one database, and somebody signed in at each. */
let processes: ChildProcess[];
let bases: string[];
let cookies: string[];
let jobId: string;
let signIn: { readonly email: string; readonly password: string };

beforeAll(async () => {
  const { owner, email, password } = await newShop();
  signIn = { email, password };
  jobId = (await importJob(owner, flagshipText)).id;
  const ports = [await freePort(), await freePort()];
  bases = ports.map((port) => `http://127.0.0.1:${port}`);
  const env = {
    DATABASE_URL: process.env.DATABASE_URL ?? '',
    BETTER_AUTH_SECRET: process.env.BETTER_AUTH_SECRET ?? '',
    SPLAY_SIGN_IN_LIMIT: 'off',
    LOG_LEVEL: 'silent',
  };
  processes = await Promise.all(ports.map((port) => serve(env, { port, quiet: true })));
  cookies = await Promise.all(bases.map((base) => signInAt(base, email, password)));
});
afterAll(async () => {
  for (const child of processes) child.kill();
  await closeDatabase();
});

const reading = (id: string) =>
  newRecord(
    'reading',
    { measurement: 'p1-width', stage: 'fit-up', value: 755 },
    { id, taken: '2026-05-02T10:00:00Z', by: 'x' },
  );

/** Listens at one process, as a page does, and collects what it hears with the moment it heard it. */
async function hear(which: number, cookie = cookies[which] ?? '') {
  const stop = new AbortController();
  const answer = await fetch(`${bases[which]}/api/jobs/${jobId}/live`, {
    headers: { cookie },
    signal: stop.signal,
  });
  expect(answer.headers.get('content-type')).toBe('text/event-stream');
  const heard: { readonly id: string }[] = [];
  const told: { readonly event: string; readonly data: unknown }[] = [];
  let closed = false;
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
  const ready = new Promise<void>((resolve) => {
    void (async () => {
      let text = '';
      for (let part = await reader.read(); !part.done; part = await reader.read()) {
        text += part.value;
        const events = text.split('\n\n');
        text = events.pop() ?? '';
        for (const event of events) {
          if (event.startsWith('event: count')) resolve();
          const named = /^event: (\w+)\ndata: (.*)$/s.exec(event);
          if (named) told.push({ event: named[1] ?? '', data: JSON.parse(named[2] ?? 'null') as unknown });
          const data = /^event: records\ndata: (.*)$/s.exec(event)?.[1];
          const records = data ? (JSON.parse(data) as ShopRecord[]) : [];
          heard.push(...records.map(({ id }) => ({ id })));
        }
      }
      closed = true;
    })().catch(() => undefined);
  });
  await ready;
  const last = (name: string) => told.findLast(({ event }) => event === name)?.data;
  return { heard, last, isClosed: () => closed, stop: () => stop.abort() };
}

const send = (which: number, ...records: readonly ShopRecord[]) =>
  fetch(`${bases[which]}/api/jobs/${jobId}/records`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: bases[which] ?? '', cookie: cookies[which] ?? '' },
    body: JSON.stringify(records),
  });

it('a reading taken at one process is seen at the other', async () => {
  const page = await hear(1);
  expect((await send(0, reading('seen'))).status).toBe(200);
  await until(() => expect(page.heard.map(({ id }) => id)).toContain('seen'));
  page.stop();
});

it('many at once are all heard, each once, and one that was there already is not told again', async () => {
  const page = await hear(0);
  const ids = Array.from({ length: 120 }, (_, index) => `many-${index}`);
  await send(1, ...ids.map(reading));
  await until(() => expect(page.heard).toHaveLength(120));
  expect(page.heard.map(({ id }) => id).sort()).toEqual([...ids].sort());
  await send(0, reading('many-0'), reading('after'));
  await until(() => expect(page.heard).toHaveLength(121));
  page.stop();
});

it('after the connection to the database was lost, what was missed is heard', async () => {
  const page = await hear(1);
  await database().execute(
    sql`select pg_terminate_backend(pid) from pg_stat_activity where query like 'LISTEN%' and pid <> pg_backend_pid()`,
  );
  expect((await send(0, reading('missed'))).status).toBe(200);
  await until(() => expect(page.heard.map(({ id }) => id)).toContain('missed'));
  page.stop();
});

it('is told to nobody outside the shop', async () => {
  const other = await newShop();
  const cookie = await signInAt(bases[0] ?? '', other.email, other.password);
  const answer = await fetch(`${bases[0]}/api/jobs/${jobId}/live`, { headers: { cookie } });
  expect(answer.status).toBe(404);
  expect((await fetch(`${bases[0]}/api/jobs/${jobId}/live`)).status).toBe(401);
});

/** Saves the job at a process under another name, and gives the revision. */
async function rename(which: number, name: string): Promise<number> {
  const headers = { 'content-type': 'application/json', origin: bases[which] ?? '', cookie: cookies[which] ?? '' };
  const { revision, job } = (await (await fetch(`${bases[which]}/api/jobs/${jobId}`, { headers })).json()) as {
    revision: number;
    job: object;
  };
  const answer = await fetch(`${bases[which]}/api/jobs/${jobId}`, {
    method: 'PUT',
    headers,
    body: JSON.stringify({ basedOn: revision, label: `Called ${name}`, version: JOB_VERSION, job: { ...job, name } }),
  });
  expect(answer.status).toBe(200);
  return ((await answer.json()) as { revision: number }).revision;
}

it('a revision saved at one process is heard at the other, by number, label and name', async () => {
  const page = await hear(1);
  await until(() => expect(page.last('revision')).toMatchObject({ number: 1 }));
  const number = await rename(0, 'Heard of');
  await until(() => expect(page.last('revision')).toMatchObject({ number, label: 'Called Heard of' }));
  page.stop();
});

it('says who has the job open, at whichever process, and who has left', async () => {
  const other = await colleagueOf();
  const [mine, theirs] = [await hear(0), await hear(1, other.cookie)];
  await until(() => expect(mine.last('here')).toEqual(expect.arrayContaining([other.name])));
  theirs.stop();
  await until(() => expect(mine.last('here')).not.toEqual(expect.arrayContaining([other.name])));
  mine.stop();
});

it.each([
  ['signed out', 'welder', (of: Colleague) => fetch(`${bases[0]}/api/auth/sign-out`, post(of.cookie, {}))],
  [
    'removed from the shop',
    'reviewer',
    (of: Colleague) => fetch(`${bases[0]}/api/people/${of.userId}`, { ...post(), method: 'DELETE' }),
  ],
  [
    'their sessions ended',
    'welder',
    (of: Colleague) => fetch(`${bases[0]}/api/people/${of.userId}/sessions`, { ...post(), method: 'DELETE' }),
  ],
] as const)('a stream ends with its session: %s, and nothing more is delivered', async (how, who, end) => {
  const other = await colleagueOf(who);
  const page = await hear(1, other.cookie);
  expect((await send(0, reading(`before-${how.replaceAll(' ', '-')}`))).status).toBe(200);
  await until(() => expect(page.heard).toHaveLength(1));
  expect((await end(other)).ok).toBe(true);
  expect((await send(0, reading(`after-${how.replaceAll(' ', '-')}`))).status).toBe(200);
  await until(() => expect(page.isClosed()).toBe(true));
  expect(page.last('ended')).toBe('The session has ended.');
  expect(page.heard).toHaveLength(1);
});

interface Colleague {
  readonly userId: string;
  readonly name: string;
  readonly cookie: string;
}

const post = (cookie = cookies[0] ?? '', body?: object) => ({
  method: 'POST',
  headers: { 'content-type': 'application/json', origin: bases[0] ?? '', cookie },
  ...(body ? { body: JSON.stringify(body) } : {}),
});

/** Somebody else of the shop, signed in at the other process. */
async function colleagueOf(name: 'welder' | 'reviewer' = 'welder'): Promise<Colleague> {
  const email = signIn.email.replace('owner', name);
  const [found] = await database().select({ id: user.id }).from(user).where(eq(user.email, email));
  return { userId: found?.id ?? '', name, cookie: await signInAt(bases[1] ?? '', email, signIn.password) };
}
