export {
  type ProfileId,
  PROFILES,
  type Rulebook,
  RULE_IDS,
  type RuleId,
  ruleProblem,
  RULES,
  ruleText,
  ruleValue,
  usualValue,
  withRule,
} from './rule.ts';
export { type Assumption, assumptionsOf } from './assumption.ts';
export { type Rule, SHOP_PRACTICE } from './rule-type.ts';
