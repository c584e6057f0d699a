import { checkRecord, InputError, inOrderOfTime, recordProblem, type ShopRecord } from '@splay/core';
import { and, count, eq, inArray, sql } from 'drizzle-orm';
import type { Transaction } from '../db/database.ts';
import { prepared } from '../db/prepared.ts';
import { jobs, records } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { mayWrite } from '../../shared/roles.ts';
import type { SavedJob } from '../../shared/saved-job.ts';
import type { AddedRecords, RefusedRecord } from '../../shared/added-records.ts';
import { tellRecords } from '../live.ts';
import { mustRecord, NotFound } from './errors.ts';
import { takeRoom } from './room.ts';
import { headOf } from './jobs.ts';
import { insertRecords, recordOf, shownRecord } from './record-rows.ts';

/** The records of a job in order of time, as people see them. @throws NotFound */
export const listRecords = (member: Member, id: string): Promise<readonly ShopRecord[]> =>
  withShop(member.shopId, (tx) => shownRecords(tx, id));

const shownRecords = async (tx: Transaction, id: string): Promise<readonly ShopRecord[]> =>
  inOrderOfTime((await rowsOf(tx, id)).map(shownRecord));

/** The newest revision of a job and its records, read at one moment. @throws NotFound */
export const readWithRecords = (
  member: Member,
  id: string,
): Promise<{ readonly saved: SavedJob; readonly records: readonly ShopRecord[] }> =>
  withShop(member.shopId, async (tx) => {
    const [saved, taken] = await Promise.all([headOf(tx, id), shownRecords(tx, id)]);
    return { saved, records: taken };
  });

/** How many records a job has. @throws NotFound */
export const countRecords = (member: Member, id: string): Promise<number> =>
  withShop(member.shopId, async (tx) => {
    const [row] = await tx
      .select({ count: count(records.id) })
      .from(jobs)
      .leftJoin(records, eq(records.jobId, jobs.id))
      .where(eq(jobs.id, id))
      .groupBy(jobs.id);
    if (!row) throw new NotFound();
    return row.count;
  });

/** Some records of a job; none of those that it does not have. */
export const someRecords = (member: Member, id: string, ids: readonly string[]): Promise<readonly ShopRecord[]> =>
  withShop(member.shopId, async (tx) => (await storedAs(tx, id, ids)).map(shownRecord));

const storedAs = (tx: Transaction, id: string, ids: readonly string[]) =>
  tx
    .select()
    .from(records)
    .where(and(eq(records.jobId, id), inArray(records.id, [...ids])));

const jobRow = prepared((tx) =>
  tx
    .select({ id: jobs.id })
    .from(jobs)
    .where(eq(jobs.id, sql.placeholder('id')))
    .prepare('job_of_records'),
);
const recordRows = prepared((tx) =>
  tx
    .select()
    .from(records)
    .where(eq(records.jobId, sql.placeholder('id')))
    .prepare('records_of_job'),
);

async function rowsOf(tx: Transaction, id: string) {
  const [[job], rows] = await Promise.all([jobRow(tx).execute({ id }), recordRows(tx).execute({ id })]);
  if (!job) throw new NotFound();
  return rows;
}

/** The records of a job in order of time, as its file has them. @throws NotFound */
export const recordsOf = async (tx: Transaction, id: string): Promise<readonly ShopRecord[]> =>
  inOrderOfTime((await rowsOf(tx, id)).map(recordOf));

const idIn = (sent: unknown): string =>
  typeof sent === 'object' && sent !== null && 'id' in sent && typeof sent.id === 'string' ? sent.id.slice(0, 120) : '';

/** A record as it may be stored, by whoever is signed in, or why it may not. */
function checked(
  sent: unknown,
  member: Member,
  donor: Parameters<typeof recordProblem>[1],
): ShopRecord | RefusedRecord {
  try {
    const record = { ...checkRecord(sent), by: member.name };
    const message =
      record.kind === 'gate-signed' && !mayWrite(member.role)
        ? 'Only an owner or a fabricator can sign a hold point.'
        : record.kind === 'sheet-issued'
          ? 'A sheet gets its number when it is printed.'
          : recordProblem(record, donor);
    return message === null ? record : { id: record.id, message };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const [first] = error.problems;
    return { id: idIn(sent), message: first ? `${first.path} ${first.message}` : error.message };
  }
}

const same = (a: ShopRecord | undefined, b: ShopRecord): boolean =>
  a !== undefined && a.kind === b.kind && JSON.stringify(a.body) === JSON.stringify(b.body);

/**
 * Adds records, each for itself: one that is refused holds up no other. Those that are there already are left alone,
 * and one that has another's id is refused. Other devices hear of what was added. @throws NotFound, Forbidden
 */
export function addRecords(member: Member, id: string, sent: readonly unknown[]): Promise<AddedRecords> {
  mustRecord(member);
  return withShop(member.shopId, async (tx) => {
    const { job } = await headOf(tx, id);
    const all = sent.map((record) => checked(record, member, job.donor));
    const good = all.filter((record) => 'kind' in record);
    const added =
      good.length === 0
        ? []
        : await insertRecords(tx, { shopId: member.shopId, jobId: id, userId: member.userId }, JSON.stringify(good));
    const isNew = new Set(added);
    // Those that were sent before are as they were stored then.
    const before = good.flatMap((record) => (isNew.has(record.id) ? [] : [record.id]));
    const stored = [
      ...good.filter((record) => isNew.delete(record.id)),
      ...(before.length === 0 ? [] : (await storedAs(tx, id, before)).map(recordOf)),
    ];
    const byId = new Map(stored.map((record) => [record.id, record]));
    const taken = good.flatMap((record): RefusedRecord[] =>
      same(byId.get(record.id), record)
        ? []
        : [
            {
              id: record.id,
              message: 'Another record has this id already: save it again.',
              ...(byId.has(record.id) ? { theirs: byId.get(record.id) as ShopRecord } : {}),
            },
          ],
    );
    if (added.length > 0)
      await Promise.all([tellRecords(tx, id, added), takeRoom(tx, member.shopId, JSON.stringify(good).length)]);
    const refusedIds = new Set(taken.map((record) => record.id));
    return {
      records: inOrderOfTime(stored.filter((record) => !refusedIds.has(record.id))),
      refused: [...all.filter((record) => 'message' in record), ...taken],
    };
  });
}
