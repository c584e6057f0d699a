import { isUuid } from './endpoint.ts';
import type { Member } from '../db/shop.ts';
import { NotFound } from '../services/errors.ts';
import { type JobHead, readJob } from '../services/jobs.ts';

/** The job that a page names, or null when this shop has none of that id. */
export async function jobOfPage(member: Member | null, id: string | undefined): Promise<JobHead | null> {
  if (!member || !isUuid(id ?? '')) return null;
  try {
    return await readJob(member, id ?? '');
  } catch (error) {
    if (error instanceof NotFound) return null;
    throw error;
  }
}
