import type { Feature } from '@splay/core';
import { LengthField } from '../../ui/length-field.tsx';
import { Choice } from '../../ui/choice.tsx';
import { above, type Fields } from './field-props.ts';
import { PlaceField } from './place-field.tsx';

const NEW_HOLE: Omit<Feature, 'id' | 'x'> = {
  name: 'New hole',
  kind: 'hole',
  side: 'both',
  length: 0,
  face: 'web-outside',
  down: 50.8,
  diameter: 12.7,
  attachment: 'hole',
  movable: 'no',
  mass: 0,
};

/** Move a bracket, take it off, or drill holes. */
export function BracketFields({ operation, job, result, disabled, onChange }: Fields<'bracket'>) {
  const { change } = operation;
  const set = (next: typeof change) => onChange({ ...operation, change: next });
  const named = typeof change.feature === 'string' ? change.feature : (job.donor.features[0]?.id ?? '');
  const feature = job.donor.features.find((candidate) => candidate.id === named);
  const at = { x: feature?.x ?? 0, on: 'donor' as const };
  const common = { format: job.display, disabled };
  return (
    <>
      <Choice
        label="What"
        value={change.what === 'add' ? 'drill' : change.what}
        disabled={disabled}
        choices={[
          ['move', 'move one'],
          ['remove', 'take one off'],
          ['drill', 'drill holes'],
        ]}
        onChange={(what) => {
          if (what === 'remove') set({ what, feature: named });
          else if (what === 'move') set({ what, feature: named, to: at, down: feature?.down ?? 50.8 });
          else
            set({
              what: 'drill',
              at,
              feature: { ...NEW_HOLE, id: `${operation.id}-hole`, x: at.x },
              count: 1,
              pitch: 0,
            });
        }}
      />
      {(change.what === 'remove' || change.what === 'move') && (
        <Choice
          label="Which"
          value={named}
          disabled={disabled}
          choices={job.donor.features.map(({ id, name }) => [id, name] as const)}
          onChange={(id) => set({ ...change, feature: id })}
        />
      )}
      {change.what === 'move' && (
        <>
          <PlaceField
            label="To"
            place={change.to}
            {...{ job, result, disabled }}
            onChange={(to) => set({ ...change, to })}
          />
          <LengthField
            {...common}
            label="Below the rail top"
            mm={change.down}
            onChange={(down) => set({ ...change, down })}
          />
        </>
      )}
      {change.what === 'drill' && (
        <>
          <PlaceField
            label="First hole"
            place={change.at}
            {...{ job, result, disabled }}
            onChange={(place) => set({ ...change, at: place })}
          />
          <div className="grid grid-cols-2 gap-2">
            <LengthField
              {...common}
              label="Diameter"
              mm={change.feature.diameter}
              check={above('The diameter')}
              onChange={(diameter) => set({ ...change, feature: { ...change.feature, diameter } })}
            />
            <LengthField
              {...common}
              label="Below the top"
              mm={change.feature.down}
              onChange={(down) => set({ ...change, feature: { ...change.feature, down } })}
            />
          </div>
          <Choice
            label="How many"
            value={String(change.count)}
            disabled={disabled}
            choices={[1, 2, 3, 4, 5, 6, 8, 10].map((count) => [String(count), String(count)] as const)}
            onChange={(count) =>
              set({
                ...change,
                count: Number(count),
                pitch: Number(count) > 1 && change.pitch === 0 ? 50.8 : change.pitch,
              })
            }
          />
          {change.count > 1 && (
            <LengthField
              {...common}
              label="Apart"
              mm={change.pitch}
              check={above('The distance')}
              onChange={(pitch) => set({ ...change, pitch })}
            />
          )}
        </>
      )}
    </>
  );
}
