import { CrossmemberSketch } from '../sketches/crossmember-sketch.tsx';
import type { KindView } from './kind-view.ts';
import {
  type Crossmember,
  describeSection,
  type Frame,
  type LengthFormat,
  lengthText,
  newCrossmember,
  widthOf,
} from '@splay/core';
import { Choice } from '../../../ui/choice.tsx';
import { LengthField } from '../../../ui/length-field.tsx';
import { QuantityField } from '../../../ui/quantity-field.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { above, type Fields } from '../field-props.ts';
import { PlaceField } from '../place-field.tsx';

/** Add, take out, move, lower or thin a crossmember. */
function CrossmemberFields({ operation, job, result, disabled, onChange }: Fields<'crossmember'>) {
  const { change } = operation;
  const set = (next: typeof change) => onChange({ ...operation, change: next });
  const first = job.donor.crossmembers[0]?.id ?? '';
  const named = 'crossmember' in change && typeof change.crossmember === 'string' ? change.crossmember : first;
  const member = job.donor.crossmembers.find((candidate) => candidate.id === named);
  return (
    <>
      <Choice
        label="What"
        value={change.what}
        disabled={disabled}
        choices={[
          ['add', 'add one'],
          ['remove', 'take one out'],
          ['move', 'move one'],
          ['lower', 'lower one'],
          ['thin', 'make one thinner'],
        ]}
        onChange={(what) => {
          const at = { x: member?.x ?? 0, on: 'donor' as const };
          if (what === 'add') set({ what, at, crossmember: newCrossmember(operation.id, at.x, job.donor) });
          if (what === 'remove') set({ what, crossmember: named });
          if (what === 'move') set({ what, crossmember: named, to: at });
          if (what === 'lower') set({ what, crossmember: named, by: 25.4 });
          if (what === 'thin') set({ what, crossmember: named, depth: (member?.depth ?? 100) / 2 });
        }}
      />
      {change.what !== 'add' && (
        <Choice
          label="Which"
          value={named}
          disabled={disabled}
          choices={job.donor.crossmembers.map(({ id, name }) => [id, name] as const)}
          onChange={(id) => {
            const next = job.donor.crossmembers.find((candidate) => candidate.id === id);
            // What is moved begins where that one is, and what is thinned from how deep it is.
            if (change.what === 'move' && next) set({ ...change, crossmember: id, to: { x: next.x, on: 'donor' } });
            else if (change.what === 'thin' && next) set({ ...change, crossmember: id, depth: next.depth / 2 });
            else set({ ...change, crossmember: id });
          }}
        />
      )}
      {change.what === 'add' && (
        <>
          <PlaceField
            label="Where"
            place={change.at}
            {...{ job, result, disabled }}
            onChange={(at) => set({ ...change, at })}
          />
          <NewCrossmember
            crossmember={change.crossmember}
            mass={result.crossmembers.find(({ crossmember: { id } }) => id === change.crossmember.id)?.mass}
            sections={job.donor.sections}
            format={job.display}
            disabled={disabled}
            onChange={(crossmember) => set({ ...change, crossmember })}
          />
        </>
      )}
      {change.what === 'move' && (
        <PlaceField
          label="To"
          place={change.to}
          {...{ job, result, disabled }}
          onChange={(to) => set({ ...change, to })}
        />
      )}
      {change.what === 'lower' && (
        <LengthField
          label="Lower by"
          mm={change.by}
          format={job.display}
          disabled={disabled}
          onChange={(by) => set({ ...change, by })}
        />
      )}
      {change.what === 'thin' && (
        <LengthField
          label="New depth"
          mm={change.depth}
          format={job.display}
          disabled={disabled}
          check={above('The depth')}
          onChange={(depth) => set({ ...change, depth })}
        />
      )}
    </>
  );
}

interface NewCrossmemberProps {
  readonly crossmember: Crossmember;
  /** Of its section, from web to web, kg; undefined where it is not there. */
  readonly mass: number | undefined;
  readonly sections: Frame['sections'];
  readonly format: LengthFormat;
  readonly disabled: boolean;
  readonly onChange: (crossmember: Crossmember) => void;
}

/** What a crossmember that the plan adds is like. */
function NewCrossmember({ crossmember, mass, sections, format, disabled, onChange }: NewCrossmemberProps) {
  const common = { format, disabled };
  return (
    <>
      <TextField
        label="Name"
        value={crossmember.name}
        disabled={disabled}
        onChange={(name) => onChange({ ...crossmember, name })}
      />
      <Choice
        list
        label="Section"
        value={crossmember.section ?? ''}
        disabled={disabled}
        choices={[
          ['', 'none of the list'],
          ...sections.map(({ id, section }) => [id, describeSection(section, (mm) => lengthText(mm, format))] as const),
        ]}
        onChange={(id) =>
          onChange(
            withSection(
              crossmember,
              sections.find((one) => one.id === id),
            ),
          )
        }
      />
      <div className="grid grid-cols-2 gap-2">
        <LengthField
          {...common}
          label="Depth"
          mm={crossmember.depth}
          check={above('The depth')}
          onChange={(depth) => onChange({ ...crossmember, depth })}
        />
        <LengthField
          {...common}
          label="Below the rail top"
          mm={crossmember.below}
          onChange={(below) => onChange({ ...crossmember, below })}
        />
        <LengthField
          {...common}
          label="Wide, along the rail"
          mm={crossmember.length}
          check={above('The length')}
          onChange={(length) => onChange({ ...crossmember, length })}
        />
        <QuantityField
          label={crossmember.mass === undefined ? 'Mass, by its section' : 'Mass, as weighed'}
          of="mass"
          value={crossmember.mass ?? mass ?? 0}
          unit={format.unit}
          disabled={disabled}
          onChange={(weighed) => onChange({ ...crossmember, mass: weighed })}
        />
      </div>
      <Choice
        label="Fixed by"
        value={crossmember.fixing}
        disabled={disabled}
        choices={[
          ['riveted', 'rivets'],
          ['bolted', 'bolts'],
          ['welded', 'weld'],
        ]}
        onChange={(fixing) => onChange({ ...crossmember, fixing })}
      />
    </>
  );
}

/** The crossmember made of a section: as deep and as wide as it, its mass by it. */
function withSection(crossmember: Crossmember, of: Frame['sections'][number] | undefined): Crossmember {
  const { section: _, mass: __, ...plain } = crossmember;
  return of ? { ...plain, section: of.id, depth: of.section.depth, length: widthOf(of.section) } : plain;
}

export const crossmember: KindView<'crossmember'> = {
  Fields: CrossmemberFields,
  Sketch: CrossmemberSketch,
  figure: () => '',
};
