import { clearInterval, setInterval } from 'node:timers';

/**
 * Calls back once the process that started this one has ended, even if it was killed.
 *
 * @param onEnd Called once.
 * @param every Time between two checks, ms.
 */
export function whenParentEnds(onEnd, every = 1000) {
  const parent = process.ppid;
  const timer = setInterval(() => {
    if (process.ppid === parent) return;
    clearInterval(timer);
    onEnd();
  }, every);
  timer.unref();
}
