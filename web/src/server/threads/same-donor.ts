import type { Job } from '@splay/core';
import { LRUCache } from 'lru-cache';

/** Donors of the last tasks by their text. */
const donors = new LRUCache<string, Job['donor']>({ max: 8 });

/**
 * A job that came as data, on the same donor object as an earlier one with equal data: what is derived of a donor is kept
 * by the object, and a job's plan changes a hundred times on one donor.
 */
export function onSameDonor(job: Job): Job {
  const text = JSON.stringify(job.donor);
  const donor = donors.get(text) ?? job.donor;
  donors.set(text, donor);
  return { ...job, donor };
}
