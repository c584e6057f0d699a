export {
  type ProfileId,
  PROFILES,
  type Rule,
  type Rulebook,
  RULE_IDS,
  type RuleId,
  ruleProblem,
  RULES,
  ruleValue,
  SHOP_PRACTICE,
  usualValue,
  withRule,
} from './rule.ts';
