import { changedBody } from '../body/index.ts';
import { lazy } from '../lazy.ts';
import { type CutEnd, cutEndsOf, lettered } from './cut-ends.ts';
import type { StateBefore } from './attachment-status.ts';
import { featureOutcomes } from './feature-outcome.ts';
import { withFormedEnds } from './formed-ends.ts';
import type { Geometry } from './geometry.ts';
import { type Joint, jointsOf } from './joint.ts';
import { type Obstacles, obstaclesOn, type SeatOutcome, seatOutcomes } from './match/index.ts';
import { type MountingOutcome, mountingOutcomes } from './mounts/mounting-outcome.ts';
import type { Standing } from './measures.ts';
import { pivotOf } from './operations/index.ts';
import { standingOf } from './prepare.ts';
import { type SpliceOutcome, spliceOutcomes } from './splices/index.ts';

/**
 * The second stage of an evaluation: what became of everything that hangs on the frame, and how the ends meet. How mounts and
 * joints are made is worked out when it is first asked for.
 */
export interface Outcomes extends Geometry, Standing {
  /** The frame ahead of an operation. */
  readonly before: StateBefore;
  readonly joints: readonly Joint[];
  readonly cutEnds: readonly CutEnd[];
  /** What bodies must clear besides rails and crossmembers: worked out when it is first asked for. */
  readonly obstacles: () => Obstacles;
  /** Where each body sits, and what follows. */
  readonly seats: readonly SeatOutcome[];
  /** How each mount of a body is made. */
  readonly mountings: readonly MountingOutcome[];
  /** How each joint is made. */
  readonly splices: readonly SpliceOutcome[];
}

/**
 * What became of everything on a frame whose steel went where `geometry` says.
 *
 * @param geometry The first stage of the evaluation.
 */
export function evaluateOutcomes(geometry: Geometry): Outcomes {
  const { input, context, prepared, steps, state } = geometry;
  const { donor: frame, plan } = input;
  const before: StateBefore = (id) => {
    const index = steps.findIndex(({ outcome }) => outcome.operation.id === id);
    return index < 0 ? undefined : (steps[index - 1]?.state ?? prepared.state);
  };
  const operations = new Map(plan.operations.map((operation) => [operation.id, operation]));
  const made = withFormedEnds(state, plan.splices, context);
  const features = featureOutcomes(made, prepared.view.seats, context, before);
  const { view, carriers, wanted } = prepared;
  const looking = { frame, view, donor: prepared.state, carriers, wanted, stays: plan.stays, context, made };
  const standing = standingOf(state, features, looking, before);
  const { joints, cutEnds } = lettered(
    jointsOf(state, (id) => operations.get(id), standing.members, context),
    cutEndsOf(state),
    plan.letters,
  );
  const obstacles = lazy(() => obstaclesOn(standing, context));
  const seats = seatOutcomes(
    input.bodies.map((body) => changedBody(body).body),
    plan.seats,
    { ...standing, obstacles, pieces: state.pieces },
    context,
  );
  const mountings = lazy(() => mountingOutcomes(seats, plan.mountings, state, frame.material, context));
  const splices = lazy(() =>
    spliceOutcomes(
      joints,
      state.pieces,
      standing.members,
      plan.splices,
      frame.material,
      (id) => {
        const operation = operations.get(id);
        return operation ? pivotOf(operation) : null;
      },
      context,
    ),
  );
  return {
    ...geometry,
    ...standing,
    before,
    joints,
    cutEnds,
    obstacles,
    seats,
    get mountings() {
      return mountings();
    },
    get splices() {
      return splices();
    },
  };
}
