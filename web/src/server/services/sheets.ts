import { randomUUID } from 'node:crypto';
import { newRecord, type ShopRecord } from '@splay/core';
import { and, eq } from 'drizzle-orm';
import type { IssuedSheet } from '../../shared/issued-sheet.ts';
import { jobs, records } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { tellRecords } from '../live.ts';
import { inThread } from '../threads/pool.ts';
import { Busy, mustRecord, NotFound } from './errors.ts';
import { readJob } from './jobs.ts';
import { addRevision, textOf } from './revisions.ts';
import { insertRecords, shownRecord } from './record-rows.ts';

type SheetRecord = ShopRecord<'sheet-issued'>;

/** Sheets of a job that were printed, the first one first. @throws NotFound */
export const issuedSheets = (member: Member, id: string): Promise<readonly SheetRecord[]> =>
  withShop(member.shopId, async (tx) => {
    const rows = await tx
      .select()
      .from(records)
      .where(and(eq(records.jobId, id), eq(records.kind, 'sheet-issued')));
    return rows.map((row) => shownRecord(row) as SheetRecord).sort((a, b) => a.body.number - b.body.number);
  });

/** A sheet by its id. @throws NotFound */
export async function issuedSheet(member: Member, id: string, sheet: string): Promise<SheetRecord> {
  const found = (await issuedSheets(member, id)).find((each) => each.id === sheet);
  if (!found) throw new NotFound();
  return found;
}

/** How often it is tried where others save meanwhile. */
const TRIES = 4;

/**
 * The sheet of a job's newest revision: the one that it has, or a new one with the next number. From then on its letters stay: a
 * plan whose letters are not kept yet gets a revision that keeps them.
 *
 * @throws NotFound, Forbidden, Busy
 */
export async function issueMarks(member: Member, id: string): Promise<IssuedSheet> {
  mustRecord(member);
  for (let tried = 0; tried < TRIES; tried += 1) {
    const head = await readJob(member, id);
    const { lines, withLetters } = await inThread('marksToIssue', head.job);
    const known = await issuedSheets(member, id);
    const issued = await withShop(member.shopId, async (tx): Promise<IssuedSheet | null> => {
      const [row] = await tx.select({ head: jobs.head }).from(jobs).where(eq(jobs.id, id)).for('update');
      if (!row) throw new NotFound();
      // Somebody saved meanwhile: the sheet would be of an older plan than it says.
      if (row.head !== head.revision) return null;
      const same = known.findLast(({ body }) => body.revision === head.revision);
      if (same) return { sheet: same.id, number: same.body.number, revision: head.revision };
      const number = (known.at(-1)?.body.number ?? 0) + 1;
      // Whoever prints: what is on paper stays.
      const revision = withLetters
        ? (
            await addRevision(
              tx,
              member,
              id,
              head.revision + 1,
              `Letters kept for sheet ${number}`,
              textOf(withLetters),
            )
          ).revision
        : head.revision;
      const record = newRecord(
        'sheet-issued',
        { number, revision, lines },
        {
          id: `sheet-${randomUUID().slice(0, 13)}`,
          taken: new Date().toISOString(),
          by: member.name,
        },
      );
      const whose = { shopId: member.shopId, jobId: id, userId: member.userId };
      await insertRecords(tx, whose, JSON.stringify([record]));
      await tellRecords(tx, id, [record.id]);
      return { sheet: record.id, number, revision };
    });
    if (issued) return issued;
  }
  throw new Busy();
}
