import { clearInterval, setInterval } from 'node:timers';

/**
 * Calls back once the process that started this one is gone, whichever way it went.
 *
 * @param gone What is done then.
 * @param every How often it is looked for, ms.
 */
export function whenParentEnds(gone, every = 1000) {
  const parent = process.ppid;
  const timer = setInterval(() => {
    if (process.ppid === parent) return;
    clearInterval(timer);
    gone();
  }, every);
  timer.unref();
}
