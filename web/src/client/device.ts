import type { ShopRecord } from '@splay/core';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { OpenedJob } from '../shared/opened-job.ts';

/**
 * What this device keeps by itself, in the browser's own database: records that wait to be sent, changes that were not
 * saved, and the jobs that were open last. It outlives a reload, a dead battery and a day without a connection; where a
 * browser keeps nothing (a private window), everything here does nothing, and the page works from memory.
 */

/** A record that is not on the server: it waits, or was refused for a reason. */
export interface KeptRecord {
  readonly job: string;
  readonly record: ShopRecord;
  /** Who took it, and as whom alone it is sent; null where an earlier version of the program kept it. */
  readonly person: string | null;
  /** Why the server will not take it; null while it waits. */
  readonly refused: string | null;
}

/** A job that was changed here and not yet saved. */
export interface Draft {
  /** Who changed it: nobody else goes on with it. Missing where an earlier version of the program kept it. */
  readonly person?: string;
  readonly basedOn: number;
  /** The version of the job format that it was left in. */
  readonly version: number;
  readonly job: unknown;
}

/** A job as it was on this page last, to go on with where there is no connection. */
export interface KeptJob extends OpenedJob {
  readonly bench: string;
  /** The version of the job format that it was kept in. */
  readonly version: number;
  /** When it was so, as an ISO time. */
  readonly keptAt: string;
}

interface Kept extends DBSchema {
  records: { key: number; value: KeptRecord; indexes: { job: string; id: string } };
  drafts: { key: string; value: Draft };
  jobs: { key: string; value: KeptJob; indexes: { keptAt: string } };
}

/** So many jobs are kept, those that were open last. */
const JOBS_KEPT = 12;

let opening: Promise<IDBPDatabase<Kept> | null> | undefined;

const database = (): Promise<IDBPDatabase<Kept> | null> => (opening ??= openDatabase());

/** The browser's database; null where the browser has none to give, which some say by an error at once. */
async function openDatabase(): Promise<IDBPDatabase<Kept> | null> {
  try {
    return await openDB<Kept>('splay', 1, {
      upgrade(made) {
        const records = made.createObjectStore('records', { autoIncrement: true });
        records.createIndex('job', 'job');
        records.createIndex('id', 'record.id', { unique: true });
        made.createObjectStore('drafts');
        made.createObjectStore('jobs', { keyPath: 'saved.id' }).createIndex('keptAt', 'keptAt');
      },
      // A newer page of the program wants to change the database: it goes first.
      blocking: () => void forgetConnection(),
      terminated: () => void forgetConnection(),
    });
  } catch {
    return null;
  }
}

/** Lets go of the database, until it is asked for again. */
export async function forgetConnection(): Promise<void> {
  const open = await opening;
  opening = undefined;
  open?.close();
}

/** Runs what needs the database; null where there is none or it fails at it (no room is left, say). */
async function inDatabase<T>(run: (db: IDBPDatabase<Kept>) => Promise<T>): Promise<T | null> {
  const db = await database();
  if (!db) return null;
  try {
    return await run(db);
  } catch {
    return null;
  }
}

/** The records of a job that are not on the server, in the order in which they were taken. */
export const keptRecords = async (job: string): Promise<readonly KeptRecord[]> =>
  (await inDatabase((db) => db.getAllFromIndex('records', 'job', job))) ?? [];

/** Keeps a record, or another standing of one that is kept. False where this device keeps nothing. */
export const keepRecord = async (kept: KeptRecord): Promise<boolean> =>
  (await inDatabase(async (db) => {
    const tx = db.transaction('records', 'readwrite', { durability: 'strict' });
    await tx.store.put(kept, await tx.store.index('id').getKey(kept.record.id));
    await tx.done;
    return true;
  })) ?? false;

/** Forgets records: the server has them, or somebody dropped them. */
export async function forgetRecords(ids: readonly string[]): Promise<void> {
  await inDatabase(async (db) => {
    const tx = db.transaction('records', 'readwrite');
    await Promise.all(
      ids.map(async (id) => {
        const key = await tx.store.index('id').getKey(id);
        if (key !== undefined) await tx.store.delete(key);
      }),
    );
    await tx.done;
  });
}

/** What is on this device only, of whoever took or changed it. */
export interface OnlyHere {
  /** How many records wait to be sent, by the names under which they were taken. */
  readonly records: ReadonlyMap<string, number>;
  /** How many jobs were changed and not saved. */
  readonly drafts: number;
}

export async function onlyHere(): Promise<OnlyHere> {
  const waiting = ((await inDatabase((db) => db.getAll('records'))) ?? []).filter(({ refused }) => refused === null);
  const records = new Map<string, number>();
  for (const { record } of waiting) records.set(record.by, (records.get(record.by) ?? 0) + 1);
  const drafts = new Set([...((await inDatabase((db) => db.getAllKeys('drafts'))) ?? []), ...leftAtOnce().keys()]);
  return { records, drafts: drafts.size };
}

/** What a person left unsaved of a job; null for nothing. */
export async function leftDraft(job: string, person: string): Promise<Draft | null> {
  const draft = await inDatabase((db) => db.get('drafts', job));
  return draft && (draft.person ?? person) === person ? draft : null;
}

