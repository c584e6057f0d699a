import { LRUCache } from 'lru-cache';
import { and, desc, eq } from 'drizzle-orm';
import { type Job, JOB_VERSION, jobFileOf, upgradeJob, writeJobFile } from '@splay/core';
import { jobRevisions, jobs } from '../db/schema.ts';
import type { Transaction } from '../db/database.ts';
import { type Member, withShop } from '../db/shop.ts';
import type { RevisionNote, SavedJob } from '../../shared/saved-job.ts';
import type { Picture } from '../threads/tasks.ts';
import { tellRevision } from '../live.ts';
import { takePictures } from './attachments.ts';
import { mustRecord, mustWrite, NotFound } from './errors.ts';
import { insertBatches } from './record-rows.ts';
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

/** A revision of a job, the newest one if not said. @throws NotFound */
export async function headOf(tx: Transaction, id: string, revision?: number): Promise<JobHead> {
  // Asked every time: whether the shop has the job at all.
  const [job] = await tx.select({ head: jobs.head, savedAt: jobs.updatedAt }).from(jobs).where(eq(jobs.id, id));
  if (!job) throw new NotFound();
  if (revision !== undefined && revision !== job.head) return storedRevision(tx, id, revision);
  const key = `${id} ${job.head} ${job.savedAt.getTime()}`;
  const found = known.get(key) ?? (await storedRevision(tx, id, job.head));
  known.set(key, found);
  return found;
}

async function storedRevision(tx: Transaction, id: string, revision: number): Promise<JobHead> {
  const [row] = await tx
    .select({
      id: jobs.id,
      revision: jobRevisions.number,
      document: jobRevisions.document,
      version: jobRevisions.version,
      savedBy: jobRevisions.savedBy,
      savedAt: jobRevisions.savedAt,
    })
    .from(jobs)
    .innerJoin(jobRevisions, and(eq(jobRevisions.jobId, jobs.id), eq(jobRevisions.number, revision)))
    .where(eq(jobs.id, id));
  if (!row) throw new NotFound();
  return present(row);
}

/**
 * Adds a revision to a job. Sending the same save twice (the answer to the first was lost) stores it once.
 * @throws NotFound, StaleSave
 */
export function saveJob(
  member: Member,
  id: string,
  save: { readonly basedOn: number; readonly label: string; readonly job: Job },
): Promise<JobHead> {
  mustWrite(member);
  return withShop(member.shopId, async (tx) => {
    const [row] = await tx.select({ head: jobs.head }).from(jobs).where(eq(jobs.id, id)).for('update');
    if (!row) throw new NotFound();
    if (row.head !== save.basedOn) {
      const theirs = await headOf(tx, id);
      if (row.head === save.basedOn + 1 && sameJob(theirs.job, save.job)) return theirs;
      throw new StaleSave(theirs);
    }
    return addRevision(tx, member, id, row.head + 1, save.label, save.job);
  });
}

const sameJob = (a: Job, b: Job): boolean => writeJobFile(jobFileOf(a, [])) === writeJobFile(jobFileOf(b, []));

/** Adds a revision to a job whose row is locked. */
export async function addRevision(
  tx: Transaction,
  member: Member,
  jobId: string,
  number: number,
  label: string,
  job: Job,
): Promise<JobHead> {
  const savedAt = new Date();
  await tx.insert(jobRevisions).values({
    shopId: member.shopId,
    jobId,
    number,
    label,
    version: JOB_VERSION,
    document: job,
    savedBy: member.name,
    savedAt,
  });
  await tx.update(jobs).set({ head: number, name: job.name, updatedAt: savedAt }).where(eq(jobs.id, jobId));
  await takeRoom(tx, member.shopId, JSON.stringify(job).length);
  await tellRevision(tx, jobId, number);
  return { id: jobId, revision: number, job, savedBy: member.name, savedAt: savedAt.toISOString() };
}

/** What the newest revision of a job is called, and who saved it. @throws NotFound */
export const newestRevision = (member: Member, id: string): Promise<RevisionNote> =>
  withShop(member.shopId, async (tx) => {
    const [row] = await tx
      .select({
        number: jobRevisions.number,
        label: jobRevisions.label,
        savedBy: jobRevisions.savedBy,
        savedAt: jobRevisions.savedAt,
      })
      .from(jobs)
      .innerJoin(jobRevisions, and(eq(jobRevisions.jobId, jobs.id), eq(jobRevisions.number, jobs.head)))
      .where(eq(jobs.id, id));
    if (!row) throw new NotFound();
    return { ...row, savedAt: row.savedAt.toISOString() };
  });

/** Brings an earlier revision back as the newest. @throws NotFound, StaleSave */
export async function restoreRevision(member: Member, id: string, number: number, basedOn: number): Promise<JobHead> {
  mustWrite(member);
  const old = await readJob(member, id, number);
  return saveJob(member, id, { basedOn, label: `Restored revision ${number}`, job: old.job });
}

/** @throws NotFound */
export const nameOfJob = (member: Member, id: string): Promise<string> =>
  withShop(member.shopId, async (tx) => {
    const [row] = await tx.select({ name: jobs.name }).from(jobs).where(eq(jobs.id, id));
    if (!row) throw new NotFound();
    return row.name;
  });

/** The history of a job, newest first. @throws NotFound */
export function listRevisions(member: Member, id: string): Promise<RevisionNote[]> {
  return withShop(member.shopId, async (tx) => {
    const rows = await tx
      .select({
        number: jobRevisions.number,
        label: jobRevisions.label,
        savedBy: jobRevisions.savedBy,
        savedAt: jobRevisions.savedAt,
      })
      .from(jobRevisions)
      .where(eq(jobRevisions.jobId, id))
      .orderBy(desc(jobRevisions.number))
      .limit(500);
    if (rows.length === 0) throw new NotFound();
    return rows.map((row) => ({ ...row, savedAt: row.savedAt.toISOString() }));
  });
}

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
    const head = await addRevision(tx, member, row.id, 1, label, job);
    const room = await insertBatches(tx, member.shopId, row.id, taken);
    if (room > 0) await takeRoom(tx, member.shopId, room);
    await takePictures(tx, member.shopId, pictures);
    return head;
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

async function mustHave(member: Member, id: string): Promise<void> {
  await nameOfJob(member, id);
}
