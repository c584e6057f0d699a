import { inches } from '../units/index.ts';
import type { Rule } from './rule-type.ts';

/** What the props of a frame are judged by. */
export const PROP_RULES = {
  'props/margin': { measures: 'length', value: inches(4) },
  'props/off-cut': { measures: 'length', value: inches(6) },
  'props/clear': { measures: 'length', value: inches(1.5) },
  'props/drop': { measures: 'length', value: inches(1 / 16) },
  'props/pinch': { measures: 'length', value: inches(1 / 64) },
  'props/one-cut': { measures: 'allowed', value: 0 },
  'props/by-hand': { measures: 'mass', value: 25 },
  'fit-up/even': { measures: 'length', value: inches(1 / 32) },
  'fit-up/high-low': { measures: 'length', value: inches(1 / 32) },
} as const satisfies Record<string, Rule>;
