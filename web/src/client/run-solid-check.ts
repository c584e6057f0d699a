import type { Acceptance, Conflict, Job } from '@splay/core';
import { solidConflict, type SolidFinding } from '@splay/core/solids';
import { inWorker, WorkerStopped } from '../workers/in-worker.ts';
import { keptThread } from '../workers/kept-thread.ts';

/** The check of a job in 3D. */
export interface Checked {
  readonly found: readonly SolidFinding[];
  /** The job it was of; null before the first one. */
  readonly of: Job | null;
  /** Why there is none; empty where there is. */
  readonly problem: string;
  /** A finding as a conflict, with what somebody decided of it: comes with the check, which is loaded when it runs. */
  readonly conflictOf: (finding: SolidFinding, accepted: readonly Acceptance[]) => Conflict | null;
}

const conflictOf = solidConflict;

/**
 * Checks a job in a worker.
 *
 * @param job The job as it is now.
 * @param take Takes up what came of it.
 * @returns Breaks it off; null where this browser has no workers.
 */
export function runSolidCheck(job: Job, take: (checked: Checked) => void): (() => void) | null {
  const { donor, bodies, plan, rules, display } = job;
  const failed = (problem: string) => take({ found: [], of: job, problem, conflictOf });
  let finished = false;
  try {
    const task = inWorker('checkSolids', [{ donor, bodies, plan, rules, display }], {
      onProgress: (share) => {
        finished = share >= 1;
      },
      start: () => keptThread(() => finished),
    });
    task.done.then(
      (found) => take({ found, of: job, problem: '', conflictOf }),
      (reason: unknown) => {
        if (reason instanceof WorkerStopped && reason.code === 'worker/cancelled') return;
        failed(reason instanceof Error ? reason.message : String(reason));
      },
    );
    return task.cancel;
  } catch {
    failed('This browser has no workers, and nothing can be checked in it.');
    return null;
  }
}
