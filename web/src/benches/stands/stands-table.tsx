import { datumStation, type Shore, SHORE_FACTS, SHORE_KINDS, SHORE_SIDES } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { freshId } from '../../client/fresh-id.ts';
import { type CellProblem, EditTable } from '../../ui/edit-table.tsx';
import { type Column, lengthColumn, textColumn } from '../../ui/table-columns.ts';
import { hold, ties, useSelection } from './selection.ts';
import { stepChoices } from './shore-fields.tsx';

/** What is wrong with rows of shores, by their cells. */
const problemsOf = (rows: readonly Shore[]): CellProblem[] =>
  rows.flatMap(({ kind, side, shim }, row): CellProblem[] => [
    ...(shim < 0 ? [{ row, column: 'shim', message: 'A shim is 0 or more.' }] : []),
    ...(side === 'middle' && !SHORE_FACTS[kind].middle
      ? [{ row, column: 'side', message: `${SHORE_FACTS[kind].name} goes under a rail: left, right or both.` }]
      : []),
  ]);

/** A length that only ties have: empty for a stand. */
const ofTies = (key: 'to' | 'rise', title: string, width: string, offset: number): Column<Shore> => ({
  key,
  title,
  width,
  kind: 'length',
  offset,
  optional: true,
  get: (row) => (ties(row) ? row[key] : undefined),
  set: (row, mm) => ({ ...row, [key]: mm ?? (key === 'to' ? row.x : 0) }),
});

/** Every shore, to type in or paste from a spreadsheet. */
export function StandsTable(bench: BenchProps) {
  const { store, job, canWrite, selected, onSelect } = bench;
  const { steps, step } = useSelection(bench);
  const { shores } = job.plan.shoring;
  const datum = datumStation(job.donor);
  const columns: Column<Shore>[] = [
    {
      key: 'kind',
      title: 'What',
      width: '16%',
      kind: 'choice',
      get: ({ kind }) => kind,
      set: (row, kind) => ({ ...row, kind: kind as Shore['kind'] }),
      choices: SHORE_KINDS.map((kind) => [kind, SHORE_FACTS[kind].name]),
    },
    {
      key: 'side',
      title: 'Side',
      width: '9%',
      kind: 'choice',
      get: ({ side }) => side,
      set: (row, side) => ({ ...row, side: side as Shore['side'] }),
      choices: SHORE_SIDES.map((side) => [side, side]),
    },
    lengthColumn('x', 'From datum', '11%', datum),
    ofTies('to', 'To', '11%', datum),
    ofTies('rise', 'Rise', '9%', 0),
    lengthColumn('shim', 'Shim', '9%'),
    lengthColumn('floor', 'Floor higher', '10%'),
    {
      key: 'step',
      title: 'There',
      width: '12%',
      kind: 'choice',
      get: ({ step: at }) => at ?? '',
      set: (row, at) => ({ ...row, step: at === '' ? null : at }),
      choices: stepChoices(steps),
    },
    textColumn('note', 'Note', '13%'),
  ];
  return (
    <EditTable<Shore>
      caption="Stands"
      columns={columns}
      rows={shores}
      format={job.display}
      disabled={!canWrite}
      addLabel="Add a stand"
      selectedRow={shores.findIndex(({ id }) => id === selected)}
      onSelectRow={(row) => onSelect(shores[row]?.id ?? null)}
      newRow={(after) => ({
        id: freshId('shore'),
        kind: 'stand',
        side: 'both',
        x: after?.x ?? datum,
        to: after?.x ?? datum,
        rise: 0,
        shim: 0,
        floor: 0,
        step: step?.operation.id ?? null,
        note: '',
      })}
      onChange={(rows) => {
        const wrong = problemsOf(rows);
        if (wrong.length === 0) hold(store, 'Edited stands', (old) => ({ ...old, shores: rows }));
        return wrong;
      }}
    />
  );
}
