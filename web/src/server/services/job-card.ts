import { evaluateJob, isPassed, type Job, type JobResult, type PlanResult } from '@splay/core';
import type { Member } from '../db/shop.ts';
import { logError } from '../log.ts';
import type { ListedJob } from './jobs.ts';
import { listRecords } from './records.ts';

/** What the list says of a job. */
export interface JobCard {
  readonly job: Job;
  readonly result: PlanResult;
  readonly next: JobResult['next'];
  readonly wheelbase: { readonly before: number | null; readonly after: number | null };
  /** How far it has come, in order. */
  readonly steps: readonly { readonly name: string; readonly passed: boolean }[];
}

const STEPS = ['donor measured', 'cuts planned', 'ready to cut', 'ready to weld out'];

/**
 * What the list says of a job, or null where this program cannot read or evaluate what is stored: each job on the list
 * stands alone, and one that is broken takes none of the others along.
 */
export async function cardOf(member: Member, { id, job }: ListedJob): Promise<JobCard | null> {
  if (!job) return null;
  try {
    const { plan, gates, next } = evaluateJob(job, await listRecords(member, id));
    const passed = [job.done.includes('donor'), job.plan.operations.length > 0, ...gates.map(isPassed)];
    const { before, after } = plan.measures;
    return {
      job,
      result: plan,
      next,
      wheelbase: { before: before.wheelbase, after: after.wheelbase },
      steps: STEPS.map((name, index) => ({ name, passed: passed[index] ?? false })),
    };
  } catch (error) {
    logError(error, 'job card');
    return null;
  }
}
