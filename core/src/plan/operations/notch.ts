import { length, oneOf, optional } from '../../fields/index.ts';
import { railAt, SIDES } from '../../frame/index.ts';
import { inches, TOLERANCE } from '../../units/index.ts';
import type { Context } from '../context.ts';
import { notchFigures, type Notched } from '../figures/work-figures.ts';
import { notchDepths, notchFloor } from '../notch-profile.ts';
import { type Common, place, type Place } from '../operation.ts';
import { frontTop, rearTop } from '../piece.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import { findSpot, pieceAt } from '../spot.ts';
import { needsPositive } from './amounts.ts';
import type { OperationDefinition } from './definition.ts';

export interface Notch extends Common {
  readonly kind: 'notch';
  /** Middle of the notch. */
  readonly at: Place;
  readonly width: number;
  readonly depth: number;
  readonly from: 'below' | 'above';
  readonly form: 'round' | 'arch';
  /** Whether its floor is level, as deep as stated at its middle; without it, it follows the edge of the rail. */
  readonly floor?: 'level' | 'follows';
  /** Thickness of the plate along the cut edge; 0: none. */
  readonly plate: number;
}

/** Takes section away over a short width; the reinforcement is part of the same operation. */
function carryOut(state: PlanState, operation: Notch, context: Context): PlanState {
  needsPositive(operation.width, 'The width of the notch');
  needsPositive(operation.depth, 'The depth of the notch');
  const at = findSpot(state, operation.at);
  const piece = pieceAt(state, at);
  const depth = context.section(railAt(piece.rails.left, at.x).section).depth;
  if (operation.depth >= depth)
    throw new OperationRefused('operation/notch-depth', `The notch is as deep as the rail (${context.show(depth)}).`, [
      'Take a shallower notch, or a step over the axle.',
    ]);
  const [from, to] = [at.x - operation.width / 2, at.x + operation.width / 2];
  const depthOf = (id: string) => context.section(id).depth;
  const deepest = Math.max(
    ...SIDES.map((side) => notchDepths(notchFloor(operation, { from, to }, piece.rails[side], depthOf)).most),
  );
  if (deepest >= depth - TOLERANCE)
    throw new OperationRefused(
      'operation/notch-depth',
      `A level floor is ${context.show(deepest)} deep where the rail slopes most: deeper than the rail (${context.show(depth)}).`,
      ['Take a shallower notch, or let its floor follow the edge.'],
    );
  if (from < frontTop(piece) - TOLERANCE || to > rearTop(piece) + TOLERANCE)
    throw new OperationRefused('operation/notch-over-joint', 'The notch runs over a joint or the end of the rail.', [
      'Move the notch, or make it narrower.',
    ]);
  return { ...state, reworks: [...state.reworks, { operation, source: piece.source, from, to }] };
}

export const notch: OperationDefinition<Notch, Notched> = {
  kind: 'notch',
  name: 'Notch',
  fields: {
    at: place(),
    width: length(),
    depth: length(),
    from: oneOf(['below', 'above']),
    form: oneOf(['round', 'arch']),
    floor: optional(oneOf(['level', 'follows'])),
    plate: length(),
  },
  room: { ahead: inches(5), behind: inches(5), onOnePiece: true },
  fresh: ({ at }) => ({
    at,
    width: inches(10),
    depth: inches(2),
    from: 'below',
    form: 'arch',
    plate: inches(1 / 4),
  }),
  places: (operation, visit) => ({ ...operation, at: visit(operation.at) }),
  carryOut,
  figures: notchFigures,
};
