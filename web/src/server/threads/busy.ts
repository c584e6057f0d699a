import { performance } from 'node:perf_hooks';

/** How often it is looked at how much of its time the server works, ms. */
const LOOK = 500;
/** It is busy above this share. */
const BUSY = 0.5;

let since = performance.eventLoopUtilization();
let share = 0;
let looking: NodeJS.Timeout | undefined;

/** Whether the server was at work for most of the last moment: what can wait does then. */
export function isBusy(): boolean {
  looking ??= setInterval(() => {
    share = performance.eventLoopUtilization(since).utilization;
    since = performance.eventLoopUtilization();
  }, LOOK).unref();
  return share > BUSY;
}
