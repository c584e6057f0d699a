import type { QuantityKind } from '../units/index.ts';

/** Quantities that rules are in. */
export type RuleQuantity = Extract<
  QuantityKind,
  | 'share'
  | 'stress'
  | 'times'
  | 'heat'
  | 'hours'
  | 'mass'
  | 'temperature'
  | 'speed'
  | 'area'
  | 'seconds'
  | 'film'
  | 'conductivity'
  | 'specific heat'
  | 'joints'
  | 'stitches'
  | 'minutes'
>;

/** A threshold that a verdict rests on, or a figure that an estimate is made with. Its words stand apart: see `RuleWords`. */
export interface Rule {
  /**
   * What `value` measures: mm, radians, whether something is allowed (1) or not (0), or a quantity in the core's unit (a share
   * from 0 to 1, MPa, kJ for each mm, °C …).
   */
  readonly measures: 'length' | 'angle' | 'allowed' | RuleQuantity;
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
