import { asUsual, datumStation, type Feature, FEATURE_KINDS, newHole, USUAL_FIGURES } from '@splay/core';
import { EditTable } from '../../ui/edit-table.tsx';
import {
  choiceColumn,
  type Column,
  lengthColumn,
  optionalLengthColumn,
  textColumn,
  words,
} from '../../ui/table-columns.ts';
import type { PartProps } from './donor-part.tsx';
import { freshId } from '../../client/fresh-id.ts';
import { measuredAnew } from './measured-anew.ts';
import { TableFile } from '../../ui/table-file.tsx';
import { UnitTable } from './unit-table.tsx';

/** Everything on the rails, and the units that stand on it. */
export function FeatureTable(part: PartProps) {
  const { job, store, setRows, disabled, selected, onSelect } = part;
  const { features } = job.donor;
  const columns: Column<Feature>[] = [
    textColumn('name', 'Name', '27%'),
    choiceColumn('kind', 'Kind', '21%', words(FEATURE_KINDS)),
    choiceColumn('side', 'Side', '11%', words(['both', 'left', 'right'])),
    lengthColumn('x', 'Middle, from datum', '15%', datumStation(job.donor)),
    lengthColumn('down', 'Down', '12%'),
    optionalLengthColumn('inboard', 'In, on a flange', '14%'),
  ];
  const index = features.findIndex((feature) => feature.id === selected);
  return (
    <>
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
            features: measuredAnew(rows, frame.features, ['x', 'down', 'inboard', 'side', 'diameter']).map((row) =>
              frame.features.find(({ id }) => id === row.id)?.kind === row.kind ? row : asUsual(row),
            ),
          }))
        }
      />
      <TableFile table="features" job={job} store={store} disabled={disabled} />

      <UnitTable {...part} />
    </>
  );
}
