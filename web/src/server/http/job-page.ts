import type { Member } from '../db/shop.ts';
import { NotFound } from '../services/errors.ts';
import { readJob } from '../services/jobs.ts';
import { isUuid } from './endpoint.ts';

/** What a page needs of the job that it names, or null when this shop has none of that id. */
export async function ofPage<T>(
  read: (member: Member, id: string) => Promise<T>,
  member: Member | null,
  id: string | undefined,
): Promise<T | null> {
  if (!member || !isUuid(id ?? '')) return null;
  try {
    return await read(member, id ?? '');
  } catch (error) {
    if (error instanceof NotFound) return null;
    throw error;
  }
}

/** The job that a page names, or null when this shop has none of that id. */
export const jobOfPage = (member: Member | null, id: string | undefined) => ofPage(readJob, member, id);
