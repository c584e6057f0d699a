import type { LengthFormat } from '../units/index.ts';
import { type Rulebook, type RuleId, RULES, ruleText, ruleValue } from './rule.ts';

/** One factor that something is reckoned with: its value as it is said, where it comes from, whether the shop set it. */
export interface Assumption {
  readonly rule: RuleId;
  readonly what: string;
  readonly value: string;
  readonly source: string;
  readonly changed: boolean;
}

/**
 * Rules as the factors that something is reckoned with.
 *
 * @param ids The rules.
 * @param rules The shop's rulebook.
 * @param format How lengths are written.
 */
export const assumptionsOf = (ids: readonly RuleId[], rules: Rulebook, format: LengthFormat): readonly Assumption[] =>
  ids.map((rule) => ({
    rule,
    what: RULES[rule].title,
    value: ruleText(rule, ruleValue(rules, rule), format),
    source: RULES[rule].source,
    changed: rules.changes[rule] !== undefined,
  }));
