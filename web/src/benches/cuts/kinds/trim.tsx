import { angleText } from '@splay/core';
import { Choice } from '../../../ui/choice.tsx';
import { EndPlaceField } from '../end-place-field.tsx';
import { AngleField } from '../../../ui/angle-field.tsx';
import { type Fields } from '../field-props.ts';
import { TrimSketch } from '../sketches/trim-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { ENDS } from './parts.tsx';

/** What comes off an end, and at which angle. */
function TrimFields(props: Fields<'trim'>) {
  const { operation, onChange, job, result, disabled } = props;
  return (
    <>
      <Choice
        label="End"
        value={operation.end}
        disabled={disabled}
        choices={ENDS}
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
}

export const trim: KindView<'trim'> = {
  Fields: TrimFields,
  Sketch: TrimSketch,
  figure: ({ angle }) => (angle > 0 ? angleText(angle, 1, false) : 'square'),
};
