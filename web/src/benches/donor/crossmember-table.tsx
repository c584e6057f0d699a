import { type Crossmember, datumStation, inches } from '@splay/core';
import { EditTable } from '../../ui/edit-table.tsx';
import { choiceColumn, type Column, lengthColumn, numberColumn, textColumn, words } from '../../ui/table-columns.ts';
import type { PartProps } from './donor-bench.tsx';
import { freshId } from './fresh-id.ts';

/** What ties the two rails together: a cut must clear these. */
export function CrossmemberTable({ job, set, disabled, selected, onSelect }: PartProps) {
  const { crossmembers } = job.donor;
  const columns: Column<Crossmember>[] = [
    textColumn('name', 'Name', '34%'),
    lengthColumn('x', 'Middle, from datum', '10%', datumStation(job.donor)),
    lengthColumn('length', 'Long', '7%'),
    lengthColumn('depth', 'Deep', '7%'),
    lengthColumn('below', 'Below rail top', '8%'),
    choiceColumn('section', 'Section', '8%', [['', '–'], ...job.donor.sections.map(({ id }) => [id, id] as const)]),
    choiceColumn('fixing', 'Fixed by', '13%', words(['riveted', 'bolted', 'welded'])),
    {
      key: 'removable',
      title: 'Comes out',
      width: '7%',
      kind: 'choice',
      choices: words(['yes', 'no']),
      get: ({ removable }) => (removable ? 'yes' : 'no'),
      set: (row, choice) => ({ ...row, removable: choice === 'yes' }),
    },
    numberColumn('mass', 'kg', '6%'),
  ];
  return (
    <>
      <p className="mb-2 text-sm text-pencil">
        Below rail top: more than the rail is deep hangs under the rail. Pick one here or on the drawing.
      </p>
      <EditTable<Crossmember>
        caption="Crossmembers"
        columns={columns}
        rows={crossmembers}
        format={job.display}
        disabled={disabled}
        addLabel="Add a crossmember"
        selectedRow={crossmembers.findIndex((member) => member.id === selected)}
        onSelectRow={(row) => onSelect(crossmembers[row]?.id ?? null)}
        newRow={(after, count) => ({
          id: freshId('crossmember', crossmembers),
          name: `Crossmember ${count + 1}`,
          x: (after?.x ?? 0) + inches(12),
          length: inches(3),
          depth: inches(4),
          below: inches(1),
          fixing: 'riveted',
          removable: true,
          mass: 8,
        })}
        onChange={(rows) => set('Edited crossmembers', 'crossmembers', (frame) => ({ ...frame, crossmembers: rows }))}
      />
    </>
  );
}
