import { SIDES } from '../../frame/index.ts';
import { cornerRadiusOf } from '../../splice/index.ts';
import { contextOf } from '../context.ts';
import { topLength } from '../new-rail.ts';
import type { PlanInput, PlanResult } from '../plan-result.ts';
import { type CutPart, type MadePart, sideOf } from './cut-part.ts';
import { fittingParts } from './fitting-part.ts';
import { platePart } from './plate-part.ts';
import { capParts, sleevePieces } from './sleeve-part.ts';
import type { RailSpliceOutcome } from './splice-outcome.ts';
import { weldOn } from './steel.ts';

/** Length of the welds on a part: those of a plate by its name, those of a sleeve on all of its walls, mm. */
function weldAlong(name: string, { made }: RailSpliceOutcome): number {
  const isSleeve = name.includes('sleeve') || name === 'folded channel';
  const parts = made.splice?.parts.filter((part) => (isSleeve ? part.name.startsWith('sleeve') : part.name === name));
  return (parts ?? []).reduce((sum, part) => sum + weldOn(part), 0);
}

/** Steel of the donor that came out and that a plate can be cut from the web of. */
function offcutFor(part: MadePart, one: RailSpliceOutcome, result: PlanResult): string | null {
  const { section } = one.steel;
  const flat = section.depth - 2 * (section.thickness + cornerRadiusOf(section));
  if (part.stock !== 'plate' || Math.abs(part.thickness - section.thickness) > 0.1 || part.width > flat) return null;
  const piece = result.removed.find(
    (each) => each.source === 'donor' && SIDES.every((side) => topLength(each, side) >= part.length),
  );
  if (!piece) return null;
  const letters = result.operations.find(({ operation }) => operation.id === piece.operation)?.letters ?? [];
  return `web of the rail that comes out${letters.length > 0 ? ` at ${letters.join('·')}` : ''}`;
}

/**
 * Every part to cut for the joints of a plan and its cut ends, for left and right, front to rear; of joints that cannot be
 * reckoned none.
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
        weldLength: weldAlong(part.name, one),
        mark: `${joint.of === 'rails' ? joint.letter : `${joint.letter} `}${at + 1}${sideOf(one.rail) === 'left' ? 'L' : 'R'}`,
        joint,
        rail: one.rail,
        offcut: offcutFor(part, one, result),
      }));
    }),
  );
  return [...ofJoints, ...fittingParts(result, input.plan.fittings, context)];
}
