import { BODY_CODES, MOUNT_CODES, type PlanResult } from '../plan/index.ts';
import type { ShopRecord } from '../records/index.ts';
import type { Reading } from '../survey/index.ts';
import { BENCH_IDS, type BenchId } from './benches.ts';
import { evaluateJob, type JobResult } from './evaluate-job.ts';
import { type HoldPoint, holdPointsOf, isOpen, isPassed } from './hold-points.ts';
import type { Job } from './job.ts';
import { stageCount } from './stage-count.ts';

/** How far the work on a job has come. */
export interface JobProgress {
  readonly holdPoints: readonly HoldPoint[];
  /** Benches whose work stands. */
  readonly done: readonly string[];
  readonly next: { readonly text: string; readonly bench: BenchId };
}

const known = new WeakMap<JobResult, JobProgress>();

/**
 * How far the work on a job has come: its hold points, the benches whose work stands, and what is next. Apart from what the
 * plan gives, because a picture of it does not ask; remembered for the result as long as it is the same object.
 *
 * @param job The job; validated.
 * @param records Its records, in any order.
 */
export function progressOf(job: Job, records: readonly ShopRecord[]): JobProgress {
  const whole = evaluateJob(job, records);
  const before = known.get(whole);
  if (before) return before;
  const { plan, readings } = whole;
  const holdPoints = holdPointsOf({ job, records, plan, readings });
  const progress = { holdPoints, done: benchesDone(job, readings, plan, holdPoints), next: nextStep(job, holdPoints) };
  known.set(whole, progress);
  return progress;
}

/**
 * The benches whose work stands: said so by the shop (donor), or proven by the checks of the hold points.
 *
 * @param job The job; validated.
 * @param readings The readings that stand.
 * @param plan What the plan gives.
 * @param holdPoints The hold points, in order.
 */
function benchesDone(
  job: Job,
  readings: readonly Reading[],
  plan: PlanResult,
  holdPoints: readonly HoldPoint[],
): readonly string[] {
  const holdPoint = (id: HoldPoint['id']) => holdPoints.find((candidate) => candidate.id === id);
  const [cutting, welding] = [holdPoint('before-cutting'), holdPoint('before-welding-out')];
  const planned = cutting?.checks.every((check) => check.bench !== 'cuts' || !isOpen(check)) ?? false;
  const proven: Readonly<Record<BenchId, boolean>> = {
    donor: false,
    body: job.bodies.length > 0 && job.bodies.every(({ openings, mounts }) => openings.length > 0 && mounts.length > 0),
    match:
      plan.seats.length > 0 &&
      plan.seats.every(({ mounts }) => mounts.length > 0) &&
      !plan.conflicts.some(({ code, severity }) => severity !== 'note' && BODY_CODES.has(code)),
    where: plan.joints.length > 0,
    cuts: planned,
    splice: cutting?.checks.some((check) => check.bench === 'splice' && !isOpen(check)) ?? false,
    marks: cutting !== undefined && isPassed(cutting),
    stands:
      job.plan.shoring.shores.length > 0 &&
      (cutting?.checks.every((check) => check.bench !== 'stands' || !isOpen(check)) ?? false),
    'true-up': welding !== undefined && isPassed(welding),
    weld: isReadWelded(job, plan, readings),
    mounts:
      plan.mountings.length > 0 &&
      plan.mountings.every(({ decided }) => decided) &&
      !plan.conflicts.some(({ code, severity }) => severity !== 'note' && MOUNT_CODES.has(code)),
  };
  return [...new Set([...job.done, ...BENCH_IDS.filter((id) => proven[id])])];
}

/** Whether everything was read once more when it was fully welded. */
function isReadWelded(job: Job, plan: PlanResult, readings: readonly Reading[]): boolean {
  const { total, missing } = stageCount(job, plan, readings, 'welded');
  return total > 0 && missing === 0;
}

/**
 * The next thing to do on a job, in a few words, with the bench where it is done.
 *
 * @param job The job; validated.
 * @param holdPoints The hold points, in order.
 */
function nextStep(job: Job, holdPoints: readonly HoldPoint[]): JobProgress['next'] {
  if (!job.done.includes('donor')) return { text: 'Finish measuring the donor', bench: 'donor' };
  const check = holdPoints.find((holdPoint) => !isPassed(holdPoint))?.checks.find(isOpen);
  if (check) return { text: `${check.name}: ${check.detail}`, bench: check.bench };
  return { text: 'Final weld, then read every measurement again', bench: 'weld' };
}
