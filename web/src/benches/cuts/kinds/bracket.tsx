import { BracketSketch } from '../sketches/bracket-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { asUsual, kindsThat, newBracket, newHole, withFigures } from '@splay/core';
import { Choice } from '../../../ui/choice.tsx';
import { FlangePlace } from '../../../ui/flange-place.tsx';
import { LengthField } from '../../../ui/length-field.tsx';
import { QuantityField } from '../../../ui/quantity-field.tsx';
import { words } from '../../../ui/table-columns.ts';
import { TextField } from '../../../ui/text-field.tsx';
import { above, atLeast, type Fields } from '../field-props.ts';
import { PlaceField } from '../place-field.tsx';

const SIDE_CHOICES = [
  ['both', 'both rails'],
  ['left', 'left'],
  ['right', 'right'],
] as const;

const FACES = ['web-outside', 'web-inside', 'top', 'bottom'] as const;

const BRACKET_KINDS = kindsThat(({ bracket }) => bracket);

/** The face of the rail that something new is on, and where across a flange. */
function FaceFields(props: Parameters<typeof FlangePlace>[0]) {
  const { feature, disabled, onChange } = props;
  return (
    <>
      <Choice
        list
        label="Face"
        value={feature.face}
        disabled={disabled}
        choices={words(FACES)}
        onChange={(face) => onChange({ ...feature, face, down: face === 'top' ? 0 : feature.down })}
      />
      <FlangePlace {...props} />
    </>
  );
}

/** Move a bracket, take it off, add one, or drill holes. */
function BracketFields({ operation, job, result, disabled, onChange }: Fields<'bracket'>) {
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
        value={change.what}
        disabled={disabled}
        choices={[
          ['move', 'move one'],
          ['remove', 'take one off'],
          ['add', 'add one'],
          ['drill', 'drill holes'],
        ]}
        onChange={(what) => {
          if (what === 'remove') set({ what, feature: named });
          else if (what === 'move') set({ what, feature: named, to: at, down: feature?.down ?? 50.8 });
          else if (what === 'add') set({ what, at, feature: newBracket(operation.id, at.x) });
          else set({ what, at, feature: newHole(operation.id, at.x), count: 1, pitch: 0 });
        }}
      />
      {(change.what === 'remove' || change.what === 'move') && (
        <Choice
          label="Which"
          value={named}
          disabled={disabled}
          choices={job.donor.features.map(({ id, name }) => [id, name] as const)}
          onChange={(id) => {
            const next = job.donor.features.find((candidate) => candidate.id === id);
            // What is moved begins where that one is.
            set(
              change.what === 'move' && next
                ? { ...change, feature: id, to: { x: next.x, on: 'donor' }, down: next.down }
                : { ...change, feature: id },
            );
          }}
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
      {change.what === 'add' && (
        <>
          <TextField
            label="Name"
            value={change.feature.name}
            disabled={disabled}
            onChange={(name) => set({ ...change, feature: { ...change.feature, name } })}
          />
          <Choice
            list
            label="Kind"
            value={change.feature.kind}
            disabled={disabled}
            choices={words(BRACKET_KINDS)}
            onChange={(kind) => set({ ...change, feature: asUsual({ ...change.feature, kind }) })}
          />
          <PlaceField
            label="Middle of its fastening"
            place={change.at}
            {...{ job, result, disabled }}
            onChange={(place) => set({ ...change, at: place })}
          />
          <div className="grid grid-cols-2 gap-2">
            <LengthField
              {...common}
              label="Reach ahead"
              mm={change.feature.ahead}
              check={atLeast('The reach')}
              onChange={(ahead) => set({ ...change, feature: withFigures(change.feature, { ahead }) })}
            />
            <LengthField
              {...common}
              label="Reach behind"
              mm={change.feature.behind}
              check={atLeast('The reach')}
              onChange={(behind) => set({ ...change, feature: withFigures(change.feature, { behind }) })}
            />
            <LengthField
              {...common}
              label="Hole (0: none)"
              mm={change.feature.diameter}
              check={atLeast('The hole')}
              onChange={(diameter) => set({ ...change, feature: withFigures(change.feature, { diameter }) })}
            />
            <LengthField
              {...common}
              label="Below the rail top"
              mm={change.feature.down}
              onChange={(down) => set({ ...change, feature: { ...change.feature, down } })}
            />
          </div>
          <FaceFields feature={change.feature} {...common} onChange={(feature) => set({ ...change, feature })} />
          <Choice
            label="On"
            value={change.feature.side}
            disabled={disabled}
            choices={SIDE_CHOICES}
            onChange={(side) => set({ ...change, feature: { ...change.feature, side } })}
          />
          <Choice
            label="Fixed by"
            value={change.feature.attachment}
            disabled={disabled}
            choices={[
              ['bolts', 'bolts'],
              ['rivets', 'rivets'],
              ['weld', 'weld'],
            ]}
            onChange={(attachment) => set({ ...change, feature: withFigures(change.feature, { attachment }) })}
          />
          <QuantityField
            label={change.feature.side === 'both' ? 'Mass, each side' : 'Mass'}
            of="mass"
            value={change.feature.mass}
            unit={job.display.unit}
            disabled={disabled}
            onChange={(mass) => set({ ...change, feature: withFigures(change.feature, { mass }) })}
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
          <FaceFields feature={change.feature} {...common} onChange={(feature) => set({ ...change, feature })} />
          <Choice
            label="In"
            value={change.feature.side}
            disabled={disabled}
            choices={SIDE_CHOICES}
            onChange={(side) => set({ ...change, feature: { ...change.feature, side } })}
          />
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

export const bracket: KindView<'bracket'> = {
  Fields: BracketFields,
  Sketch: BracketSketch,
  figure: () => '',
};
