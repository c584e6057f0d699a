import {
  checkJob,
  type Crossmember,
  datumStation,
  type Feature,
  FEATURE_KINDS,
  type Frame,
  type Group,
  inches,
  InputError,
  type Job,
  railOf,
  type Side,
  SIDES,
  type Station,
} from '@splay/core';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { change } from '../../client/job-store.ts';
import { type CellProblem, type Column, EditTable } from '../../ui/edit-table.tsx';
import { ControlTables } from './control-tables.tsx';
import { FrameForm } from './frame-form.tsx';
import { Guide } from './guide.tsx';

type Tab = 'guide' | 'stations' | 'crossmembers' | 'features' | 'controls' | 'frame';

const TABS: readonly (readonly [Tab, string])[] = [
  ['guide', 'What next'],
  ['stations', 'Stations'],
  ['features', 'Features'],
  ['crossmembers', 'Crossmembers'],
  ['controls', 'Control points'],
  ['frame', 'Frame and axles'],
];

/** A change of the donor: taken when the whole job stays right, else the problems with the cells of one table. */
export type SetDonor = (label: string, table: string, next: (frame: Frame) => Frame) => readonly CellProblem[];

/** `donor.features[2].x` → row 2, column x. */
function cellOf(path: string, table: string): { readonly row: number; readonly column: string } | null {
  const match = /^donor\.(.+?)\[(\d+)\](?:\.(\w+))?/.exec(path);
  return match && match[1] === table ? { row: Number(match[2]), column: match[3] ?? '' } : null;
}

/** The donor as it really is: stations, features, crossmembers and control points, typed from the tape. */
export function DonorBench({ store, job, canWrite, selected, onSelect }: BenchProps) {
  const [tab, setTab] = useState<Tab>(job.done.includes('donor') ? 'stations' : 'guide');
  const [problem, setProblem] = useState('');

  const set: SetDonor = (label, table, next) => {
    const donor = next(job.donor);
    try {
      checkJob({ ...job, donor });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      const cells = error.problems.flatMap(({ path, message }): CellProblem[] => {
        const at = cellOf(path, table);
        return at ? [{ ...at, message }] : [];
      });
      const elsewhere = error.problems.find(({ path }) => !cellOf(path, table));
      setProblem(elsewhere ? `${elsewhere.message} Nothing was changed.` : '');
      return cells.length > 0 || !elsewhere ? cells : [{ row: 0, column: '', message: elsewhere.message }];
    }
    setProblem('');
    change(store, label, (old) => ({ ...old, donor }));
    return [];
  };

  return (
    <Tabs.Root value={tab} onValueChange={(value) => setTab(value as Tab)}>
      <Tabs.List aria-label="Parts of the donor" className="mb-3 flex flex-wrap gap-x-4 border-b border-graphite">
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
        <StationTables job={job} set={set} disabled={!canWrite} />
      </Tabs.Content>
      <Tabs.Content value="features">
        <FeatureTable job={job} set={set} disabled={!canWrite} selected={selected} onSelect={onSelect} />
      </Tabs.Content>
      <Tabs.Content value="crossmembers">
        <CrossmemberTable job={job} set={set} disabled={!canWrite} selected={selected} onSelect={onSelect} />
      </Tabs.Content>
      <Tabs.Content value="controls">
        <ControlTables job={job} set={set} disabled={!canWrite} />
      </Tabs.Content>
      <Tabs.Content value="frame">
        <FrameForm job={job} set={set} disabled={!canWrite} />
      </Tabs.Content>
    </Tabs.Root>
  );
}

interface TableProps {
  readonly job: Job;
  readonly set: SetDonor;
  readonly disabled: boolean;
}

export const lengthColumn = <Row,>(key: keyof Row & string, title: string, width: string, offset = 0): Column<Row> => ({
  key,
  title,
  width,
  kind: 'length',
  offset,
  get: (row) => row[key] as number,
  set: (row, mm) => ({ ...row, [key]: mm }),
});

export const textColumn = <Row,>(key: keyof Row & string, title: string, width: string): Column<Row> => ({
  key,
  title,
  width,
  kind: 'text',
  get: (row) => row[key] as string,
  set: (row, text) => ({ ...row, [key]: text }),
});

