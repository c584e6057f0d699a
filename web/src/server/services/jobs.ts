import { LRUCache } from 'lru-cache';
import { and, eq, sql } from 'drizzle-orm';
import { type Job, jobFileOf, upgradeJob, writeJobFile } from '@splay/core';
import { jobRevisions, jobs } from '../db/schema.ts';
import type { Transaction } from '../db/database.ts';
import { prepared } from '../db/prepared.ts';
import { type Member, withShop } from '../db/shop.ts';
import type { SavedJob, SavedRevision } from '../../shared/saved-job.ts';
import type { Picture } from '../threads/tasks.ts';
import { takePictures } from './attachments.ts';
import { mustRecord, mustWrite, NotFound } from './errors.ts';
import { insertBatches } from './record-rows.ts';
import { addRevision, type JobText, textOf } from './revisions.ts';
import { takeRoom } from './room.ts';

export type JobHead = SavedJob;

/** A save that was based on a revision which is not the newest any more: nothing was stored. */
export class StaleSave extends Error {
  readonly theirs: JobHead;
  constructor(theirs: JobHead) {
    super('stale save');
    this.theirs = theirs;
  }
}

/** Where a job is kept: on the list, put away, or deleted and still to be brought back. */
export const JOB_PLACES = ['listed', 'archived', 'deleted'] as const;
export type JobPlace = (typeof JOB_PLACES)[number];

/** Puts a job on the list, away, or among the deleted. @throws NotFound, Forbidden */
export function placeJob(member: Member, id: string, place: JobPlace): Promise<void> {
  mustWrite(member);
  return withShop(member.shopId, async (tx) => {
    const now = new Date();
    const found = await tx
      .update(jobs)
      .set({ archivedAt: place === 'archived' ? now : null, deletedAt: place === 'deleted' ? now : null })
      .where(eq(jobs.id, id))
      .returning({ id: jobs.id });
    if (found.length === 0) throw new NotFound();
  });
}

/** A new job with the donor, the body and the plans of another; records stay with the job they were taken for. */
export async function copyJob(member: Member, id: string): Promise<JobHead> {
  mustWrite(member);
  const { job } = await readJob(member, id);
  const name = `${job.name.slice(0, 110)}, copy`;
  return newJob(member, { job: { ...job, name, done: [] }, label: `Copied from “${job.name}”` });
}

/** A stored revision with its document as it is today, whatever version of the format it was saved in. */
function present<Row extends { readonly document: unknown; readonly version: number; readonly savedAt: Date }>({
  document,
  version,
  savedAt,
  ...row
}: Row) {
  return { ...row, job: upgradeJob(document, version) as Job, savedAt: savedAt.toISOString() };
}

/** @throws NotFound */
export const readJob = (member: Member, id: string, revision?: number): Promise<JobHead> =>
  withShop(member.shopId, (tx) => headOf(tx, id, revision));

/** Newest revisions that were read lately, by job, number and moment: what is in a revision never changes. */
const known = new LRUCache<string, JobHead>({ max: 400 });

const headRow = prepared((tx) =>
  tx
    .select({ head: jobs.head, savedAt: jobs.updatedAt })
    .from(jobs)
    .where(eq(jobs.id, sql.placeholder('id')))
    .prepare('head_of_job'),
);

/** A revision of a job, the newest one if not said. @throws NotFound */
export async function headOf(tx: Transaction, id: string, revision?: number): Promise<JobHead> {
  // Asked every time: whether the shop has the job at all.
  const [job] = await headRow(tx).execute({ id });
  if (!job) throw new NotFound();
  if (revision !== undefined && revision !== job.head) return storedRevision(tx, id, revision);
  const key = `${id} ${job.head} ${job.savedAt.getTime()}`;
  const found = known.get(key) ?? (await storedRevision(tx, id, job.head));
  known.set(key, found);
  return found;
}

const revisionRow = prepared((tx) =>
  tx
    .select({
      id: jobRevisions.jobId,
      revision: jobRevisions.number,
      document: jobRevisions.document,
      version: jobRevisions.version,
      savedBy: jobRevisions.savedBy,
      savedAt: jobRevisions.savedAt,
    })
    .from(jobRevisions)
    .where(and(eq(jobRevisions.jobId, sql.placeholder('id')), eq(jobRevisions.number, sql.placeholder('revision'))))
    .prepare('revision_of_job'),
);

async function storedRevision(tx: Transaction, id: string, revision: number): Promise<JobHead> {
  const [row] = await revisionRow(tx).execute({ id, revision });
  if (!row) throw new NotFound();
  return present(row);
}

