import { formatLength } from '@splay/core';
import { LengthField } from '../../../ui/length-field.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { type Fields } from '../field-props.ts';
import { StepSketch } from '../sketches/step-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { partsFor } from './parts.tsx';

/** Two cuts, how much higher the rear comes, and what becomes of the part between. */
function StepFields(props: Fields<'step'>) {
  const { operation, onChange, disabled } = props;
  const { common, place } = partsFor(props);
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
}

export const step: KindView<'step'> = {
  Fields: StepFields,
  Sketch: StepSketch,
  figure: ({ rise }, display) => formatLength(rise, display).text,
};
