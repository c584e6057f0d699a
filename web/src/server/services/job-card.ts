import type { Job } from '@splay/core';
import { and, count, eq, inArray } from 'drizzle-orm';
import pLimit from 'p-limit';
import type { JobCard } from '../../shared/job-card.ts';
import { PROGRAM } from '../../shared/program.ts';
import { jobs, records } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { logError } from '../log.ts';
import { isBusy } from '../threads/busy.ts';
import { inThread } from '../threads/pool.ts';
import { NotFound } from './errors.ts';
import { type ListedJob, listJobs } from './job-listing.ts';
import { readJob } from './jobs.ts';
import { listRecords } from './records.ts';

/** A job of the list with what is said of it; null where this program cannot read or evaluate what is stored. */
export interface CardedJob extends ListedJob {
  readonly card: JobCard | null;
  /** The present card is still calculated: this one is of an earlier state of the job, or there is none yet. */
  readonly outdated: boolean;
  /** What the card was made of: another text, another card. */
  readonly of: string;
}

/** How long a page of the list waits for cards that are out of date before it shows them as they are, ms. */
const PATIENCE = 250;

/** What another program made is made again. Sources that run as they are may change any time. */
const BY = PROGRAM === 'sources' ? `sources-${process.pid}` : PROGRAM;

/** One at a time: whoever saves, or waits for a sheet, goes before. */
const oneAtATime = pLimit(1);
/** While the server is busy no more cards are made than one in so many ms: one of before is better than a page that comes late. */
const PAUSE = 1000;
const giveWay = () => (isBusy() ? new Promise((resolve) => setTimeout(resolve, PAUSE).unref()) : null);

/** Cards that are being made, by job. */
const making = new Map<string, Promise<JobCard | null>>();

/**
 * What the list says of its jobs. A card is kept beside its job under what it was made of: the revision, the number of
 * records (they are only ever added), and the program. Where one of them is another by now it is made again, in a thread; the
 * list waits a moment for that, and then shows what it said before. Each job stands alone: one that is broken takes none of
 * the others along.
 */
export async function cardsOf(member: Member, listed: readonly ListedJob[]): Promise<readonly CardedJob[]> {
  const ids = listed.map(({ id }) => id);
  if (ids.length === 0) return [];
  const { kept, counts } = await withShop(member.shopId, async (tx) => ({
    kept: await tx
      .select({ id: jobs.id, card: jobs.card, cardOf: jobs.cardOf })
      .from(jobs)
      .where(inArray(jobs.id, ids)),
    counts: await tx
      .select({ id: records.jobId, count: count() })
      .from(records)
      .where(inArray(records.jobId, ids))
      .groupBy(records.jobId),
  }));
  const [known, taken] = [new Map(kept.map((row) => [row.id, row])), new Map(counts.map((row) => [row.id, row.count]))];
  const late = new Promise<'late'>((resolve) => setTimeout(() => resolve('late'), isBusy() ? 0 : PATIENCE).unref());
  return Promise.all(
    listed.map(async (job): Promise<CardedJob> => {
      const of = `${job.revision} ${taken.get(job.id) ?? 0} ${BY}`;
      const row = known.get(job.id);
      const before = (row?.card ?? null) as JobCard | null;
      if (row?.cardOf === of) return { ...job, card: before, outdated: false, of };
      const made = cardInHand(member, job, of);
      const card = await Promise.race([made, late]);
      return card === 'late'
        ? { ...job, card: before, outdated: true, of: row?.cardOf ?? '' }
        : { ...job, card, outdated: false, of };
    }),
  );
}

/** The bench that a job goes on at: where its card says, or the first where it has none. @throws NotFound */
export async function nextBench(member: Member, id: string): Promise<string> {
  const [listed] = await listJobs(member, { id });
  if (!listed) throw new NotFound();
  const [carded] = await cardsOf(member, [listed]);
  return carded?.card?.next.bench ?? 'donor';
}

/** A card that is made now, or is being made for somebody else already. */
function cardInHand(member: Member, job: ListedJob, of: string): Promise<JobCard | null> {
  const found = making.get(job.id);
  if (found) return found;
  const made = oneAtATime(async () => {
    await giveWay();
    return madeCard(member, job, of);
  }).finally(() => making.delete(job.id));
  making.set(job.id, made);
  return made;
}

async function madeCard(member: Member, { id, revision }: ListedJob, of: string): Promise<JobCard | null> {
  try {
    const { job }: { readonly job: Job } = await readJob(member, id, revision);
    const card = await inThread('jobCard', job, await listRecords(member, id));
    await withShop(member.shopId, (tx) =>
      tx
        .update(jobs)
        .set({ card, cardOf: of })
        .where(and(eq(jobs.id, id), eq(jobs.head, revision))),
    );
    return card;
  } catch (error) {
    logError(error, 'job card');
    return null;
  }
}