export async function keepDraft(job: string, draft: Draft): Promise<void> {
  await inDatabase((db) => db.put('drafts', draft, job));
}

/** Keeps it at once, where the page is about to go and the browser's database would be too slow: the next page takes it over. */
export function keepDraftNow(job: string, draft: Draft): void {
  try {
    localStorage.setItem(`${DRAFT}${job}`, JSON.stringify(draft));
  } catch {
    // No room, or a browser that keeps nothing: what was kept before that stands.
  }
}

export async function forgetDraft(job: string): Promise<void> {
  await inDatabase((db) => db.delete('drafts', job));
}

/** Keeps a job as it is now, in the place of one that was not open for longest. */
export async function keepJob(job: KeptJob): Promise<void> {
  await inDatabase(async (db) => {
    const tx = db.transaction('jobs', 'readwrite');
    await tx.store.put(job);
    const keys = await tx.store.index('keptAt').getAllKeys();
    for (const old of keys.slice(0, -JOBS_KEPT)) await tx.store.delete(old);
    await tx.done;
  });
}

/** A job on this device, if it is one of the last person who signed in. */
export async function keptJob(id: string): Promise<KeptJob | null> {
  const kept = await inDatabase((db) => db.get('jobs', id));
  return kept?.me === lastPerson() ? (kept ?? null) : null;
}

/** The jobs on this device of the last person who signed in, the one that was open last first. */
export async function keptJobs(): Promise<readonly KeptJob[]> {
  const all = (await inDatabase((db) => db.getAllFromIndex('jobs', 'keptAt'))) ?? [];
  return all.filter(({ me }) => me === lastPerson()).toReversed();
}

/** Forgets a job that is no more, or not this person's. */
export async function forgetJob(id: string): Promise<void> {
  await inDatabase((db) => db.delete('jobs', id));
}

const PERSON = 'splay/person';
const DRAFT = 'splay/draft/';

/** Who signed in on this device last; null for nobody since the last sign-out. */
function lastPerson(): string | null {
  try {
    return localStorage.getItem(PERSON);
  } catch {
    return null;
  }
}

/** Drafts that a page kept at once when it was left, by job, with whose each is: nobody's where it cannot be read. */
function leftAtOnce(): ReadonlyMap<string, Pick<Draft, 'person'>> {
  const read = (key: string): Pick<Draft, 'person'> => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? '{}') as Draft;
    } catch {
      return {};
    }
  };
  try {
    const all = Array.from({ length: localStorage.length }, (_, at) => localStorage.key(at) ?? '');
    const keys = all.filter((key) => key.startsWith(DRAFT));
    return new Map(keys.map((key) => [key.slice(DRAFT.length), read(key)]));
  } catch {
    return new Map();
  }
}

/** Forgets what was changed and not saved, but what one person did; of all where there is none. */
async function forgetDrafts(but: string | null): Promise<void> {
  for (const [job, { person }] of leftAtOnce())
    if (but === null || (person ?? but) !== but) localStorage.removeItem(`${DRAFT}${job}`);
  await inDatabase(async (db) => {
    const tx = db.transaction('drafts', 'readwrite');
    for (const job of await tx.store.getAllKeys()) {
      const { person } = (await tx.store.get(job)) ?? {};
      if (but === null || (person ?? but) !== but) await tx.store.delete(job);
    }
    await tx.done;
  });
}

/**
 * Somebody is signed in. Where that is not who was here last, the jobs of the other go, and what the other changed and never
 * saved: a draft is a whole job. Records stay, and wait for who took them.
 *
 * @param person Their id.
 */
export async function hereIs(person: string): Promise<void> {
  if (lastPerson() === person) return;
  await inDatabase((db) => db.clear('jobs'));
  await forgetDrafts(person);
  try {
    localStorage.setItem(PERSON, person);
  } catch {
    // A browser that keeps nothing keeps no job either.
  }
}

/**
 * Nobody is signed in: no job of the shop opens on this device any more. Records that wait to be sent stay; so does what was
 * changed and not saved where a session ended by itself, until its owner or somebody else signs in.
 *
 * @param left Whether somebody signed out, and was told what was not saved.
 */
export async function nobodyIsHere(left: boolean): Promise<void> {
  await inDatabase((db) => db.clear('jobs'));
  if (left) await forgetDrafts(null);
  try {
    localStorage.removeItem(PERSON);
  } catch {
    // There is nothing to remove.
  }
}

/** Takes over what a page that was left, or an earlier version of this program, kept in the browser's local storage. */
export async function takeEarlier(job: string): Promise<void> {
  const take = <T>(key: string): T | null => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? 'null') as T | null;
    } catch {
      return null;
    }
  };
  const [waiting, refused, draft] = ['records', 'records-refused', 'draft'].map((what) => `splay/${what}/${job}`);
  if (waiting === undefined || refused === undefined || draft === undefined) return;
  for (const record of take<readonly ShopRecord[]>(waiting) ?? [])
    await keepRecord({ job, record, person: null, refused: null });
  for (const { record, message } of take<readonly { record: ShopRecord; message: string }[]>(refused) ?? [])
    await keepRecord({ job, record, person: null, refused: message });
  const left = take<Draft>(draft);
  if (left) await keepDraft(job, { ...left });
  for (const key of [waiting, refused, draft]) localStorage.removeItem(key);
}
