import {
  angleText,
  finer,
  type LengthFormat,
  lengthText,
  type ProfileId,
  PROFILES,
  RULE_IDS,
  type Rulebook,
  type RuleId,
  ruleProblem,
  RULES,
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

const PROFILE_CHOICES = (Object.keys(PROFILES) as ProfileId[]).map((id) => [id, PROFILES[id].name] as const);

/** What a rule's value is called. */
function valueText(id: RuleId, value: number, format: LengthFormat): string {
  switch (RULES[id].measures) {
    case 'length':
      return lengthText(value, finer(format), true);
    case 'angle':
      return angleText(value, 3, false);
    case 'allowed':
      return value === 1 ? 'allowed' : 'not';
  }
}

/** The rules that this job is judged by: each with its reason and source, and each to be changed by the shop. */
export function RulebookDialog({ store, onClose }: { readonly store: JobStore; readonly onClose: () => void }) {
  const { job, canWrite } = useJobState(store, (state) => ({ job: state.job, canWrite: state.canWrite }));
  const { rules, display } = job;
  const put = (label: string, next: Rulebook) => change(store, label, (old) => ({ ...old, rules: next }));
  return (
    <Dialog title="Rulebook of this job" wide onClose={onClose}>
      <div className="max-w-md">
        <Choice
          label="Starting rule set"
          value={rules.profile}
          disabled={!canWrite}
          choices={PROFILE_CHOICES}
          onChange={(profile) => put('Changed the starting rule set', { ...rules, profile })}
        />
      </div>
      <ul className="mt-4 grid gap-x-8 md:grid-cols-2">
        {RULE_IDS.map((id) => {
          const { reason, source } = RULES[id];
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
                    Changed here; the rule set says {valueText(id, usual, display)}.{' '}
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
  const { measures, title } = RULES[id];
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
