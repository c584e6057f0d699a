import { evaluateProps, type PropResult } from '../plan/index.ts';
import type { Job } from './job.ts';

const known = new WeakMap<Job, PropResult>();

/**
 * How a job's frame is held at each cut; remembered for the job as long as it is the same object.
 *
 * @param job The job; validated.
 */
export function propsOf(job: Job): PropResult {
  const found = known.get(job) ?? evaluateProps(job);
  known.set(job, found);
  return found;
}
