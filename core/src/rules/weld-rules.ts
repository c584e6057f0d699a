import { inches } from '../units/index.ts';
import type { Rule } from './rule-type.ts';

/** What welds are laid, cooled and judged by. */
export const WELD_RULES = {
  'weld/land': { measures: 'length', value: 1.5 },
  'weld/cap': { measures: 'length', value: 1.2 },
  'weld/one-pass': { measures: 'area', value: 22 },
  'weld/stitch': { measures: 'length', value: 100 },
  'weld/tack': { measures: 'length', value: inches(1 / 2) },
  'weld/tacks-apart': { measures: 'length', value: 100 },
  'weld/in-turn': { measures: 'allowed', value: 1 },
  'weld/handling': { measures: 'seconds', value: 20 },
  'weld/clock-stitches': { measures: 'stitches', value: 4 },
  'weld/clock-pause': { measures: 'minutes', value: 10 },
  'weld/efficiency': { measures: 'share', value: 0.8 },
  'weld/interpass': { measures: 'temperature', value: 150 },
  'cool/conductivity': { measures: 'conductivity', value: 45 },
  'cool/specific-heat': { measures: 'specific heat', value: 500 },
  'cool/film': { measures: 'film', value: 20 },
  'cool/emissivity': { measures: 'share', value: 0.8 },
  'cool/band': { measures: 'length', value: 10 },
  'cool/shop': { measures: 'temperature', value: 20 },
  'pull/factor': { measures: 'times', value: 1 },
  'pull/fewest': { measures: 'joints', value: 3 },
} as const satisfies Record<string, Rule>;
