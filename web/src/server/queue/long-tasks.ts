import type { Member } from '../db/shop.ts';
import { exportJob, importJob } from '../services/job-files.ts';
import { inThread } from '../threads/pool.ts';
import type { TaskName, Tasks } from '../threads/tasks.ts';

/** A task that a thread of the worker does by itself. */
const ofThread =
  <N extends TaskName>(name: N) =>
  (_: Member, ...args: Parameters<Tasks[N]>) =>
    inThread(name, ...args);

/**
 * What may take longer than a moment: a worker does it (`worker.ts`), so that it holds up nobody. Each is done for a member,
 * and takes and gives plain data. Doing one twice does no harm: the second worker takes it up where the first was killed.
 */
const longTasks = {
  importJob,
  exportJob,
  marksPdf: ofThread('marksPdf'),
  standsPdf: ofThread('standsPdf'),
  partsFile: ofThread('partsFile'),
} as const;

type LongTasks = typeof longTasks;
export type LongTaskName = keyof LongTasks;
/** What a task is given beside the member. */
export type LongTaskArgs<N extends LongTaskName> =
  Parameters<LongTasks[N]> extends [Member, ...infer Rest] ? Rest : never;
export type LongTaskResult<N extends LongTaskName> = Awaited<ReturnType<LongTasks[N]>>;

/** A task as it is asked for. */
export interface AskedTask {
  readonly name: LongTaskName;
  readonly member: Member;
  readonly args: readonly unknown[];
}

/** Does a task here and now. @throws What the task throws */
export const doTask = ({ name, member, args }: AskedTask): Promise<unknown> =>
  (longTasks[name] as (member: Member, ...given: readonly unknown[]) => Promise<unknown>)(member, ...args);
