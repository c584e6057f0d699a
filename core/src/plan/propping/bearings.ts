import { cutOf } from '../cut-moment.ts';
import { burdensOn } from '../burdens.ts';
import type { Context } from '../context.ts';
import { featureOutcomes } from '../feature-outcome.ts';
import type { Standing } from '../measures.ts';
import type { Outcomes } from '../outcomes.ts';
import { frontSpine } from '../piece.ts';
import type { PlanStep } from '../plan-result.ts';
import { standingOf } from '../prepare.ts';
import type { PlanState } from '../state.ts';
import { type Bearing, type LadenPiece, steelBearings } from './held.ts';

/** What was on frames already looked at, evaluation by evaluation. */
const standings = new WeakMap<Outcomes, WeakMap<PlanState, Standing>>();

/**
 * Everything on the frame before an operation.
 *
 * @param outcomes The second stage of an evaluation.
 * @param state The frame before the operation.
 */
export function standingBefore(outcomes: Outcomes, state: PlanState): Standing {
  const looked = standings.get(outcomes) ?? new WeakMap<PlanState, Standing>();
  standings.set(outcomes, looked);
  const known = looked.get(state);
  if (known) return known;
  const { input, prepared, context, before } = outcomes;
  const { view, carriers, wanted } = prepared;
  const features = featureOutcomes(state, view.seats, context, before);
  const looking = {
    frame: input.donor,
    view,
    donor: prepared.state,
    carriers,
    wanted,
    stays: input.plan.stays,
    context,
    made: state,
  };
  const standing = standingOf(state, features, looking, before);
  looked.set(state, standing);
  return standing;
}

/**
 * What a unit carries bears at its mounts, shared as by springs that give alike; anything else where it is.
 *
 * @param standing Everything on the frame, where it is.
 * @param off Ids of what is off the frame.
 * @param carriers What carries each axle and point, by its id.
 */
export function bearingsOf(
  standing: Standing,
  off: ReadonlySet<string>,
  carriers: Outcomes['prepared']['carriers'],
): Bearing[] {
  return burdensOn(standing).flatMap((burden): Bearing[] => {
    const carrier = burden.ref.kind === 'point' ? (carriers.get(burden.ref.id) ?? null) : null;
    if (off.has(burden.ref.id) || (carrier && off.has(carrier.id))) return [];
    const unit = carrier?.kind === 'unit' ? standing.units.find((each) => each.unit.id === carrier.id) : undefined;
    const mounts = unit?.mounts.flatMap(({ built }) => (built ? [built.x] : [])) ?? [];
    if (mounts.length < 2) return [{ ...burden, run: 0 }];
    const mean = mounts.reduce((sum, x) => sum + x, 0) / mounts.length;
    const spread = mounts.reduce((sum, x) => sum + (x - mean) ** 2, 0);
    return mounts.map((x) => {
      const share = 1 / mounts.length + (spread > 0 ? ((burden.at.x - mean) * (x - mean)) / spread : 0);
      return { ...burden, mass: burden.mass * share, at: { ...burden.at, x }, run: 0 };
    });
  });
}

/**
 * Units that are on the frame and carry no weight that is known.
 *
 * @param off Ids of what is off the frame.
 * @param carriers What carries each axle and point, by its id.
 */
export const weightlessOn = (
  { units, points }: Standing,
  off: ReadonlySet<string>,
  carriers: Outcomes['prepared']['carriers'],
): string[] =>
  units.flatMap(({ unit }) => {
    const weighs = points.some(({ item }) => item.mass > 0 && carriers.get(item.id)?.id === unit.id);
    return weighs || off.has(unit.id) ? [] : [unit.name];
  });

/**
 * The pieces of a step with what bears on each; what bears beyond the ends bears on the end piece.
 *
 * @param step The step.
 * @param bearings What bears on the frame.
 * @param context Sections and density.
 */
export function ladenPieces(step: PlanStep, bearings: readonly Bearing[], context: Context): LadenPiece[] {
  const begins = cutOf(step).map((piece) => frontSpine(piece).x);
  const over = (x: number) =>
    Math.max(
      0,
      begins.findLastIndex((begin) => x >= begin),
    );
  const taken = step.state.removed.filter(({ operation }) => operation === step.outcome.operation.id);
  return cutOf(step).map((piece, index) => ({
    piece,
    removed: taken.some(({ front, rear }) => front === piece.front && rear === piece.rear),
    bearings: [...steelBearings(piece, context), ...bearings.filter(({ at }) => over(at.x) === index)],
  }));
}
