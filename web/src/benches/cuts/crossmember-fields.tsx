import { LengthField } from '../../ui/length-field.tsx';
import { Choice } from '../../ui/choice.tsx';
import { above, type Fields } from './field-props.ts';
import { PlaceField } from './place-field.tsx';

/** Add, take out, move, lower or thin a crossmember. */
export function CrossmemberFields({ operation, job, result, disabled, onChange }: Fields<'crossmember'>) {
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
          if (what === 'add') return;
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
          <LengthField
            label="Depth"
            mm={change.crossmember.depth}
            format={job.display}
            disabled={disabled}
            check={above('The depth')}
            onChange={(depth) => set({ ...change, crossmember: { ...change.crossmember, depth } })}
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
