import { acceptedText, type PlanResult } from '../plan/index.ts';
import { judgeReading, latestReadings, type Reading, type Stage } from '../survey/index.ts';
import type { Job } from './job.ts';

/** The steps of the work that have a bench, in order. */
export const BENCH_IDS = ['donor', 'cuts', 'marks', 'true-up'] as const;
export type BenchId = (typeof BENCH_IDS)[number];

/** One thing that a hold point asks for. */
export interface GateCheck {
  readonly name: string;
  readonly passed: boolean;
  /** What is still missing, or what proves it, with the number. */
  readonly detail: string;
  /** The bench that settles it. */
  readonly bench: BenchId;
}

/** A hold point: nothing past it until its checks pass. Passing it is not an approval. */
export interface Gate {
  readonly id: 'before-cutting' | 'before-welding-out';
  readonly name: string;
  readonly checks: readonly GateCheck[];
}

/** How the readings of a stage stand. */
export interface StageCount {
  readonly right: number;
  readonly wrong: number;
  readonly missing: number;
  readonly total: number;
}

export function stageCount(job: Job, result: PlanResult, readings: readonly Reading[], stage: Stage): StageCount {
  const latest = latestReadings(readings, stage);
  const verdicts = result.controls.map((control) => {
    const reading = latest.get(control.measurement.id);
    return reading ? judgeReading(control, reading, job.rules, job.display).verdict : undefined;
  });
  const right = verdicts.filter((verdict) => verdict === 'right').length;
  const missing = verdicts.filter((verdict) => verdict === undefined).length;
  return { right, missing, wrong: verdicts.length - right - missing, total: verdicts.length };
}

function readingsCheck(name: string, count: StageCount): GateCheck {
  const passed = count.total > 0 && count.right === count.total;
  const parts = [
    ...(count.missing > 0 ? [`${count.missing} of ${count.total} still to take`] : []),
    ...(count.wrong > 0 ? [`${count.wrong} not right`] : []),
  ];
  const detail =
    count.total === 0 ? 'no control measurements yet' : passed ? `all ${count.total} right` : parts.join(', ');
  return { name, passed, detail, bench: count.total === 0 ? 'donor' : 'true-up' };
}

/** The hold points of a job and how they stand. */
export function gatesOf(job: Job, result: PlanResult, readings: readonly Reading[]): Gate[] {
  const stops = result.conflicts.filter((conflict) => conflict.severity === 'stop');
  const warnings = result.conflicts.filter((conflict) => conflict.severity === 'warn');
  const accepted = result.conflicts.flatMap((conflict) => conflict.accepted ?? []);
  const done = result.operations.filter((outcome) => outcome.status === 'done');
  return [
    {
      id: 'before-cutting',
      name: 'Before cutting',
      checks: [
        {
          name: 'A plan to cut by',
          passed: done.length > 0,
          detail:
            done.length > 0 ? `${done.length} ${done.length === 1 ? 'operation' : 'operations'}` : 'no operation yet',
          bench: 'cuts',
        },
        {
          name:
            stops.length === 0
              ? 'Nothing stops the plan'
              : `${stops.length} ${stops.length === 1 ? 'thing stops' : 'things stop'} this plan`,
          passed: stops.length === 0,
          detail: stops[0]?.message ?? 'clear',
          bench: 'cuts',
        },
        {
          name:
            warnings.length === 0
              ? 'Everything decided'
              : `${warnings.length} ${warnings.length === 1 ? 'thing' : 'things'} to decide`,
          passed: warnings.length === 0,
          detail:
            warnings.length > 0
              ? (warnings[0]?.message ?? '')
              : accepted.length > 0
                ? accepted.map((conflict) => acceptedText(conflict)).join('; ')
                : 'nothing to decide',
          bench: 'cuts',
        },
        readingsCheck('Readings before the cut', stageCount(job, result, readings, 'before-cut')),
      ],
    },
    {
      id: 'before-welding-out',
      name: 'Before welding out',
      checks: [readingsCheck('Readings after tacking', stageCount(job, result, readings, 'tacked'))],
    },
  ];
}

export const isPassed = (gate: Gate): boolean => gate.checks.every((check) => check.passed);

/** The next thing to do on a job, in a few words, with the bench where it is done. */
export function nextStep(
  job: Job,
  result: PlanResult,
  readings: readonly Reading[],
): { readonly text: string; readonly bench: GateCheck['bench'] } {
  if (!job.done.includes('donor')) return { text: 'Finish measuring the donor', bench: 'donor' };
  const gate = gatesOf(job, result, readings).find((candidate) => !isPassed(candidate));
  const check = gate?.checks.find((candidate) => !candidate.passed);
  if (gate && check) return { text: `${check.name}: ${check.detail}`, bench: check.bench };
  return { text: 'Weld out, then read every measurement again', bench: 'true-up' };
}
