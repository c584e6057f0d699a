import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { InputError } from '@splay/core';
import { Piscina } from 'piscina';
import { Busy, TooHeavy } from '../services/errors.ts';
import { Fair } from './fair.ts';
import type { TaskName, Tasks } from './tasks.ts';
import type { Answered, Asked } from './worker.ts';

/** The most memory that a thread may take, MB: what it is sent may be twice 16 MB, with the pictures in it once more. */
const MEMORY = 128;
const THREADS = Math.max(2, Math.min(4, availableParallelism()));
/** Which waits for a thread before which: a save before what comes in, that before sheets, those before cards of the list. */
const URGENT: Readonly<Record<TaskName, number>> = {
  readSave: 3,
  marksToIssue: 2,
  readItem: 2,
  readJobFile: 2,
  marksPdf: 1,
  standsPdf: 1,
  partsFile: 1,
  drawing: 1,
  glb: 1,
  jobCard: 0,
};
const fair = new Fair(THREADS);

const here = fileURLToPath(import.meta.url);
// Built, all of the server lies under dist/server; in tests and tools the sources run as they are.
const built = here.includes('/dist/server/');
const filename = built
  ? here.replace(/(\/dist\/server\/).*$/, '$1worker.mjs')
  : fileURLToPath(new URL('./worker.ts', import.meta.url));

/** The longest that a task may take, ms; sources are read and translated first, which takes a busy machine long. */
const LONGEST = built ? 20_000 : 240_000;

let pool: Piscina<Asked, Answered> | undefined;

function open(): Piscina<Asked, Answered> {
  return new Piscina({
    filename,
    execArgv: built ? [] : ['--import', 'tsx'],
    minThreads: 1,
    maxThreads: THREADS,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY, maxYoungGenerationSizeMb: 16 },
  });
}

/**
 * Runs a task in a thread of its own: the server answers others meanwhile.
 *
 * @throws InputError for what is wrong with what was sent, TooHeavy where it takes more time or memory than it may, Busy
 *   where too much of the same person waits already.
 */
export async function inThread<N extends TaskName>(
  name: N,
  ...args: Parameters<Tasks[N]>
): Promise<Awaited<ReturnType<Tasks[N]>>> {
  const answer = await fair.run(async () => {
    pool ??= open();
    const late = AbortSignal.timeout(LONGEST);
    return pool.run({ name, args }, { signal: late }).catch((error: unknown) => {
      // Where others wait too it was the waiting that took long.
      if (late.aborted && (pool?.queueSize ?? 0) > 0) throw new Busy();
      if (late.aborted || codeOf(error) === 'ERR_WORKER_OUT_OF_MEMORY') throw new TooHeavy();
      throw error;
    });
  }, URGENT[name]);
  if (!answer.ok) throw new InputError(answer.problems);
  return answer.value as Awaited<ReturnType<Tasks[N]>>;
}

const codeOf = (error: unknown): unknown =>
  typeof error === 'object' && error !== null && 'code' in error ? error.code : undefined;

/** Ends the threads. */
export async function closeThreads(): Promise<void> {
  await pool?.destroy();
  pool = undefined;
}
