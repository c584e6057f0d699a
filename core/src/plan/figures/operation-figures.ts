import { contextOf } from '../context.ts';
import { figuresOf, type OperationFigures } from '../operations/index.ts';
import type { PlanInput, PlanResult } from '../plan-result.ts';

/**
 * What an operation does, in figures, from the frame as it was when its turn came: what every sketch and sheet shows of
 * it. Null where it was refused, is off, or is not in the plan.
 *
 * @param input Donor, body, plan and rules; validated.
 * @param result What the plan gives.
 * @param id Id of the operation.
 */
export function operationFigures(input: PlanInput, result: PlanResult, id: string): OperationFigures | null {
  const index = result.steps.findIndex(({ outcome }) => outcome.operation.id === id);
  const step = result.steps[index];
  if (!step || step.outcome.status !== 'done') return null;
  const before = result.steps[index - 1]?.state ?? result.donorState;
  return figuresOf(step.outcome.operation, { before, after: step.state, context: contextOf(input), input, result });
}
