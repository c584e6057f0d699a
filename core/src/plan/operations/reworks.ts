import { railAt } from '../../frame/index.ts';
import type { Context } from '../context.ts';
import type { Box, Notch } from '../operation.ts';
import { findSpot, OperationRefused, pieceAt, type PlanState } from '../state.ts';
import { frontTop, rearTop } from '../piece.ts';
import { needsPositive } from './amounts.ts';

/** Takes section away over a short width; the reinforcement is part of the same operation. */
export function notch(state: PlanState, operation: Notch, context: Context): PlanState {
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
  if (from < frontTop(piece) || to > rearTop(piece))
    throw new OperationRefused('operation/notch-over-joint', 'The notch runs over a joint or the end of the rail.', [
      'Move the notch, or make it narrower.',
    ]);
  return { ...state, reworks: [...state.reworks, { operation, source: piece.source, from, to }] };
}

/** Closes an open rail with a plate between two places on one piece. */
export function box(state: PlanState, operation: Box, context: Context): PlanState {
  needsPositive(operation.plate, 'The thickness of the plate');
  const [from, to] = [findSpot(state, operation.from), findSpot(state, operation.to)];
  if (from.index !== to.index)
    throw new OperationRefused(
      'operation/box-over-joint',
      'A boxing plate must not run over a joint made by the plan.',
      ['End the plate before the joint and box the far side with an operation of its own.'],
    );
  if (!(from.x < to.x))
    throw new OperationRefused('operation/order', 'The plate must end behind where it begins.', [
      'Swap the two places.',
    ]);
  if (operation.taper < 0 || 2 * operation.taper > to.x - from.x)
    throw new OperationRefused('operation/box-taper', 'The two tapers are longer than the plate.', [
      'Take shorter tapers.',
    ]);
  const piece = pieceAt(state, from);
  if (context.section(railAt(piece.rails.left, from.x).section).kind !== 'channel')
    throw new OperationRefused('operation/already-closed', 'The rail is closed here already.', [
      'Only an open channel can be boxed.',
    ]);
  return { ...state, reworks: [...state.reworks, { operation, source: piece.source, from: from.x, to: to.x }] };
}
