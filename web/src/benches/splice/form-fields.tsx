import { type SpliceForm, usualStep } from '@splay/core';
import { Choice } from '../../ui/choice.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { make } from './selection.ts';
import type { SpliceFieldsProps } from './field-props.ts';

const FORMS: readonly (readonly [SpliceForm['form'], string])[] = [
  ['butt', 'Butt: square across'],
  ['angled', 'Angled (angle): one slanting line'],
  ['step', 'Step: two verticals and a horizontal'],
  ['bolted', 'Bolted: ends set close, nothing welded'],
];

const above = (mm: number) => (mm > 0 ? null : 'It must be more than 0.');

/** How the two ends are cut to meet. */
export function FormFields({ store, job, hand, disabled }: SpliceFieldsProps) {
  const { splice, steel } = hand.one;
  const { form } = splice;
  const put = (next: SpliceForm) => make(store, 'Changed the form of a joint', hand, { ...splice, form: next });
  const common = { format: job.display, disabled };
  const begin = (kind: SpliceForm['form']): SpliceForm =>
    kind === 'step'
      ? usualStep(steel.section, job.display)
      : kind === 'angled'
        ? { form: 'angled', run: steel.section.depth }
        : { form: kind };
  return (
    <div className="space-y-2">
      <Choice
        label="The ends are cut"
        list
        value={form.form}
        choices={FORMS}
        disabled={disabled}
        onChange={(kind) => kind !== form.form && put(begin(kind))}
      />
      {form.form === 'angled' && (
        <LengthField
          {...common}
          label="Top edge behind the bottom edge by"
          mm={form.run}
          onChange={(run) => put({ ...form, run })}
        />
      )}
      {form.form === 'step' && (
        <>
          <div className="grid grid-cols-2 gap-2">
            <LengthField
              {...common}
              label="Between verticals"
              mm={form.length}
              check={above}
              onChange={(length) => put({ ...form, length })}
            />
            <LengthField
              {...common}
              label="Horizontal, up"
              mm={form.height}
              check={(mm) =>
                mm > steel.section.thickness && mm < steel.section.depth - steel.section.thickness
                  ? null
                  : 'It must run in the web, between the flanges.'
              }
              onChange={(height) => put({ ...form, height })}
            />
          </div>
          <LengthField
            {...common}
            label="Corners rounded by"
            mm={form.radius}
            check={(mm) => (mm >= 0 ? null : 'It must be 0 or more.')}
            onChange={(radius) => put({ ...form, radius })}
          />
          <Choice
            label="Upper vertical lies"
            value={form.upper}
            disabled={disabled}
            choices={[
              ['ahead', 'ahead'],
              ['behind', 'behind'],
            ]}
            onChange={(upper) => put({ ...form, upper })}
          />
        </>
      )}
    </div>
  );
}
