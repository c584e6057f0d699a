import { type Side, SIDES } from '../frame/index.ts';
import {
  bottomLength,
  type Context,
  endAngle,
  railMass,
  type Operation,
  operationName,
  type Piece,
  type PlanResult,
  topLength,
} from '../plan/index.ts';
import type { NewPiece } from './marks.ts';
import { lettersOfPiece } from './measure.ts';
import { longerBy } from './splice-marks.ts';

/**
 * The new rail to cut, each piece once for each side and as it ends up: also where a later operation cuts it. Where the
 * donor is only sawn through, the blade's kerf is made good by the first piece. `kerf` in mm.
 *
 * @param result What the plan gives.
 * @param operations Operations of the plan by id.
 * @param context Sections and density.
 * @param kerf Width of the saw cut, mm, 0 or more.
 */
export function newPiecesOf(
  result: PlanResult,
  operations: ReadonlyMap<string, Operation>,
  { section, density }: Context,
  kerf: number,
): NewPiece[] {
  const begun = new Set<string>();
  return result.pieces.flatMap((piece: Piece, index): NewPiece[] => {
    const operation = operations.get(piece.source);
    // Where a sleeve with caps runs through, no rail is let in.
    const capped = result.splices.some(
      ({ joint, rails }) =>
        joint.operation === piece.source && rails.some(({ splice }) => splice.sleeve?.caps && splice.sleeve.through),
    );
    if (!operation || capped) return [];
    const first = !begun.has(operation.id);
    begun.add(operation.id);
    const formAt = (joint: number, side: Side) => {
      const id = result.joints.find(({ piece: ahead }) => ahead === joint)?.id;
      const outcome = result.splices.find((splice) => splice.joint.id === id && splice.decided);
      return outcome?.rails.find(({ rail }) => rail === side)?.splice.form ?? null;
    };
    const letters = lettersOfPiece(result, index) || operationName(operation);
    const gaps = result.splices
      .filter(({ joint }) =>
        result.joints.some(({ id, piece: of }) => id === joint.id && (of === index || of === index - 1)),
      )
      .reduce((sum, outcome) => sum + longerBy(outcome), 0);
    const sawn = operation.kind === 'lengthen' && first ? kerf : 0;
    return SIDES.map((side: Side) => ({
      letters,
      operation,
      side,
      section: piece.rails[side][0]?.section ?? '',
      length: topLength(piece, side),
      bottom: bottomLength(piece, side, (of) => section(of).depth),
      gaps,
      kerf: sawn,
      cutTo: topLength(piece, side) + sawn - gaps,
      mass: railMass(piece, side, section, density),
      front: endAngle(piece, side, 'front'),
      rear: endAngle(piece, side, 'rear'),
      forms: { front: formAt(index - 1, side), rear: formAt(index, side) },
    }));
  });
}
