import { randomUUID } from 'node:crypto';
import { Channel } from './db/channel.ts';
import { type Database, database, type Transaction } from './db/database.ts';
import { logError } from './log.ts';

/**
 * What one web process tells the others, and hears of itself too: that a job has new records or a new revision, and who has it open.
 * PostgreSQL carries it, so that any number of processes may serve one database. Of records and revisions only ids and numbers are
 * told; who may see them is asked when they are read.
 */

/** More ids than this are told in several notices: one holds 8000 bytes. */
const MOST_IDS = 50;

/** How long a process that says nothing is taken to have its pages still, ms: a little more than two of its beats. */
const SILENT = 45_000;

/** What is new of a job. */
export type Notice =
  | { readonly job: string; readonly records: readonly string[] }
  | { readonly job: string; readonly revision: number }
  | { readonly job: string; readonly here: { readonly process: string; readonly names: readonly string[] } }
  /** The connection was lost for a while: anything may be new. */
  | { readonly job: string; readonly missed: true };

type Listener = (notice: Notice) => void;

/** Tells every process that a job has new records, once the transaction is committed. */
export async function tellRecords(tx: Transaction, job: string, ids: readonly string[]): Promise<void> {
  for (let from = 0; from < ids.length; from += MOST_IDS)
    await tell(tx, { job, records: ids.slice(from, from + MOST_IDS) });
}

/** Tells every process that a job has a new revision, once the transaction is committed. */
export const tellRevision = (tx: Transaction, job: string, revision: number): Promise<void> =>
  tell(tx, { job, revision });

const tell = (on: Database | Transaction, notice: Notice): Promise<void> => channel.tell(on, notice);

/** This process among those that serve the database. */
const PROCESS = randomUUID();

/** Names of those who have a job open, by the process that serves them. */
const present = new Map<string, Map<string, { readonly names: readonly string[]; readonly at: number }>>();
/** The pages of this process that have a job open. */
const pages = new Map<string, Set<{ readonly name: string }>>();

/** Names of those who have a job open anywhere, each once. */
export function whoIsHere(job: string): readonly string[] {
  const since = Date.now() - SILENT;
  const all = [...(present.get(job)?.values() ?? [])].filter(({ at }) => at >= since);
  return [...new Set(all.flatMap(({ names }) => names))].sort((a, b) => a.localeCompare(b));
}

/** When this process said last who has a job open. */
const said = new Map<string, number>();

/** Tells every process who has a job open at this one. */
export async function sayHere(job: string): Promise<void> {
  const names = [...new Set([...(pages.get(job) ?? [])].map(({ name }) => name))];
  if (names.length === 0) said.delete(job);
  else said.set(job, Date.now());
  await tell(database(), { job, here: { process: PROCESS, names } });
}

/** The same again, once for all pages of the job: the others forget a process that says nothing. */
export async function stillHere(job: string): Promise<void> {
  if (Date.now() - (said.get(job) ?? 0) > SILENT / 3) await sayHere(job);
}

/** A page has a job open until the returned function is called. */
export function comeIn(job: string, name: string): () => void {
  const page = { name };
  pages.set(job, (pages.get(job) ?? new Set()).add(page));
  return () => {
    const of = pages.get(job);
    of?.delete(page);
    if (of?.size === 0) pages.delete(job);
    sayHere(job).catch((error: unknown) => logError(error, 'live connection'));
  };
}

function note(notice: Notice): void {
  if ('here' in notice) {
    const { process, names } = notice.here;
    const before = whoIsHere(notice.job).join();
    const of = present.get(notice.job) ?? new Map();
    if (names.length === 0) of.delete(process);
    else of.set(process, { names, at: Date.now() });
    if (of.size === 0) present.delete(notice.job);
    else present.set(notice.job, of);
    // What everybody knows is not told again.
    if (before === whoIsHere(notice.job).join()) return;
  }
  for (const listener of listeners.get(notice.job) ?? []) listener(notice);
}

const listeners = new Map<string, Set<Listener>>();
const channel = new Channel(
  'splay_live',
  (payload) => note(JSON.parse(payload) as Notice),
  () => {
    for (const [job, each] of listeners) for (const listener of each) listener({ job, missed: true });
  },
);

/** Hears what is new of a job until the returned function is called. */
export async function listen(job: string, listener: Listener): Promise<() => void> {
  await channel.open();
  const known = listeners.get(job) ?? new Set();
  listeners.set(job, known.add(listener));
  return () => {
    known.delete(listener);
    if (known.size === 0) listeners.delete(job);
  };
}
