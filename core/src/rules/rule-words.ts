import { FINDER_WORDS } from './finder-words.ts';
import { FRAME_WORDS } from './frame-words.ts';
import { MOUNT_WORDS } from './mount-words.ts';
import { SHORING_WORDS } from './shoring-words.ts';
import type { RuleId } from './rule.ts';
import type { RuleWords } from './rule-type.ts';
import { SPLICE_WORDS } from './splice-words.ts';
import { WELD_WORDS } from './weld-words.ts';

/** Title, reason and source of every rule. */
export const RULE_WORDS: Readonly<Record<RuleId, RuleWords>> = {
  ...FINDER_WORDS,
  ...FRAME_WORDS,
  ...MOUNT_WORDS,
  ...SHORING_WORDS,
  ...SPLICE_WORDS,
  ...WELD_WORDS,
};
