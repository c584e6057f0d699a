import { lazy } from '../lazy.ts';
import { type Conflict, evaluatePlan, type PlanResult } from '../plan/index.ts';
import { readingsIn, type ShopRecord } from '../records/index.ts';
import type { Reading, Stage } from '../survey/index.ts';
import type { Job } from './job.ts';
import { selectedStage, worstReading } from './current-readings.ts';

/**
 * Everything that a job's plan and readings say: what board, tables and sheets show; worked out when it is asked for. How far
 * the work has come is `progressOf`.
 */
export interface JobResult {
  readonly plan: PlanResult;
  /** Of the plan, and of everything that rests on it; worst first. */
  readonly conflicts: readonly Conflict[];
  readonly records: readonly ShopRecord[];
  /** The readings that stand. */
  readonly readings: readonly Reading[];
  readonly stage: Stage;
  readonly worstReading: ReturnType<typeof worstReading>;
}

/** What was evaluated last, by the identity of what went in: a drag evaluates only what it changed. */
const plans = new WeakMap<Job, PlanResult>();
const results = new WeakMap<PlanResult, { readonly records: readonly ShopRecord[]; readonly result: JobResult }>();

/**
 * What a job's plan makes of its donor; remembered for the job as long as it is the same object, so that whoever asks
 * while a cut is dragged does not evaluate again what the picture has already.
 *
 * @param job The job; validated.
 */
export function planOf(job: Job): PlanResult {
  const known = plans.get(job);
  if (known) return known;
  const result = evaluatePlan(job);
  plans.set(job, result);
  return result;
}

/**
 * Everything about a job with its records. Pure and total for a job that `checkJob` let through; the same object for
 * the same job and records.
 *
 * @param job The job; validated.
 * @param records Records of the job, in any order.
 */
export function evaluateJob(job: Job, records: readonly ShopRecord[]): JobResult {
  const plan = planOf(job);
  const known = results.get(plan);
  if (known?.records === records) return known.result;
  const readings = readingsIn(records);
  const worst = lazy(() => worstReading(job, plan, readings));
  const result: JobResult = {
    plan,
    get conflicts() {
      return plan.conflicts;
    },
    records,
    readings,
    get stage() {
      return selectedStage(job, plan, readings);
    },
    get worstReading() {
      return worst();
    },
  };
  results.set(plan, { records, result });
  return result;
}
