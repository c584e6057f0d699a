import { angleText, finer, type LengthFormat, lengthText, quantityText } from '../units/index.ts';
import { FINDER_RULES } from './finder-rules.ts';
import { FRAME_RULES } from './frame-rules.ts';
import { MOUNT_RULES } from './mount-rules.ts';
import { SHORING_RULES } from './shoring-rules.ts';
import { SPLICE_RULES } from './splice-rules.ts';
import type { Rule, RuleQuantity } from './rule-type.ts';
import { WELD_RULES } from './weld-rules.ts';

/** All rules with the defaults of *weld and reinforce*. */
export const RULES = {
  ...FINDER_RULES,
  ...FRAME_RULES,
  ...MOUNT_RULES,
  ...SHORING_RULES,
  ...SPLICE_RULES,
  ...WELD_RULES,
} as const satisfies Record<string, Rule>;

export type RuleId = keyof typeof RULES;

/** Starting points for a shop's rulebook; each changes what it must and keeps the rest. */
export const PROFILES = {
  'weld-and-reinforce': { name: 'Weld and reinforce', changes: {} },
  'bolt-ahead-weld-behind': { name: 'Bolt ahead, weld behind', changes: { 'weld/ahead-of-hanger': 0 } },
} as const satisfies Record<string, { name: string; changes: Partial<Record<RuleId, number>> }>;

export type ProfileId = keyof typeof PROFILES;

/** A rule set of the shop, in one of its versions. */
export interface RuleSetRef {
  readonly set: string;
  readonly name: string;
  readonly version: number;
}

/**
 * A shop's rules: a profile, and what was changed since. Values in mm, radians, or 1 and 0. `from` is the rule set of the
 * shop that they were taken from; without one the profile was taken as it ships.
 */
export interface Rulebook {
  readonly profile: ProfileId;
  readonly changes: Readonly<Partial<Record<RuleId, number>>>;
  readonly from?: RuleSetRef;
}

export const RULE_IDS = Object.keys(RULES) as RuleId[];

/**
 * What a profile starts a rule with.
 *
 * @param profile The profile.
 * @param id The rule.
 */
export function usualValue(profile: ProfileId, id: RuleId): number {
  const changes: Partial<Record<RuleId, number>> = PROFILES[profile].changes;
  return changes[id] ?? RULES[id].value;
}

/**
 * The value of a rule in a rulebook.
 *
 * @param id The rule.
 */
export const ruleValue = ({ profile, changes }: Pick<Rulebook, 'profile' | 'changes'>, id: RuleId): number =>
  changes[id] ?? usualValue(profile, id);

/**
 * What is wrong with a value for a rule; null when it can be judged by.
 *
 * @param id The rule.
 * @param value mm, radians, or 1 and 0.
 */
export function ruleProblem(id: RuleId, value: number): string | null {
  switch (RULES[id].measures) {
    case 'length':
      return value >= 0 ? null : 'The length must be 0 or more.';
    case 'angle':
      return value >= 0 && value < Math.PI / 2 ? null : 'The angle must be from 0 to less than 90°.';
    case 'allowed':
      return value === 0 || value === 1 ? null : 'It is either allowed (1) or not (0).';
    case 'share':
      return value > 0 && value <= 1 ? null : 'The share must be more than 0 and at most 100 %.';
    default:
      return value >= 0 && value < 10_000 ? null : 'The figure must be 0 or more.';
  }
}

/**
 * The value of a rule as it is said: `3/32`, `60 %`, `4 times`.
 *
 * @param id The rule.
 * @param value In what the rule measures.
 * @param format How lengths are written.
 */
export function ruleText(id: RuleId, value: number, format: LengthFormat): string {
  switch (RULES[id].measures) {
    case 'length':
      return lengthText(value, finer(format), true);
    case 'angle':
      return angleText(value, 3, false);
    case 'allowed':
      return value === 1 ? 'allowed' : 'not';
    default:
      return quantityText(RULES[id].measures as RuleQuantity, value, format.unit);
  }
}

/**
 * The rulebook with one rule set; what its profile says anyway is no change.
 *
 * @param rulebook The rulebook.
 * @param id The rule.
 * @param value mm, radians, or 1 and 0.
 */
export function withRule(rulebook: Rulebook, id: RuleId, value: number): Rulebook {
  const { profile, changes } = rulebook;
  const { [id]: _, ...others } = changes;
  return { ...rulebook, changes: value === usualValue(profile, id) ? others : { ...others, [id]: value } };
}
