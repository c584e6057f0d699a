import { type Fitting, inches, type Job, type PlanResult } from '@splay/core';
import { Trash2 } from 'lucide-react';
import { freshId } from '../../client/fresh-id.ts';
import { change, type JobStore } from '../../client/job-store.ts';
import { Choice } from '../../ui/choice.tsx';
import { CountField } from '../../ui/count-field.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { PanelHeading } from '../../ui/panel.tsx';

interface FittingFieldsProps {
  readonly store: JobStore;
  readonly job: Job;
  readonly result: PlanResult;
  readonly disabled: boolean;
}

const above = (mm: number) => (mm > 0 ? null : 'It must be more than 0.');

/** End plates on cut ends and gussets at joints: made and listed, not counted in strength. */
export function FittingFields({ store, job, result, disabled }: FittingFieldsProps) {
  const { fittings } = job.plan;
  const put = (label: string, next: readonly Fitting[]) =>
    change(store, label, (old) => ({ ...old, plan: { ...old.plan, fittings: next } }));
  const set = (next: Fitting) =>
    put(
      'Changed a part',
      fittings.map((other) => (other.id === next.id ? next : other)),
    );
  const thinnest = Math.min(...job.donor.sections.map(({ section }) => section.thickness));
  const places: readonly (readonly [string, string, () => Fitting])[] = [
    ...result.cutEnds.map(({ operation, letter }): readonly [string, string, () => Fitting] => [
      operation,
      `End plates on ${letter}`,
      () => ({ id: freshId('part'), kind: 'end-plate', on: operation, thickness: inches(1 / 4), over: 0, holes: null }),
    ]),
    ...result.joints.map(({ id, letter }): readonly [string, string, () => Fitting] => [
      id,
      `Gussets at ${letter}`,
      () => ({
        id: freshId('part'),
        kind: 'gusset',
        on: id,
        thickness: inches(3 / 16),
        along: inches(3),
        up: inches(3),
        count: 2,
      }),
    ]),
  ];
  const nameOf = ({ kind, on }: Fitting) => {
    const letter =
      kind === 'gusset'
        ? result.joints.find(({ id }) => id === on)?.letter
        : result.cutEnds.find(({ operation }) => operation === on)?.letter;
    return `${kind === 'gusset' ? 'Gussets at' : 'End plates on'} ${letter ?? 'what is gone'}`;
  };
  if (places.length === 0 && fittings.length === 0) return null;
  const common = { format: job.display, disabled };
  return (
    <>
      <PanelHeading>End plates and gussets</PanelHeading>
      {fittings.map((fitting) => (
        <details key={fitting.id} className="border-b border-rule py-1">
          <summary className="flex min-h-9 cursor-pointer items-center gap-2">
            <span className="flex-1 font-semibold">{nameOf(fitting)}</span>
          </summary>
          <div className="grid grid-cols-2 gap-2 pb-2">
            <LengthField
              {...common}
              label="Thick"
              mm={fitting.thickness}
              check={above}
              onChange={(thickness) => set({ ...fitting, thickness })}
            />
            {fitting.kind === 'gusset' ? (
              <>
                <LengthField
                  {...common}
                  label="Along"
                  mm={fitting.along}
                  check={above}
                  onChange={(along) => set({ ...fitting, along })}
                />
                <LengthField
                  {...common}
                  label="Up"
                  mm={fitting.up}
                  check={above}
                  onChange={(up) => set({ ...fitting, up })}
                />
                <CountField
                  label="on each rail"
                  value={fitting.count}
                  least={1}
                  most={8}
                  disabled={disabled}
                  onChange={(count) => set({ ...fitting, count })}
                />
              </>
            ) : (
              <>
                <LengthField
                  {...common}
                  label="Stands out by, inside below 0"
                  mm={fitting.over}
                  check={(mm) =>
                    mm > -2 * thinnest ? null : 'So small a plate does not close the end: its edge lies in the opening.'
                  }
                  onChange={(over) => set({ ...fitting, over })}
                />
                <Choice
                  label="Bolt holes"
                  value={fitting.holes ? 'yes' : 'no'}
                  disabled={disabled}
                  choices={[
                    ['no', 'none'],
                    ['yes', 'four'],
                  ]}
                  onChange={(yes) =>
                    set({ ...fitting, holes: yes === 'yes' ? { diameter: inches(9 / 16), along: 2, rows: 2 } : null })
                  }
                />
              </>
            )}
          </div>
          {!disabled && (
            <button
              type="button"
              className="button mb-2 flex items-center gap-2"
              aria-label={`Take ${nameOf(fitting).toLowerCase()} off`}
              onClick={() =>
                put(
                  'Took a part off',
                  fittings.filter(({ id }) => id !== fitting.id),
                )
              }
            >
              <Trash2 size={16} aria-hidden="true" /> Delete
            </button>
          )}
        </details>
      ))}
      {!disabled && (
        <label className="mt-1 block">
          <span className="sr-only">Add an end plate or gussets</span>
          <select
            className="field"
            value=""
            onChange={(event) => {
              const made = places.find(([on]) => on === event.target.value);
              if (made) put(`Added ${made[1].toLowerCase()}`, [...fittings, made[2]()]);
            }}
          >
            <option value="">Add an end plate or gussets …</option>
            {places.map(([on, name]) => (
              <option key={on} value={on}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
    </>
  );
}
