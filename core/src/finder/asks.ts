import type { PlanInput, PlanResult } from '../plan/index.ts';
import { ASKED_OF, baseOf, type FinderAsk } from './ask.ts';

/** Something that could be asked for, and who asks. */
export interface SuggestedAsk {
  readonly ask: FinderAsk;
  /** The figure that is wanted, mm. */
  readonly wanted: number;
  /** Name of the body that asks for it; null where the plan in hand does it. */
  readonly body: string | null;
}

/** Changes of a figure smaller than this are none, mm. */
const SMALL = 0.5;

/**
 * What the bodies ask for, and what the plan in hand does: what a search begins with.
 *
 * @param job Donor, bodies, plan and rules; validated.
 * @param result What the plan gives.
 */
export function suggestedAsks(job: PlanInput, { seats }: Pick<PlanResult, 'seats'>): readonly SuggestedAsk[] {
  const bases = new Map(ASKED_OF.map((of) => [of, baseOf(job, { of })] as const));
  const wanted = (of: FinderAsk['of'], figure: number | null, body: string | null): SuggestedAsk[] => {
    const now = bases.get(of)?.now ?? null;
    return now === null || figure === null || Math.abs(figure - now) < SMALL
      ? []
      : [{ ask: { of, by: figure - now }, wanted: figure, body }];
  };
  const asked = seats.flatMap(({ body, wheelbase, wider }) => [
    ...wanted('wheelbase', wheelbase?.asked ?? null, body.name),
    ...(wider ? wanted('width', (bases.get('width')?.now ?? 0) + wider, body.name) : []),
  ]);
  const planned = ASKED_OF.flatMap((of) => wanted(of, bases.get(of)?.planned ?? null, null));
  return [
    ...asked,
    // What a body asks for and the plan gives is one thing.
    ...planned.filter(({ ask, wanted: figure }) =>
      asked.every((other) => other.ask.of !== ask.of || Math.abs(other.wanted - figure) > SMALL),
    ),
  ];
}
