import type { Vec3 } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { balancedOrder, type PullingStitch, type WallPlace } from '../../weld/index.ts';
import { placeBetween, pointBetween, type Seam } from './seam.ts';

/** A length of one pass that is laid without a stop. */
export interface Stitch {
  /** Names it in the job: what is logged of it goes by it. */
  readonly id: string;
  readonly seam: Seam;
  /** 0 for a tack, 1 for the root, then the fill. */
  readonly pass: number;
  /** From where to where along its seam, mm. */
  readonly begin: number;
  readonly end: number;
  readonly from: WallPlace;
  readonly to: WallPlace;
  readonly middle: Vec3;
  /** Cross-section of weld metal that this pass lays down, mm². */
  readonly area: number;
}

/** Into how many equal stitches a length is parted, none longer than the rule. */
const partsOf = (length: number, longest: number): number => Math.max(1, Math.ceil(length / longest - 1e-9));

/**
 * The stitches of one pass of a seam, in the order that they lie.
 *
 * @param seam The seam.
 * @param pass Which pass, from 1.
 * @param longest No stitch is longer, mm, above 0.
 */
function stitchesOf(seam: Seam, pass: number, longest: number): readonly Stitch[] {
  let begin = 0;
  return seam.stretches.flatMap((stretch, index) => {
    const parts = partsOf(stretch.length, longest);
    const { from, to, start, end } = stretch;
    return Array.from({ length: parts }, (_, at): Stitch => {
      const length = stretch.length / parts;
      const one: Stitch = {
        id: `${seam.id}#${pass}.${index * parts + at + 1}`,
        seam,
        pass,
        begin,
        end: begin + length,
        from: placeBetween(from, to, at / parts),
        to: placeBetween(from, to, (at + 1) / parts),
        middle: pointBetween(start, end, (at + 0.5) / parts),
        area: seam.area / seam.passes,
      };
      begin += length;
      return one;
    });
  });
}

const pulling = ({ middle, area, begin, end }: Stitch): PullingStitch => ({
  y: middle.y,
  z: middle.z,
  area,
  length: end - begin,
});

/**
 * The stitches of the seams of one layer of a joint in the order that pulls it least out of balance: all of a pass before the
 * next.
 *
 * @param seams The seams, both rails.
 * @param center Where the joint's walls have their centroid, across the frame, mm.
 * @param rules The shop's rulebook.
 */
export function orderedStitches(
  seams: readonly Seam[],
  center: { readonly y: number; readonly z: number },
  rules: Rulebook,
): readonly Stitch[] {
  const longest = ruleValue(rules, 'weld/stitch');
  const most = Math.max(0, ...seams.map(({ passes }) => passes));
  const laid: Stitch[] = [];
  for (let pass = 1; pass <= most; pass += 1) {
    const own = seams.filter(({ passes }) => pass <= passes).flatMap((seam) => stitchesOf(seam, pass, longest));
    const { order } = balancedOrder(own.map(pulling), center, laid.map(pulling));
    laid.push(...order.map((at) => own[at] as Stitch));
  }
  return laid;
}
