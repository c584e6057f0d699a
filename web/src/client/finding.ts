import {
  type Answer,
  baseOf,
  type FinderGoal,
  type FinderResult,
  groundOf,
  isMet,
  type Job,
  type JudgeContext,
  judgeContextOf,
  type JudgedOption,
  judgeOption,
  operationAt,
  tailOf,
} from '@splay/core';
import { createStore, useStore } from 'zustand';
import { inWorker, type Running, WorkerStopped } from '../workers/in-worker.ts';
import { keptThread } from '../workers/kept-thread.ts';
import type { JobStore } from './job-store.ts';

/** The search of a page: what was asked, how far it has come, and what came of it. */
export interface Finding {
  readonly state: 'idle' | 'searching' | 'done' | 'failed';
  readonly share: number;
  readonly found: FinderResult | null;
  /** What was searched: found places are of no use for another frame. */
  readonly of: Searched | null;
  readonly problem: string;
  /** Id of the option that is looked at; null for the best. */
  readonly picked: string | null;
}

type Searched = ReturnType<typeof searchedOf>;

const NOTHING: Finding = { state: 'idle', share: 0, found: null, of: null, problem: '', picked: null };

/** A search belongs to an open job, and outlasts a look at another bench. */
const searches = new WeakMap<JobStore, ReturnType<typeof newSearch>>();
const newSearch = () => createStore<Finding>()(() => NOTHING);

function searchOf(store: JobStore) {
  const known = searches.get(store) ?? newSearch();
  searches.set(store, known);
  return known;
}

export const useFinding = (store: JobStore): Finding => useStore(searchOf(store));

/** What a search rests on: a plan that only took up one of its ways is the same to it. */
function searchedOf(job: Job, goal: FinderGoal) {
  const { input } = baseOf(job, goal);
  return { donor: job.donor, rules: job.rules, bodies: job.bodies, plan: JSON.stringify(input.plan.operations) };
}

/** Whether what was found is of another frame, plan or rulebook than the job now has. */
export function isStale({ found, of }: Finding, job: Job): boolean {
  if (!found || !of) return false;
  const now = searchedOf(job, found.goal);
  return of.donor !== now.donor || of.rules !== now.rules || of.bodies !== now.bodies || of.plan !== now.plan;
}

/** Whether two searches are for the same. */
export const sameGoal = (a: FinderGoal, b: FinderGoal): boolean =>
  a.of === b.of && isMet(a.by, b.by) && isMet(a.tail ?? 0, b.tail ?? 0);

/** Puts what was found away where something else is asked for now. */
export function forgetUnless(store: JobStore, goal: FinderGoal): void {
  const { found } = searchOf(store).getState();
  if (found && !sameGoal(found.goal, goal)) {
    running?.cancel();
    searchOf(store).setState({ found: null, state: 'idle', picked: null });
  }
}

let running: Running<FinderResult> | null = null;

/**
 * Looks for places in a worker. A search that is under way is ended.
 *
 * @param store The open job.
 * @param job The job as it is now.
 * @param goal The goal.
 */
export function look(store: JobStore, job: Job, goal: FinderGoal): void {
  running?.cancel();
  const search = searchOf(store);
  const { donor, bodies, plan, rules, display } = job;
  const of = searchedOf(job, goal);
  // Answers to another question are of no use under this one.
  const { found } = search.getState();
  search.setState({
    state: 'searching',
    share: 0,
    problem: '',
    found: found && sameGoal(found.goal, goal) ? found : null,
  });
  let task: Running<FinderResult>;
  let finished = false;
  try {
    task = inWorker('whereToCut', [{ donor, bodies, plan, rules, display }, goal], {
      onProgress: (share) => {
        if (running === task) search.setState({ share });
        finished = share >= 1;
      },
      start: () => keptThread(() => finished),
    });
  } catch {
    search.setState({ state: 'failed', problem: 'This browser has no workers, and nothing can be searched in it.' });
    return;
  }
  running = task;
  task.done.then(
    (found) => {
      if (running !== task) return;
      search.setState({ state: 'done', share: 1, found, of, picked: null });
      const [cut] = found.answers[0]?.cuts ?? [];
      if (cut) store.setState({ blade: cut.x });
    },
    (reason: unknown) => {
      if (running !== task) return;
      const cancelled = reason instanceof WorkerStopped && reason.code === 'worker/cancelled';
      const message = reason instanceof Error ? reason.message : String(reason);
      search.setState({
        state: cancelled ? (search.getState().found ? 'done' : 'idle') : 'failed',
        problem: cancelled ? '' : message,
      });
    },
  );
}

/** Ends the search that is under way: what was found before stays. */
export const stopLooking = (): void => running?.cancel();

/** Looks at an option. */
export const pick = (store: JobStore, option: string): void => searchOf(store).setState({ picked: option });

/** The option that is looked at: the one that was picked, else the best. */
export const pickedOf = ({ found, picked }: Finding): Answer | undefined =>
  found?.answers.find(({ id }) => id === picked) ?? found?.answers[0];

let judgeContext: { readonly job: Job; readonly goal: FinderGoal; readonly with: JudgeContext } | null = null;

/**
 * A single place for what was asked, judged by the evaluation of its plan: what the blade says.
 *
 * @param job The job as it is now.
 * @param goal The goal.
 * @param x Donor station, mm.
 */
export function judgeAt(job: Job, goal: FinderGoal, x: number): JudgedOption {
  if (judgeContext?.job !== job || judgeContext.goal !== goal) {
    const base = baseOf(job, goal);
    judgeContext = { job, goal, with: judgeContextOf(goal, base, groundOf(job, base)) };
  }
  return judgeOption(
    [operationAt(goal, goal.by, x, judgeContext.with.base.input), ...tailOf(goal, judgeContext.with.base.input)],
    judgeContext.with,
  );
}
