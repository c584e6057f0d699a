import { and, desc, eq } from 'drizzle-orm';
import {
  type Job,
  JOB_VERSION,
  type JobFile,
  jobFileOf,
  parseJobFile,
  type Reading,
  upgradeJob,
  writeJobFile,
} from '@splay/core';
import { jobRevisions, jobs, readings } from '../db/schema.ts';
import type { Transaction } from '../db/database.ts';
import { type Member, withShop } from '../db/shop.ts';
import type { RevisionNote, SavedJob } from '../../shared/saved-job.ts';
import { mustWrite, NotFound } from './errors.ts';

export type JobHead = SavedJob;

/** A save that was based on a revision which is not the newest any more: nothing was stored. */
export class StaleSave extends Error {
  readonly theirs: JobHead;
  constructor(theirs: JobHead) {
    super('stale save');
    this.theirs = theirs;
  }
}

/** Every job of the shop with its newest document, the latest worked on first. */
export function listJobs(member: Member): Promise<JobHead[]> {
  return withShop(member.shopId, async (tx) => {
    const rows = await tx
      .select({
        id: jobs.id,
        revision: jobs.head,
        document: jobRevisions.document,
        version: jobRevisions.version,
        savedBy: jobRevisions.savedBy,
        savedAt: jobRevisions.savedAt,
      })
      .from(jobs)
      .innerJoin(jobRevisions, and(eq(jobRevisions.jobId, jobs.id), eq(jobRevisions.number, jobs.head)))
      .orderBy(desc(jobs.updatedAt), jobs.name);
    return rows.map(present);
  });
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

async function headOf(tx: Transaction, id: string, revision?: number): Promise<JobHead> {
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
    .innerJoin(jobRevisions, and(eq(jobRevisions.jobId, jobs.id), eq(jobRevisions.number, revision ?? jobs.head)))
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

async function addRevision(
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
  return { id: jobId, revision: number, job, savedBy: member.name, savedAt: savedAt.toISOString() };
}

/** Brings an earlier revision back as the newest. @throws NotFound, StaleSave */
export async function restoreRevision(member: Member, id: string, number: number, basedOn: number): Promise<JobHead> {
  mustWrite(member);
  const old = await readJob(member, id, number);
  return saveJob(member, id, { basedOn, label: `Restored revision ${number}`, job: old.job });
}

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

/** Stores a job file as a new job. @throws InputError for a file that is not right. */
export function importJob(member: Member, text: string): Promise<JobHead> {
  mustWrite(member);
  const file: JobFile = parseJobFile(text);
  return withShop(member.shopId, async (tx) => {
    const [row] = await tx
      .insert(jobs)
      .values({ shopId: member.shopId, name: file.job.name, head: 1 })
      .returning({ id: jobs.id });
    if (!row) throw new Error('the job was not stored');
    const head = await addRevision(tx, member, row.id, 1, 'Imported', file.job);
    if (file.readings.length > 0)
      await tx
        .insert(readings)
        .values(
          file.readings.map(({ by, ...rest }) => ({ ...rest, takenBy: by, shopId: member.shopId, jobId: row.id })),
        );
    return head;
  });
}

/** The readings of a job in order of time. @throws NotFound */
export function listReadings(member: Member, id: string): Promise<Reading[]> {
  return withShop(member.shopId, (tx) => readingsOf(tx, id));
}

async function readingsOf(tx: Transaction, id: string): Promise<Reading[]> {
  const [job] = await tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, id));
  if (!job) throw new NotFound();
  const rows = await tx.select().from(readings).where(eq(readings.jobId, id)).orderBy(readings.taken, readings.id);
  return rows.map(({ id: readingId, measurement, stage, value, taken, takenBy }) => ({
    id: readingId,
    measurement,
    stage: stage as Reading['stage'],
    value,
    taken,
    by: takenBy,
  }));
}

/** Adds readings; those that are there already are left alone. @throws NotFound */
export function addReadings(member: Member, id: string, taken: readonly Reading[]): Promise<Reading[]> {
  mustWrite(member);
  return withShop(member.shopId, async (tx) => {
    await readingsOf(tx, id);
    if (taken.length > 0)
      await tx
        .insert(readings)
        .values(taken.map(({ by, ...rest }) => ({ ...rest, takenBy: by, shopId: member.shopId, jobId: id })))
        .onConflictDoNothing();
    return readingsOf(tx, id);
  });
}

/** The job file of a job's newest revision. @throws NotFound */
export async function exportJob(member: Member, id: string): Promise<{ readonly name: string; readonly text: string }> {
  return withShop(member.shopId, async (tx) => {
    const { job } = await headOf(tx, id);
    return { name: job.name, text: writeJobFile(jobFileOf(job, await readingsOf(tx, id))) };
  });
}
