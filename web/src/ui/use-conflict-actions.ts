import { carryOutEdit, type Conflict, removeAllFirst, triedFixes, withoutDeadAcceptances } from '@splay/core';
import type { BenchProps } from '../client/bench-props.ts';
import { freshId } from '../client/fresh-id.ts';
import { useMemo } from 'react';
import { change, type JobStore, useJobState } from '../client/job-store.ts';
import type { ConflictActions } from './conflict-list.tsx';

/** What can be done about the conflicts of a job; undefined where nothing may be changed. */
export function useConflictActions({
  store,
  canWrite,
}: Pick<BenchProps, 'store' | 'canWrite'>): ConflictActions | undefined {
  const memberName = useJobState(store, (state) => state.memberName);
  return useMemo(() => (canWrite ? actionsOf(store, memberName) : undefined), [store, canWrite, memberName]);
}

function actionsOf(store: JobStore, memberName: string): ConflictActions {
  const setAccepted = (label: string, { key }: Conflict, reason: string | null) =>
    change(store, label, (old) => {
      const kept = old.plan.accepted.filter(({ conflict }) => conflict !== key);
      const accepted = reason === null ? kept : [...kept, { conflict: key, reason, by: memberName }];
      return { ...old, plan: { ...old.plan, accepted } };
    });
  const shownJob = () => {
    const { rested, job } = store.getState();
    return rested ?? job;
  };
  return {
    tried: (conflict) => triedFixes(shownJob(), conflict),
    removeFirst: (stops) =>
      [...new Set(stops.flatMap(({ operation }) => operation ?? []))]
        .map((operation) => removeAllFirst(shownJob(), stops, operation))
        .find((way) => way !== null) ?? null,
    onEdit: (edit, label) => {
      const id = freshId('cut');
      change(store, label, (old) => withoutDeadAcceptances(carryOutEdit(old, edit, id)));
    },
    onAccept: (conflict, reason) => setAccepted('Accepted a conflict', conflict, reason),
    onTakeBack: (conflict) => setAccepted('Took an acceptance back', conflict, null),
  };
}
