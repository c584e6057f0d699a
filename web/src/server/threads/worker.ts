import { InputError, type InputProblem } from '@splay/core';
import { type TaskName, tasks } from './tasks.ts';

/** What a thread is asked, and answers: what is wrong with the input goes back as data, since an error loses its kind. */
export interface Asked {
  readonly name: TaskName;
  readonly args: readonly unknown[];
}
export type Answered =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly problems: readonly InputProblem[] };

export default async ({ name, args }: Asked): Promise<Answered> => {
  try {
    return { ok: true, value: await (tasks[name] as (...given: readonly unknown[]) => unknown)(...args) };
  } catch (error) {
    if (error instanceof InputError) return { ok: false, problems: error.problems };
    throw error;
  }
};
