import type { RawJobFile } from './migrate.ts';

type Raw = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/** The same record, one of its keys under another name. */
const renamed = (value: unknown, from: string, to: string): unknown => {
  if (!isRecord(value) || !(from in value)) return value;
  const { [from]: moved, ...rest } = value;
  return { ...rest, [to]: moved };
};

const each = (list: unknown, change: (item: unknown) => unknown): unknown =>
  Array.isArray(list) ? list.map(change) : list;

/** Changes one value of a record, where it has it. */
const within = (value: unknown, key: string, change: (inner: unknown) => unknown): unknown =>
  isRecord(value) && key in value ? { ...value, [key]: change(value[key]) } : value;

const axle = (value: unknown): unknown => renamed(value, 'tyreRadius', 'tireRadius');
const body = (value: unknown): unknown => renamed(value, 'tyreGap', 'tireGap');
const acceptance = (value: unknown): unknown =>
  within(value, 'conflict', (key) => (typeof key === 'string' ? key.replace(/^tyre-/, 'tire-') : key));

const plan = (value: unknown): unknown =>
  renamed(
    within(
      within(value, 'accepted', (list) => each(list, acceptance)),
      'propping',
      (propping) => renamed(propping, 'props', 'shores'),
    ),
    'propping',
    'shoring',
  );

/**
 * Rules under the names that they have since version 12.
 *
 * @param rules A rulebook or a version of a rule set, untrusted.
 */
export const withRuleNamesOf12 = (rules: unknown): unknown =>
  within(rules, 'changes', (changes) =>
    isRecord(changes)
      ? Object.fromEntries(
          Object.entries(changes).map(([id, change]) => [
            id.replace(/^tyre\//, 'tire/').replace(/^props\//, 'stands/'),
            change,
          ]),
        )
      : changes,
  );

/**
 * 12: American spelling, and the trade's word for what holds a frame up: `tireRadius`, `tireGap`, `shoring` with `shores`, rules `tire/…` and
 * `stands/…`.
 *
 * @param file A file of version 11.
 */
export function toVersion12({ job, ...file }: RawJobFile): RawJobFile {
  if (!isRecord(job)) return { ...file, job };
  const { donor, bodies, variants, rules, done } = job;
  return {
    ...file,
    job: {
      ...job,
      donor: within(donor, 'axles', (axles) => each(axles, axle)),
      bodies: each(bodies, body),
      plan: plan(job.plan),
      variants: each(variants, plan),
      rules: withRuleNamesOf12(rules),
      done: each(done, (bench) => (bench === 'props' ? 'stands' : bench)),
    },
  };
}
