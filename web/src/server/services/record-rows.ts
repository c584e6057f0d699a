import { type ShopRecord, upgradeRecord } from '@splay/core';
import { sql } from 'drizzle-orm';
import type { Transaction } from '../db/database.ts';
import { records } from '../db/schema.ts';

/** A record as it is stored, its body brought up. */
export const recordOf = ({
  id,
  kind,
  version,
  body,
  taken,
  takenBy,
  replaces,
}: typeof records.$inferSelect): ShopRecord =>
  upgradeRecord({
    id,
    kind,
    version,
    body,
    taken,
    by: takenBy,
    ...(replaces === null ? {} : { replaces }),
  }) as ShopRecord;

/** A record as a row; `userId` is who was signed in, null for what came with a file. */
export const rowOf = (
  { id, kind, version, body, taken, by, replaces }: ShopRecord,
  shopId: string,
  jobId: string,
  userId: string | null,
): typeof records.$inferInsert => ({
  shopId,
  jobId,
  id,
  kind,
  version,
  body,
  taken,
  userId,
  takenBy: by,
  replaces: replaces ?? null,
});

/**
 * Stores records that came with a job file, and gives how many bytes they take. A statement takes a batch as one text,
 * whatever is in it: rows of their own would take twelve parameters each, of 65,535.
 */
export async function insertBatches(
  tx: Transaction,
  shopId: string,
  jobId: string,
  batches: readonly string[],
): Promise<number> {
  for (const batch of batches)
    await tx.execute(sql`
      insert into ${records} (shop_id, job_id, id, kind, version, body, taken, taken_by, replaces)
      select ${shopId}::uuid, ${jobId}::uuid, id, kind, version, body, taken, "by", replaces
      from json_to_recordset(${batch}::json)
        as sent (id text, kind text, version integer, body json, taken text, "by" text, replaces text)`);
  return batches.reduce((sum, { length }) => sum + length, 0);
}
