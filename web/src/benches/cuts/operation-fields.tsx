import type { Operation, Place } from '@splay/core';
import { LengthField } from '../../ui/length-field.tsx';
import { AngleField } from './angle-field.tsx';
import { BracketFields } from './bracket-fields.tsx';
import { Choice } from './choice.tsx';
import { CrossmemberFields } from './crossmember-fields.tsx';
import { above, type OperationFieldsProps } from './field-props.ts';
import { PlaceField } from './place-field.tsx';

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
