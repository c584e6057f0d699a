import {
  factsOf,
  type Frame,
  type Unit,
  UNIT_FACTS,
  UNIT_KINDS,
  type UnitKind,
  unitOf,
  type UnitOutcome,
  withMount,
} from '@splay/core';
import { Plus, X } from 'lucide-react';
import { EditTable } from '../../ui/edit-table.tsx';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { choiceColumn, type Column, textColumn } from '../../ui/table-columns.ts';
import { freshId } from '../../client/fresh-id.ts';
import type { PartProps } from './donor-part.tsx';

const COLUMNS: readonly Column<Unit>[] = [
  textColumn('name', 'Unit', '60%'),
  choiceColumn(
    'kind',
    'Kind',
    '40%',
    UNIT_KINDS.map((kind) => [kind, UNIT_FACTS[kind].name] as const),
  ),
];

/** Features that usually carry a kind of unit and carry none yet, front to rear. */
const usualMounts = ({ features, units }: Frame, kind: UnitKind) =>
  features
    .filter((feature) => factsOf(feature.kind).unit === kind && !unitOf({ units }, feature.id))
    .toSorted((a, b) => a.x - b.x);

/** What is rigid and rides on its mounts: cab, power unit, suspensions, tank, body. */
export function UnitTable(part: PartProps) {
  const { job, setRows, disabled, result } = part;
  const { units } = job.donor;
  return (
    <>
      <PanelHeading>Units</PanelHeading>
      <p className="mb-2 text-sm text-pencil">
        What is rigid and rides on its mounts. It goes where the mounts go that it stays with; a cut between them says
        which mounts have left it, and by how much.
      </p>
      <EditTable<Unit>
        caption="Units"
        columns={COLUMNS}
        rows={units}
        format={job.display}
        disabled={disabled}
        addLabel="Add a unit"
        newRow={(_, count) => ({ id: freshId('unit'), name: `Unit ${count + 1}`, kind: 'cab', mounts: [] })}
        onChange={(rows) => setRows('Edited units', 'units', (frame) => ({ ...frame, units: rows }))}
      />
      <ul className="mt-2 divide-y divide-rule border-y border-rule">
        {units.map((unit) => (
          <UnitMounts
            key={unit.id}
            {...part}
            unit={unit}
            outcome={result.units.find((candidate) => candidate.unit.id === unit.id)}
          />
        ))}
      </ul>
    </>
  );
}

interface UnitMountsProps extends PartProps {
  readonly unit: Unit;
  readonly outcome: UnitOutcome | undefined;
}

/** The mounts of one unit, what the plan makes of each, and those that it could stand on besides. */
function UnitMounts({ job, set, disabled, onSelect, unit, outcome }: UnitMountsProps) {
  const { donor, display } = job;
  const usual = usualMounts(donor, unit.kind);
  const taken = new Set(donor.units.flatMap(({ mounts }) => mounts.map(({ id }) => id)));
  const others = [
    ...donor.features
      .filter(({ id, kind }) => factsOf(kind).carries && !taken.has(id))
      .map(({ id, name }) => ({ kind: 'feature' as const, id, name })),
    ...donor.crossmembers
      .filter(({ id }) => !taken.has(id))
      .map(({ id, name }) => ({ kind: 'crossmember' as const, id, name })),
  ];
  const put = (label: string, next: Frame['units']) => set(label, (frame) => ({ ...frame, units: next }));
  return (
    <li className="py-2 text-sm">
      <h4 className="heading text-base">{unit.name}</h4>
      {unit.mounts.length === 0 && <p className="text-pencil">Stands on nothing yet.</p>}
      <ul className="mt-0.5 flex flex-wrap gap-1.5">
        {unit.mounts.map((mount) => {
          const found = outcome?.mounts.find(({ ref }) => ref.id === mount.id);
          const stays = outcome?.staysWith?.id === mount.id;
          const off = found?.off;
          const left = off !== undefined && off !== null && Math.hypot(off.x, off.z) > 1;
          return (
            <li
              key={mount.id}
              className={`flex min-h-7 items-center gap-1 border pl-2 ${left ? 'border-oxide bg-oxide-wash' : 'border-rule bg-paper'}`}
            >
              <button type="button" className="text-left hover:underline" onClick={() => onSelect(mount.id)}>
                {found?.name ?? mount.id}
                {stays && left !== true && <span className="text-pencil">, stays with it</span>}
                {left && (
                  <>
                    , left by <Length mm={Math.hypot(off.x, off.z)} format={display} className="font-semibold" />
                  </>
                )}
              </button>
              {!disabled && (
                <button
                  type="button"
                  className="p-1 text-pencil hover:text-oxide"
                  aria-label={`Take ${found?.name ?? mount.id} off ${unit.name}`}
                  onClick={() => put('Took a mount off a unit', withMount(donor.units, mount, null))}
                >
                  <X size={13} />
                </button>
              )}
            </li>
          );
        })}
      </ul>
      {!disabled && (
        <p className="mt-1.5 flex flex-wrap items-center gap-2">
          {usual.length > 0 && (
            <button
              type="button"
              className="button"
              onClick={() =>
                put(
                  'Put mounts under a unit',
                  usual.reduce<Frame['units']>(
                    (units, { id }) => withMount(units, { kind: 'feature', id }, unit.id),
                    donor.units,
                  ),
                )
              }
            >
              <Plus size={13} aria-hidden="true" />
              {usual.length === 1 ? usual[0]?.name : `its ${usual.length} usual mounts`}
            </button>
          )}
          {others.length > 0 && (
            <select
              className="field h-8 w-44 text-sm"
              aria-label={`Another mount of ${unit.name}`}
              value=""
              onChange={(event) => {
                const mount = others.find(({ id }) => id === event.target.value);
                if (mount)
                  put('Put a mount under a unit', withMount(donor.units, { kind: mount.kind, id: mount.id }, unit.id));
              }}
            >
              <option value="">another mount …</option>
              {others.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </p>
      )}
    </li>
  );
}
