import { changedBody } from '../body/index.ts';
import { evaluatePlan, type PlanInput, type PlanResult } from '../plan/index.ts';

/** What of a job a body decides, mm; null where that is not known. */
export interface BodyEffects {
  readonly requiredWheelbase: number | null;
  /** How much wider the frame must become; null where no one width serves. */
  readonly wider: number | null;
  readonly mountsBeside: number;
  /** The least that a fender reaches beyond its tire. */
  readonly leastCover: number | null;
  readonly clashes: number;
  readonly toDecide: number;
}

function effectsOf(plan: PlanResult, body: string): BodyEffects | null {
  const seat = plan.seats.find((one) => one.body.id === body);
  if (!seat) return null;
  const covers = seat.fenders.map(({ out }) => out);
  return {
    requiredWheelbase: seat.wheelbase?.asked ?? null,
    wider: seat.wider,
    mountsBeside: seat.mounts.filter(({ sideways }) => sideways !== 0).length,
    leastCover: covers.length > 0 ? Math.min(...covers) : null,
    clashes: seat.clashes.length,
    toDecide: plan.conflicts.filter(({ severity }) => severity === 'warn').length,
  };
}

/**
 * What a body decides as it is measured, and as it is changed; null where nothing is changed on it.
 *
 * @param job The job; validated.
 * @param body Id of the body.
 * @param result What the plan gives with the body as changed.
 */
export function compareChanged(
  job: PlanInput,
  body: string,
  result: PlanResult,
): { readonly asItIs: BodyEffects; readonly changed: BodyEffects } | null {
  const found = job.bodies.find(({ id }) => id === body);
  if (!found || changedBody(found).body === found) return null;
  const bodies = job.bodies.map((one) => (one.id === body ? { ...one, changes: [] } : one));
  const [asItIs, changed] = [effectsOf(evaluatePlan({ ...job, bodies }), body), effectsOf(result, body)];
  return asItIs && changed ? { asItIs, changed } : null;
}
