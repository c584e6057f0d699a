import type { Conflict, Job } from '@splay/core';
import { solidConflict, type SolidFinding } from '@splay/core/solids';
import { useEffect, useMemo } from 'react';
import { createStore, useStore } from 'zustand';
import { inWorker, type Running, WorkerStopped } from '../workers/in-worker.ts';
import { keptThread } from '../workers/kept-thread.ts';
import { jobMade, type JobStore, useJobState } from './job-store.ts';

/** The check of a job in 3D. */
interface Checked {
  readonly found: readonly SolidFinding[];
  /** The job it was of; null before the first one. */
  readonly of: Job | null;
  /** Why there is none; empty where there is. */
  readonly problem: string;
}

/** What is said of the job as it is now: nothing is told of a frame that has changed since. */
export interface SolidCheck {
  readonly state: 'checking' | 'done' | 'failed';
  readonly found: readonly SolidFinding[];
  readonly conflicts: readonly Conflict[];
  readonly problem: string;
}

/** So long after the last change it begins, ms: it must not start for every key that is typed. */
const REST = 120;

const checks = new WeakMap<JobStore, ReturnType<typeof newCheck>>();
const newCheck = () => createStore<Checked>()(() => ({ found: [], of: null, problem: '' }));

function checkOf(store: JobStore) {
  const known = checks.get(store) ?? newCheck();
  checks.set(store, known);
  return known;
}

const isSame = (a: Job, b: Job): boolean =>
  a.donor === b.donor && a.bodies === b.bodies && a.plan === b.plan && a.rules === b.rules && a.display === b.display;

/** Checks a job in a worker. */
function start(store: JobStore, job: Job): Running<readonly SolidFinding[]> | null {
  const check = checkOf(store);
  const { donor, bodies, plan, rules, display } = job;
  let finished = false;
  try {
    const task = inWorker('checkSolids', [{ donor, bodies, plan, rules, display }], {
      onProgress: (share) => {
        finished = share >= 1;
      },
      start: () => keptThread(() => finished),
    });
    task.done.then(
      (found) => takeCheck(store, job, found),
      (reason: unknown) => {
        if (reason instanceof WorkerStopped && reason.code === 'worker/cancelled') return;
        check.setState({ found: [], of: job, problem: reason instanceof Error ? reason.message : String(reason) });
      },
    );
    return task;
  } catch {
    check.setState({ found: [], of: job, problem: 'This browser has no workers, and nothing can be checked in it.' });
    return null;
  }
}

/**
 * Takes up a check of a job.
 *
 * @param store The open job.
 * @param job The job it is of.
 * @param found What was found.
 */
export const takeCheck = (store: JobStore, job: Job, found: readonly SolidFinding[]): void =>
  checkOf(store).setState({ found, of: job, problem: '' });

/** Keeps the open job checked: begins again a moment after each change, never while something is dragged. */
export function useSolidChecking(store: JobStore): void {
  const job = useJobState(store, jobMade);
  useEffect(() => {
    const { of } = checkOf(store).getState();
    if (of && isSame(of, job)) return undefined;
    let task: ReturnType<typeof start> = null;
    const wait = window.setTimeout(() => {
      task = start(store, job);
    }, REST);
    return () => {
      window.clearTimeout(wait);
      task?.cancel();
    };
  }, [store, job]);
}

/** The check of the open job. */
export function useSolidCheck(store: JobStore): SolidCheck {
  const job = useJobState(store, jobMade);
  const { found, of, problem } = useStore(checkOf(store));
  const { accepted } = job.plan;
  return useMemo(() => {
    if (!of || !isSame(of, job)) return { state: 'checking', found: [], conflicts: [], problem: '' };
    const conflicts = found.map((finding) => solidConflict(finding, accepted));
    return { state: problem ? 'failed' : 'done', found, conflicts, problem };
  }, [found, of, problem, job, accepted]);
}