const lockedHead = prepared((tx) =>
  tx
    .select({ head: jobs.head })
    .from(jobs)
    .where(eq(jobs.id, sql.placeholder('id')))
    .for('update')
    .prepare('locked_head_of_job'),
);

/**
 * Adds a revision to a job. Sending the same save twice (the answer to the first was lost) stores it once.
 * @throws NotFound, StaleSave
 */
export function storeSave(
  member: Member,
  id: string,
  { basedOn, label, ...document }: JobText & { readonly basedOn: number; readonly label: string },
): Promise<SavedRevision> {
  mustWrite(member);
  return withShop(member.shopId, async (tx) => {
    const [row] = await lockedHead(tx).execute({ id });
    if (!row) throw new NotFound();
    if (row.head !== basedOn) {
      const theirs = await headOf(tx, id);
      if (row.head === basedOn + 1 && sameJob(theirs.job, JSON.parse(document.text) as Job)) {
        const { job: _, ...saved } = theirs;
        return saved;
      }
      throw new StaleSave(theirs);
    }
    return addRevision(tx, member, id, row.head + 1, label, document);
  });
}

/** The same for a job that is at hand as an object. */
export const saveJob = (
  member: Member,
  id: string,
  { job, ...save }: { readonly basedOn: number; readonly label: string; readonly job: Job },
): Promise<SavedRevision> => storeSave(member, id, { ...save, ...textOf(job) });

const sameJob = (a: Job, b: Job): boolean => writeJobFile(jobFileOf(a, [])) === writeJobFile(jobFileOf(b, []));

/** Brings an earlier revision back as the newest. @throws NotFound, StaleSave */
export async function restoreRevision(member: Member, id: string, number: number, basedOn: number): Promise<JobHead> {
  mustWrite(member);
  const { job } = await readJob(member, id, number);
  return { ...(await saveJob(member, id, { basedOn, label: `Restored revision ${number}`, job })), job };
}

const nameRow = prepared((tx) =>
  tx
    .select({ name: jobs.name })
    .from(jobs)
    .where(eq(jobs.id, sql.placeholder('id')))
    .prepare('name_of_job'),
);

/** @throws NotFound */
export const nameOfJob = (member: Member, id: string): Promise<string> =>
  withShop(member.shopId, async (tx) => {
    const [row] = await nameRow(tx).execute({ id });
    if (!row) throw new NotFound();
    return row.name;
  });

/** What a new job begins with. */
interface Beginning {
  readonly job: Job;
  /** What its first revision says. */
  readonly label: string;
  /** Its records, as `batchesOf` gives them. */
  readonly records?: readonly string[];
  readonly pictures?: readonly Picture[];
  /** Of the sender's making: sending again under the same key makes no second job. */
  readonly key?: string | null;
}

/** Stores a job with the records that came with it, and what they refer to. */
export function newJob(
  member: Member,
  { job, label, records: taken = [], pictures = [], key = null }: Beginning,
): Promise<JobHead> {
  return withShop(member.shopId, async (tx) => {
    const [row] = await tx
      .insert(jobs)
      .values({ shopId: member.shopId, name: job.name, head: 1, importKey: key })
      .onConflictDoNothing({ target: [jobs.shopId, jobs.importKey] })
      .returning({ id: jobs.id });
    if (!row) {
      const [made] = await tx
        .select({ id: jobs.id })
        .from(jobs)
        .where(eq(jobs.importKey, key ?? ''));
      if (!made) throw new Error('the job was not stored');
      return headOf(tx, made.id, 1);
    }
    const saved = await addRevision(tx, member, row.id, 1, label, textOf(job));
    const room = await insertBatches(tx, member, row.id, taken);
    if (room > 0) await takeRoom(tx, member.shopId, room);
    await takePictures(tx, member.shopId, pictures);
    return { ...saved, job };
  });
}

/** That the shop has a job and the member may change it: asked before anything that was sent is looked at. */
export function mustWriteJob(member: Member, id: string): Promise<void> {
  mustWrite(member);
  return mustHave(member, id);
}

/** That the shop has a job and the member may add records to it. */
export function mustRecordOn(member: Member, id: string): Promise<void> {
  mustRecord(member);
  return mustHave(member, id);
}

/** Jobs that a shop was found to have a moment ago: what is stored then asks once more. */
const had = new LRUCache<string, true>({ max: 5000, ttl: 60_000 });

async function mustHave(member: Member, id: string): Promise<void> {
  const key = `${member.shopId} ${id}`;
  if (had.has(key)) return;
  await nameOfJob(member, id);
  had.set(key, true);
}
