import { type Frame, withoutDeadAcceptances } from '@splay/core';
import { type ComponentType, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { change } from '../../client/job-store.ts';
import type { CellProblem } from '../../ui/edit-table.tsx';
import { editProblems } from '../../ui/check-edit.ts';

/** A change of the donor: taken when the whole job stays right, else refused with the reason over the part. */
type SetDonor = (label: string, next: (frame: Frame) => Frame) => void;

/** The same for a table of the donor, whose own problems come back for its cells. */
type SetRows = (label: string, table: string, next: (frame: Frame) => Frame) => readonly CellProblem[];

/** What every part of the donor bench gets. */
export interface PartProps extends Pick<
  BenchProps,
  'job' | 'store' | 'result' | 'records' | 'canRecord' | 'selected' | 'onSelect' | 'onRecord'
> {
  readonly set: SetDonor;
  readonly setRows: SetRows;
  readonly disabled: boolean;
}

/** A part of the donor with what it needs to edit, and over it why the last edit was not taken. */
export function DonorPart({ part: Part, ...bench }: BenchProps & { readonly part: ComponentType<PartProps> }) {
  const { store, job, result, records, canWrite, canRecord, selected, onSelect, onRecord } = bench;
  const [problem, setProblem] = useState('');
  const setRows: SetRows = (label, table, next) => {
    const donor = next(job.donor);
    const edited = withoutDeadAcceptances({ ...job, donor });
    const wrong = editProblems(edited, `donor.${table}`, job);
    setProblem(wrong?.elsewhere ? `${wrong.elsewhere} Nothing was changed.` : '');
    if (wrong) return wrong.cells.length > 0 ? wrong.cells : [{ row: 0, column: '', message: wrong.elsewhere }];
    change(store, label, (old) => withoutDeadAcceptances({ ...old, donor }));
    return [];
  };
  const set: SetDonor = (label, next) => void setRows(label, '', next);
  return (
    <>
      {problem && (
        <p role="alert" className="mb-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem}
        </p>
      )}
      <Part
        {...{ job, store, result, records, canRecord, selected, onSelect, onRecord, set, setRows }}
        disabled={!canWrite}
      />
    </>
  );
}
