import { formatLength } from '@splay/core';
import { WidenSketch } from '../sketches/widen-sketch.tsx';
import type { KindView } from './kind-view.ts';
import type { Operation } from '@splay/core';
import { Choice } from '../../../ui/choice.tsx';
import { LengthField } from '../../../ui/length-field.tsx';
import type { Fields } from '../field-props.ts';
import { PlaceField } from '../place-field.tsx';

/** A widening: by how much, which part of the frame, and the pieces that lead to it. */
function WidenFields({ operation, job, result, disabled, onChange }: Fields<'widen'>) {
  const common = { format: job.display, disabled };
  const place = { job, result, disabled };
  return (
    <>
      <LengthField
        {...common}
        strong
        label="Change of outside width (− narrows)"
        mm={operation.amount}
        onChange={(amount) => onChange({ ...operation, amount })}
      />
      {operation.from && (
        <PlaceField
          label="Front end"
          place={operation.from}
          {...place}
          onChange={(from) => onChange({ ...operation, from })}
        />
      )}
      {operation.to && (
        <PlaceField
          label="Rear end"
          place={operation.to}
          {...place}
          onChange={(to) => onChange({ ...operation, to })}
        />
      )}
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
}

/** The whole frame, one end, or between two places. */
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

export const widen: KindView<'widen'> = {
  Fields: WidenFields,
  Sketch: WidenSketch,
  figure: ({ amount }, display) => formatLength(amount, display).text,
};
