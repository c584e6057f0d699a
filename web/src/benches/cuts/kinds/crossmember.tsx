import { CrossmemberSketch } from '../sketches/crossmember-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { type Crossmember, type LengthFormat, newCrossmember } from '@splay/core';
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
          if (what === 'add') set({ what, at, crossmember: newCrossmember(operation.id, at.x) });
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
          onChange={(id) => set({ ...change, crossmember: id })}
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
  readonly format: LengthFormat;
  readonly disabled: boolean;
  readonly onChange: (crossmember: Crossmember) => void;
}

/** What a crossmember that the plan adds is like. */
function NewCrossmember({ crossmember, format, disabled, onChange }: NewCrossmemberProps) {
  const common = { format, disabled };
  return (
    <>
      <TextField
        label="Name"
        value={crossmember.name}
        disabled={disabled}
        onChange={(name) => onChange({ ...crossmember, name })}
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
          label="Long, along the frame"
          mm={crossmember.length}
          check={above('The length')}
          onChange={(length) => onChange({ ...crossmember, length })}
        />
        <QuantityField
          label="Mass"
          of="mass"
          value={crossmember.mass ?? 0}
          unit={format.unit}
          disabled={disabled}
          onChange={(mass) => onChange({ ...crossmember, mass })}
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

export const crossmember: KindView<'crossmember'> = {
  Fields: CrossmemberFields,
  Sketch: CrossmemberSketch,
  figure: () => '',
};
