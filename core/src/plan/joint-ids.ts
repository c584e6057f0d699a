import type { Piece } from './piece.ts';
import type { PlanState } from './state.ts';

/**
 * The operation that made the joint between two pieces.
 *
 * @param ahead The piece ahead of it.
 * @param behind The piece behind it.
 */
export const operationAt = (ahead: Piece, behind: Piece): string =>
  behind.front.operation ?? ahead.rear.operation ?? behind.source;

/**
 * The ids of the joints of a frame, front to rear: the operation that made each, and which of its joints it is.
 *
 * @param state The frame in work.
 */
export function jointIdsOf({ pieces }: Pick<PlanState, 'pieces'>): readonly string[] {
  const counted = new Map<string, number>();
  return pieces.slice(1).map((behind, index) => {
    const operation = operationAt(pieces[index] as Piece, behind);
    const count = (counted.get(operation) ?? 0) + 1;
    counted.set(operation, count);
    return `${operation}/${count}`;
  });
}
