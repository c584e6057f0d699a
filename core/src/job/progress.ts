import { BODY_CODES, MOUNT_CODES, type PlanResult } from '../plan/index.ts';
import { judgedReadings, type Reading, type Stage, STAGES } from '../survey/index.ts';
import { BENCH_IDS, type BenchId } from './benches.ts';
import { type Gate, isOpen, isPassed } from './gates.ts';
import type { Job } from './job.ts';
import { stageCount } from './stage-count.ts';

/**
 * The stage a shop is at: the last one begun, or the next where all its readings are right.
 *
 * @param job The job; validated.
 * @param plan What the plan gives.
 * @param readings Readings, in any order.
 */
export function stageAtHand(job: Job, plan: PlanResult, readings: readonly Reading[]): Stage {
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

/**
 * The benches whose work stands: said so by the shop (donor), or proven by the checks of the hold points.
 *
 * @param job The job; validated.
 * @param plan What the plan gives.
 * @param gates The hold points, in order.
 */
export function benchesDone(job: Job, plan: PlanResult, gates: readonly Gate[]): readonly string[] {
  const gate = (id: Gate['id']) => gates.find((candidate) => candidate.id === id);
  const [cutting, welding] = [gate('before-cutting'), gate('before-welding-out')];
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
    props:
      job.plan.propping.props.length > 0 &&
      (cutting?.checks.every((check) => check.bench !== 'props' || !isOpen(check)) ?? false),
    'true-up': welding !== undefined && isPassed(welding),
    mounts:
      plan.mountings.length > 0 &&
      plan.mountings.every(({ decided }) => decided) &&
      !plan.conflicts.some(({ code, severity }) => severity !== 'note' && MOUNT_CODES.has(code)),
  };
  return [...new Set([...job.done, ...BENCH_IDS.filter((id) => proven[id])])];
}

/**
 * The next thing to do on a job, in a few words, with the bench where it is done.
 *
 * @param job The job; validated.
 * @param gates The hold points, in order.
 */
export function nextStep(job: Job, gates: readonly Gate[]): { readonly text: string; readonly bench: BenchId } {
  if (!job.done.includes('donor')) return { text: 'Finish measuring the donor', bench: 'donor' };
  const check = gates.find((gate) => !isPassed(gate))?.checks.find(isOpen);
  if (check) return { text: `${check.name}: ${check.detail}`, bench: check.bench };
  return { text: 'Weld out, then read every measurement again', bench: 'true-up' };
}
