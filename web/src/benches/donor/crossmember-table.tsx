import { type Crossmember, datumStation, inches, newCrossmember } from '@splay/core';
import { EditTable } from '../../ui/edit-table.tsx';
import { choiceColumn, type Column, lengthColumn, textColumn, words } from '../../ui/table-columns.ts';
import type { PartProps } from './donor-part.tsx';
import { freshId } from '../../client/fresh-id.ts';
import { markMeasured } from './mark-measured.ts';
import { MemberTables } from './member-tables.tsx';

/** What ties the two rails together: a cut must clear these. */
export function CrossmemberTable(part: PartProps) {
  const { job, setRows, disabled, selected, onSelect } = part;
  const { crossmembers } = job.donor;
  const columns: Column<Crossmember>[] = [
    textColumn('name', 'Name', '38%'),
    lengthColumn('x', 'Middle, from datum', '14%', datumStation(job.donor)),
    lengthColumn('length', 'Wide, along the rail', '10%'),
    lengthColumn('depth', 'Deep', '10%'),
    lengthColumn('below', 'Below rail top', '12%'),
    choiceColumn('fixing', 'Fixed by', '16%', words(['riveted', 'bolted', 'welded'])),
  ];
  const index = crossmembers.findIndex(({ id }) => id === selected);
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
        selectedRow={index}
        onSelectRow={(row) => onSelect(crossmembers[row]?.id ?? null)}
        newRow={(after, count) => ({
          ...newCrossmember('crossmember', (after?.x ?? 0) + inches(12), job.donor),
          id: freshId('crossmember'),
          name: `Crossmember ${count + 1}`,
          fixing: 'riveted',
        })}
        onChange={(rows) =>
          setRows('Edited crossmembers', 'crossmembers', (frame) => ({
            ...frame,
            crossmembers: markMeasured(rows, frame.crossmembers, ['x', 'length', 'depth', 'below']),
          }))
        }
      />
      <MemberTables {...part} />
    </>
  );
}
