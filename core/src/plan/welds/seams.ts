import { SIDES, type Side, sideSign } from '../../frame/index.ts';
import type { Rulebook } from '../../rules/index.ts';
import { railEnd } from '../piece.ts';
import { sideOf } from '../splices/cut-part.ts';
import type { RailSpliceOutcome, SpliceOutcome } from '../splices/splice-outcome.ts';
import { capSeams } from './cap-seams.ts';
import { partSeams } from './part-seams.ts';
import type { FramePose, RailHere } from './rail-here.ts';
import type { Seam, WeldedFrame } from './seam.ts';
import { flatSection } from './unfolded-walls.ts';
import { wallSeams } from './wall-seams.ts';

/** Where a joint lies on each rail; of a joint in a member nothing is known but its station. */
function placeAt(result: WeldedFrame, { joint }: SpliceOutcome, one: RailSpliceOutcome): RailHere['place'] {
  const of = result.joints.find(({ id }) => id === joint.id);
  const piece = of && result.pieces[of.piece];
  const side = sideOf(one.rail);
  const end = piece && (SIDES as readonly string[]).includes(one.rail) ? railEnd(piece, side as Side, 'rear') : null;
  const top = end?.point.z ?? 0;
  const out = Math.abs(end?.point.y ?? 0);
  return ({ y, z }, x) => ({
    x: joint.builtX + x,
    y: sideSign(side) * (out - y),
    z: top - one.steel.section.depth + z,
  });
}

/**
 * Every seam of the joints of a plan, front to rear, the rails before the members; of a joint that cannot be calculated none.
 *
 * @param result What the plan gives.
 * @param pose How the frame lies while it is welded.
 * @param rules The shop's rulebook.
 */
export function seamsOf(result: WeldedFrame, pose: FramePose, rules: Rulebook): readonly Seam[] {
  return result.splices.flatMap((splice) =>
    splice.rails.flatMap((one): readonly Seam[] => {
      const made = one.made.splice;
      if (!made) return [];
      const here: RailHere = { one, flat: flatSection(one.steel.section), place: placeAt(result, splice, one) };
      // A sleeve that runs on from the joint ahead is welded there.
      const own = made.parts.filter(({ name }) => splice.sleeveFrom === null || !name.startsWith('sleeve'));
      return [
        ...wallSeams(here, splice.joint, pose, rules),
        ...capSeams(here, splice.joint, pose, rules),
        ...own.flatMap((part) => partSeams(here, part, made.parts.indexOf(part), splice.joint, pose, rules)),
      ];
    }),
  );
}
