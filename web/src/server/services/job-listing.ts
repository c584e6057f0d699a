import { and, count, desc, eq, gt, ilike, isNotNull, isNull, or } from 'drizzle-orm';
import { jobs } from '../db/schema.ts';
import type { Transaction } from '../db/database.ts';
import { type Member, withShop } from '../db/shop.ts';
import type { JobPlace } from './jobs.ts';

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
export const listJobs = (member: Member, which: Asked = {}): Promise<ListedJob[]> =>
  withShop(member.shopId, (tx) => listed(tx, which));

const asked = ({ id, place, find = '' }: Asked) =>
  and(
    id === undefined ? undefined : eq(jobs.id, id),
    place && IN_PLACE[place],
    named(find),
    or(isNull(jobs.deletedAt), gt(jobs.deletedAt, new Date(Date.now() - DAYS_TO_BRING_BACK * 86_400_000))),
  );

async function listed(tx: Transaction, { page, ...which }: Asked): Promise<ListedJob[]> {
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
    .where(asked(which))
    .orderBy(desc(jobs.updatedAt), jobs.name, jobs.id)
    .$dynamic();
  const rows = await (page === undefined ? query : query.limit(JOBS_A_PAGE).offset((page - 1) * JOBS_A_PAGE));
  return rows.map(({ savedAt, archivedAt, deletedAt, ...row }) => ({
    ...row,
    savedAt: savedAt.toISOString(),
    place: placeOf({ archivedAt, deletedAt }),
  }));
}

/** The first or another page of the jobs in a place, and how many there are on all pages. */
interface PlacePage {
  readonly jobs: readonly ListedJob[];
  readonly all: number;
}

/** A page of the list, and the latest of what was put away or deleted. */
export type JobPage = Readonly<Record<JobPlace, PlacePage>>;

/**
 * A page of the list, and the first page of what was put away or deleted: never more, however many jobs a shop has kept.
 *
 * @param member Who asks.
 * @param page From 1.
 * @param find Only jobs that this is part of the name of.
 */
export const listPage = (member: Member, page: number, find = ''): Promise<JobPage> =>
  withShop(member.shopId, async (tx) => {
    const pageOf = async (place: JobPlace, at: number): Promise<PlacePage> => {
      const [row] = await tx.select({ count: count() }).from(jobs).where(asked({ place, find }));
      return { jobs: await listed(tx, { place, page: at, find }), all: row?.count ?? 0 };
    };
    return {
      listed: await pageOf('listed', page),
      archived: await pageOf('archived', 1),
      deleted: await pageOf('deleted', 1),
    };
  });

/** Every job of the shop and where it is kept, those put away and deleted too: the oldest first. */
export const everyJob = (member: Member): Promise<readonly Pick<ListedJob, 'id' | 'place'>[]> =>
  withShop(member.shopId, async (tx) => {
    const rows = await tx
      .select({ id: jobs.id, archivedAt: jobs.archivedAt, deletedAt: jobs.deletedAt })
      .from(jobs)
      .orderBy(jobs.createdAt, jobs.id);
    return rows.map(({ id, ...row }) => ({ id, place: placeOf(row) }));
  });
