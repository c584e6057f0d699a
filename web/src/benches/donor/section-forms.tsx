import {
  describeSection,
  lengthText,
  type NamedSection,
  railOf,
  resistingMoment,
  type Section,
  sectionProperties,
  SIDES,
  STOCK_SECTIONS,
  torsionConstant,
} from '@splay/core';
import { Choice } from '../../ui/choice.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Quantity } from '../../ui/quantity.tsx';
import type { PartProps } from './donor-part.tsx';
import { freshId } from '../../client/fresh-id.ts';

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
    ['plateDepth', 'Plate high'],
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

/** Where the sizes of a section come from: one that was picked is measured once somebody has had a caliper on it. */
const SECTION_ORIGINS = [
  ['', 'measured'],
  ['assumed', 'picked, not measured'],
  ['paper', 'from a paper'],
] as const;

const KINDS = (Object.keys(SIZES) as Section['kind'][]).map((kind) => [kind, kind.replace('-', ' ')] as const);

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

/** The sections of the rails and of new steel, with what each can carry. */
export function SectionForms({ job, set, disabled }: PartProps) {
  const { donor, display } = job;
  const material = donor.material;
  const show = (mm: number) => lengthText(mm, display);
  const used = new Set([
    ...SIDES.flatMap((side) => railOf(donor.rails, side).map(({ section }) => section)),
    ...donor.crossmembers.map(({ section }) => section),
  ]);
  const add = (section: Section) =>
    set('Added a section', (frame) => ({
      ...frame,
      sections: [...frame.sections, { id: freshId('section'), section, origin: 'assumed' }],
    }));
  return (
    <>
      {donor.sections.map(({ id, section, origin }, index) => {
        const properties = sectionProperties(section);
        const torsion = torsionConstant(section);
        const putNamed = (next: NamedSection) =>
          set('Changed a section', (frame) => ({
            ...frame,
            sections: frame.sections.map((named, other) => (other === index ? next : named)),
          }));
        // A size that was typed was measured.
        const put = (next: Section) => putNamed({ id, section: next });
        return (
          <section key={id}>
            <PanelHeading
              aside={
                !disabled &&
                !used.has(id) && (
                  <button
                    type="button"
                    className="text-sm font-normal tracking-normal normal-case underline"
                    onClick={() =>
                      set('Removed a section', (frame) => ({
                        ...frame,
                        sections: frame.sections.filter((named) => named.id !== id),
                      }))
                    }
                  >
                    take out
                  </button>
                )
              }
            >
              Section “{id}”: {describeSection(section, show)}
            </PanelHeading>
            <div className="grid grid-cols-4 items-end gap-2">
              <Choice
                list
                label="Kind"
                value={section.kind}
                disabled={disabled}
                choices={KINDS}
                onChange={(kind) => put(asKind(kind, section))}
              />
              <Choice
                list
                label="Its sizes are"
                value={origin ?? ''}
                disabled={disabled}
                choices={SECTION_ORIGINS}
                onChange={(next) => putNamed(next === '' ? { id, section } : { id, section, origin: next })}
              />
              {SIZES[section.kind].map(([key, label]) => (
                <LengthField
                  key={key}
                  label={label}
                  mm={(section as unknown as Record<string, number>)[key] ?? (key === 'plateDepth' ? section.depth : 0)}
                  format={{ ...display, division: display.division === 'decimal' ? 'decimal' : 64 }}
                  disabled={disabled}
                  onChange={(mm) => put({ ...section, [key]: mm })}
                />
              ))}
            </div>
            <dl className="mt-2 grid grid-cols-4 gap-2 text-sm">
              {(
                [
                  ['Modulus', 'modulus', Math.min(properties.modulusTop, properties.modulusBottom)],
                  ['RBM a rail', 'moment', resistingMoment(properties, material.yieldStress)],
                  [`J, ${torsion.basis}`, 'second moment', torsion.j],
                  ['Mass', 'mass along', properties.area * material.density * 1000],
                ] as const
              ).map(([name, kind, value]) => (
                <div key={name}>
                  <dt className="text-pencil">{name}</dt>
                  <dd className="font-semibold">
                    <Quantity of={kind} value={value} unit={display.unit} />
                  </dd>
                </div>
              ))}
            </dl>
          </section>
        );
      })}
      {!disabled && (
        <Choice
          list
          label="Add a section from the steel yard, then set its sizes"
          value=""
          disabled={disabled}
          choices={[['', 'Pick one …'], ...STOCK_SECTIONS.map(({ name }, index) => [String(index), name] as const)]}
          onChange={(index) => {
            const stock = STOCK_SECTIONS[Number(index)];
            if (stock) add(stock.section);
          }}
        />
      )}
    </>
  );
}
