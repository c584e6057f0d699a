import { RULE_WORDS } from '../../rules/index.ts';
import type { FatigueDetail } from './fatigue.ts';

/**
 * What a detail is called: `Plate end, square, inside plate`.
 *
 * @param detail The detail.
 */
export const fatigueName = ({ rule, where }: Pick<FatigueDetail, 'rule' | 'where'>): string =>
  [RULE_WORDS[rule].title, where].filter(Boolean).join(', ');
