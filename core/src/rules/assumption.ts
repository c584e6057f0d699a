import type { LengthFormat } from '../units/index.ts';
import { type Rulebook, type RuleId, ruleText, ruleValue } from './rule.ts';
import { RULE_WORDS } from './rule-words.ts';

/** One factor that something is calculated with: its value as shown, where it comes from, whether the shop set it. */
export interface Assumption {
  readonly rule: RuleId;
  readonly what: string;
  readonly value: string;
  readonly source: string;
  readonly changed: boolean;
}

/**
 * Rules as the factors that something is calculated with.
 *
 * @param ids The rules.
 * @param rules The shop's rulebook.
 * @param format How lengths are written.
 */
export const assumptionsOf = (ids: readonly RuleId[], rules: Rulebook, format: LengthFormat): readonly Assumption[] =>
  ids.map((rule) => ({
    rule,
    what: RULE_WORDS[rule].title,
    value: ruleText(rule, ruleValue(rules, rule), format),
    source: RULE_WORDS[rule].source,
    changed: rules.changes[rule] !== undefined,
  }));
