import type { PlanResult } from '../plan/index.ts';
import { judgedReadings, type Reading, type Stage } from '../survey/index.ts';
import type { Job } from './job.ts';

/** How the readings of a stage stand. */
export interface StageCount {
  readonly right: number;
  readonly wrong: number;
  readonly missing: number;
  readonly total: number;
}

/**
 * How many of a job's control measurements were read at a stage, and how many of those are right.
 *
 * @param job The job; validated.
 * @param plan What the plan gives.
 * @param readings Readings, in any order.
 * @param stage When in the work readings are taken.
 */
export function stageCount(job: Job, plan: PlanResult, readings: readonly Reading[], stage: Stage): StageCount {
  const judged = judgedReadings(plan.controls, readings, stage, job.rules, job.display);
  const right = judged.filter(({ verdict }) => verdict === 'right').length;
  const total = plan.controls.length;
  return { right, missing: total - judged.length, wrong: judged.length - right, total };
}
