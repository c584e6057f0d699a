import { checkReading, InputError, type Reading, readingProblem } from '@splay/core';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../db/database.ts';
import { jobs, readings } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { mustWrite, NotFound } from './errors.ts';
import { headOf } from './jobs.ts';

/** The readings of a job in order of time. @throws NotFound */
export function listReadings(member: Member, id: string): Promise<Reading[]> {
  return withShop(member.shopId, (tx) => readingsOf(tx, id));
}

/** @throws NotFound */
export async function readingsOf(tx: Transaction, id: string): Promise<Reading[]> {
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

/** A reading that was not stored, and why. */
export interface RefusedReading {
  readonly id: string;
  readonly message: string;
}

/** What became of readings that were sent: all that the job has now, and those that were refused. */
export interface AddedReadings {
  readonly readings: Reading[];
  readonly refused: RefusedReading[];
}

const idIn = (sent: unknown): string =>
  typeof sent === 'object' && sent !== null && 'id' in sent && typeof sent.id === 'string' ? sent.id.slice(0, 120) : '';

/** A reading as it may be stored, by whoever is signed in, or why it may not. */
function checked(
  sent: unknown,
  member: Member,
  kinds: ReadonlyMap<string, 'tape' | 'height'>,
): Reading | RefusedReading {
  try {
    const reading = { ...checkReading(sent), by: member.name };
    const message = readingProblem(kinds.get(reading.measurement), reading.value);
    return message === null ? reading : { id: reading.id, message };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const [first] = error.problems;
    return { id: idIn(sent), message: first ? `${first.path} ${first.message}` : error.message };
  }
}

/**
 * Adds readings, each for itself: one that is refused holds up no other. Those that are there already are left alone,
 * and one that has another's id is refused. @throws NotFound, Forbidden
 */
export function addReadings(member: Member, id: string, sent: readonly unknown[]): Promise<AddedReadings> {
  mustWrite(member);
  return withShop(member.shopId, async (tx) => {
    const { job } = await headOf(tx, id);
    const kinds = new Map(job.donor.controlMeasurements.map((measurement) => [measurement.id, measurement.kind]));
    const all = sent.map((reading) => checked(reading, member, kinds));
    const good = all.filter((reading) => 'value' in reading);
    if (good.length > 0)
      await tx
        .insert(readings)
        .values(good.map(({ by, ...rest }) => ({ ...rest, takenBy: by, shopId: member.shopId, jobId: id })))
        .onConflictDoNothing();
    const stored = await readingsOf(tx, id);
    const byId = new Map(stored.map((reading) => [reading.id, reading]));
    const taken = good.flatMap((reading): RefusedReading[] =>
      byId.get(reading.id)?.value === reading.value && byId.get(reading.id)?.measurement === reading.measurement
        ? []
        : [{ id: reading.id, message: 'Another reading has this id already: take it again.' }],
    );
    return { readings: stored, refused: [...all.filter((reading) => 'message' in reading), ...taken] };
  });
}
