import { type ShopRecord, upgradeRecord } from '@splay/core';
import type { Transaction } from '../db/database.ts';
import type { records } from '../db/schema.ts';
import type { Member } from '../db/shop.ts';

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

/**
 * A record as people see it: a name that came with a file is nobody's who signed in here, and is shown so.
 *
 * @param row A stored record.
 */
export const shownRecord = (row: typeof records.$inferSelect): ShopRecord => {
  const record = recordOf(row);
  return row.userId === null ? { ...record, by: `${record.by} (from a file)` } : record;
};

/** Whose records are stored, and with which job. */
interface Whose {
  readonly shopId: string;
  readonly jobId: string;
  /** Who was signed in; null for what came with a file. */
  readonly userId: string | null;
}

/**
 * Stores records, and gives the ids of those whose id no record of the job had. A statement takes all of them as one text,
 * whatever is in it: rows of their own would take twelve parameters each, of 65,535.
 *
 * @param batch The records as JSON: a list.
 */
export async function insertRecords(
  tx: Transaction,
  { shopId, jobId, userId }: Whose,
  batch: string,
): Promise<readonly string[]> {
  const { rows } = await tx.$client.query<{ id: string }>({
    name: 'insert_records',
    text: `
      insert into records (shop_id, job_id, id, kind, version, body, taken, user_id, taken_by, replaces)
      select $1::uuid, $2::uuid, id, kind, version, body, taken, $3::text, "by", replaces
      from json_to_recordset($4::json)
        as sent (id text, kind text, version integer, body json, taken text, "by" text, replaces text)
      on conflict do nothing returning id`,
    values: [shopId, jobId, userId, batch],
  });
  return rows.map(({ id }) => id);
}

/** Who the records are by that come with the demo shop: the program itself brings them in. */
const PROGRAM = '';

/** Stores records that came with a job file, in batches as `batchesOf` makes them, and gives how many bytes they take. */
export async function insertBatches(
  tx: Transaction,
  member: Member,
  jobId: string,
  batches: readonly string[],
): Promise<number> {
  const userId = member.userId === PROGRAM ? PROGRAM : null;
  for (const batch of batches) await insertRecords(tx, { shopId: member.shopId, jobId, userId }, batch);
  return batches.reduce((sum, { length }) => sum + length, 0);
}
