import { type EndPlace, inches, type Job, type PlanResult } from '@splay/core';
import { Choice } from '../../ui/choice.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { above } from './field-props.ts';
import { PlaceField } from './place-field.tsx';

interface EndPlaceFieldProps {
  /** What is cut: *Where*, for the place. */
  readonly label: string;
  readonly place: EndPlace;
  readonly end: 'front' | 'rear';
  readonly job: Job;
  readonly result: PlanResult;
  readonly disabled: boolean;
  readonly onChange: (place: EndPlace) => void;
}

/** Where an end is cut: by how much comes off it, or by a place. */
export function EndPlaceField({ label, place, end, job, result, disabled, onChange }: EndPlaceFieldProps) {
  const byAmount = place.on === 'end';
  const { spans } = result.tape;
  const edge = end === 'rear' ? (spans.at(-1)?.builtTo ?? 0) : (spans[0]?.builtFrom ?? 0);
  return (
    <>
      <Choice
        label="Given by"
        value={byAmount ? 'amount' : 'place'}
        disabled={disabled}
        choices={[
          ['amount', 'what comes off'],
          ['place', 'a place'],
        ]}
        onChange={(by) => onChange(by === 'amount' ? { x: inches(6), on: 'end' } : { x: edge, on: 'built' })}
      />
      {place.on === 'end' ? (
        <LengthField
          strong
          label={`Comes off the ${end}, along the top edge`}
          mm={place.x}
          format={job.display}
          disabled={disabled}
          check={above('What comes off')}
          onChange={(x) => onChange({ x, on: 'end' })}
        />
      ) : (
        <PlaceField label={label} {...{ place, job, result, disabled, onChange }} />
      )}
    </>
  );
}
