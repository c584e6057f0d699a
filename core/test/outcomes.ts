import type { PlanInput, PlanResult } from '../src/plan/index.ts';
import { evaluatePlan } from '../src/plan/index.ts';

/** The code that an operation was refused with, or how it went. */
export const codeOf = (result: PlanResult, index = 0): string | undefined =>
  result.operations[index]?.refusal?.code ?? result.operations[index]?.status;

/** Present x, mean of both sides where there are two, of a feature; null when it is gone. */
export function builtX(result: PlanResult, id: string): number | null {
  const found = result.features.find(({ feature }) => feature.id === id);
  return (found?.places.left ?? found?.places.right)?.built?.x ?? null;
}

/** Present height of a feature. */
export function builtZ(result: PlanResult, id: string): number | null {
  const found = result.features.find(({ feature }) => feature.id === id);
  return (found?.places.left ?? found?.places.right)?.built?.z ?? null;
}

/** Severities and codes of everything that is wrong with a plan. */
export const conflictsOf = (input: PlanInput): string[] =>
  evaluatePlan(input).conflicts.map(({ severity, code }) => `${severity} ${code}`);
