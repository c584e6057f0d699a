import { evaluateShoring, type ShoringResult } from '../plan/index.ts';
import type { Job } from './job.ts';

const known = new WeakMap<Job, ShoringResult>();

/**
 * How a job's frame is held at each cut; remembered for the job as long as it is the same object.
 *
 * @param job The job; validated.
 */
export function shoringOf(job: Job): ShoringResult {
  const found = known.get(job) ?? evaluateShoring(job);
  known.set(job, found);
  return found;
}
