import type { Acceptance, Conflict, Job } from '@splay/core';
import { solidConflict, type SolidFinding } from '@splay/core/solids';
import { inWorker, WorkerStopped } from '../workers/in-worker.ts';
import { keptThread } from '../workers/kept-thread.ts';

/** The result of a check in 3D. */
export interface Checked {
  readonly found: readonly SolidFinding[];
  /** The checked job; null before the first check. */
  readonly of: Job | null;
  /** Why the check failed; empty if it did not. */
  readonly problem: string;
  /** Converts a finding to a conflict; loaded with the check, not with the page. */
  readonly conflictOf: (finding: SolidFinding, accepted: readonly Acceptance[]) => Conflict | null;
}

const conflictOf = solidConflict;

/**
 * Checks a job in a worker.
 *
 * @param job The job as it is now.
 * @param take Receives the result.
 * @returns Cancels the check; null in a browser without workers.
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
    failed('This browser does not support workers.');
    return null;
  }
}
