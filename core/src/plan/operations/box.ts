import { length } from '../../fields/index.ts';
import { railAt } from '../../frame/index.ts';
import { inches } from '../../units/index.ts';
import type { Context } from '../context.ts';
import { boxFigures, type Boxed } from '../figures/work-figures.ts';
import { type Common, place, type Place } from '../operation.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import { findSpot, pieceAt } from '../spot.ts';
import { needsPositive } from './amounts.ts';
import type { OperationDefinition } from './definition.ts';

export interface Box extends Common {
  readonly kind: 'box';
  readonly from: Place;
  readonly to: Place;
  readonly plate: number;
  /** Length over which each end of the plate tapers, mm. */
  readonly taper: number;
}

/** Closes an open rail with a plate between two places on one piece. */
function carryOut(state: PlanState, operation: Box, context: Context): PlanState {
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

export const box: OperationDefinition<Box, Boxed | null> = {
  kind: 'box',
  name: 'Box',
  fields: { from: place(), to: place(), plate: length(), taper: length() },
  room: { ahead: 0, behind: inches(24), onOnePiece: true },
  fresh: ({ at, to }) => ({ from: at, to, plate: inches(3 / 16), taper: inches(4) }),
  places: (operation, visit) => ({ ...operation, from: visit(operation.from), to: visit(operation.to) }),
  carryOut,
  stretched: (operation, by) => ({ ...operation, to: { ...operation.to, x: operation.to.x + by } }),
  figures: boxFigures,
};
