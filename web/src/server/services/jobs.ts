import { LRUCache } from 'lru-cache';
import { and, count, desc, eq, gt, ilike, isNotNull, isNull, or } from 'drizzle-orm';
import { type Job, JOB_VERSION, jobFileOf, type ShopRecord, upgradeJob, writeJobFile } from '@splay/core';
import { jobRevisions, jobs, records } from '../db/schema.ts';
import type { Transaction } from '../db/database.ts';
import { type Member, withShop } from '../db/shop.ts';
import type { RevisionNote, SavedJob } from '../../shared/saved-job.ts';
import type { Picture } from '../threads/tasks.ts';
import { takePictures } from './attachments.ts';
import { mustRecord, mustWrite, NotFound } from './errors.ts';
import { rowOf } from './record-rows.ts';
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

/** How long a deleted job can be brought back, days. */
export const DAYS_TO_BRING_BACK = 30;

/** A job on the list; what is said of it is its card (`job-card.ts`). */
export interface ListedJob {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly place: JobPlace;
}

/** So many jobs are on one page of the list. */
export const JOBS_A_PAGE = 20;

const placeOf = ({ archivedAt, deletedAt }: { readonly archivedAt: Date | null; readonly deletedAt: Date | null }) =>
  deletedAt ? 'deleted' : archivedAt ? 'archived' : 'listed';

const IN_PLACE = {
  listed: and(isNull(jobs.deletedAt), isNull(jobs.archivedAt)),
  archived: and(isNull(jobs.deletedAt), isNotNull(jobs.archivedAt)),
  deleted: isNotNull(jobs.deletedAt),
} as const;

/** Jobs that a name is part of; all where it says nothing. */
const named = (find: string) =>
  find === '' ? undefined : ilike(jobs.name, `%${find.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`);

/** Which jobs are listed: all of the shop where nothing is said. */
export interface Asked {
  readonly id?: string;
  /** Only those kept there. */
  readonly place?: JobPlace;
  /** From 1; all of them if not said. */
  readonly page?: number;
  /** Only those that this is part of the name of. */
  readonly find?: string;
}

/** Jobs of the shop, the latest worked on first. One that cannot be read has its name and its place all the same. */
export const listJobs = (member: Member, asked: Asked = {}): Promise<ListedJob[]> =>
  withShop(member.shopId, (tx) => listed(tx, asked));

async function listed(tx: Transaction, { id, place, page, find = '' }: Asked): Promise<ListedJob[]> {
  const query = tx
    .select({
      id: jobs.id,
      name: jobs.name,
      revision: jobs.head,
      savedAt: jobs.updatedAt,
      archivedAt: jobs.archivedAt,
      deletedAt: jobs.deletedAt,
    })
    .from(jobs)
    .where(
      and(
        id === undefined ? undefined : eq(jobs.id, id),
        place && IN_PLACE[place],
        named(find),
        or(isNull(jobs.deletedAt), gt(jobs.deletedAt, new Date(Date.now() - DAYS_TO_BRING_BACK * 86_400_000))),
      ),
    )
    .orderBy(desc(jobs.updatedAt), jobs.name, jobs.id)
    .$dynamic();
  const rows = await (page === undefined ? query : query.limit(JOBS_A_PAGE).offset((page - 1) * JOBS_A_PAGE));
  return rows.map(({ savedAt, archivedAt, deletedAt, ...row }) => ({
    ...row,
    savedAt: savedAt.toISOString(),
    place: placeOf({ archivedAt, deletedAt }),
  }));
}

/** A page of the list, what was put away or deleted, and how many there are on all pages. */
export interface JobPage {
  readonly listed: readonly ListedJob[];
  readonly archived: readonly ListedJob[];
  readonly deleted: readonly ListedJob[];
  readonly all: number;
}

/**
 * A page of the list.
 *
 * @param member Who asks.
 * @param page From 1.
 * @param find Only jobs that this is part of the name of.
 */
export const listPage = (member: Member, page: number, find = ''): Promise<JobPage> =>
  withShop(member.shopId, async (tx) => {
    const [row] = await tx
      .select({ count: count() })
      .from(jobs)
      .where(and(IN_PLACE.listed, named(find)));
    return {
      listed: await listed(tx, { place: 'listed', page, find }),
      archived: await listed(tx, { place: 'archived' }),
      deleted: await listed(tx, { place: 'deleted' }),
      all: row?.count ?? 0,
    };
  });

/** Ids of all jobs of the shop, those put away and deleted too. */
export const jobIds = (member: Member): Promise<readonly string[]> =>
  withShop(member.shopId, async (tx) =>
    (await tx.select({ id: jobs.id }).from(jobs).orderBy(jobs.createdAt)).map(({ id }) => id),
  );

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
  await takeRoom(tx, member.shopId, JSON.stringify(job).length);
  return { id: jobId, revision: number, job, savedBy: member.name, savedAt: savedAt.toISOString() };
}

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
  readonly records?: readonly ShopRecord[];
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
    if (taken.length > 0)
      await tx.insert(records).values(taken.map((record) => rowOf(record, member.shopId, row.id, null)));
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
