import type { Job } from '@splay/core';
import { solidConflict } from '@splay/core/solids';
import { inWorker, WorkerStopped } from '../workers/in-worker.ts';
import { keptThread } from '../workers/kept-thread.ts';
import type { JobStore } from './job-store.ts';
import { takeCheck } from './solid-check.ts';

const conflictOf = solidConflict;

/**
 * Checks a job in a worker and takes up what is found.
 *
 * @param store The open job.
 * @param job The job as it is now.
 * @returns Breaks it off; null where this browser has no workers.
 */
export function runSolidCheck(store: JobStore, job: Job): (() => void) | null {
  const { donor, bodies, plan, rules, display } = job;
  const failed = (problem: string) => takeCheck(store, { found: [], of: job, problem, conflictOf });
  let finished = false;
  try {
    const task = inWorker('checkSolids', [{ donor, bodies, plan, rules, display }], {
      onProgress: (share) => {
        finished = share >= 1;
      },
      start: () => keptThread(() => finished),
    });
    task.done.then(
      (found) => takeCheck(store, { found, of: job, problem: '', conflictOf }),
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
