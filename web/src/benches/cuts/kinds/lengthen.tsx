import { formatLength } from '@splay/core';
import { LengthField } from '../../../ui/length-field.tsx';
import { AlignFields } from '../align-fields.tsx';
import { above, type Fields } from '../field-props.ts';
import { LengthSketch } from '../sketches/length-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { partsFor } from './parts.tsx';

/** Where new rail goes in, how much, and how it stands. */
function LengthenFields(props: Fields<'lengthen'>) {
  const { operation, onChange, job } = props;
  const { common, place, section } = partsFor(props);
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
}

export const lengthen: KindView<'lengthen'> = {
  Fields: LengthenFields,
  Sketch: LengthSketch,
  figure: ({ length }, display) => `+${formatLength(length, display).text}`,
};
