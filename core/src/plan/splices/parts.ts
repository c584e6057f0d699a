import { SIDES } from '../../frame/index.ts';
import { cornerRadiusOf } from '../../splice/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { exceeds } from '../../units/index.ts';
import { type Context, contextOf } from '../context.ts';
import { topLength } from '../new-rail.ts';
import { railEnd } from '../piece.ts';
import type { PlanInput, PlanResult } from '../plan-result.ts';
import { capSides, capSideWeld } from './cap-sides.ts';
import { type CutPart, sideOf } from './cut-part.ts';
import { fittingParts } from './fitting-part.ts';
import { platePart } from './plate-part.ts';
import { capParts, sleevePieces } from './sleeve-part.ts';
import type { RailSpliceOutcome } from './splice-outcome.ts';
import { weldOn } from './steel.ts';

/** Length of the welds on a part: those of a plate by its name, those of a sleeve on all of its walls, mm. */
function weldAlong(name: string, { made, steel }: RailSpliceOutcome, through: number): number {
  const cap = capSides(steel.section).find((side) => side.name === name);
  if (cap) return capSideWeld(cap, through);
  const isSleeve = name.includes('sleeve') || name === 'folded channel';
  const parts = made.splice?.parts.filter((part) => (isSleeve ? part.name.startsWith('sleeve') : part.name === name));
  return (parts ?? []).reduce((sum, part) => sum + weldOn(part), 0);
}

/** The web of a rail that came out, and how much of it is left to cut plates from, mm. */
interface Web {
  readonly from: string;
  readonly thickness: number;
  readonly flat: number;
  left: number;
}

/** The webs of donor rail that comes out, both rails of each piece. */
function websOut(result: PlanResult, { section }: Pick<Context, 'section'>): readonly Web[] {
  return result.removed.flatMap((piece) => {
    if (piece.source !== 'donor') return [];
    const letters = result.operations.find(({ operation }) => operation.id === piece.operation)?.letters ?? [];
    const from = `web of the rail that comes out${letters.length > 0 ? ` at ${letters.join('·')}` : ''}`;
    return SIDES.map((side): Web => {
      const end = railEnd(piece, side, 'front');
      const used = section(end.section);
      const flat = used.depth - 2 * (used.thickness + cornerRadiusOf(used));
      return { from, thickness: used.thickness, flat, left: topLength(piece, side) };
    });
  });
}

/** Walls that are called the same thickness, mm. */
const SAME_WALL = 0.1;

/** The parts with the offcut that each is cut from: what one part takes of a web is gone for the next. */
function withOffcuts(parts: readonly CutPart[], webs: readonly Web[], kerf: number): readonly CutPart[] {
  return parts.map((part) => {
    if (part.stock !== 'plate') return part;
    const web = webs.find(
      ({ thickness, flat, left }) =>
        Math.abs(thickness - part.thickness) <= SAME_WALL && !exceeds(part.width, flat) && !exceeds(part.length, left),
    );
    if (!web) return part;
    web.left -= part.length + kerf;
    return { ...part, offcut: web.from };
  });
}

/**
 * Every part to cut for the joints of a plan and its cut ends, for left and right, front to rear; of joints that cannot be
 * calculated none.
 *
 * @param result What the plan gives.
 * @param input Donor, plan and rules; validated.
 */
export function spliceParts(result: PlanResult, input: PlanInput): readonly CutPart[] {
  const { rules } = input;
  const context = contextOf(input);
  const ofJoints = result.splices.flatMap(({ joint, rails, decided, next, sleeveFrom }) =>
    rails.flatMap((one): CutPart[] => {
      if (decided === null || one.made.problems.length > 0) return [];
      const { sleeve } = one.splice;
      const through = sleeve?.through ? (next?.distance ?? 0) : 0;
      const made = [
        ...one.made.plates.map((plate) => platePart(plate, one, joint, result, rules)),
        ...(sleeve && sleeveFrom === null ? sleevePieces(sleeve, one, through, rules, context.show) : []),
        ...(sleeve?.caps && sleeveFrom === null && through > 0 ? capParts(one, through) : []),
      ];
      return made.map((part, at) => ({
        ...part,
        weldLength: weldAlong(part.name, one, through),
        mark: `${joint.of === 'rails' ? joint.letter : `${joint.letter} `}${at + 1}${sideOf(one.rail) === 'left' ? 'L' : 'R'}`,
        joint,
        rail: one.rail,
        offcut: null,
      }));
    }),
  );
  return [
    ...withOffcuts(ofJoints, websOut(result, context), ruleValue(rules, 'cut/kerf')),
    ...fittingParts(result, input.plan.fittings, context),
  ];
}
