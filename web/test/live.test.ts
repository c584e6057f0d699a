import type { ChildProcess } from 'node:child_process';
import { newRecord, type ShopRecord } from '@splay/core';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { serve } from '../../scripts/lib/app.mjs';
import { freePort } from '../../scripts/lib/postgres.mjs';
import { closeDatabase, database } from '../src/server/db/database.ts';
import { importJob } from '../src/server/services/job-files.ts';
import { signInAt } from './sign-in.ts';
import { flagshipText, newShop } from './shops.ts';

/** Two web processes on one database, and somebody signed in at each. */
let processes: ChildProcess[];
let bases: string[];
let cookies: string[];
let jobId: string;

beforeAll(async () => {
  const { owner, email, password } = await newShop();
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
async function hear(which: number) {
  const stop = new AbortController();
  const answer = await fetch(`${bases[which]}/api/jobs/${jobId}/live`, {
    headers: { cookie: cookies[which] ?? '' },
    signal: stop.signal,
  });
  expect(answer.headers.get('content-type')).toBe('text/event-stream');
  const heard: { readonly id: string }[] = [];
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
          const data = /^event: records\ndata: (.*)$/s.exec(event)?.[1];
          const records = data ? (JSON.parse(data) as ShopRecord[]) : [];
          heard.push(...records.map(({ id }) => ({ id })));
        }
      }
    })().catch(() => undefined);
  });
  await ready;
  return { heard, stop: () => stop.abort() };
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
  await vi.waitFor(() => expect(page.heard.map(({ id }) => id)).toContain('seen'), 60_000);
  page.stop();
});

it('many at once are all heard, each once, and one that was there already is not told again', async () => {
  const page = await hear(0);
  const ids = Array.from({ length: 120 }, (_, index) => `many-${index}`);
  await send(1, ...ids.map(reading));
  await vi.waitFor(() => expect(page.heard).toHaveLength(120), 60_000);
  expect(page.heard.map(({ id }) => id).sort()).toEqual([...ids].sort());
  await send(0, reading('many-0'), reading('after'));
  await vi.waitFor(() => expect(page.heard).toHaveLength(121), 60_000);
  page.stop();
});

it('after the connection to the database was lost, what was missed is heard', async () => {
  const page = await hear(1);
  await database().execute(
    sql`select pg_terminate_backend(pid) from pg_stat_activity where query like 'LISTEN%' and pid <> pg_backend_pid()`,
  );
  expect((await send(0, reading('missed'))).status).toBe(200);
  await vi.waitFor(() => expect(page.heard.map(({ id }) => id)).toContain('missed'), 10_000);
  page.stop();
});

it('is told to nobody outside the shop', async () => {
  const other = await newShop();
  const cookie = await signInAt(bases[0] ?? '', other.email, other.password);
  const answer = await fetch(`${bases[0]}/api/jobs/${jobId}/live`, { headers: { cookie } });
  expect(answer.status).toBe(404);
  expect((await fetch(`${bases[0]}/api/jobs/${jobId}/live`)).status).toBe(401);
});
