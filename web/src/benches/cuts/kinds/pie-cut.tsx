import { angleText, formatLength } from '@splay/core';
import { PieSketch } from '../sketches/pie-sketch.tsx';
import type { KindView } from './kind-view.ts';
import { Choice } from '../../../ui/choice.tsx';
import { LengthField } from '../../../ui/length-field.tsx';
import { AngleField } from '../../../ui/angle-field.tsx';
import { above, type Fields } from '../field-props.ts';
import { PlaceField } from '../place-field.tsx';

/** A pie cut: where, about which edge, how, and how far. */
function PieFields({ operation, job, result, disabled, onChange }: Fields<'pie-cut'>) {
  const { amount } = operation;
  const common = { format: job.display, disabled };
  return (
    <>
      <PlaceField
        label="Where"
        place={operation.at}
        {...{ job, result, disabled }}
        onChange={(at) => onChange({ ...operation, at })}
      />
      <Choice
        label="Pivot edge"
        value={operation.pivot}
        disabled={disabled}
        choices={[
          ['top', 'top edge stays'],
          ['bottom', 'bottom edge stays'],
        ]}
        onChange={(pivot) => onChange({ ...operation, pivot })}
      />
      <Choice
        label="How"
        value={operation.mode}
        disabled={disabled}
        choices={[
          ['close', 'take a wedge out and close'],
          ['open', 'slit and open'],
        ]}
        onChange={(mode) => onChange({ ...operation, mode })}
      />
      <Choice
        label="Part that turns"
        value={operation.turned}
        disabled={disabled}
        choices={[
          ['front', 'front'],
          ['rear', 'rear'],
        ]}
        onChange={(turned) => onChange({ ...operation, turned })}
      />
      <Choice
        label="Given by"
        value={amount.by}
        disabled={disabled}
        choices={[
          ['drop', 'how far a point moves'],
          ['angle', 'the angle'],
        ]}
        onChange={(by) =>
          onChange({
            ...operation,
            amount: by === 'angle' ? { by, angle: 0.05 } : { by, drop: 25.4, distance: 609.6 },
          })
        }
      />
      {amount.by === 'angle' ? (
        <AngleField
          label="Angle"
          radians={amount.angle}
          disabled={disabled}
          onChange={(angle) => onChange({ ...operation, amount: { by: 'angle', angle } })}
        />
      ) : (
        <div className="grid grid-cols-2 gap-2">
          <LengthField
            {...common}
            label="Moves by"
            mm={amount.drop}
            check={above('The move')}
            onChange={(drop) => onChange({ ...operation, amount: { ...amount, drop } })}
          />
          <LengthField
            {...common}
            label="at, from the pivot"
            mm={amount.distance}
            check={above('The distance')}
            onChange={(distance) => onChange({ ...operation, amount: { ...amount, distance } })}
          />
        </div>
      )}
      {operation.mode === 'close' && (
        <Choice
          label="Wedge"
          value={operation.wedge}
          disabled={disabled}
          choices={[
            ['symmetric', 'both faces sloped'],
            ['square', 'front face square'],
          ]}
          onChange={(wedge) => onChange({ ...operation, wedge })}
        />
      )}
    </>
  );
}

export const pieCut: KindView<'pie-cut'> = {
  Fields: PieFields,
  Sketch: PieSketch,
  figure: ({ amount }, display) =>
    amount.by === 'drop' ? formatLength(amount.drop, display).text : angleText(amount.angle),
};
