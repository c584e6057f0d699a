import { type Axle, type LengthFormat, lengthText } from '@splay/core';
import { change } from '../../client/job-store.ts';
import { Choice } from '../../ui/choice.tsx';
import { EditTable } from '../../ui/edit-table.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import {
  choiceColumn,
  type Column,
  lengthColumn,
  massColumn,
  originColumn,
  textColumn,
  words,
} from '../../ui/table-columns.ts';
import { TextField } from '../../ui/text-field.tsx';
import { carrierChoices, carrierColumn } from './carrier-choices.ts';
import type { PartProps } from './donor-part.tsx';
import { markMeasured } from './mark-measured.ts';
import { freshId } from '../../client/fresh-id.ts';
import { MaterialChoice, MaterialFigures } from './material-form.tsx';
import { SectionForms } from './section-forms.tsx';

const UNITS = [
  ['in', 'inches'],
  ['mm', 'millimeters'],
] as const;

const DIVISIONS = [
  ['8', '1/8'],
  ['16', '1/16'],
  ['32', '1/32'],
  ['64', '1/64'],
  ['decimal', 'decimal inches'],
] as const;

/** The frame as a whole: what it is made of, its sections and their strength, the datum, the axles. */
export function FrameForm(part: PartProps) {
  const { job, store, set, setRows, disabled } = part;
  const { donor, display } = job;
  const shown = (next: LengthFormat) =>
    change(store, 'Changed how lengths are shown', (old) => ({ ...old, display: next }));
  const axleColumns: Column<Axle>[] = [
    textColumn('name', 'Axle', '14%'),
    choiceColumn('role', 'Which', '10%', words(['front', 'rear'])),
    lengthColumn('x', 'Station', '9%'),
    lengthColumn('z', 'Height', '8%'),
    lengthColumn('tireRadius', 'Tire radius', '8%'),
    lengthColumn('track', 'Track', '8%'),
    massColumn('rating', 'Rating', '8%', display, { optional: true }),
    carrierColumn('13%', 'as usual', carrierChoices(donor)),
    originColumn('11%'),
    choiceColumn('suspension', 'Wheels', '11%', [
      ['', 'solid axle'],
      ['independent', 'independent'],
    ]),
  ];
  return (
    <div className="space-y-3">
      <div className="grid grid-cols-4 items-end gap-3">
        <div className="col-span-2">
          <TextField
            label="Job"
            value={job.name}
            disabled={disabled}
            onChange={(name) => change(store, 'Renamed the job', (old) => ({ ...old, name }))}
          />
        </div>
        <Choice
          list
          label="Lengths in"
          value={display.unit}
          disabled={disabled}
          choices={UNITS}
          onChange={(unit) => shown({ ...display, unit })}
        />
        <Choice
          list
          label="Round to"
          value={String(display.division)}
          disabled={disabled || display.unit === 'mm'}
          choices={display.unit === 'mm' ? [[String(display.division), '0.1 mm']] : DIVISIONS}
          onChange={(division) =>
            shown({
              ...display,
              division: division === 'decimal' ? division : (Number(division) as LengthFormat['division']),
            })
          }
        />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Donor"
          value={donor.name}
          disabled={disabled}
          onChange={(name) => set('Renamed the donor', (frame) => ({ ...frame, name }))}
        />
        <MaterialChoice {...part} />
      </div>
      <MaterialFigures {...part} />

      <SectionForms {...part} />

      <PanelHeading>Datum hole</PanelHeading>
      <Choice
        list
        label="The hole that every mark is given from"
        value={donor.datum}
        disabled={disabled}
        choices={donor.features
          .filter(({ kind }) => kind === 'hole')
          .map(({ id, name, x }) => [id, `${name}, ${lengthText(x, display, true)} behind the front axle`] as const)}
        onChange={(id) => set('Chose the datum hole', (frame) => ({ ...frame, datum: id }))}
      />

      <PanelHeading>Axles</PanelHeading>
      <p className="text-sm text-pencil">
        Stations count from the front axle; heights of their centers from the datum plane.
      </p>
      <EditTable<Axle>
        caption="Axles"
        columns={axleColumns}
        rows={donor.axles}
        format={display}
        disabled={disabled}
        addLabel="Add an axle"
        newRow={(after, count) => ({
          id: freshId('axle'),
          name: `Axle ${count + 1}`,
          role: 'rear',
          x: (after?.x ?? 0) + 1200,
          z: after?.z ?? -250,
          tireRadius: after?.tireRadius ?? 380,
          track: after?.track ?? 1650,
        })}
        onChange={(rows) =>
          setRows('Edited axles', 'axles', (frame) => ({
            ...frame,
            axles: markMeasured(rows, frame.axles, ['x', 'z', 'tireRadius', 'track']),
          }))
        }
      />
    </div>
  );
}
