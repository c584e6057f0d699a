import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { SleeveRules } from '../../splice/index.ts';

/**
 * What a shop takes as a fit, by its rulebook.
 *
 * @param rules The shop’s rulebook.
 */
export const sleeveRulesOf = (rules: Rulebook): SleeveRules => ({
  slide: ruleValue(rules, 'sleeve/slide'),
  loose: ruleValue(rules, 'sleeve/loose'),
  grind: ruleValue(rules, 'sleeve/grind'),
  wedge: ruleValue(rules, 'sleeve/wedge'),
});
