import type { Body, Fender } from '../../body/index.ts';
import type { Axle } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { RiderOutcome } from '../rider-outcome.ts';
import { axleUnder } from './openings.ts';

/** A fender over the tires of its axle, mm: how far it reaches beyond the tire outside, and inside; below 0 the tire stands out. */
export interface FenderOver {
  readonly fender: Fender;
  readonly out: number;
  readonly inside: number;
}

/**
 * How the fenders of a body cover the tires, straight ahead; of axles that are not there nothing.
 *
 * @param body The body.
 * @param axles Axles as built.
 * @param rules The shop’s rulebook: how wide a tire is.
 */
export const fendersOver = (
  { fenders }: Pick<Body, 'fenders'>,
  axles: readonly RiderOutcome<Axle>[],
  rules: Rulebook,
): readonly FenderOver[] =>
  fenders.flatMap((fender): FenderOver[] => {
    const axle = axleUnder(axles, fender.over);
    if (!axle) return [];
    const half = ruleValue(rules, 'tire/width') / 2;
    const middle = axle.item.track / 2;
    return [{ fender, out: fender.outer - (middle + half), inside: middle - half - fender.inner }];
  });
