import { type Frame, withoutDeadAcceptances } from '@splay/core';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { change } from '../../client/job-store.ts';
import type { CellProblem } from '../../ui/edit-table.tsx';
import { editProblems } from './check-edit.ts';
import { ControlTables } from './control-tables.tsx';
import { CrossmemberTable } from './crossmember-table.tsx';
import { type DonorTab, TABS } from './donor-tabs.ts';
import { FeatureTable } from './feature-table.tsx';
import { FrameForm } from './frame-form.tsx';
import { Guide } from './guide.tsx';
import { LineTables } from './line-tables.tsx';
import { StationTables } from './station-tables.tsx';

/** A change of the donor: taken when the whole job stays right, else refused with the reason over the bench. */
export type SetDonor = (label: string, next: (frame: Frame) => Frame) => void;

/** The same for a table of the donor, whose own problems come back for its cells. */
export type SetRows = (label: string, table: string, next: (frame: Frame) => Frame) => readonly CellProblem[];

/** What every part of the donor bench gets. */
export interface PartProps extends Pick<
  BenchProps,
  'job' | 'store' | 'result' | 'records' | 'selected' | 'onSelect' | 'onRecord'
> {
  readonly set: SetDonor;
  readonly setRows: SetRows;
  readonly disabled: boolean;
}

/** The part of the donor that something picked on the drawing is in. */
function tabOf(id: string | null, donor: Frame): DonorTab | null {
  const has = (list: readonly { readonly id: string }[]) => list.some((item) => item.id === id);
  if (id === null) return null;
  if (has(donor.features)) return 'features';
  if (has(donor.crossmembers) || has(donor.members) || has(donor.braces)) return 'crossmembers';
  if (has(donor.controlPoints)) return 'controls';
  return has(donor.lines) || has(donor.points) ? 'lines' : null;
}

/** The donor as it really is, typed from the tape: rails, what hangs on them, and where to measure again. */
export function DonorBench({ store, job, result, records, canWrite, selected, onSelect, onRecord }: BenchProps) {
  // Something picked on the drawing opens the part it is in, until another part is asked for.
  const [asked, setAsked] = useState<{ readonly tab: DonorTab; readonly selected: string | null }>({
    tab: job.done.includes('donor') ? 'stations' : 'guide',
    selected: null,
  });
  const tab = (asked.selected === selected ? null : tabOf(selected, job.donor)) ?? asked.tab;
  const setTab = (next: DonorTab) => setAsked({ tab: next, selected });
  const [problem, setProblem] = useState('');
  const setRows: SetRows = (label, table, next) => {
    const donor = next(job.donor);
    const edited = withoutDeadAcceptances({ ...job, donor });
    const wrong = editProblems(edited, `donor.${table}`);
    setProblem(wrong?.elsewhere ? `${wrong.elsewhere} Nothing was changed.` : '');
    if (wrong) return wrong.cells.length > 0 ? wrong.cells : [{ row: 0, column: '', message: wrong.elsewhere }];
    change(store, label, (old) => withoutDeadAcceptances({ ...old, donor }));
    return [];
  };
  const set: SetDonor = (label, next) => void setRows(label, '', next);

  const part: PartProps = {
    job,
    store,
    result,
    records,
    selected,
    onSelect,
    onRecord,
    set,
    setRows,
    disabled: !canWrite,
  };
  return (
    <Tabs.Root value={tab} onValueChange={(value) => setTab(value as DonorTab)}>
      <Tabs.List
        aria-label="Parts of the donor"
        className="mb-3 flex flex-wrap justify-between gap-x-3 border-b border-graphite"
      >
        {TABS.map(([id, name]) => (
          <Tabs.Trigger
            key={id}
            value={id}
            className="-mb-px border-b-[3px] border-transparent pb-1 text-[0.95rem] text-pencil data-[state=active]:border-layout data-[state=active]:font-semibold data-[state=active]:text-graphite"
          >
            {name}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {problem && (
        <p role="alert" className="mb-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem}
        </p>
      )}
      <Tabs.Content value="guide">
        <Guide store={store} job={job} canWrite={canWrite} onTab={setTab} />
      </Tabs.Content>
      <Tabs.Content value="stations">
        <StationTables {...part} />
      </Tabs.Content>
      <Tabs.Content value="features">
        <FeatureTable {...part} />
      </Tabs.Content>
      <Tabs.Content value="crossmembers">
        <CrossmemberTable {...part} />
      </Tabs.Content>
      <Tabs.Content value="lines">
        <LineTables {...part} />
      </Tabs.Content>
      <Tabs.Content value="controls">
        <ControlTables {...part} />
      </Tabs.Content>
      <Tabs.Content value="frame">
        <FrameForm {...part} />
      </Tabs.Content>
    </Tabs.Root>
  );
}
