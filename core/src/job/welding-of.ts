import { evaluateWelding, type PlanResult, type WeldingResult } from '../plan/index.ts';
import type { Job } from './job.ts';

const known = new WeakMap<PlanResult, WeldingResult>();

/**
 * What is welded on a job's frame, step by step; remembered as long as the plan's result is the same object.
 *
 * @param job The job; validated.
 * @param plan What its plan gives.
 */
export function weldingOf(job: Job, plan: PlanResult): WeldingResult {
  const found = known.get(plan) ?? evaluateWelding(job, plan);
  known.set(plan, found);
  return found;
}
