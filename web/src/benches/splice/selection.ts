import {
  type Job,
  type RailId,
  type RailSplice,
  type RailSpliceOutcome,
  type SpliceOutcome,
  type SplicePlan,
  splicePlanWith,
  withoutDeadAcceptances,
  withSplice,
} from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { change, type JobStore, useJobState } from '../../client/job-store.ts';

/** The joint that is worked on, and the rail or member of it that is looked at. */
export interface Selection {
  readonly outcome: SpliceOutcome;
  readonly one: RailSpliceOutcome;
}

/**
 * The joint that is picked, else the one that was worked on last, else the first that nobody has decided on; of it the
 * rail that is looked at.
 */
function selectionOf(
  splices: readonly SpliceOutcome[],
  selected: string | null,
  kept: { readonly joint: string | null; readonly rail: RailId | null },
): Selection | null {
  const find = (id: string | null) => splices.find(({ joint }) => joint.id === id);
  const outcome = find(selected) ?? find(kept.joint) ?? splices.find(({ decided }) => decided === null) ?? splices[0];
  const one = outcome?.rails.find(({ rail }) => rail === kept.rail) ?? outcome?.rails[0];
  return outcome && one ? { outcome, one } : null;
}

/** The joint at hand of a bench. */
export function useSelection({
  store,
  result,
  selected,
}: Pick<BenchProps, 'store' | 'result' | 'selected'>): Selection | null {
  const kept = useJobState(store, (state) => state.splice);
  return useMemo(() => selectionOf(result.splices, selected, kept), [result.splices, selected, kept]);
}

/** Works on another joint, or looks at another rail of it. */
export const pickJoint = (store: JobStore, joint: string, rail: RailId | null = null): void =>
  store.setState({ splice: { joint, rail }, selected: joint });

/** The job with the joint at hand made in a way. */
export const jobWith = (job: Job, hand: Selection, next: RailSplice): Job => ({
  ...job,
  plan: withSplice(job.plan, splicePlanWith(hand.outcome, hand.one.rail, next)),
});

/** Makes the joint at hand in a way, as one step of undo; it stays the one at hand. */
export function make(store: JobStore, label: string, hand: Selection, next: RailSplice): void {
  store.setState({ splice: { joint: hand.outcome.joint.id, rail: hand.one.rail } });
  change(store, label, (old) => withoutDeadAcceptances(jobWith(old, hand, next)));
}

/** Changes what the plan says of a joint, as one step of undo. */
export const putPlan = (store: JobStore, label: string, splice: SplicePlan): void =>
  change(store, label, (old) => withoutDeadAcceptances({ ...old, plan: withSplice(old.plan, splice) }));

/** What a rail or a copy of a member is called. */
export function railName(rail: RailId): string {
  if (rail === 'left' || rail === 'right') return `${rail} rail`;
  return rail.endsWith('/left') ? 'left' : 'right';
}
