import { sql } from 'drizzle-orm';
import { Client } from 'pg';
import type { Transaction } from './db/database.ts';
import { env } from './env.ts';
import { logError } from './log.ts';

/**
 * What one web process tells the others, and hears of itself too: that a job has new records. PostgreSQL carries it, so
 * that any number of processes may serve one database. Only ids are told; who may see a record is asked when it is read.
 */

const CHANNEL = 'splay_records';

/** More ids than this are told in several notices: one holds 8000 bytes. */
const MOST_IDS = 50;

/** How long until a lost connection is tried again, ms. */
const AGAIN_AFTER = 1000;

interface Notice {
  readonly job: string;
  readonly records: readonly string[];
}

/** Tells every process that a job has new records, once the transaction is committed. */
export async function tell(tx: Transaction, job: string, ids: readonly string[]): Promise<void> {
  for (let from = 0; from < ids.length; from += MOST_IDS) {
    const notice: Notice = { job, records: ids.slice(from, from + MOST_IDS) };
    await tx.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(notice)})`);
  }
}

/** Called with the ids of new records; with none after the connection was lost for a while: then anything may be new. */
type Listener = (ids: readonly string[]) => void;

const listeners = new Map<string, Set<Listener>>();
let connected: Promise<Client> | undefined;

function dropped(error?: Error): void {
  if (!connected) return;
  connected = undefined;
  if (error) logError(error, 'live connection');
  if (listeners.size > 0) setTimeout(again, AGAIN_AFTER).unref();
}

function again(): void {
  if (listeners.size === 0 || connected) return;
  void connect()
    .then(() => {
      for (const each of listeners.values()) for (const listener of each) listener([]);
    })
    .catch(() => setTimeout(again, AGAIN_AFTER).unref());
}

function connect(): Promise<Client> {
  connected ??= (async () => {
    const client = new Client({ connectionString: env.databaseUrl, connectionTimeoutMillis: 5000 });
    client.on('error', dropped);
    client.on('end', () => dropped());
    client.on('notification', ({ payload }) => {
      const { job, records } = JSON.parse(payload ?? '{}') as Notice;
      for (const listener of listeners.get(job) ?? []) listener(records);
    });
    await client.connect();
    await client.query(`LISTEN ${CHANNEL}`);
    return client;
  })();
  connected.catch(() => {
    connected = undefined;
  });
  return connected;
}

/** Hears of new records of a job until the returned function is called. */
export async function listen(job: string, listener: Listener): Promise<() => void> {
  await connect();
  const known = listeners.get(job) ?? new Set();
  listeners.set(job, known.add(listener));
  return () => {
    known.delete(listener);
    if (known.size === 0) listeners.delete(job);
  };
}

/** Lets go of the connection. */
export async function closeLive(): Promise<void> {
  const client = await connected?.catch(() => undefined);
  connected = undefined;
  listeners.clear();
  await client?.end();
}
