export {
  type ProfileId,
  PROFILES,
  type Rulebook,
  type RuleSetRef,
  RULE_IDS,
  type RuleId,
  ruleProblem,
  RULES,
  ruleText,
  ruleValue,
  usualValue,
  withRule,
} from './rule.ts';
export { changedRules, newerThan, type RuleChange, type RuleSet, rulesOfSet, type RuleSetVersion } from './rule-set.ts';
export { type Assumption, assumptionsOf } from './assumption.ts';
export { SHOP_PRACTICE } from './rule-type.ts';
export { RULE_WORDS } from './rule-words.ts';
