import { formatLength } from '@splay/core';
import { LengthField } from '../../../ui/length-field.tsx';
import { above, type Fields } from '../field-props.ts';
import { BoxSketch } from '../sketches/box-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { partsFor } from './parts.tsx';

/** The plate that closes an open rail, and where. */
function BoxFields(props: Fields<'box'>) {
  const { operation, onChange } = props;
  const { common, place } = partsFor(props);
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
}

export const box: KindView<'box'> = {
  Fields: BoxFields,
  Sketch: BoxSketch,
  figure: ({ plate }, display) => formatLength(plate, display).text,
};
