import type { RailId } from '../../frame/index.ts';
import type { RailSplice, SplicePlan } from '../../splice/index.ts';
import type { SpliceOutcome } from './splice-outcome.ts';

/**
 * The id of the member that a rail is a copy of; empty for the two rails.
 *
 * @param rail A rail, or a copy of a member.
 */
export const memberOfRail = (rail: RailId): string =>
  rail === 'left' || rail === 'right' ? '' : rail.slice(0, rail.lastIndexOf('/'));

/**
 * What a plan says of a joint once one of its rails is made in a way: both rails alike unless one was parted from the other;
 * a member that is cut with them is made in a way of its own, both of a pair alike.
 *
 * @param outcome How the joint is made now.
 * @param rail The rail, or copy of a member.
 * @param splice How it is made from now on.
 */
export function splicePlanWith({ joint, decided, rails }: SpliceOutcome, rail: RailId, splice: RailSplice): SplicePlan {
  const others = decided?.others ?? [];
  const own = others.find((other) => other.rail === rail);
  const isRail = rail === 'left' || rail === 'right';
  if (decided && own && isRail)
    return { ...decided, others: others.map((other) => (other === own ? { ...own, splice } : other)) };
  if (joint.of === 'member' || isRail) return { joint: joint.id, rails: splice, others };
  const both = decided?.rails ?? rails.find((one) => one.rail === 'left')?.splice ?? splice;
  const pair = rails.filter((one) => memberOfRail(one.rail) === memberOfRail(rail)).map((one) => one.rail);
  return {
    joint: joint.id,
    rails: both,
    others: [
      ...others.filter((other) => !pair.includes(other.rail)),
      ...pair.map((copy) => ({ rail: copy, splice, reason: own?.reason ?? '' })),
    ],
  };
}
