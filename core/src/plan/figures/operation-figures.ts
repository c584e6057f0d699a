import { contextOf } from '../context.ts';
import type { Operation } from '../operation.ts';
import type { PlanInput, PlanResult } from '../plan-result.ts';
import type { Around, OperationFigures } from './figures.ts';
import { boxFigures, bracketFigures, crossmemberFigures, notchFigures } from './work-figures.ts';
import { addedFigures, pieFigures, shortenFigures, stepFigures, trimFigures, widenFigures } from './rail-figures.ts';

function figuresFor(operation: Operation, around: Around): OperationFigures | null {
  switch (operation.kind) {
    case 'shorten':
      return shortenFigures(operation, around);
    case 'lengthen':
    case 'extend':
      return addedFigures(operation, around);
    case 'widen':
      return widenFigures(operation, around);
    case 'pie-cut':
      return pieFigures(operation, around);
    case 'step':
      return stepFigures(operation, around);
    case 'trim':
      return trimFigures(operation, around);
    case 'notch':
      return notchFigures(operation, around);
    case 'box':
      return boxFigures(operation, around);
    case 'crossmember':
      return crossmemberFigures(operation, around);
    case 'bracket':
      return bracketFigures(operation, around);
  }
}

/**
 * What an operation does, in figures, from the frame as it was when its turn came: what every sketch and sheet shows of
 * it. Null where it was refused, is off, or is not in the plan.
 */
export function operationFigures(input: PlanInput, result: PlanResult, id: string): OperationFigures | null {
  const index = result.steps.findIndex(({ outcome }) => outcome.operation.id === id);
  const step = result.steps[index];
  if (!step || step.outcome.status !== 'done') return null;
  const before = result.steps[index - 1]?.state ?? result.donorState;
  return figuresFor(step.outcome.operation, { before, after: step.state, context: contextOf(input), input, result });
}
