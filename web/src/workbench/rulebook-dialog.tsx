import {
  finer,
  type LengthFormat,
  type ProfileId,
  PROFILES,
  RULE_IDS,
  type Rulebook,
  type RuleId,
  ruleProblem,
  RULES,
  RULE_WORDS,
  ruleText,
  ruleValue,
  SHOP_PRACTICE,
  usualValue,
  withRule,
} from '@splay/core';
import { change, type JobStore, useJobState } from '../client/job-store.ts';
import { AngleField } from '../ui/angle-field.tsx';
import { Choice } from '../ui/choice.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { LengthField } from '../ui/length-field.tsx';
import { QuantityField } from '../ui/quantity-field.tsx';
import { RuleSets } from './rule-sets.tsx';

const PROFILE_CHOICES = (Object.keys(PROFILES) as ProfileId[]).map((id) => [id, PROFILES[id].name] as const);

/** The first word of a rule's id says what it is about. */
export const ABOUT: Readonly<Record<string, string>> = {
  joint: 'How ends meet',
  unit: 'Suspensions and units',
  reading: 'Readings',
  shape: 'The shape of the frame',
  survey: 'The survey',
  'fit-up': 'Fit-up of the ends',
  body: 'The body',
  tire: 'Room for tires',
  mount: 'Mounts and their brackets',
  shaft: 'The drive shaft',
  cut: 'Cutting',
  stands: 'Stands and ties',
  weld: 'Welding',
  cool: 'How steel cools',
  pull: 'How welds pull',
  splice: 'Joints and their plates',
  sleeve: 'Sleeves',
  bolt: 'Bolts',
  bend: 'Bending sheet',
  notch: 'Notches',
  finder: 'Where to cut: hours and weights',
  fatigue: 'Fatigue: only to compare',
  work: 'Hours: only to compare',
};

/** The rules by what they are about, in the order of the book. */
const CHAPTERS: readonly (readonly [name: string, rules: readonly RuleId[]])[] = Object.entries(ABOUT).map(
  ([about, name]) => [name, RULE_IDS.filter((id) => id.startsWith(`${about}/`))],
);

/** The rules that this job is judged by: each with its reason and source, and each to be changed by the shop. */
export function RulebookDialog({ store, onClose }: { readonly store: JobStore; readonly onClose: () => void }) {
  const { job, canWrite } = useJobState(store, (state) => ({ job: state.job, canWrite: state.canWrite }));
  const { rules, display } = job;
  const put = (label: string, next: Rulebook) => change(store, label, (old) => ({ ...old, rules: next }));
  return (
    <Dialog title="Rulebook of this job" wide onClose={onClose}>
      <RuleSets job={job} canWrite={canWrite} onRules={put} />
      <div className="max-w-md">
        <Choice
          label="Starting rule set"
          value={rules.profile}
          disabled={!canWrite}
          choices={PROFILE_CHOICES}
          onChange={(profile) => put('Changed the starting rule set', { ...rules, profile })}
        />
      </div>
      {CHAPTERS.map(([chapter, ids]) => (
        <section key={chapter}>
          <h3 className="label mt-5">{chapter}</h3>
          <ul className="grid gap-x-8 md:grid-cols-2">
            {ids.map((id) => {
              const { reason, source } = RULE_WORDS[id];
              const usual = usualValue(rules.profile, id);
              const changed = rules.changes[id] !== undefined;
              return (
                <li key={id} className="grid grid-cols-[11rem_1fr] items-end gap-x-4 border-t border-rule py-2.5">
                  <RuleField
                    id={id}
                    rules={rules}
                    format={display}
                    disabled={!canWrite}
                    onChange={(value) => put('Changed a rule', withRule(rules, id, value))}
                  />
                  <div className="text-[0.94rem]">
                    <p>{reason}</p>
                    {source !== SHOP_PRACTICE && <p className="mt-0.5 text-sm text-pencil">Source: {source}.</p>}
                    {changed && (
                      <p className="mt-1 text-sm">
                        Changed here; the rule set says {ruleText(id, usual, display)}.{' '}
                        {canWrite && (
                          <button
                            type="button"
                            className="text-layout underline underline-offset-2"
                            onClick={() => put('Set a rule back', withRule(rules, id, usual))}
                          >
                            Set back
                          </button>
                        )}
                      </p>
                    )}
                  </div>
                </li>
              );
            })}
          </ul>
        </section>
      ))}
      <p className="mt-3 border-t border-rule pt-2 text-sm text-pencil">
        Source, where none is named: {SHOP_PRACTICE}. Starting points, not standards. Where your local code or a
        licensed engineer asks for more, that holds.
      </p>
    </Dialog>
  );
}

interface RuleFieldProps {
  readonly id: RuleId;
  readonly rules: Rulebook;
  readonly format: LengthFormat;
  readonly disabled: boolean;
  readonly onChange: (value: number) => void;
}

/** The value of one rule, to type in what it measures. */
function RuleField({ id, rules, format, disabled, onChange }: RuleFieldProps) {
  const { measures } = RULES[id];
  const { title } = RULE_WORDS[id];
  const value = ruleValue(rules, id);
  switch (measures) {
    case 'length':
      return (
        <LengthField
          label={title}
          mm={value}
          format={finer(format)}
          disabled={disabled}
          check={(mm) => ruleProblem(id, mm)}
          onChange={onChange}
        />
      );
    case 'angle':
      return <AngleField label={title} radians={value} disabled={disabled} onChange={onChange} />;
    default:
      return (
        <QuantityField
          label={title}
          of={measures}
          value={value}
          unit={format.unit}
          disabled={disabled}
          check={(next) => ruleProblem(id, next)}
          onChange={onChange}
        />
      );
    case 'allowed':
      return (
        <Choice
          label={title}
          value={value === 1 ? 'yes' : 'no'}
          disabled={disabled}
          choices={[
            ['yes', 'allowed'],
            ['no', 'not'],
          ]}
          onChange={(next) => onChange(next === 'yes' ? 1 : 0)}
        />
      );
  }
}
