import { datumStation, type Prop, PROP_FACTS, PROP_KINDS, PROP_SIDES } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { freshId } from '../../client/fresh-id.ts';
import { type CellProblem, EditTable } from '../../ui/edit-table.tsx';
import { type Column, lengthColumn, textColumn } from '../../ui/table-columns.ts';
import { hold, ties, useAtHand } from './at-hand.ts';
import { stepChoices } from './prop-fields.tsx';

/** What is wrong with rows of props, by their cells. */
const problemsOf = (rows: readonly Prop[]): CellProblem[] =>
  rows.flatMap(({ kind, side, shim }, row): CellProblem[] => [
    ...(shim < 0 ? [{ row, column: 'shim', message: 'A shim is 0 or more.' }] : []),
    ...(side === 'middle' && !PROP_FACTS[kind].middle
      ? [{ row, column: 'side', message: `${PROP_FACTS[kind].name} goes under a rail: left, right or both.` }]
      : []),
  ]);

/** A length that only ties have: empty for a stand. */
const ofTies = (key: 'to' | 'rise', title: string, width: string, offset: number): Column<Prop> => ({
  key,
  title,
  width,
  kind: 'length',
  offset,
  optional: true,
  get: (row) => (ties(row) ? row[key] : undefined),
  set: (row, mm) => ({ ...row, [key]: mm ?? (key === 'to' ? row.x : 0) }),
});

/** Every prop, to type in or paste from a spreadsheet. */
export function PropsTable(bench: BenchProps) {
  const { store, job, canWrite, selected, onSelect } = bench;
  const { steps, step } = useAtHand(bench);
  const { props } = job.plan.propping;
  const datum = datumStation(job.donor);
  const columns: Column<Prop>[] = [
    {
      key: 'kind',
      title: 'What',
      width: '16%',
      kind: 'choice',
      get: ({ kind }) => kind,
      set: (row, kind) => ({ ...row, kind: kind as Prop['kind'] }),
      choices: PROP_KINDS.map((kind) => [kind, PROP_FACTS[kind].name]),
    },
    {
      key: 'side',
      title: 'Side',
      width: '9%',
      kind: 'choice',
      get: ({ side }) => side,
      set: (row, side) => ({ ...row, side: side as Prop['side'] }),
      choices: PROP_SIDES.map((side) => [side, side]),
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
    <EditTable<Prop>
      caption="Props"
      columns={columns}
      rows={props}
      format={job.display}
      disabled={!canWrite}
      addLabel="Add a prop"
      selectedRow={props.findIndex(({ id }) => id === selected)}
      onSelectRow={(row) => onSelect(props[row]?.id ?? null)}
      newRow={(after) => ({
        id: freshId('prop'),
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
        if (wrong.length === 0) hold(store, 'Edited props', (old) => ({ ...old, props: rows }));
        return wrong;
      }}
    />
  );
}
