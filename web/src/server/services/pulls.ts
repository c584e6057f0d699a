import { keptPulls, type PullMeasuredBody } from '@splay/core';
import { and, asc, eq } from 'drizzle-orm';
import { records } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { recordOf } from './record-rows.ts';

/** As many records as a shop's factor is taken from: far more joints than it needs. */
const MOST = 2000;

/** How far the joints of all frames in the shop pulled, as far as it was kept. */
export const listPulls = (member: Member): Promise<readonly PullMeasuredBody[]> =>
  withShop(member.shopId, async (tx) => {
    const rows = await tx
      .select()
      .from(records)
      .where(and(eq(records.shopId, member.shopId), eq(records.kind, 'pull-measured')))
      .orderBy(asc(records.receivedAt))
      .limit(MOST);
    const jobs = [...new Set(rows.map(({ jobId }) => jobId))];
    return jobs.flatMap((job) => keptPulls(rows.filter(({ jobId }) => jobId === job).map(recordOf)));
  });
