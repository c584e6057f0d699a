import { type Rulebook, RULE_IDS, type RuleId, ruleValue } from './rule.ts';

/** One version of a rule set that a shop keeps: its rules, who made it, when, and why. Versions are only ever added. */
export interface RuleSetVersion {
  readonly version: number;
  readonly rules: Pick<Rulebook, 'profile' | 'changes'>;
  readonly by: string;
  readonly at: string;
  readonly why: string;
}

/** A rule set of the shop, the newest version first. */
export interface RuleSet {
  readonly id: string;
  readonly name: string;
  readonly versions: readonly RuleSetVersion[];
}

/** One rule that differs between two rulebooks. */
export interface RuleChange {
  readonly id: RuleId;
  readonly was: number;
  readonly now: number;
}

/**
 * What tells two rulebooks apart, rule by rule.
 *
 * @param before A rulebook.
 * @param after Another.
 */
export const changedRules = (
  before: Pick<Rulebook, 'profile' | 'changes'>,
  after: Pick<Rulebook, 'profile' | 'changes'>,
): readonly RuleChange[] =>
  RULE_IDS.flatMap((id) => {
    const [was, now] = [ruleValue(before, id), ruleValue(after, id)];
    return was === now ? [] : [{ id, was, now }];
  });

/**
 * The rulebook of a job that goes by a version of a rule set.
 *
 * @param set The rule set.
 * @param version One of its versions.
 */
export const rulesOfSet = ({ id, name }: RuleSet, { version, rules }: RuleSetVersion): Rulebook => ({
  profile: rules.profile,
  changes: rules.changes,
  from: { set: id, name, version },
});

/**
 * The newest version of the set that a job goes by, where that is newer than the job's; null where the job is up to date,
 * or goes by no set that the shop still has.
 *
 * @param rules The job's rulebook.
 * @param sets The shop's rule sets.
 */
export function newerThan(
  { from }: Rulebook,
  sets: readonly RuleSet[],
): { readonly set: RuleSet; readonly newest: RuleSetVersion; readonly since: RuleSetVersion | null } | null {
  const set = sets.find(({ id }) => id === from?.set);
  const [newest] = set?.versions ?? [];
  if (!from || !set || !newest || newest.version <= from.version) return null;
  return { set, newest, since: set.versions.find(({ version }) => version === from.version) ?? null };
}
