import type { PlanResult } from '../plan/index.ts';
import { judgedReadings, type Reading, type Stage, STAGES } from '../survey/index.ts';
import type { Job } from './job.ts';
import { stageCount } from './stage-count.ts';

/**
 * The stage a shop is at: the last one begun, or the next where all its readings are right.
 *
 * @param job The job; validated.
 * @param plan What the plan gives.
 * @param readings Readings, in any order.
 */
export function selectedStage(job: Job, plan: PlanResult, readings: readonly Reading[]): Stage {
  const begun = STAGES.findLastIndex((stage) => readings.some((reading) => reading.stage === stage));
  const open = STAGES.slice(Math.max(0, begun)).find((stage) => {
    const count = stageCount(job, plan, readings, stage);
    return count.right < count.total;
  });
  return open ?? 'welded';
}

/**
 * The reading farthest from its target, of the last stage that was read at; null before any was taken.
 *
 * @param job The job; validated.
 * @param plan What the plan gives.
 * @param readings Readings, in any order.
 */
export function worstReading(job: Job, plan: PlanResult, readings: readonly Reading[]) {
  const stage = STAGES.findLast((candidate) => readings.some((reading) => reading.stage === candidate));
  if (!stage) return null;
  const judged = judgedReadings(plan.controls, readings, stage, job.rules, job.display);
  return judged.toSorted((a, b) => Math.abs(b.off) - Math.abs(a.off))[0] ?? null;
}
