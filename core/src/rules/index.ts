export { type ProfileId, PROFILES, type Rule, type Rulebook, type RuleId, RULES, ruleValue } from './rule.ts';
