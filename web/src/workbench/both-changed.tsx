import { dotted, type Job, lengthText, type MergeConflict, operationName, planOf } from '@splay/core';
import { useState } from 'react';
import type { SavedJob } from '../client/api.ts';
import { type JobStore, useJobState } from '../client/job-store.ts';
import { settle } from '../client/meet.ts';
import { Dialog } from '../ui/dialog.tsx';

/** Fields of a job that are lengths, mm, by the last key of their path. */
const LENGTHS: ReadonlySet<string> = new Set(
  'x z length amount rise depth transition down ahead behind diameter inboard track halfWidth top level shim floor height width'.split(
    ' ',
  ),
);

/** A field as a person calls it: the operation or the thing, then what of it. */
function fieldName({ path }: MergeConflict, job: Job): string {
  if (path.length === 0) return 'The whole job';
  const operation = job.plan.operations.find(({ id }) => path.includes(id));
  const letters =
    operation && dotted(planOf(job).operations.find((each) => each.operation.id === operation.id)?.letters ?? []);
  const thing = [...job.donor.features, ...job.donor.crossmembers, ...job.donor.axles, ...job.bodies].find(({ id }) =>
    path.includes(id),
  );
  const keys = path.filter((key) => key !== operation?.id && key !== thing?.id && key !== 'plan' && key !== 'donor');
  const what = keys.filter((key) => key !== 'operations' && key !== 'features').map(words);
  const named = operation ? `${letters ?? ''} ${operationName(operation)}`.trim() : thing?.name;
  return [...(named ? [named] : []), ...what].join(', ');
}

const words = (key: string): string =>
  key
    .replace(/([A-Z])/g, ' $1')
    .replaceAll('-', ' ')
    .toLowerCase();

/** What stands in a field, short. */
function valueText(value: unknown, { path }: MergeConflict, job: Job): string {
  if (value === undefined) return 'taken out';
  if (typeof value === 'number')
    return LENGTHS.has(path.at(-1) ?? '') ? lengthText(value, job.display, true) : String(Number(value.toFixed(4)));
  if (typeof value === 'string') return value === '' ? 'empty' : `“${value.slice(0, 80)}”`;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return 'changed';
}

interface BothChangedProps {
  readonly store: JobStore;
  readonly theirs: SavedJob;
}

/** Two people changed the same fields: both values under their names, one of each to be chosen, and nothing lost either way. */
export function BothChanged({ store, theirs }: BothChangedProps) {
  const { job, conflicts, memberName } = useJobState(store, (state) => ({
    job: state.job,
    conflicts: state.conflicts,
    memberName: state.memberName,
  }));
  const [taken, setTaken] = useState<ReadonlySet<MergeConflict>>(new Set());
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const choose = (conflict: MergeConflict, other: boolean) =>
    setTaken((old) => new Set([...old].filter((each) => each !== conflict).concat(other ? [conflict] : [])));
  const save = async () => {
    setBusy(true);
    setProblem(
      await settle(
        store,
        conflicts.filter((conflict) => taken.has(conflict)),
      ),
    );
    setBusy(false);
  };
  return (
    <Dialog title="Both of you changed this" onClose={() => undefined} dismissable={false}>
      <p>
        {theirs.savedBy} saved revision {theirs.revision} meanwhile. All that you changed in different fields is kept.
        These fields you both changed: choose what stands.
      </p>
      <table className="mt-3 w-full border-collapse">
        <thead>
          <tr className="border-b border-graphite text-left text-sm text-pencil">
            <th scope="col" className="py-1 font-normal">
              Field
            </th>
            <th scope="col" className="font-normal">
              {memberName}, on this page
            </th>
            <th scope="col" className="font-normal">
              {theirs.savedBy === memberName ? `${theirs.savedBy}, elsewhere` : theirs.savedBy}
            </th>
          </tr>
        </thead>
        <tbody>
          {conflicts.map((conflict) => {
            const name = fieldName(conflict, job);
            const choice = (other: boolean) => (
              <td className="pr-3">
                <label className="flex min-h-10 items-center gap-2 pointer-coarse:min-h-[48px]">
                  <input
                    type="radio"
                    name={conflict.path.join('/')}
                    className="h-4 w-4 accent-layout"
                    checked={taken.has(conflict) === other}
                    onChange={() => choose(conflict, other)}
                  />
                  <span className="font-semibold">
                    {valueText(other ? conflict.theirs : conflict.mine, conflict, job)}
                  </span>
                </label>
              </td>
            );
            return (
              <tr key={conflict.path.join('/')} className="border-b border-rule/60">
                <th scope="row" className="py-1 pr-3 text-left font-normal">
                  {name}
                </th>
                {choice(false)}
                {choice(true)}
              </tr>
            );
          })}
        </tbody>
      </table>
      {problem && (
        <p role="alert" className="mt-3 text-oxide">
          {problem}
        </p>
      )}
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <button type="button" className="button button-dark" disabled={busy} onClick={() => void save()}>
          Save this
        </button>
        <p className="text-sm text-pencil">What is not chosen stays in the history.</p>
      </div>
    </Dialog>
  );
}
