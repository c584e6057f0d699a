import type { Operation } from '../plan/index.ts';
import type { Gap } from './ground.ts';

/**
 * Where an option's cuts leave the donor: for each, what stays ahead and what stays behind.
 *
 * @param operations The option's operations.
 */
export const gapsOf = (operations: readonly Operation[]): Gap[] =>
  operations.flatMap((operation): Gap[] => {
    switch (operation.kind) {
      case 'lengthen':
        return [{ ahead: operation.at.x, behind: operation.at.x }];
      case 'shorten':
        return [{ ahead: operation.from.x, behind: operation.to.x }];
      case 'step':
        return [operation.from, operation.to].map(({ x }) => ({ ahead: x, behind: x }));
      case 'widen':
        return operation.from
          ? [operation.from.x - operation.transition, operation.from.x].map((x) => ({ ahead: x, behind: x }))
          : [];
      default:
        return [];
    }
  });

/** How many joints an option welds on each rail, before any is known. */
const JOINTS: Readonly<Partial<Record<Operation['kind'], number>>> = {
  lengthen: 2,
  shorten: 1,
  extend: 1,
  widen: 2,
  step: 2,
};

/**
 * How many joints an option welds on each rail, before any is known.
 *
 * @param operations The option's operations.
 */
export const jointsOfOption = (operations: readonly Operation[]): number =>
  operations.reduce((count, operation) => {
    const bridged = operation.kind === 'shorten' && operation.transition > 0 ? 1 : 0;
    return count + (JOINTS[operation.kind] ?? 0) + bridged;
  }, 0);
