import { InputError } from '@splay/core';
import { type Endpoint, proxy, type Remote, wrap } from 'comlink';
import type { Progress, TaskInput, TaskName, TaskResult } from './tasks.ts';
import type { WorkerApi } from './worker-api.ts';

/** Why a task in a worker gave nothing, when it was not its input: known by its code. */
export class WorkerStopped extends Error {
  readonly code: 'worker/cancelled' | 'worker/timeout' | 'worker/failed';
  constructor(code: WorkerStopped['code'], message: string) {
    super(message);
    this.name = 'WorkerStopped';
    this.code = code;
  }
}

/** A worker that can be ended. */
export interface Thread {
  readonly api: Remote<WorkerApi>;
  readonly end: () => void;
  /** Calls back when the worker itself breaks. */
  readonly onBroken: (broken: (message: string) => void) => void;
}

/**
 * What a worker is asked through: once for each worker, since it stops listening when this is let go.
 *
 * @param endpoint Its end of the line.
 */
export const apiOf = (endpoint: Endpoint): Remote<WorkerApi> => wrap<WorkerApi>(endpoint);

/** A worker of the browser with core in it. */
export function browserThread(): Thread {
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  return {
    api: apiOf(worker),
    end: () => worker.terminate(),
    onBroken: (broken) => {
      worker.onerror = ({ message }) => broken(message);
    },
  };
}

/** A task under way. */
export interface Running<T> {
  readonly done: Promise<T>;
  /** Ends it at once: `done` is refused with `worker/cancelled`. */
  readonly cancel: () => void;
}

interface Options {
  readonly onProgress?: Progress;
  /** Ended after this long, ms. */
  readonly timeout?: number;
  readonly start?: () => Thread;
}

/** Longer than this nobody waits, ms. */
const TIMEOUT = 120_000;

/**
 * Runs a task of core in a worker of its own, so that the page stays awake: with progress, an end when nobody waits
 * for it any more, and a limit of time. Bad input is refused with the same `InputError` as on the page.
 */
export function inWorker<K extends TaskName>(
  name: K,
  input: TaskInput<K>,
  { onProgress = () => undefined, timeout = TIMEOUT, start = browserThread }: Options = {},
): Running<TaskResult<K>> {
  const thread = start();
  let stop: (error: WorkerStopped) => void = () => undefined;
  const stopped = new Promise<never>((_, refuse) => {
    stop = refuse;
  });
  const clock = setTimeout(
    () => stop(new WorkerStopped('worker/timeout', `This took more than ${timeout / 1000} s and was stopped.`)),
    timeout,
  );
  thread.onBroken((message) => stop(new WorkerStopped('worker/failed', message)));
  const answered = thread.api.run(name, input, proxy(onProgress)).then((answer): TaskResult<K> => {
    if (answer.ok) return answer.value as TaskResult<K>;
    if (answer.problems.length > 0) throw new InputError(answer.problems);
    throw new WorkerStopped('worker/failed', answer.message);
  });
  const done = Promise.race([answered, stopped]).finally(() => {
    clearTimeout(clock);
    thread.end();
  });
  return { done, cancel: () => stop(new WorkerStopped('worker/cancelled', 'Stopped.')) };
}
