import { inches, type Operation, type Place } from '@splay/core';
import { LengthField } from '../../ui/length-field.tsx';
import { AngleField } from '../../ui/angle-field.tsx';
import { AlignFields } from './align-fields.tsx';
import { BracketFields } from './bracket-fields.tsx';
import { Choice } from '../../ui/choice.tsx';
import { CrossmemberFields } from './crossmember-fields.tsx';
import { EndPlaceField } from './end-place-field.tsx';
import { above, type OperationFieldsProps } from './field-props.ts';
import { PieFields } from './pie-fields.tsx';
import { PlaceField } from './place-field.tsx';
import { WidenFields } from './widen-fields.tsx';

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
          <AlignFields {...common} align={operation.align} onChange={(align) => onChange({ ...operation, align })} />
        </>
      );
    case 'shorten':
      return (
        <>
          {/* The front cut takes the rear one along: what comes out stays as it is. */}
          {place('Front cut', operation.from, (from) => ({
            ...operation,
            from,
            to: { ...from, x: from.x + operation.to.x - operation.from.x },
          }))}
          {operation.from.on === operation.to.on ? (
            <LengthField
              {...common}
              strong
              label="How much comes out"
              mm={operation.to.x - operation.from.x}
              check={above('The length')}
              onChange={(length) => onChange({ ...operation, to: { ...operation.from, x: operation.from.x + length } })}
            />
          ) : (
            place('Rear cut', operation.to, (to) => ({ ...operation, to }))
          )}
          <LengthField
            {...common}
            label="Transition piece between the ends (0: none)"
            mm={operation.transition}
            check={(mm) => (mm >= 0 ? null : 'The transition must be 0 or more.')}
            onChange={(transition) => onChange({ ...operation, transition })}
          />
          <LengthField
            {...common}
            label="Raise the rear by (− drops it)"
            mm={operation.rise}
            onChange={(rise) => onChange({ ...operation, rise })}
          />
        </>
      );
    case 'widen':
      return <WidenFields {...{ operation, job, result, disabled, onChange }} />;
    case 'pie-cut':
      return <PieFields {...{ operation, job, result, disabled, onChange }} />;
    case 'step':
      return (
        <>
          {place('Front cut', operation.from, (from) => ({ ...operation, from }))}
          {place('Rear cut', operation.to, (to) => ({ ...operation, to }))}
          <LengthField
            {...common}
            strong
            label="Raise the rear by (− drops it)"
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
          <EndPlaceField
            label="Where it crosses the top edge"
            place={operation.at}
            end={operation.end}
            {...{ job, result, disabled }}
            onChange={(at) => onChange({ ...operation, at })}
          />
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
          <Choice
            label="The old end"
            value={operation.cut === null ? 'stays' : 'cut'}
            disabled={disabled}
            choices={[
              ['stays', 'stays'],
              ['cut', 'is cut off square'],
            ]}
            onChange={(what) => onChange({ ...operation, cut: what === 'stays' ? null : { x: inches(6), on: 'end' } })}
          />
          {operation.cut && (
            <EndPlaceField
              label="Cut off at"
              place={operation.cut}
              end={operation.end}
              {...{ job, result, disabled }}
              onChange={(cut) => onChange({ ...operation, cut })}
            />
          )}
          <AlignFields {...common} align={operation.align} onChange={(align) => onChange({ ...operation, align })} />
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
              check={above('The width of the notch')}
              onChange={(width) => onChange({ ...operation, width })}
            />
            <LengthField
              {...common}
              label="Depth"
              mm={operation.depth}
              check={above('The depth of the notch')}
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
          <Choice
            label="Form"
            value={operation.form}
            disabled={disabled}
            choices={[
              ['arch', 'arch, flat over it'],
              ['round', 'round'],
            ]}
            onChange={(form) => onChange({ ...operation, form })}
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
          {place('Front end', operation.from, (from) => ({ ...operation, from }))}
          {place('Rear end', operation.to, (to) => ({ ...operation, to }))}
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
