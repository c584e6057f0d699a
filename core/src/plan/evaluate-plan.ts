import { datumStation } from '../frame/index.ts';
import { ladenOf, seatOf } from './axle-loads.ts';
import { advise, type Conflict, conflictOf, type Finding, SEVERITIES, type WayOut } from './conflict.ts';
import { contextOf } from './context.ts';
import { controlPredictions, pointFinder } from './control.ts';
import { cutEndsOf, lettered } from './cut-ends.ts';
import { driveLineOf } from './drive-line.ts';
import type { StateBefore } from './fate.ts';
import { featureOutcomes } from './feature-outcome.ts';
import { findConflicts } from './find-conflicts.ts';
import { jointsOf } from './joint.ts';
import { measuresOf } from './measures.ts';
import type { Operation } from './operation.ts';
import type { PlanInput, PlanResult } from './plan-result.ts';
import { carryOutAll, donorMeasures, prepare, standingOf } from './prepare.ts';
import type { Refusal } from './state.ts';
import { builtOf, type Tape, tapeOf } from './tape.ts';

/**
 * What a plan makes of its donor. Pure, total and deterministic for a validated frame: whatever the operations say,
 * there is a result, with everything that cannot be done listed under `conflicts` and `operations`.
 */
export function evaluatePlan(input: PlanInput): PlanResult {
  const { donor: frame, body, plan } = input;
  const context = contextOf(input);
  const before = prepare(frame, context);

  const steps = carryOutAll(before, input, context);
  const state = steps[steps.length - 1]?.state ?? before.state;
  const went = steps.map((step) => step.outcome);

  const operations = new Map(plan.operations.map((operation) => [operation.id, operation]));
  const stateBefore: StateBefore = (id) => {
    const index = went.findIndex(({ operation }) => operation.id === id);
    return index < 0 ? undefined : (steps[index - 1]?.state ?? before.state);
  };
  const features = featureOutcomes(state, before.view.seats, context, stateBefore);
  const standing = standingOf(state, frame, before.view, features, before.carriers, stateBefore);
  const { joints, cutEnds } = lettered(
    jointsOf(state, (id) => operations.get(id), context),
    cutEndsOf(state),
  );
  const lettersOf = (operation: string) =>
    [...joints, ...cutEnds]
      .filter((mark) => mark.operation === operation)
      .map((mark) => mark.letter)
      .sort();
  const tape = tapeOf(state);
  const refused = went.flatMap(({ operation, refusal }): Finding[] =>
    refusal
      ? [
          {
            code: refusal.code,
            severity: 'stop',
            operation: operation.id,
            ...placeOf(operation, tape),
            about: null,
            message: refusal.message,
            waysOut: waysOfRefusal(operation, refusal),
          },
        ]
      : [],
  );
  const measures = {
    before: donorMeasures(before, frame, input.rules, context),
    after: measuresOf(standing, context, frame.material.density),
  };
  const datum = datumStation(frame);
  const fold = tape.folds.find(({ donorFrom, donorTo }) => datum > donorFrom && datum < donorTo);
  const laden = {
    before: ladenOf(measures.before, body, standing.axles, 'donor'),
    after: ladenOf(measures.after, body, standing.axles, 'built'),
  };
  const driveLine = {
    before: driveLineOf(standing.points, 'donor'),
    after: driveLineOf(standing.points, 'built'),
  };
  const found = findConflicts(
    { frame, plan, tape, joints, cutEnds, driveLine, laden: laden.after, before: stateBefore, ...standing },
    context,
  );
  const conflicts = [...refused, ...found]
    .map((finding): Conflict => conflictOf(finding, plan.accepted))
    .sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));

  return {
    pieces: state.pieces,
    removed: state.removed,
    reworks: state.reworks,
    joints,
    cutEnds,
    operations: went.map((outcome) => ({
      ...outcome,
      letters: lettersOf(outcome.operation.id),
    })),
    features: standing.features,
    crossmembers: standing.crossmembers,
    axles: standing.axles,
    points: standing.points,
    tape,
    steps,
    donorState: before.state,
    datum: { donor: datum, built: builtOf(tape, datum) ?? fold?.builtX ?? datum },
    seat: { before: seatOf(standing.axles, 'donor'), after: seatOf(standing.axles, 'built') },
    measures,
    laden,
    driveLine,
    controls: controlPredictions(frame, before.onDonor, pointFinder(state)),
    conflicts,
  };
}

/** Ways out of a refusal: what the refusal says, and what the program can do about it. */
function waysOfRefusal(operation: Operation, { code, waysOut }: Refusal): WayOut[] {
  const swaps = code === 'operation/order' && 'from' in operation && 'to' in operation;
  const { from, to } = swaps ? operation : { from: null, to: null };
  const swap: WayOut[] =
    from !== null && to !== null && typeof from === 'object' && typeof to === 'object'
      ? [
          {
            say: 'Swap the two places',
            edit: { do: 'replace', operation: { ...operation, from: to, to: from } as Operation },
          },
        ]
      : [];
  return [
    ...swap,
    ...advise(...waysOut.filter((way) => !swap.some(({ say }) => `${say}.` === way))),
    { say: 'Take this operation off the list', edit: { do: 'drop', operation: operation.id } },
  ];
}

/** The place an operation names first, as donor and built station where it has them. */
function placeOf(operation: Operation, tape: Tape): { readonly donorX: number | null; readonly builtX: number | null } {
  const place =
    'at' in operation
      ? operation.at
      : 'from' in operation && typeof operation.from === 'object'
        ? operation.from
        : null;
  if (!place || place.on === 'end') return { donorX: null, builtX: null };
  return place.on === 'donor' ? { donorX: place.x, builtX: builtOf(tape, place.x) } : { donorX: null, builtX: place.x };
}
