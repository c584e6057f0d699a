import { type Body, withBody, withoutDeadAcceptances } from '@splay/core';
import type { BenchProps } from '../client/bench-props.ts';
import { change } from '../client/job-store.ts';
import { editProblems } from './check-edit.ts';
import type { CellProblem } from './edit-table.tsx';

/**
 * Changes a body where the whole job stays right; else nothing is changed, and what is wrong comes back for the cells of the
 * table that was typed in, or as a sentence.
 */
export function putBody(
  { store, job }: Pick<BenchProps, 'store' | 'job'>,
  label: string,
  body: Body,
  table: string,
): { readonly cells: readonly CellProblem[]; readonly elsewhere: string } {
  const edited = withoutDeadAcceptances(withBody(job, body));
  const index = edited.bodies.findIndex(({ id }) => id === body.id);
  const wrong = editProblems(edited, `bodies[${index}].${table}`, job);
  if (wrong) return wrong;
  change(store, label, (old) => withoutDeadAcceptances(withBody(old, body)));
  return { cells: [], elsewhere: '' };
}
