import { type Material, materialProblems, quantityText, STOCK_MATERIAL_IDS, STOCK_MATERIALS } from '@splay/core';
import { dequal } from 'dequal/lite';
import { Choice } from '../../ui/choice.tsx';
import { QuantityField } from '../../ui/quantity-field.tsx';
import { TextField } from '../../ui/text-field.tsx';
import type { PartProps } from './donor-part.tsx';

const STOCK: readonly Material[] = STOCK_MATERIAL_IDS.map((id) => STOCK_MATERIALS[id]);
const FIGURES = [
  ['yieldStress', 'Yield', 'stress'],
  ['tensile', 'Tensile', 'stress'],
  ['heatAffected', 'Yield left in the HAZ', 'share'],
  ['density', 'Density', 'density'],
] as const;
const YES_NO = [
  ['yes', 'yes'],
  ['no', 'no'],
] as const;

const stockOf = ({ name }: Material) => STOCK.find((grade) => grade.name === name);

/** What the rails are made of, picked from the usual grades. */
export function MaterialChoice({ job, set, disabled }: PartProps) {
  const { material } = job.donor;
  return (
    <Choice
      list
      label="Material"
      value={material.name}
      disabled={disabled}
      choices={[...(stockOf(material) ? [] : [material]), ...STOCK].map(({ name }) => [name, name] as const)}
      onChange={(name) =>
        set('Chose the material', (frame) => ({
          ...frame,
          material: STOCK.find((grade) => grade.name === name) ?? material,
        }))
      }
    />
  );
}

/** What is calculated with for that material, each figure to be put right from a certificate. */
export function MaterialFigures({ job, set, disabled }: PartProps) {
  const { material } = job.donor;
  const { unit } = job.display;
  const stock = stockOf(material);
  const put = (label: string, next: Material) => set(label, (frame) => ({ ...frame, material: next }));
  const change = (changes: Partial<Material>) => put('Changed the material', { ...material, ...changes });
  return (
    <div className="space-y-2">
      {!material.weldable && (
        <p className="border-l-4 border-oxide bg-oxide-wash px-3 py-2 font-semibold">
          {material.name}: these rails must not be welded or heated. Only bolted work is planned on them.
        </p>
      )}
      <details className="text-sm">
        <summary className="cursor-pointer text-pencil">
          Yield {quantityText('stress', material.yieldStress, unit)},{' '}
          {quantityText('share', material.heatAffected, unit)} of it left beside a weld: {material.source}.
        </summary>
        <div className="mt-2 grid grid-cols-4 items-start gap-2">
          {FIGURES.map(([key, label, kind]) => (
            <QuantityField
              key={key}
              label={label}
              of={kind}
              value={material[key]}
              unit={unit}
              disabled={disabled}
              check={(value) => materialProblems({ ...material, [key]: value }, '')[0]?.message ?? null}
              onChange={(value) => change({ [key]: value })}
            />
          ))}
          <Choice
            label="Heat-treated"
            value={material.heatTreated ? 'yes' : 'no'}
            disabled={disabled}
            choices={YES_NO}
            onChange={(answer) =>
              change(answer === 'yes' ? { heatTreated: true, weldable: false } : { heatTreated: false })
            }
          />
          <Choice
            label="May be welded"
            value={material.weldable ? 'yes' : 'no'}
            disabled={disabled}
            choices={YES_NO}
            onChange={(answer) => change({ weldable: answer === 'yes' })}
          />
          <div className="col-span-2">
            <TextField label="Called" value={material.name} disabled={disabled} onChange={(name) => change({ name })} />
          </div>
          <div className="col-span-4">
            <TextField
              label="Where the figures are from"
              value={material.source}
              longest={500}
              disabled={disabled}
              onChange={(source) => change({ source })}
            />
          </div>
        </div>
        {stock && !dequal(stock, material) && (
          <p className="mt-1">
            Changed here from the usual figures of this grade.{' '}
            {!disabled && (
              <button
                type="button"
                className="text-layout underline underline-offset-2"
                onClick={() => put('Set the material back', stock)}
              >
                Set back
              </button>
            )}
          </p>
        )}
      </details>
    </div>
  );
}
