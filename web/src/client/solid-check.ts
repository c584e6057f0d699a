import type { Conflict, Job } from '@splay/core';
import type { SolidFinding } from '@splay/core/solids';
import { useEffect, useMemo } from 'react';
import { createStore, useStore } from 'zustand';
import type { Checked } from './run-solid-check.ts';
import { jobMade, type JobStore, useJobState } from './job-store.ts';

/** The check of the job as it is now; findings of an earlier state are never shown. */
export interface SolidCheck {
  readonly state: 'checking' | 'done' | 'failed';
  readonly found: readonly SolidFinding[];
  readonly conflicts: readonly Conflict[];
  readonly problem: string;
}

/** Delay after the last change, ms: no check for every keystroke. */
const REST = 120;
/** Delay after a page opens, ms: the board and its panel load first. */
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
 * Stores the result of a check.
 *
 * @param store The open job.
 * @param checked The result and the job it is of.
 */
export const storeCheck = (store: JobStore, checked: Checked): void => checkOf(store).setState(checked);

/** Checks the open job after each change, debounced; never during a drag. */
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
          if (!gone) cancel = runSolidCheck(job, (checked) => storeCheck(store, checked));
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
