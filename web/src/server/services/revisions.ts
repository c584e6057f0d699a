import { desc, and, eq, sql } from 'drizzle-orm';
import { type Job, JOB_VERSION } from '@splay/core';
import type { RevisionNote, SavedRevision } from '../../shared/saved-job.ts';
import type { Transaction } from '../db/database.ts';
import { prepared } from '../db/prepared.ts';
import { jobRevisions, jobs } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { tellRevision } from '../live.ts';
import { NotFound } from './errors.ts';
import { takeRoom } from './room.ts';

/** A job as it is stored: its document as text, and what the list calls it. */
export interface JobText {
  readonly name: string;
  readonly text: string;
}

/** A job as it is stored. */
export const textOf = (job: Job): JobText => ({ name: job.name, text: JSON.stringify(job) });

const insertRevision = prepared((tx) =>
  tx
    .insert(jobRevisions)
    .values({
      shopId: sql.placeholder('shopId'),
      jobId: sql.placeholder('jobId'),
      number: sql.placeholder('number'),
      label: sql.placeholder('label'),
      version: JOB_VERSION,
      document: sql`${sql.placeholder('text')}::json`,
      savedBy: sql.placeholder('savedBy'),
      savedAt: sql.placeholder('savedAt'),
    })
    .prepare('add_revision'),
);
const moveHead = prepared((tx) =>
  tx
    .update(jobs)
    .set({
      head: sql`${sql.placeholder('number')}::integer`,
      name: sql`${sql.placeholder('name')}::text`,
      updatedAt: sql`${sql.placeholder('savedAt')}::timestamptz`,
    })
    .where(eq(jobs.id, sql.placeholder('jobId')))
    .prepare('move_head'),
);

/** Adds a revision to a job whose row is locked. @throws ShopFull */
export async function addRevision(
  tx: Transaction,
  member: Member,
  jobId: string,
  number: number,
  label: string,
  { name, text }: JobText,
): Promise<SavedRevision> {
  const savedAt = new Date();
  // Sent together.
  await Promise.all([
    insertRevision(tx).execute({ shopId: member.shopId, jobId, number, label, text, savedBy: member.name, savedAt }),
    moveHead(tx).execute({ number, name, savedAt: savedAt.toISOString(), jobId }),
    tellRevision(tx, jobId, number),
    takeRoom(tx, member.shopId, text.length),
  ]);
  return { id: jobId, revision: number, savedBy: member.name, savedAt: savedAt.toISOString() };
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
