import { InputError, JOB_FORMAT, jobFileOf, writeJobFile } from '@splay/core';
import { and, eq } from 'drizzle-orm';
import { jobRevisions, jobs } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { inThread } from '../threads/pool.ts';
import { attachmentsOf, picturesIn } from './attachments.ts';
import { mustWrite, NotFound } from './errors.ts';
import { headOf, type JobHead, newJob } from './jobs.ts';
import { recordsOf } from './records.ts';

/**
 * Stores a job file as a new job; under a key that came before it is the job that was made then.
 *
 * @throws InputError for a file that is not right, Forbidden
 */
export async function importJob(
  member: Member,
  file: Uint8Array | string,
  key: string | null = null,
): Promise<JobHead> {
  mustWrite(member);
  const bytes = typeof file === 'string' ? new TextEncoder().encode(file) : file;
  const { job, records, pictures } = await inThread('readJobFile', bytes);
  return newJob(member, { job, label: 'Imported', records, pictures, key });
}

/** A job as a file. */
interface ExportedJob {
  readonly name: string;
  readonly text: string;
  /** Hashes of the pictures that its records refer to. */
  readonly pictures: readonly string[];
}

/**
 * The job file of a job's newest revision; one that this program cannot read is given as it is stored.
 *
 * @param pictures Whether they are in the file, or travel beside it.
 * @throws NotFound
 */
export async function exportJob(member: Member, id: string, pictures: 'inside' | 'beside'): Promise<ExportedJob> {
  return withShop(member.shopId, async (tx) => {
    const taken = await recordsOf(tx, id);
    const attached = pictures === 'inside' ? await attachmentsOf(tx, taken) : [];
    const hashes = picturesIn(taken);
    try {
      const { job } = await headOf(tx, id);
      return { name: job.name, text: writeJobFile(jobFileOf(job, taken, attached)), pictures: hashes };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      const [row] = await tx
        .select({ name: jobs.name, document: jobRevisions.document, version: jobRevisions.version })
        .from(jobs)
        .innerJoin(jobRevisions, and(eq(jobRevisions.jobId, jobs.id), eq(jobRevisions.number, jobs.head)))
        .where(eq(jobs.id, id));
      if (!row) throw new NotFound();
      const file = {
        format: JOB_FORMAT,
        version: row.version,
        job: row.document,
        records: taken,
        attachments: attached,
      };
      return { name: row.name, text: `${JSON.stringify(file, null, 2)}\n`, pictures: hashes };
    }
  });
}
