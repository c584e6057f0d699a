import { type Feature, type Job, type Operation, type Place, type PlanResult } from '@splay/core';
import { LengthField } from '../../ui/length-field.tsx';
import { AngleField } from './angle-field.tsx';
import { Choice } from './choice.tsx';
import { PlaceField } from './place-field.tsx';

interface OperationFieldsProps {
  readonly operation: Operation;
  readonly job: Job;
  readonly result: PlanResult;
  readonly disabled: boolean;
  readonly onChange: (operation: Operation) => void;
}

const above = (what: string) => (mm: number) => (mm > 0 ? null : `${what} must be more than 0.`);

const END = [
  ['front', 'front'],
  ['rear', 'rear'],
] as const;

/** The figures of one operation, each kind with its own. */
export function OperationFields({ operation, job, result, disabled, onChange }: OperationFieldsProps) {
  const common = { format: job.display, disabled };
  const place = (label: string, at: Place, set: (at: Place) => Operation) => (
    <PlaceField
      label={label}
      place={at}
      job={job}
      result={result}
      disabled={disabled}
      onChange={(next) => onChange(set(next))}
    />
  );
  const section = (value: string | null, set: (section: string | null) => Operation) => (
    <Choice
      label="Section of the new rail"
      value={value ?? ''}
      disabled={disabled}
      choices={[['', 'as the rail beside it'], ...job.donor.sections.map(({ id }) => [id, id] as const)]}
      onChange={(id) => onChange(set(id === '' ? null : id))}
    />
  );
  switch (operation.kind) {
    case 'lengthen':
      return (
        <>
          {place('Where', operation.at, (at) => ({ ...operation, at }))}
          <LengthField
            {...common}
            strong
            label="How much"
            mm={operation.length}
            check={above('The length')}
            onChange={(length) => onChange({ ...operation, length })}
          />
          {job.donor.sections.length > 1 && section(operation.section, (id) => ({ ...operation, section: id }))}
        </>
      );
    case 'shorten':
      return (
        <>
          {place('Front cut', operation.from, (from) => ({ ...operation, from }))}
          <LengthField
            {...common}
            strong
            label="How much comes out"
            mm={operation.to.x - operation.from.x}
            check={above('The length')}
            onChange={(length) => onChange({ ...operation, to: { ...operation.from, x: operation.from.x + length } })}
          />
        </>
      );
    case 'widen':
      return (
        <>
          <LengthField
            {...common}
            strong
            label="Change of outside width (below 0 narrows)"
            mm={operation.amount}
            onChange={(amount) => onChange({ ...operation, amount })}
          />
          {operation.from ? place('From', operation.from, (from) => ({ ...operation, from })) : null}
          {operation.to ? place('To', operation.to, (to) => ({ ...operation, to })) : null}
          <WholeRange operation={operation} disabled={disabled} onChange={onChange} />
          {(operation.from ?? operation.to) && (
            <LengthField
              {...common}
              label="Length of each transition piece"
              mm={operation.transition}
              check={(mm) => (mm >= 0 ? null : 'It cannot be below 0.')}
              onChange={(transition) => onChange({ ...operation, transition })}
            />
          )}
        </>
      );
    case 'pie-cut': {
      const { amount } = operation;
      return (
        <>
          {place('Where', operation.at, (at) => ({ ...operation, at }))}
          <Choice
            label="Pivot edge"
            value={operation.pivot}
            disabled={disabled}
            choices={[
              ['top', 'top edge stays'],
              ['bottom', 'bottom edge stays'],
            ]}
            onChange={(pivot) => onChange({ ...operation, pivot })}
          />
          <Choice
            label="How"
            value={operation.mode}
            disabled={disabled}
            choices={[
              ['close', 'take a wedge out and close'],
              ['open', 'slit and open'],
            ]}
            onChange={(mode) => onChange({ ...operation, mode })}
          />
          <Choice
            label="Part that turns"
            value={operation.turned}
            disabled={disabled}
            choices={END}
            onChange={(turned) => onChange({ ...operation, turned })}
          />
          <Choice
            label="Given by"
            value={amount.by}
            disabled={disabled}
            choices={[
              ['drop', 'how far a point moves'],
              ['angle', 'the angle'],
            ]}
            onChange={(by) =>
              onChange({
                ...operation,
                amount: by === 'angle' ? { by, angle: 0.05 } : { by, drop: 25.4, distance: 609.6 },
              })
            }
          />
          {amount.by === 'angle' ? (
            <AngleField
              label="Angle"
              radians={amount.angle}
              disabled={disabled}
              onChange={(angle) => onChange({ ...operation, amount: { by: 'angle', angle } })}
            />
          ) : (
            <div className="grid grid-cols-2 gap-2">
              <LengthField
                {...common}
                label="Moves by"
                mm={amount.drop}
                check={above('The move')}
                onChange={(drop) => onChange({ ...operation, amount: { ...amount, drop } })}
              />
              <LengthField
                {...common}
                label="at, from the pivot"
                mm={amount.distance}
                check={above('The distance')}
                onChange={(distance) => onChange({ ...operation, amount: { ...amount, distance } })}
              />
            </div>
          )}
          {operation.mode === 'close' && (
            <Choice
              label="Wedge"
              value={operation.wedge}
              disabled={disabled}
              choices={[
                ['symmetric', 'both faces sloped'],
                ['square', 'front face square'],
              ]}
              onChange={(wedge) => onChange({ ...operation, wedge })}
            />
          )}
        </>
      );
    }
    case 'step':
      return (
        <>
          {place('Front cut', operation.from, (from) => ({ ...operation, from }))}
          {place('Rear cut', operation.to, (to) => ({ ...operation, to }))}
          <LengthField
            {...common}
            strong
            label="Rear comes up by (below 0: down)"
            mm={operation.rise}
            onChange={(rise) => onChange({ ...operation, rise })}
          />
          <Choice
            label="The part between"
            value={operation.method}
            disabled={disabled}
            choices={[
              ['turn-middle', 'is turned: the frame gets shorter'],
              ['new-middle', 'is replaced: the length stays'],
            ]}
            onChange={(method) => onChange({ ...operation, method })}
          />
        </>
      );
    case 'trim':
      return (
        <>
          <Choice
            label="End"
            value={operation.end}
            disabled={disabled}
            choices={END}
            onChange={(end) => onChange({ ...operation, end })}
          />
          {place('Where, on the top edge', operation.at, (at) => ({ ...operation, at }))}
          <AngleField
            label="Angle from square"
            radians={operation.angle}
            disabled={disabled}
            onChange={(angle) => onChange({ ...operation, angle })}
          />
          {operation.angle > 0 && (
            <Choice
              label="Longer edge"
              value={operation.lean}
              disabled={disabled}
              choices={[
                ['top-longer', 'top'],
                ['bottom-longer', 'bottom'],
              ]}
              onChange={(lean) => onChange({ ...operation, lean })}
            />
          )}
        </>
      );
    case 'extend':
      return (
        <>
          <Choice
            label="End"
            value={operation.end}
            disabled={disabled}
            choices={END}
            onChange={(end) => onChange({ ...operation, end })}
          />
          <LengthField
            {...common}
            strong
            label="How much"
            mm={operation.length}
            check={above('The length')}
            onChange={(length) => onChange({ ...operation, length })}
          />
          {job.donor.sections.length > 1 && section(operation.section, (id) => ({ ...operation, section: id }))}
        </>
      );
    case 'notch':
      return (
        <>
          {place('Middle', operation.at, (at) => ({ ...operation, at }))}
          <div className="grid grid-cols-2 gap-2">
            <LengthField
              {...common}
              label="Width"
              mm={operation.width}
              check={above('The width')}
              onChange={(width) => onChange({ ...operation, width })}
            />
            <LengthField
              {...common}
              label="Depth"
              mm={operation.depth}
              check={above('The depth')}
              onChange={(depth) => onChange({ ...operation, depth })}
            />
          </div>
          <Choice
            label="Cut from"
            value={operation.from}
            disabled={disabled}
            choices={[
              ['below', 'below'],
              ['above', 'above'],
            ]}
            onChange={(from) => onChange({ ...operation, from })}
          />
          <LengthField
            {...common}
            label="Plate along the cut edge (0: none)"
            mm={operation.plate}
            onChange={(plate) => onChange({ ...operation, plate })}
          />
        </>
      );
    case 'box':
      return (
        <>
          {place('From', operation.from, (from) => ({ ...operation, from }))}
          {place('To', operation.to, (to) => ({ ...operation, to }))}
          <div className="grid grid-cols-2 gap-2">
            <LengthField
              {...common}
              label="Plate"
              mm={operation.plate}
              check={above('The plate')}
              onChange={(plate) => onChange({ ...operation, plate })}
            />
            <LengthField
              {...common}
              label="Taper, each end"
              mm={operation.taper}
              onChange={(taper) => onChange({ ...operation, taper })}
            />
          </div>
        </>
      );
    case 'crossmember':
      return <CrossmemberFields {...{ operation, job, result, disabled, onChange }} />;
    case 'bracket':
      return <BracketFields {...{ operation, job, result, disabled, onChange }} />;
  }
}

type Fields<K extends Operation['kind']> = Omit<OperationFieldsProps, 'operation'> & {
  readonly operation: Extract<Operation, { kind: K }>;
};

function WholeRange({
  operation,
  disabled,
  onChange,
}: {
  readonly operation: Extract<Operation, { kind: 'widen' }>;
  readonly disabled: boolean;
  readonly onChange: (operation: Operation) => void;
}) {
  const at = operation.from ?? operation.to ?? { x: 0, on: 'donor' as const };
  const range =
    operation.from === null ? (operation.to === null ? 'all' : 'front') : operation.to === null ? 'rear' : 'between';
  return (
    <Choice
      label="Which part"
      value={range}
      disabled={disabled}
      choices={[
        ['all', 'the whole frame'],
        ['rear', 'from a place to the rear end'],
        ['front', 'from the front end to a place'],
        ['between', 'between two places'],
      ]}
      onChange={(which) =>
        onChange({
          ...operation,
          from: which === 'rear' || which === 'between' ? at : null,
          to: which === 'front' ? at : which === 'between' ? (operation.to ?? { ...at, x: at.x + 609.6 }) : null,
        })
      }
    />
  );
}

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
