import type { Job } from '@splay/core';
import { LRUCache } from 'lru-cache';

/**
 * Jobs of the last tasks by their text: few, because each keeps the evaluation of its plan, and none with large pictures,
 * because a thread's memory is limited.
 */
const jobs = new LRUCache<string, Job>({
  max: 4,
  maxSize: 2_000_000,
  sizeCalculation: (_job, text) => text.length,
});
/** Donors of the last tasks by their text. */
const donors = new LRUCache<string, Job['donor']>({ max: 8 });

/**
 * The object that an earlier task used for the same job. Results are memoized by identity, and a task receives its job as
 * a copy: without this, a sheet printed on other paper, or one rail of it, evaluates the whole plan again. A job that
 * changed since keeps its donor object where the donor is the same, because a plan changes a hundred times on one donor.
 *
 * @param job As it arrived; treated as read-only from now on.
 */
export function sharedJob(job: Job): Job {
  const text = JSON.stringify(job);
  const known = jobs.get(text);
  if (known) return known;
  const donorText = JSON.stringify(job.donor);
  const donor = donors.get(donorText) ?? job.donor;
  donors.set(donorText, donor);
  const shared = { ...job, donor };
  jobs.set(text, shared);
  return shared;
}
