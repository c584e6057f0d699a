import { isMet } from '../units/index.ts';
import type { PlanInput, PlanResult } from '../plan/index.ts';
import { GOAL_MEASURES, baseOf, type FinderGoal } from './goal.ts';

/** Something that could be asked for, and who asks. */
export interface SuggestedGoal {
  readonly goal: FinderGoal;
  /** The figure that is wanted, mm. */
  readonly wanted: number;
  /** Name of the body that asks for it; null where the plan in hand does it. */
  readonly body: string | null;
}

/**
 * What the bodies ask for, and what the plan in hand does: what a search begins with.
 *
 * @param job Donor, bodies, plan and rules; validated.
 * @param result What the plan gives.
 */
export function suggestedGoals(job: PlanInput, { seats }: Pick<PlanResult, 'seats'>): readonly SuggestedGoal[] {
  const bases = new Map(GOAL_MEASURES.map((of) => [of, baseOf(job, { of })] as const));
  const wanted = (of: FinderGoal['of'], figure: number | null, body: string | null): SuggestedGoal[] => {
    const now = bases.get(of)?.now ?? null;
    return now === null || figure === null || isMet(figure, now)
      ? []
      : [{ goal: { of, by: figure - now }, wanted: figure, body }];
  };
  const sampled = seats.flatMap(({ body, wheelbase, wider }) => [
    ...wanted('wheelbase', wheelbase?.asked ?? null, body.name),
    ...(wider ? wanted('width', (bases.get('width')?.now ?? 0) + wider, body.name) : []),
  ]);
  const planned = GOAL_MEASURES.flatMap((of) => wanted(of, bases.get(of)?.planned ?? null, null));
  return [
    ...sampled,
    // What a body asks for and the plan gives is one thing.
    ...planned.filter(({ goal, wanted: figure }) =>
      sampled.every((other) => other.goal.of !== goal.of || !isMet(other.wanted, figure)),
    ),
  ];
}
