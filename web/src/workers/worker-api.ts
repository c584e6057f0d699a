import type { InputProblem } from '@splay/core';
import { type Progress, type TaskName, TASKS } from './tasks.ts';

/** The answer of a worker: an error crosses over as plain data, since its class dies on the option. */
export type WorkerAnswer =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly name: string; readonly message: string; readonly problems: readonly InputProblem[] };

const problemsOf = (error: unknown): readonly InputProblem[] =>
  error instanceof Error && 'problems' in error ? (error.problems as readonly InputProblem[]) : [];

/** What a worker exposes: runs a task by its name. */
export const workerApi = {
  async run(name: TaskName, input: readonly unknown[], onProgress: Progress): Promise<WorkerAnswer> {
    try {
      const task = TASKS[name] as (...given: readonly unknown[]) => unknown;
      return { ok: true, value: await task(...input, onProgress) };
    } catch (error) {
      const { name: kind, message } = error instanceof Error ? error : new Error(String(error));
      return { ok: false, name: kind, message, problems: problemsOf(error) };
    }
  },
};
export type WorkerApi = typeof workerApi;
