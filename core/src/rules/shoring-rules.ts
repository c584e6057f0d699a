import { inches } from '../units/index.ts';
import type { Rule } from './rule-type.ts';

/** What the shores of a frame are judged by. */
export const SHORING_RULES = {
  'stands/margin': { measures: 'length', value: inches(4) },
  'stands/off-cut': { measures: 'length', value: inches(6) },
  'stands/clear': { measures: 'length', value: inches(1.5) },
  'stands/drop': { measures: 'length', value: inches(1 / 16) },
  'stands/pinch': { measures: 'length', value: inches(1 / 64) },
  'stands/one-cut': { measures: 'allowed', value: 0 },
  'stands/by-hand': { measures: 'mass', value: 25 },
  'fit-up/even': { measures: 'length', value: inches(1 / 32) },
  'fit-up/high-low': { measures: 'length', value: inches(1 / 32) },
} as const satisfies Record<string, Rule>;
