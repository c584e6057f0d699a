import { inches } from '../units/index.ts';
import type { Rule } from './rule-type.ts';

/** The rules that mounts and their brackets are judged and calculated by. */
export const MOUNT_RULES = {
  'mount/dynamic': { measures: 'times', value: 2.5 },
  'mount/yield': { measures: 'stress', value: 250 },
  'mount/ratio': { measures: 'share', value: 1 },
  'mount/width': { measures: 'length', value: inches(3) },
  'mount/plate': { measures: 'length', value: inches(3 / 16) },
  'mount/true': { measures: 'length', value: inches(1 / 16) },
  'bend/radius': { measures: 'times', value: 1.5 },
  'bend/fibre': { measures: 'share', value: 0.44 },
  'bolt/tension': { measures: 'share', value: 0.33 },
} as const satisfies Record<string, Rule>;
