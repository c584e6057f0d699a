import { type ControlPoint, type ControlPrediction, datumStation, endsOf, inches, proposedPoints } from '@splay/core';
import { Trash2 } from 'lucide-react';
import { EditTable } from '../../ui/edit-table.tsx';
import { Length } from '../../ui/length.tsx';
import { AssumedPoints } from '../../ui/assumed-points.tsx';
import { ReadingAdvice, readingOrderOf } from '../../ui/reading-advice.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { type Column, lengthColumn, originColumn, textColumn } from '../../ui/table-columns.ts';
import { AddMeasurement } from './add-measurement.tsx';
import type { PartProps } from './donor-part.tsx';
import { markMeasured } from './mark-measured.ts';
import { ProposePoints } from './propose-points.tsx';
import { freshId } from '../../client/fresh-id.ts';
import { TableFile } from '../../ui/table-file.tsx';
import { UsualMeasurements } from './usual-measurements.tsx';

/** Control points in left/right pairs, and what is measured between them. */
export function ControlTables({ job, store, result, set, setRows, disabled, selected, onSelect }: PartProps) {
  const { controlPoints, controlMeasurements } = job.donor;
  const columns: Column<ControlPoint>[] = [
    textColumn('name', 'Name', '30%'),
    lengthColumn('x', 'From datum', '18%', datumStation(job.donor)),
    lengthColumn('inboard', 'Inboard', '17%'),
    lengthColumn('down', 'Below rail top', '17%'),
    originColumn('18%'),
  ];
  const remove = (id: string) =>
    set('Removed a measurement', (frame) => ({
      ...frame,
      controlMeasurements: frame.controlMeasurements.filter((measurement) => measurement.id !== id),
    }));
  return (
    <>
      <p className="mb-2 text-sm text-pencil">
        Punch each point on both rails before the cut: a left and a right one at the same station. Widths, lengths,
        diagonals and heights show how the frame lies.
      </p>
      <EditTable
        caption="Control points"
        columns={columns}
        rows={controlPoints}
        format={job.display}
        disabled={disabled}
        addLabel="Add a control point"
        selectedRow={controlPoints.findIndex(({ id }) => id === selected)}
        onSelectRow={(row) => onSelect(controlPoints[row]?.id ?? null)}
        newRow={(after, index) => ({
          id: freshId('point'),
          name: `Point ${index + 1}`,
          x: (after?.x ?? 0) + inches(24),
          inboard: 0,
          down: 0,
        })}
        onChange={(rows) =>
          setRows('Edited control points', 'controlPoints', (frame) => {
            const left = new Set(rows.map((row) => row.id));
            return {
              ...frame,
              controlPoints: markMeasured(rows, frame.controlPoints, ['x', 'inboard', 'down']),
              controlMeasurements: frame.controlMeasurements.filter((measurement) =>
                endsOf(measurement).every(({ point }) => left.has(point)),
              ),
            };
          })
        }
      />
      <ProposePoints proposed={proposedPoints(job.donor, result)} set={set} disabled={disabled} />
      <TableFile table="control-points" job={job} store={store} disabled={disabled} />
      <PanelHeading aside={<span>{controlMeasurements.length}</span>}>What is measured</PanelHeading>
      <ReadingAdvice controls={result.controls} stage="before-cut" job={job} />
      <MeasurementList
        controls={result.controls}
        order={readingOrderOf(result.controls, 'before-cut', job).order}
        format={job.display}
        disabled={disabled}
        onRemove={remove}
      />
      <UsualMeasurements donor={job.donor} set={set} disabled={disabled} />
      <AddMeasurement
        points={controlPoints}
        disabled={disabled}
        onAdd={(measurement) =>
          set('Added a measurement', (frame) => ({
            ...frame,
            controlMeasurements: [...frame.controlMeasurements, measurement],
          }))
        }
      />
    </>
  );
}

interface MeasurementListProps {
  readonly controls: readonly ControlPrediction[];
  /** The most telling first. */
  readonly order: readonly ControlPrediction[];
  readonly format: PartProps['job']['display'];
  readonly disabled: boolean;
  readonly onRemove: (id: string) => void;
}

/** Every measurement with what the donor gives and what the plan will give. */
function MeasurementList({ controls, order, format, disabled, onRemove }: MeasurementListProps) {
  if (controls.length === 0) return <p className="text-pencil">Nothing is chosen yet.</p>;
  return (
    <table className="w-full border-collapse text-sm">
      <caption className="sr-only">Control measurements</caption>
      <thead>
        <tr className="border-b border-graphite text-pencil">
          <th scope="col" className="py-0.5 text-left font-normal">
            Measurement
          </th>
          <th scope="col" className="text-left font-normal">
            kind
          </th>
          <th scope="col" className="figures font-normal" title="In which order they tell most">
            order
          </th>
          <th scope="col" className="figures font-normal">
            on the donor
          </th>
          <th scope="col" className="figures font-normal">
            in the plan
          </th>
          <th className="w-7">
            <span className="sr-only">Remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {controls.map((control) => {
          const { measurement, name, kind, before, predicted, reason, assumed } = control;
          return (
            <tr key={measurement.id} className="border-b border-rule/60">
              <th scope="row" className="py-0.5 text-left font-normal">
                {name}
                <AssumedPoints names={assumed} />
              </th>
              <td className="text-pencil">{kind}</td>
              <td className="figures text-pencil">{order.indexOf(control) + 1}</td>
              <td className="figures">
                <Length mm={before} format={format} />
              </td>
              <td className="figures" title={reason}>
                {predicted === null ? 'gone' : <Length mm={predicted} format={format} />}
              </td>
              <td className="text-center">
                {!disabled && (
                  <button
                    type="button"
                    className="p-1 text-pencil hover:text-oxide"
                    aria-label={`Do not measure ${name}`}
                    onClick={() => onRemove(measurement.id)}
                  >
                    <Trash2 size={14} />
                  </button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
