import { once } from '../once.ts';
import { type Conflict, evaluatePlan, type PlanResult } from '../plan/index.ts';
import { readingsIn, type ShopRecord } from '../records/index.ts';
import type { Reading, Stage } from '../survey/index.ts';
import { type Gate, gatesOf } from './gates.ts';
import type { Job } from './job.ts';
import { benchesDone, nextStep, stageAtHand, worstReading } from './progress.ts';

/** Everything there is to know of a job: what board, tables, sheets and hold points show; worked out when it is asked for. */
export interface JobResult {
  readonly plan: PlanResult;
  /** Of the plan, and of everything that rests on it; worst first. */
  readonly conflicts: readonly Conflict[];
  readonly gates: readonly Gate[];
  /** The readings that stand. */
  readonly readings: readonly Reading[];
  readonly stage: Stage;
  readonly worstReading: ReturnType<typeof worstReading>;
  /** Benches whose work stands. */
  readonly done: readonly string[];
  readonly next: ReturnType<typeof nextStep>;
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
  const gates = once(() => gatesOf({ job, records, plan, readings }));
  const worst = once(() => worstReading(job, plan, readings));
  const done = once(() => benchesDone(job, plan, gates()));
  const result: JobResult = {
    plan,
    get conflicts() {
      return plan.conflicts;
    },
    get gates() {
      return gates();
    },
    readings,
    get stage() {
      return stageAtHand(job, plan, readings);
    },
    get worstReading() {
      return worst();
    },
    get done() {
      return done();
    },
    get next() {
      return nextStep(job, gates());
    },
  };
  results.set(plan, { records, result });
  return result;
}
