import { datumStation, inches, railOf, type Side, SIDES, type Station } from '@splay/core';
import { EditTable } from '../../ui/edit-table.tsx';
import { choiceColumn, type Column, lengthColumn, originColumn } from '../../ui/table-columns.ts';
import type { PartProps } from './donor-part.tsx';
import { markMeasured } from './mark-measured.ts';
import { TableFile } from '../../ui/table-file.tsx';

/** Where the rails run: half-width, height and section at each measured station. */
export function StationTables({ job, store, set, setRows, disabled }: PartProps) {
  const { rails } = job.donor;
  const columns: Column<Station>[] = [
    lengthColumn('x', 'From datum', '20%', datumStation(job.donor)),
    lengthColumn('halfWidth', 'Half-width', '19%'),
    lengthColumn('top', 'Top height', '19%'),
    choiceColumn(
      'section',
      'Section behind',
      '24%',
      job.donor.sections.map(({ id }) => [id, id] as const),
    ),
    originColumn('18%'),
  ];
  const table = (key: 'stations' | Side, caption: string) => (
    <EditTable
      caption={caption}
      columns={columns}
      rows={key === 'stations' ? railOf(rails, 'left') : railOf(rails, key)}
      format={job.display}
      disabled={disabled}
      addLabel="Add a station"
      newRow={(after) => ({
        x: (after?.x ?? 0) + inches(12),
        halfWidth: after?.halfWidth ?? inches(16),
        top: after?.top ?? 0,
        section: after?.section ?? job.donor.sections[0]?.id ?? '',
      })}
      onChange={(rows) =>
        setRows('Edited stations', `rails.${key}`, (frame) => {
          const before = railOf(frame.rails, key === 'stations' ? 'left' : key);
          const stations = rows.length === before.length ? markMeasured(rows, before, ['x', 'halfWidth', 'top']) : rows;
          return {
            ...frame,
            rails:
              frame.rails.kind === 'mirrored' ? { kind: 'mirrored', stations } : { ...frame.rails, [key]: stations },
          };
        })
      }
    />
  );
  const split = () =>
    set('Left and right measured apart', (frame) =>
      frame.rails.kind === 'mirrored'
        ? { ...frame, rails: { kind: 'measured', left: frame.rails.stations, right: frame.rails.stations } }
        : { ...frame, rails: { kind: 'mirrored', stations: frame.rails.left } },
    );
  return (
    <>
      <p className="mb-2 text-sm text-pencil">
        Half-width: center line to the outside face of the web. Top height: top of the rail over the datum plane. A
        column copied from a spreadsheet can be pasted into any cell.
      </p>
      <label className="mb-2 flex items-center gap-2">
        <input
          type="checkbox"
          className="h-4 w-4"
          checked={rails.kind === 'measured'}
          disabled={disabled}
          onChange={split}
        />
        Left and right were measured separately
      </label>
      {rails.kind === 'mirrored'
        ? table('stations', 'Stations of both rails')
        : SIDES.map((side) => (
            <section key={side} className="mb-4">
              <h3 className="label mb-1">{side} rail</h3>
              {table(side, `Stations of the ${side} rail`)}
            </section>
          ))}
      <TableFile table="stations" job={job} store={store} disabled={disabled} />
    </>
  );
}
