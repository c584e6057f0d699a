import {
  type FinderResult,
  isMet,
  quickAnswer,
  type QuickAnswer,
  type QuickEntries,
  quickGoal,
  quickJob,
  type QuickProblem,
  quickProblems,
} from '@splay/core';
import { useEffect, useMemo, useState } from 'react';
import { freshId } from '../../client/fresh-id.ts';
import { inWorker, WorkerStopped } from '../../workers/in-worker.ts';

/** What the job and its donor are called until somebody names them. */
const NAMES = { name: 'Quick start', donor: 'Straight frame, not surveyed yet' };

/** What is known of the entries: what is missing, that it is being computed, or the answer. */
export type QuickState =
  | { readonly kind: 'entries'; readonly problems: readonly QuickProblem[] }
  | { readonly kind: 'computing'; readonly last: QuickAnswer | null }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'answer'; readonly answer: QuickAnswer };

/** Entries that follow each other faster than this are answered together, ms. */
const PAUSE = 250;

/** What came of some entries. */
interface Outcome {
  readonly of: QuickEntries;
  readonly state: Extract<QuickState, { readonly kind: 'answer' | 'failed' }>;
}

/**
 * The answer to the entries: computed again, in a worker, each time one of them changes.
 *
 * @param entries What was entered.
 */
export function useQuickAnswer(entries: QuickEntries): QuickState {
  const problems = useMemo(() => quickProblems(entries), [entries]);
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  useEffect(() => {
    if (problems.length > 0) return;
    const running: { cancel?: () => void } = {};
    const pause = setTimeout(() => {
      const job = quickJob(entries, NAMES);
      const goal = quickGoal(job, entries);
      const show = (found: FinderResult | null) =>
        setOutcome({
          of: entries,
          state: { kind: 'answer', answer: quickAnswer(job, goal.by, found, () => freshId('op')) },
        });
      if (isMet(goal.by)) return show(null);
      const task = inWorker('whereToCut', [job, goal]);
      running.cancel = task.cancel;
      task.done.then(show, (reason: unknown) => {
        if (reason instanceof WorkerStopped && reason.code === 'worker/cancelled') return;
        const message = reason instanceof Error ? reason.message : String(reason);
        setOutcome({ of: entries, state: { kind: 'failed', message } });
      });
    }, PAUSE);
    return () => {
      clearTimeout(pause);
      running.cancel?.();
    };
  }, [entries, problems]);
  if (problems.length > 0) return { kind: 'entries', problems };
  if (outcome?.of === entries) return outcome.state;
  return { kind: 'computing', last: outcome?.state.kind === 'answer' ? outcome.state.answer : null };
}
