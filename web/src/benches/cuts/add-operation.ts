import { nameOfKind, newOperation, type OperationKind, placesToBegin, type PlanResult } from '@splay/core';
import { freshId } from '../../client/fresh-id.ts';
import { change, type JobStore } from '../../client/job-store.ts';

/** Adds an operation of a kind behind what is picked, else in the middle of what is looked at, and picks it. */
export function addOperation(store: JobStore, result: PlanResult, kind: OperationKind): void {
  const { job, selected, center } = store.getState();
  const id = freshId('cut');
  const fresh = newOperation(kind, id, placesToBegin(kind, job, result, selected, center), job.donor, selected);
  change(store, `Added ${nameOfKind(kind).toLowerCase()}`, (old) => ({
    ...old,
    plan: { ...old.plan, operations: [...old.plan.operations, fresh] },
  }));
  store.setState({ selected: id });
}
