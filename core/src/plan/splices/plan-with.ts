import type { RailId } from '../../frame/index.ts';
import type { RailSplice, SplicePlan } from '../../splice/index.ts';
import type { SpliceOutcome } from './splice-outcome.ts';

/**
 * What a plan says of a joint once one of its rails is made in a way: both rails alike unless one was parted from the other;
 * a member that is cut with them is made in a way of its own.
 *
 * @param outcome How the joint is made now.
 * @param rail The rail, or copy of a member.
 * @param splice How it is made from now on.
 */
export function splicePlanWith({ joint, decided, rails }: SpliceOutcome, rail: RailId, splice: RailSplice): SplicePlan {
  const others = decided?.others ?? [];
  if (decided && others.some((other) => other.rail === rail))
    return { ...decided, others: others.map((other) => (other.rail === rail ? { ...other, splice } : other)) };
  if (joint.of === 'member' || rail === 'left' || rail === 'right') return { joint: joint.id, rails: splice, others };
  const both = decided?.rails ?? rails.find((one) => one.rail === 'left')?.splice ?? splice;
  return { joint: joint.id, rails: both, others: [...others, { rail, splice, reason: '' }] };
}
