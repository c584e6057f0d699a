import { formatLength } from '@splay/core';
import { LengthField } from '../../../ui/length-field.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { above, type Fields } from '../field-props.ts';
import { NotchSketch } from '../sketches/notch-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { partsFor } from './parts.tsx';

/** Where section is taken away, how much, and the plate that makes up for it. */
function NotchFields(props: Fields<'notch'>) {
  const { operation, onChange, disabled } = props;
  const { common, place } = partsFor(props);
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
      <Choice
        label="Floor of the notch"
        value={operation.floor ?? 'follows'}
        disabled={disabled}
        choices={[
          ['follows', 'follows the edge'],
          ['level', 'level'],
        ]}
        onChange={(floor) => onChange({ ...operation, floor })}
      />
      <LengthField
        {...common}
        label="Plate along the cut edge (0: none)"
        mm={operation.plate}
        onChange={(plate) => onChange({ ...operation, plate })}
      />
    </>
  );
}

export const notch: KindView<'notch'> = {
  Fields: NotchFields,
  Sketch: NotchSketch,
  figure: ({ depth }, display) => formatLength(depth, display).text,
};
