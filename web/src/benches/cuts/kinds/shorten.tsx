import { formatLength } from '@splay/core';
import { LengthField } from '../../../ui/length-field.tsx';
import { above, type Fields } from '../field-props.ts';
import { LengthSketch } from '../sketches/length-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { partsFor } from './parts.tsx';

/** How much comes out, where, and how the rear part comes. */
function ShortenFields(props: Fields<'shorten'>) {
  const { operation, onChange } = props;
  const { common, place } = partsFor(props);
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
}

export const shorten: KindView<'shorten'> = {
  Fields: ShortenFields,
  Sketch: LengthSketch,
  figure: ({ from, to }, display) => formatLength(from.x - to.x, display).text,
};
