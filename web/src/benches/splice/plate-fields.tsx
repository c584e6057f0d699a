import {
  freshPlateId,
  isOnWeb,
  PLATE_FACES,
  plateName,
  type PlateShape,
  type SplicePlate,
  usualPlate,
} from '@splay/core';
import { Plus, Trash2 } from 'lucide-react';
import { Choice } from '../../ui/choice.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { QuantityField } from '../../ui/quantity-field.tsx';
import { make } from './selection.ts';
import { above, atLeast, FasteningFields } from './fastening-fields.tsx';
import type { SpliceFieldsProps } from './field-props.ts';

const SHAPES: readonly (readonly [PlateShape['shape'], string])[] = [
  ['hexagon', 'hexagon, pointed ends'],
  ['diamond', 'diamond'],
  ['taper', 'long taper, one edge straight'],
  ['rectangle', 'rectangle, square ends'],
];

/** A shape to begin with on a plate of this size. */
function shapeOf(shape: PlateShape['shape'], { ahead, behind, depth }: SplicePlate): PlateShape {
  const reach = Math.min(ahead, behind);
  if (shape === 'hexagon') return { shape, point: Math.min(depth / 2, reach / 2) };
  if (shape === 'taper') return { shape, over: reach / 2, end: depth / 2 };
  return { shape };
}

/** The plates over the joint, each with its fields, and a way to lay on another. */
export function PlateFields(props: SpliceFieldsProps) {
  const { store, job, hand, disabled } = props;
  const { splice, steel } = hand.one;
  const { plates } = splice;
  const put = (label: string, next: readonly SplicePlate[]) => make(store, label, hand, { ...splice, plates: next });
  const addable = PLATE_FACES.flatMap((face) => {
    const plate = usualPlate(freshPlateId(splice), face, splice.form, {
      steel,
      rules: job.rules,
      display: job.display,
    });
    return plate ? [plate] : [];
  });
  return (
    <div>
      {plates.map((plate) => (
        <details
          key={plate.id}
          data-plate={plate.id}
          className="border-b border-rule py-1"
          open={plates.length === 1 || undefined}
        >
          <summary className="flex min-h-9 cursor-pointer items-center gap-2">
            <span className="flex-1 font-semibold first-letter:uppercase">
              {plateName(plate, plates, steel.section)}
            </span>
          </summary>
          <PlateForm
            plate={plate}
            {...props}
            onChange={(next) =>
              put(
                'Changed a plate',
                plates.map((other) => (other.id === plate.id ? next : other)),
              )
            }
          />
          {!disabled && (
            <button
              type="button"
              className="button mb-2 flex items-center gap-2"
              aria-label={`Take the ${plateName(plate, plates, steel.section)} off`}
              onClick={() =>
                put(
                  'Took a plate off',
                  plates.filter(({ id }) => id !== plate.id),
                )
              }
            >
              <Trash2 size={16} aria-hidden="true" /> Delete
            </button>
          )}
        </details>
      ))}
      {plates.length === 0 && <p className="text-sm text-pencil">None: the weld in the wall carries it alone.</p>}
      {!disabled && (
        <label className="mt-2 flex items-center gap-2">
          <Plus size={16} aria-hidden="true" />
          <span className="sr-only">Lay on a plate</span>
          <select
            className="field"
            value=""
            onChange={(event) => {
              const plate = addable.find(({ face }) => face === event.target.value);
              if (plate) put('Laid on a plate', [...plates, plate]);
            }}
          >
            <option value="">Lay on a plate …</option>
            {addable.map((plate) => (
              <option key={plate.face} value={plate.face}>
                {plateName(plate, [plate], steel.section)}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}

interface PlateFormProps extends SpliceFieldsProps {
  readonly plate: SplicePlate;
  readonly onChange: (plate: SplicePlate) => void;
}

function PlateForm({ plate, job, disabled, onChange }: PlateFormProps) {
  const common = { format: job.display, disabled };
  const { outline, fastening } = plate;
  return (
    <div className="space-y-2 pb-2">
      <Choice
        label="Outline"
        list
        value={outline.shape}
        choices={SHAPES}
        disabled={disabled}
        onChange={(shape) => shape !== outline.shape && onChange({ ...plate, outline: shapeOf(shape, plate) })}
      />
      <div className="grid grid-cols-2 gap-2">
        <LengthField
          {...common}
          label="Ahead"
          mm={plate.ahead}
          check={above}
          onChange={(ahead) => onChange({ ...plate, ahead })}
        />
        <LengthField
          {...common}
          label="Behind"
          mm={plate.behind}
          check={above}
          onChange={(behind) => onChange({ ...plate, behind })}
        />
        <LengthField
          {...common}
          label={isOnWeb(plate.face) ? 'Deep' : 'Wide'}
          mm={plate.depth}
          check={above}
          onChange={(depth) => onChange({ ...plate, depth })}
        />
        <LengthField
          {...common}
          label="Thick"
          mm={plate.thickness}
          check={above}
          onChange={(thickness) => onChange({ ...plate, thickness })}
        />
        {outline.shape === 'hexagon' && (
          <LengthField
            {...common}
            label="Point over"
            mm={outline.point}
            check={atLeast}
            onChange={(point) => onChange({ ...plate, outline: { ...outline, point } })}
          />
        )}
        {outline.shape === 'taper' && (
          <>
            <LengthField
              {...common}
              label="Tapers over"
              mm={outline.over}
              check={atLeast}
              onChange={(over) => onChange({ ...plate, outline: { ...outline, over } })}
            />
            <LengthField
              {...common}
              label="Ends deep"
              mm={outline.end}
              check={atLeast}
              onChange={(end) => onChange({ ...plate, outline: { ...outline, end } })}
            />
          </>
        )}
        <LengthField
          {...common}
          label={isOnWeb(plate.face) ? 'Middle over the web’s' : 'Middle inward'}
          mm={plate.off}
          onChange={(off) => onChange({ ...plate, off })}
        />
        <QuantityField
          label="Yield"
          of="stress"
          value={plate.yieldStress}
          unit={job.display.unit}
          disabled={disabled}
          check={(value) => (value > 0 ? null : 'The yield stress must be more than 0.')}
          onChange={(yieldStress) => onChange({ ...plate, yieldStress })}
        />
      </div>
      <FasteningFields
        fastening={fastening}
        wall={plate.thickness}
        {...common}
        onChange={(next) => onChange({ ...plate, fastening: next })}
      />
    </div>
  );
}
