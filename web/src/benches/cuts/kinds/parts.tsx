import type { Operation, Place } from '@splay/core';
import { Choice } from '../../../ui/choice.tsx';
import type { OperationFieldsProps } from '../field-props.ts';
import { PlaceField } from '../place-field.tsx';

export const ENDS = [
  ['front', 'front'],
  ['rear', 'rear'],
] as const;

/** Fields that several kinds of operation have. */
export function partsFor({ job, result, disabled, onChange }: Omit<OperationFieldsProps, 'operation'>) {
  return {
    common: { format: job.display, disabled },
    place: (label: string, at: Place, set: (at: Place) => Operation) => (
      <PlaceField
        label={label}
        place={at}
        job={job}
        result={result}
        disabled={disabled}
        onChange={(next) => onChange(set(next))}
      />
    ),
    section: (value: string | null, set: (section: string | null) => Operation) => (
      <Choice
        label="Section of the new rail"
        value={value ?? ''}
        disabled={disabled}
        choices={[['', 'as the rail beside it'], ...job.donor.sections.map(({ id }) => [id, id] as const)]}
        onChange={(id) => onChange(set(id === '' ? null : id))}
      />
    ),
  };
}
