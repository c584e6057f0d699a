import { browserThread, type Thread } from './in-worker.ts';

/** A worker that worked before is quicker: it is kept for the next task, and let go when none comes, ms. */
const IDLE = 60_000;
let kept: { readonly thread: Thread; readonly until: number } | null = null;

/**
 * A thread for a task: the one that was kept, where there is one.
 *
 * @param finished Whether the task came to its end: then the thread is kept again. One that was broken off is ended.
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
