import type { Conflict, Job } from '@splay/core';
import type { SolidFinding } from '@splay/core/solids';
import { useEffect, useMemo } from 'react';
import { createStore, useStore } from 'zustand';
import type { Checked } from './run-solid-check.ts';
import { jobMade, type JobStore, useJobState } from './job-store.ts';

/** What is said of the job as it is now: nothing is told of a frame that has changed since. */
export interface SolidCheck {
  readonly state: 'checking' | 'done' | 'failed';
  readonly found: readonly SolidFinding[];
  readonly conflicts: readonly Conflict[];
  readonly problem: string;
}

/** So long after the last change it begins, ms: it must not start for every key that is typed. */
const REST = 120;
/** So long after a page was opened, ms: the board, and all that stands beside it, is loaded first. */
const OPENED = 4000;

const checks = new WeakMap<JobStore, ReturnType<typeof newCheck>>();
const newCheck = () => createStore<Checked>()(() => ({ found: [], of: null, problem: '', conflictOf: () => null }));

function checkOf(store: JobStore) {
  const known = checks.get(store) ?? newCheck();
  checks.set(store, known);
  return known;
}

const isSame = (a: Job, b: Job): boolean =>
  a.donor === b.donor && a.bodies === b.bodies && a.plan === b.plan && a.rules === b.rules && a.display === b.display;

/**
 * Takes up a check of a job.
 *
 * @param store The open job.
 * @param checked What was checked, and what came of it.
 */
export const takeCheck = (store: JobStore, checked: Checked): void => checkOf(store).setState(checked);

/** Keeps the open job checked: begins again a moment after each change, never while something is dragged. */
export function useSolidChecking(store: JobStore): void {
  const job = useJobState(store, jobMade);
  useEffect(() => {
    const { of } = checkOf(store).getState();
    if (of && isSame(of, job)) return undefined;
    let cancel: (() => void) | null = null;
    let gone = false;
    const wait = window.setTimeout(
      () => {
        void import('./run-solid-check.ts').then(({ runSolidCheck }) => {
          if (!gone) cancel = runSolidCheck(job, (checked) => takeCheck(store, checked));
        });
      },
      of ? REST : OPENED,
    );
    return () => {
      gone = true;
      window.clearTimeout(wait);
      cancel?.();
    };
  }, [store, job]);
}

/** The check of the open job. */
export function useSolidCheck(store: JobStore): SolidCheck {
  const job = useJobState(store, jobMade);
  const { found, of, problem, conflictOf } = useStore(checkOf(store));
  const { accepted } = job.plan;
  return useMemo(() => {
    if (!of || !isSame(of, job)) return { state: 'checking', found: [], conflicts: [], problem: '' };
    const conflicts = found.flatMap((finding) => conflictOf(finding, accepted) ?? []);
    return { state: problem ? 'failed' : 'done', found, conflicts, problem };
  }, [found, of, problem, conflictOf, job, accepted]);
}
