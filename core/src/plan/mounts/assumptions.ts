import { type Assumption, assumptionsOf, type Rulebook, type RuleId } from '../../rules/index.ts';
import type { LengthFormat } from '../../units/index.ts';
import type { MountingOutcome } from './mounting-outcome.ts';

/**
 * The factors that the strength of brackets and their flat shapes rest on, each with its value and source; none without
 * brackets.
 *
 * @param outcomes How the mounts are made.
 * @param rules The shop's rulebook.
 * @param format How lengths are written.
 */
export function mountAssumptions(
  outcomes: readonly MountingOutcome[],
  rules: Rulebook,
  format: LengthFormat,
): readonly Assumption[] {
  const brackets = outcomes.map(({ mounting }) => mounting.bracket).filter(({ form }) => form !== 'none');
  if (brackets.length === 0) return [];
  const bolted = brackets.some((bracket) => 'fixing' in bracket && bracket.fixing.by === 'bolts');
  const folded = brackets.some((bracket) => 'radius' in bracket);
  const ids: readonly RuleId[] = [
    'mount/dynamic',
    'mount/yield',
    'weld/electrode',
    'weld/allowed',
    ...(bolted ? (['bolt/shear', 'bolt/tension'] as const) : []),
    ...(folded ? (['bend/fibre'] as const) : []),
    'mount/true',
  ];
  return assumptionsOf(ids, rules, format);
}
