import { setTimeout as wait } from 'node:timers/promises';
import { closeDatabase } from '../db/database.ts';
import { problemOf } from '../http/problem.ts';
import { log, logError } from '../log.ts';
import { closeThreads } from '../threads/pool.ts';
import { type AskedTask, doTask } from './long-tasks.ts';
import { answerTask, askedOf, closeQueue, newBoss, onQueued, type QueuedTask, type TaskAnswer } from './queue.ts';
import { QUEUE } from './queue-name.ts';

/**
 * A worker: a process that does what waits in the queue, two at a time. As many as are wanted run on one database, on this
 * machine or another (docs/operations.md). It ends with what started it; what it was at is taken up by another.
 */

/** Done at once. */
const AT_ONCE = 2;
/** How often it is looked for work that no notice told of, s. */
const LOOK = 2;
/** How long the database is waited for before the next try, ms. */
const AGAIN_AFTER = 1000;

async function answerOf(asked: AskedTask): Promise<TaskAnswer> {
  try {
    return { ok: true, value: await doTask(asked) };
  } catch (error) {
    const answer = problemOf(error, `long task ${asked.name}`);
    return { ok: false, status: answer.status, headers: [...answer.headers], body: await answer.text() };
  }
}

async function perform(queued: QueuedTask): Promise<void> {
  const asked = await askedOf(queued);
  if (asked) await answerTask(queued, await answerOf(asked));
}

/** Begins to work; the returned function ends it once what is under way is done. */
async function startWorker(): Promise<() => Promise<void>> {
  const boss = newBoss({ supervise: true });
  await boss.start();
  const loops: string[] = [];
  for (let each = 0; each < AT_ONCE; each += 1)
    loops.push(
      await boss.work<QueuedTask>(QUEUE, { pollingIntervalSeconds: LOOK, batchSize: 1 }, async ([job]) => {
        if (job) await perform(job.data);
      }),
    );
  await onQueued(() => {
    for (const loop of loops) boss.notifyWorker(loop);
  });
  return () => boss.stop({ graceful: true, timeout: 5000 });
}

/** Runs as a process of its own. */
export async function runWorker(): Promise<void> {
  let stop: (() => Promise<void>) | undefined;
  const end = () => {
    void (async () => {
      await stop?.();
      await closeQueue();
      await closeThreads();
      await closeDatabase();
      process.exit(0);
    })();
  };
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, end);
  // What started it was killed: another start has workers of its own.
  process.once('disconnect', end);
  while (!stop)
    stop = await startWorker().catch(async (error: unknown) => {
      logError(error, 'worker');
      await wait(AGAIN_AFTER);
      return undefined;
    });
  log.info('the worker works');
  process.send?.('ready');
}
