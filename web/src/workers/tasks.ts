import {
  contextOf,
  evaluatePlan,
  type FinderGoal,
  type FinderResult,
  type Job,
  type LaidStitch,
  parseJobFile,
  type Plan,
  type PlanInput,
  type PlanSummary,
  type RunToTime,
  summaryOf,
  whereToCut,
} from '@splay/core';
import { steelAt, type SteelNow, type TimedWelding, timedWelding } from './weld-tasks.ts';
import type { SolidFinding } from '@splay/core/solids';

/** How far a task has come: from 0 to 1. */
export type Progress = (share: number) => void;

/** Told so often at most, ms: each time is a message to the page, and drawn there. */
const OFTEN = 60;

/** Tells how far a task has come, but not every time that it is a little farther. */
function nowAndThen(onProgress: Progress): Progress {
  let last = -Infinity;
  return (share) => {
    const now = performance.now();
    if (share < 1 && now - last < OFTEN) return;
    last = now;
    onProgress(share);
  };
}

/** What a worker can be asked for: plain calls of core on plain data, the last argument telling how far it has come. */
export const TASKS = {
  /** A job file from its text, checked. */
  checkJobFile: (text: string) => parseJobFile(text),

  /** What each of some plans makes of a job's donor, in short. */
  summarise: (job: Job, plans: readonly Plan[], onProgress: Progress): readonly PlanSummary[] =>
    plans.map((plan, index) => {
      onProgress(index / plans.length);
      return summaryOf(evaluatePlan({ ...job, plan }));
    }),

  /** Where to cut. */
  whereToCut: (job: PlanInput, ask: FinderGoal, onProgress: Progress): FinderResult =>
    whereToCut(job, ask, nowAndThen(onProgress)),

  /** The times of the welding, and how warm the steel is along its seams after each stitch. */
  timeWelding: (task: RunToTime, onProgress: Progress): TimedWelding => timedWelding(task, nowAndThen(onProgress)),

  /** How warm the steel is now, and when each joint's next stitch may start. */
  steelNow: (task: RunToTime, laid: readonly LaidStitch[]): SteelNow => steelAt(task, laid),

  /** Checks the frame in 3D; loads the kernel on first use. */
  checkSolids: async (job: PlanInput, onProgress: Progress): Promise<readonly SolidFinding[]> => {
    const { checkSolids, loadKernel } = await import('@splay/core/solids');
    const found = checkSolids(await loadKernel(), job, contextOf(job).show);
    onProgress(1);
    return found;
  },
} as const;

type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;

/** The arguments of a task without its progress, and what it gives. */
export type TaskInput<K extends TaskName> =
  Parameters<Tasks[K]> extends [...infer Given, Progress] ? Given : Parameters<Tasks[K]>;
export type TaskResult<K extends TaskName> = Awaited<ReturnType<Tasks[K]>>;
