import { browserThread, type Thread } from './in-worker.ts';

/** How long an idle worker is kept for the next task, ms: a warm worker is faster. */
const IDLE = 60_000;
let kept: { readonly thread: Thread; readonly until: number } | null = null;

/**
 * A thread for a task: the kept one if there is one.
 *
 * @param finished Whether the task finished; the thread of a canceled task is ended.
 */
export function keptThread(finished: () => boolean): Thread {
  const thread = kept?.thread ?? browserThread();
  if (kept) window.clearTimeout(kept.until);
  kept = null;
  const keep = () => {
    const until = window.setTimeout(() => {
      kept = null;
      thread.end();
    }, IDLE);
    kept = { thread, until };
  };
  return { ...thread, end: () => (finished() && !kept ? keep() : thread.end()) };
}
