import { useState } from 'react';
import { asUsual, datumStation, type Feature, FEATURE_KINDS, newHole, USUAL_FIGURES, withFigures } from '@splay/core';
import { EditTable } from '../../ui/edit-table.tsx';
import {
  choiceColumn,
  type Column,
  lengthColumn,
  originColumn,
  optionalLengthColumn,
  textColumn,
  words,
} from '../../ui/table-columns.ts';
import type { PartProps } from './donor-part.tsx';
import { ATTACHMENTS, FACES, MOVABLE } from './feature-choices.ts';
import { freshId } from '../../client/fresh-id.ts';
import { markMeasured } from './mark-measured.ts';
import { TableFile } from '../../ui/table-file.tsx';
import { UnitTable } from './unit-table.tsx';

/** A column whose figure, once typed, is no longer the one that is usual for the kind. */
const asMeasured = (column: Column<Feature>): Column<Feature> =>
  ({
    ...column,
    set: (row: Feature, value: never) => {
      const next = column.set(row, value);
      return withFigures(row, { [column.key]: next[column.key as keyof Feature] });
    },
  }) as Column<Feature>;

/** What is asked for less often, each as it is on the feature’s card. */
const MORE_COLUMNS: readonly Column<Feature>[] = [
  choiceColumn('face', 'Face', '10%', FACES),
  ...[
    choiceColumn<Feature>('attachment', 'Fixed by', '9%', ATTACHMENTS),
    lengthColumn<Feature>('ahead', 'Reach ahead', '9%'),
    lengthColumn<Feature>('behind', 'Reach behind', '9%'),
    lengthColumn<Feature>('diameter', 'Hole', '7%'),
    choiceColumn<Feature>('movable', 'Can be moved', '10%', MOVABLE),
  ].map(asMeasured),
  originColumn('9%'),
];

/** Everything on the rails, and the units that stand on it. */
export function FeatureTable(part: PartProps) {
  const { job, store, setRows, disabled, selected, onSelect } = part;
  const { features } = job.donor;
  const [all, setAll] = useState(false);
  const columns: Column<Feature>[] = [
    textColumn('name', 'Name', '27%'),
    choiceColumn('kind', 'Kind', '21%', words(FEATURE_KINDS)),
    choiceColumn('side', 'Side', '11%', words(['both', 'left', 'right'])),
    lengthColumn('x', 'Middle, from datum', '15%', datumStation(job.donor)),
    lengthColumn('down', 'Down', '12%'),
    optionalLengthColumn('inboard', 'In, on a flange', '14%'),
    ...(all ? MORE_COLUMNS : []),
  ];
  const index = features.findIndex((feature) => feature.id === selected);
  return (
    <>
      <label className="mb-2 flex min-h-7 items-center gap-2 pointer-coarse:min-h-[48px]">
        <input type="checkbox" className="h-4 w-4" checked={all} onChange={() => setAll(!all)} />
        All columns: a block with them all can be pasted into the first cell
      </label>
      <div className={all ? 'overflow-x-auto' : ''}>
        <div className={all ? 'min-w-[76rem]' : ''}>
          <EditTable<Feature>
            caption="Features"
            columns={columns}
            rows={features}
            format={job.display}
            disabled={disabled}
            addLabel="Add a feature"
            selectedRow={index}
            onSelectRow={(row) => onSelect(features[row]?.id ?? null)}
            newRow={(after, count) => ({
              ...newHole('feature', after?.x ?? datumStation(job.donor)),
              id: freshId('feature'),
              name: `Feature ${count + 1}`,
              usual: USUAL_FIGURES,
            })}
            onChange={(rows) =>
              setRows('Edited features', 'features', (frame) => ({
                ...frame,
                features: markMeasured(rows, frame.features, ['x', 'down', 'inboard', 'side', 'diameter']).map((row) =>
                  frame.features.find(({ id }) => id === row.id)?.kind === row.kind ? row : asUsual(row),
                ),
              }))
            }
          />
        </div>
      </div>
      <TableFile table="features" job={job} store={store} disabled={disabled} />

      <UnitTable {...part} />
    </>
  );
}
