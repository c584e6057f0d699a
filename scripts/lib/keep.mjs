// Starting again what dies, later each time, until it stays up for a while.
import { say } from './run.mjs';

const FIRST_WAIT = 500;
const LONGEST_WAIT = 30_000;
/** Up for this long, the next death counts as the first, ms. */
const STEADY = 60_000;

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Keeps something running.
 *
 * @param name What it is called when it is told of.
 * @param start Starts it; gives a promise of when it died.
 * @param first What runs already: when that dies.
 */
export function keepRunning(name, start, first) {
  let ended = false;
  const watch = async () => {
    let died = first;
    let pause = FIRST_WAIT;
    let since = Date.now();
    for (;;) {
      await died;
      if (ended) return;
      if (Date.now() - since > STEADY) pause = FIRST_WAIT;
      say(`the ${name} stopped; starting it again in ${pause / 1000} s`);
      await wait(pause);
      if (ended) return;
      pause = Math.min(2 * pause, LONGEST_WAIT);
      since = Date.now();
      try {
        died = (await start()).died;
        say(`the ${name} runs again`);
      } catch (error) {
        console.error(error.message);
        died = Promise.resolve();
      }
    }
  };
  void watch();
  return () => {
    ended = true;
  };
}
