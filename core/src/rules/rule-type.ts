/** A threshold that a verdict rests on, or a figure that an estimate is made with. Its words stand apart: see `RuleWords`. */
export interface Rule {
  /**
   * What `value` measures: mm, radians, whether something is allowed (1) or not (0), a share from 0 to 1, MPa, so many
   * times something, kJ for each mm, hours, or kg.
   */
  readonly measures: 'length' | 'angle' | 'allowed' | 'share' | 'stress' | 'times' | 'heat' | 'hours' | 'mass';
  readonly value: number;
}

/** What a rule says of itself. A page loads it when somebody reads it: context needs the value alone. */
export interface RuleWords {
  readonly title: string;
  readonly reason: string;
  readonly source: string;
}

/** The source of rules that no standard gives. */
export const SHOP_PRACTICE = 'common shop practice; set your own from your logged jobs';