export const choiceColumn = <Row,>(
  key: keyof Row & string,
  title: string,
  width: string,
  choices: readonly (readonly [string, string])[],
): Column<Row> => ({
  key,
  title,
  width,
  kind: 'choice',
  choices,
  get: (row) => String(row[key] ?? ''),
  set: (row, choice) => ({ ...row, [key]: choice }),
});

const words = (values: readonly string[]) => values.map((value) => [value, value.replaceAll('-', ' ')] as const);

function StationTables({ job, set, disabled }: TableProps) {
  const { rails } = job.donor;
  const columns: Column<Station>[] = [
    lengthColumn('x', 'From datum', '24%', datumStation(job.donor)),
    lengthColumn('halfWidth', 'Half-width', '22%'),
    lengthColumn('top', 'Top height', '22%'),
    choiceColumn(
      'section',
      'Section behind',
      '32%',
      job.donor.sections.map(({ id }) => [id, id] as const),
    ),
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
        set('Edited stations', `rails.${key}`, (frame) => ({
          ...frame,
          rails:
            frame.rails.kind === 'mirrored' ? { kind: 'mirrored', stations: rows } : { ...frame.rails, [key]: rows },
        }))
      }
    />
  );
  const split = () =>
    set('Left and right measured apart', 'rails', (frame) =>
      frame.rails.kind === 'mirrored'
        ? { ...frame, rails: { kind: 'measured', left: frame.rails.stations, right: frame.rails.stations } }
        : { ...frame, rails: { kind: 'mirrored', stations: frame.rails.left } },
    );
  return (
    <>
      <p className="mb-2 text-sm text-pencil">
        Half-width: centre line to the outside face of the web. Top height: top of the rail over the datum plane. A
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
    </>
  );
}

interface SelectingProps extends TableProps {
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
}

const nextId = (prefix: string, taken: readonly { readonly id: string }[]): string => {
  for (let count = taken.length + 1; ; count += 1)
    if (!taken.some(({ id }) => id === `${prefix}-${count}`)) return `${prefix}-${count}`;
};

function FeatureTable({ job, set, disabled, selected, onSelect }: SelectingProps) {
  const { features, groups } = job.donor;
  const columns: Column<Feature>[] = [
    textColumn('name', 'Name', '25%'),
    choiceColumn('kind', 'Kind', '17%', words(FEATURE_KINDS)),
    choiceColumn('side', 'Side', '10%', words(['both', 'left', 'right'])),
    lengthColumn('x', 'From datum', '12%', datumStation(job.donor)),
    lengthColumn('length', 'Long', '8%'),
    lengthColumn('down', 'Down', '9%'),
    choiceColumn('movable', 'Movable', '10%', words(['no', 're-drill', 're-weld'])),
    {
      ...choiceColumn<Feature>('group', 'Group', '9%', [
        ['', '–'],
        ...groups.map(({ id, name }: Group) => [id, name] as const),
      ]),
      kind: 'choice',
      set: (row, group) => {
        const rest: Feature & { group?: string } = { ...row };
        delete rest.group;
        return group === '' ? rest : { ...rest, group };
      },
    } as Column<Feature>,
  ];
  const index = features.findIndex((feature) => feature.id === selected);
  return (
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
        id: nextId('feature', features),
        name: `Feature ${count + 1}`,
        kind: 'hole',
        side: 'both',
        x: after?.x ?? datumStation(job.donor),
        length: 0,
        face: 'web-outside',
        down: inches(2),
        diameter: inches(1 / 2),
        attachment: 'hole',
        movable: 'no',
        mass: 0,
      })}
      onChange={(rows) => set('Edited features', 'features', (frame) => ({ ...frame, features: rows }))}
    />
  );
}

function CrossmemberTable({ job, set, disabled, selected, onSelect }: SelectingProps) {
  const { crossmembers } = job.donor;
  const columns: Column<Crossmember>[] = [
    textColumn('name', 'Name', '30%'),
    lengthColumn('x', 'Middle, from datum', '17%', datumStation(job.donor)),
    lengthColumn('length', 'Long', '11%'),
    lengthColumn('depth', 'Deep', '11%'),
    lengthColumn('below', 'Below rail top', '13%'),
    choiceColumn('fixing', 'Fixed by', '18%', words(['riveted', 'bolted', 'welded'])),
  ];
  return (
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
        id: nextId('crossmember', crossmembers),
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
  );
}
