import {
  describeSection,
  type Job,
  lengthText,
  MATERIALS,
  resistingMoment,
  type Section,
  sectionProperties,
  torsionConstant,
  materialOf,
  type Axle,
} from '@splay/core';
import { type Column, EditTable } from '../../ui/edit-table.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { lengthColumn, type SetDonor, textColumn } from './donor-bench.tsx';

interface FrameFormProps {
  readonly job: Job;
  readonly set: SetDonor;
  readonly disabled: boolean;
}

const SIZES: Readonly<Record<Section['kind'], readonly (readonly [key: string, label: string])[]>> = {
  channel: [
    ['depth', 'Depth'],
    ['flange', 'Flange'],
    ['thickness', 'Wall'],
  ],
  'closed-channel': [
    ['depth', 'Depth'],
    ['flange', 'Flange'],
    ['thickness', 'Wall'],
    ['plate', 'Closing plate'],
  ],
  tube: [
    ['depth', 'Depth'],
    ['width', 'Width'],
    ['thickness', 'Outer wall'],
    ['inner', 'Inner wall'],
  ],
  hat: [
    ['depth', 'Depth'],
    ['crown', 'Crown'],
    ['brim', 'Brim'],
    ['thickness', 'Wall'],
  ],
  round: [
    ['depth', 'Diameter'],
    ['thickness', 'Wall'],
  ],
};

/** The same outside sizes as another kind of section, as far as they carry over. */
function asKind(kind: Section['kind'], old: Section): Section {
  const { depth, thickness } = old;
  const width = 'flange' in old ? old.flange : 'width' in old ? old.width : 'crown' in old ? old.crown : depth / 2;
  switch (kind) {
    case 'channel':
      return { kind, depth, flange: width, thickness };
    case 'closed-channel':
      return { kind, depth, flange: width, thickness, plate: thickness };
    case 'tube':
      return { kind, depth, width, thickness, inner: thickness };
    case 'hat':
      return { kind, depth, crown: width, brim: width / 2, thickness };
    case 'round':
      return { kind, depth, thickness };
  }
}

/** The frame as a whole: what it is made of, its sections and their strength, the datum, the axles. */
export function FrameForm({ job, set, disabled }: FrameFormProps) {
  const { donor, display } = job;
  const material = materialOf(donor.material);
  const show = (mm: number) => lengthText(mm, display);
  const axleColumns: Column<Axle>[] = [
    textColumn('name', 'Axle', '32%'),
    lengthColumn('x', 'Station', '17%'),
    lengthColumn('z', 'Height of centre', '19%'),
    lengthColumn('tyreRadius', 'Tyre radius', '16%'),
    lengthColumn('track', 'Track', '16%'),
  ];
  return (
    <div className="space-y-3">
      <div className="grid grid-cols-2 gap-3">
        <label className="text-sm text-pencil">
          Donor
          <input
            className="field mt-1 text-graphite"
            defaultValue={donor.name}
            disabled={disabled}
            maxLength={120}
            onBlur={(event) =>
              event.target.value.trim() &&
              event.target.value !== donor.name &&
              set('Renamed the donor', '', (frame) => ({ ...frame, name: event.target.value.trim() }))
            }
          />
        </label>
        <label className="text-sm text-pencil">
          Material
          <select
            className="field mt-1 text-graphite"
            value={donor.material}
            disabled={disabled}
            onChange={(event) =>
              set('Changed the material', '', (frame) => ({ ...frame, material: event.target.value }))
            }
          >
            {MATERIALS.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      </div>
      {!material.weldable && (
        <p className="border-l-4 border-oxide bg-oxide-wash px-3 py-2 font-semibold">
          {material.name}: these rails must not be welded or heated. Only bolted work is planned on them.
        </p>
      )}
      <p className="text-sm text-pencil">
        Yield {material.yieldStress} MPa, {Math.round(material.heatAffected * 100)} % of it left beside a weld:{' '}
        {material.source}.
      </p>

      {donor.sections.map(({ id, section }, index) => {
        const properties = sectionProperties(section);
        const torsion = torsionConstant(section);
        const put = (next: Section) =>
          set('Changed a section', 'sections', (frame) => ({
            ...frame,
            sections: frame.sections.map((named, other) => (other === index ? { id, section: next } : named)),
          }));
        return (
          <section key={id}>
            <PanelHeading>
              Section “{id}”: {describeSection(section, show)}
            </PanelHeading>
            <div className="grid grid-cols-5 items-end gap-2">
              <label className="text-sm text-pencil">
                Kind
                <select
                  className="field mt-1 h-9 px-1 text-graphite"
                  value={section.kind}
                  disabled={disabled}
                  onChange={(event) => put(asKind(event.target.value as Section['kind'], section))}
                >
                  {Object.keys(SIZES).map((kind) => (
                    <option key={kind} value={kind}>
                      {kind.replace('-', ' ')}
                    </option>
                  ))}
                </select>
              </label>
              {SIZES[section.kind].map(([key, label]) => (
                <LengthField
                  key={key}
                  label={label}
                  mm={(section as unknown as Record<string, number>)[key] ?? 0}
                  format={{ ...display, division: display.division === 'decimal' ? 'decimal' : 64 }}
                  disabled={disabled}
                  onChange={(mm) => put({ ...section, [key]: mm })}
                />
              ))}
            </div>
            <dl className="mt-2 grid grid-cols-4 gap-2 text-sm">
              {(
                [
                  ['Modulus', `${(Math.min(properties.modulusTop, properties.modulusBottom) / 1000).toFixed(1)} cm³`],
                  ['RBM a rail', `${(resistingMoment(properties, material.yieldStress) / 1e6).toFixed(1)} kN·m`],
                  [`J, ${torsion.basis}`, `${(torsion.j / 1e4).toFixed(2)} cm⁴`],
                  ['Mass', `${properties.massPerMetre.toFixed(1)} kg/m`],
                ] as const
              ).map(([name, value]) => (
                <div key={name}>
                  <dt className="text-pencil">{name}</dt>
                  <dd className="font-semibold">{value}</dd>
                </div>
              ))}
            </dl>
          </section>
        );
      })}

      <PanelHeading>Datum hole</PanelHeading>
      <select
        className="field"
        aria-label="Datum hole"
        value={donor.datum}
        disabled={disabled}
        onChange={(event) => set('Chose the datum hole', '', (frame) => ({ ...frame, datum: event.target.value }))}
      >
        {donor.features
          .filter((feature) => feature.kind === 'hole')
          .map(({ id, name, x }) => (
            <option key={id} value={id}>
              {name}, {lengthText(x, display, true)} behind the front axle
            </option>
          ))}
      </select>

      <PanelHeading>Axles</PanelHeading>
      <p className="text-sm text-pencil">Stations count from the front axle; heights from the datum plane.</p>
      <EditTable<Axle>
        caption="Axles"
        columns={axleColumns}
        rows={donor.axles}
        format={display}
        disabled={disabled}
        addLabel="Add an axle"
        newRow={(after, count) => ({
          id: `axle-${count + 1}-${donor.axles.length}`,
          name: `Axle ${count + 1}`,
          role: 'rear',
          x: (after?.x ?? 0) + 1200,
          z: after?.z ?? -250,
          tyreRadius: after?.tyreRadius ?? 380,
          track: after?.track ?? 1650,
        })}
        onChange={(rows) => set('Edited axles', 'axles', (frame) => ({ ...frame, axles: rows }))}
      />
    </div>
  );
}
