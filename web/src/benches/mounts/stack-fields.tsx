import {
  freshLayerId,
  isBeside,
  LAYER_KINDS,
  type LayerKind,
  type LengthFormat,
  type Mounting,
  type MountingOutcome,
  inches,
  quantityUnit,
  type StackLayer,
} from '@splay/core';
import { Trash2 } from 'lucide-react';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { QuantityField } from '../../ui/quantity-field.tsx';
import { LAYER_WORDS } from '../../ui/mounting-words.ts';

type Place = 'over' | 'under' | 'hung';

interface StackFieldsProps {
  readonly outcome: MountingOutcome;
  readonly format: LengthFormat;
  readonly disabled: boolean;
  readonly onChange: (label: string, changes: Partial<Mounting>) => void;
}

const above = (mm: number) => (mm > 0 ? null : 'It must be more than 0.');

/** What a layer begins as, mm. */
const FIRST: Readonly<Record<LayerKind, number>> = {
  plate: inches(1 / 4),
  spacer: inches(1 / 2),
  block: inches(1),
  bushing: inches(3 / 4),
  washer: inches(1 / 8),
};

/** The stack from the body down to the rail, with the bracket where it stands in it. */
export function StackFields(props: StackFieldsProps) {
  const { outcome, format } = props;
  const { height, mounting } = outcome;
  return (
    <div>
      <Layers {...props} place="over" title="Between body and bracket" />
      <p className="my-1.5 flex items-baseline justify-between border-y-2 border-layout bg-layout-wash px-2 py-1.5">
        <span className="first-letter:uppercase">
          {mounting.bracket.form === 'none'
            ? 'left over the rail'
            : isBeside(mounting.bracket)
              ? `${outcome.name}, its top over the rail`
              : `${outcome.name}, over all`}
        </span>
        <b className="heading text-xl">
          {height === null ? '–' : <Length mm={height} format={format} signed={isBeside(mounting.bracket)} />}
        </b>
      </p>
      <Layers {...props} place="under" title="Between bracket and rail" />
      <details className="mt-2">
        <summary className="min-h-8 cursor-pointer text-sm text-pencil">
          Under the bracket, on the bolt ({mounting.hung.length})
        </summary>
        <Layers {...props} place="hung" title="Rebound bushing and washer; not in the stack" />
      </details>
    </div>
  );
}

function Layers({
  outcome,
  format,
  disabled,
  onChange,
  place,
  title,
}: StackFieldsProps & { readonly place: Place; readonly title: string }) {
  const { mounting } = outcome;
  // Drawn as it lies: the uppermost first.
  const shown = outcome[place].toReversed();
  const put = (label: string, layers: readonly StackLayer[]) => onChange(label, { [place]: layers });
  const replaced = (layer: StackLayer) => mounting[place].map((old) => (old.id === layer.id ? layer : old));
  return (
    <fieldset>
      <legend className="text-sm text-pencil">{title}</legend>
      <ul>
        {shown.map((layer) => {
          const own = mounting[place].find(({ id }) => id === layer.id) as StackLayer;
          return (
            <li key={layer.id} className="flex items-end gap-1.5 border-b border-rule py-1">
              <span className="w-0 min-w-0 flex-1">
                <LengthField
                  label={`${LAYER_WORDS[layer.kind]}${place === 'hung' ? '' : ', free'}`}
                  mm={layer.height}
                  format={format}
                  disabled={disabled}
                  check={above}
                  onChange={(height) => put(`Changed a ${layer.kind} of ${outcome.tag}`, replaced({ ...own, height }))}
                />
                {layer.kind === 'bushing' && (
                  <>
                    {layer.rate === undefined ? (
                      !disabled && (
                        <button
                          type="button"
                          className="min-h-8 text-sm text-pencil underline underline-offset-2"
                          onClick={() =>
                            put(`Gave a bushing of ${outcome.tag} a rate`, replaced({ ...own, rate: USUAL_RATE }))
                          }
                        >
                          Its rate is not known: type one
                        </button>
                      )
                    ) : (
                      <QuantityField
                        label="Rate"
                        of="rate"
                        value={layer.rate}
                        unit={format.unit}
                        disabled={disabled}
                        check={(rate) =>
                          rate > 0 ? null : `It must be more than 0 ${quantityUnit('rate', format.unit)}.`
                        }
                        onChange={(rate) =>
                          put(`Changed the rate of a bushing of ${outcome.tag}`, replaced({ ...own, rate }))
                        }
                      />
                    )}
                    {layer.squeeze > 0.05 && (
                      <span className="block text-sm text-pencil">
                        squeezed by <Length mm={layer.squeeze} format={format} /> at rest:{' '}
                        <Length mm={layer.loaded} format={format} />
                      </span>
                    )}
                  </>
                )}
              </span>
              {!disabled && (
                <button
                  type="button"
                  className="button min-w-9 px-2"
                  aria-label={`Take the ${LAYER_WORDS[layer.kind]} out of ${outcome.tag}`}
                  onClick={() =>
                    put(
                      `Took a ${layer.kind} out of ${outcome.tag}`,
                      mounting[place].filter(({ id }) => id !== layer.id),
                    )
                  }
                >
                  <Trash2 size={16} aria-hidden="true" />
                </button>
              )}
            </li>
          );
        })}
      </ul>
      {!disabled && (
        <label className="mt-1 block">
          <span className="sr-only">Add a layer: {title}</span>
          <select
            className="field"
            value=""
            onChange={(event) => {
              const kind = event.target.value as LayerKind;
              const layer = { id: freshLayerId(mounting), kind, height: FIRST[kind] };
              put(`Put a ${kind} into ${outcome.tag}`, [...mounting[place], layer]);
            }}
          >
            <option value="">Add …</option>
            {LAYER_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {LAYER_WORDS[kind]}
              </option>
            ))}
          </select>
        </label>
      )}
    </fieldset>
  );
}

/** A rubber bushing of a cab mount, about, N/mm: where somebody is about to type one. */
const USUAL_RATE = 200;
