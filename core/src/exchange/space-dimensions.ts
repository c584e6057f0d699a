import type { Vec3 } from '../frame/index.ts';
import { axleLengthsOf, type PlanResult } from '../plan/index.ts';

/** A length to be drawn beside the frame on the ground: figure and ends from the evaluation, mm. */
export interface SpaceDimension {
  readonly name: 'WB' | 'CA' | 'Overall';
  readonly length: number;
  readonly from: Vec3;
  readonly to: Vec3;
  /** Where its lines out from the frame begin, across, mm. */
  readonly outFrom: number;
}

/** How far beside the frame the first of them lies, and each of the others beside it, mm. */
const BESIDE = 450;
const ROW = 320;
/** How far under the rails they lie where no wheel tells the ground, mm. */
const UNDER = 500;

/**
 * Wheelbase, cab to axle and overall length as lines on the ground, on the left of the frame; those that the frame lacks what
 * they need for are left out.
 *
 * @param result What a plan gives, or the donor alone.
 */
export function spaceDimensions(result: PlanResult): readonly SpaceDimension[] {
  const { ends, overallLength, widest } = result.measures.after;
  const { front, rear, cabBack, wheelbase, cabToAxle } = axleLengthsOf(result);
  const grounds = result.axles.flatMap(({ item, built }) => (built ? [built.z - item.tireRadius] : []));
  const ground = grounds.length > 0 ? Math.min(...grounds) : Math.min(ends.front.top, ends.rear.top) - UNDER;
  const outFrom = -Math.max(widest / 2, ...result.axles.map(({ item }) => item.track / 2));
  const lengths = [
    { name: 'CA', length: cabToAxle, from: cabBack, to: rear },
    { name: 'WB', length: wheelbase, from: front, to: rear },
    { name: 'Overall', length: overallLength, from: ends.front.x, to: ends.rear.x },
  ] as const;
  return lengths.filter(isKnown).map(({ name, length, from, to }, row) => {
    const y = outFrom - BESIDE - row * ROW;
    return { name, length, outFrom, from: { x: from, y, z: ground }, to: { x: to, y, z: ground } };
  });
}

interface Known extends Pick<SpaceDimension, 'name' | 'length'> {
  readonly from: number;
  readonly to: number;
}
const isKnown = (line: { [Key in keyof Known]: Known[Key] | null }): line is Known =>
  line.length !== null && line.from !== null && line.to !== null;
