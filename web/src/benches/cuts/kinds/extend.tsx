import { formatLength, inches } from '@splay/core';
import { Choice } from '../../../ui/choice.tsx';
import { LengthField } from '../../../ui/length-field.tsx';
import { EndPlaceField } from '../end-place-field.tsx';
import { AlignFields } from '../align-fields.tsx';
import { above, type Fields } from '../field-props.ts';
import { LengthSketch } from '../sketches/length-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { ENDS, partsFor } from './parts.tsx';

/** New rail on an end, and what is cut off there first. */
function ExtendFields(props: Fields<'extend'>) {
  const { operation, onChange, job, result, disabled } = props;
  const { common, section } = partsFor(props);
  return (
    <>
      <Choice
        label="End"
        value={operation.end}
        disabled={disabled}
        choices={ENDS}
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
}

export const extend: KindView<'extend'> = {
  Fields: ExtendFields,
  Sketch: LengthSketch,
  figure: ({ length }, display) => `+${formatLength(length, display).text}`,
};
