import type { LaidStitch, RunToTime } from '@splay/core';
import { inWorker, type Running, WorkerStopped } from '../workers/in-worker.ts';
import { keptThread } from '../workers/kept-thread.ts';
import type { Progress } from '../workers/tasks.ts';
import type { SteelNow, TimedWelding } from '../workers/weld-tasks.ts';

export type { SteelNow, TimedWelding };

/** What comes of a calculation beside the page: the value, or why there is none. */
type Take<T> = (came: { readonly value: T } | { readonly problem: string }) => void;

/** Follows a task until it is done; that it was canceled nobody needs to know. */
function follow<T>(begin: () => Running<T>, take: Take<T>): () => void {
  try {
    const task = begin();
    task.done.then(
      (value) => take({ value }),
      (reason: unknown) => {
        if (reason instanceof WorkerStopped && reason.code === 'worker/cancelled') return;
        take({ problem: reason instanceof Error ? reason.message : String(reason) });
      },
    );
    return task.cancel;
  } catch {
    take({ problem: 'This browser cannot calculate beside the page: times are not shown.' });
    return () => undefined;
  }
}

/**
 * Times a welding in a worker.
 *
 * @returns Cancels it.
 */
export const timeWelding = (task: RunToTime, onProgress: Progress, take: Take<TimedWelding>): (() => void) =>
  follow(() => inWorker('timeWelding', [task], { onProgress }), take);

/**
 * How warm the steel is now, in a worker that is kept for the next time.
 *
 * @returns Cancels it.
 */
export function askSteelNow(task: RunToTime, laid: readonly LaidStitch[], take: Take<SteelNow>): () => void {
  let finished = false;
  return follow(
    () => inWorker('steelNow', [task, laid], { start: () => keptThread(() => finished) }),
    (came) => {
      finished = true;
      take(came);
    },
  );
}
