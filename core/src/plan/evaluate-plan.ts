import { lazy } from '../lazy.ts';
import { addedSteel } from './added-steel.ts';
import { ladenOf } from './axle-loads.ts';
import { advise, type Conflict, conflictOf, type Finding, SEVERITIES, type SuggestedFix } from './conflict.ts';
import { controlPredictions, pointFinder } from './control.ts';
import { driveLineOf } from './drive-line.ts';
import { placeOfOperation } from './edit-plan.ts';
import { findConflicts } from './find-conflicts.ts';
import { evaluateGeometry } from './geometry.ts';
import { measuresOf } from './measures.ts';
import { type Operation, placesOf, withPlaces } from './operations/index.ts';
import { evaluateOutcomes, type Outcomes } from './outcomes.ts';
import type { PlanInput, PlanResult } from './plan-result.ts';
import { donorMeasures } from './prepare.ts';
import type { Refusal } from './state.ts';
import { builtOf, type Tape } from './tape.ts';

/**
 * What a plan makes of its donor: geometry, outcomes and judgment in turn. Pure, total and deterministic for a
 * validated frame: whatever the operations say, there is a result, with everything that cannot be done listed under
 * `conflicts` and `operations`.
 *
 * @param input Donor, body, plan and rules; validated.
 */
export const evaluatePlan = (input: PlanInput): PlanResult => judge(evaluateOutcomes(evaluateGeometry(input)));

/**
 * Everything that a builder must know of a plan, worst first: the part of the judgment that a search over many plans
 * asks for.
 *
 * @param outcomes The second stage of the evaluation.
 * @param laden With the bodies on; null without any.
 * @param driveLine The drive line before and after.
 */
export function conflictsOf(
  outcomes: Outcomes,
  laden: PlanResult['laden']['after'],
  driveLine: PlanResult['driveLine'],
): readonly Conflict[] {
  const { donor: frame, plan } = outcomes.input;
  return [...refusals(outcomes), ...findConflicts({ ...outcomes, frame, plan, driveLine, laden }, outcomes.context)]
    .map((finding): Conflict => conflictOf(finding, plan.accepted))
    .sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
}

/**
 * The drive line on the donor and as built.
 *
 * @param points Where its points are.
 */
export const driveLinesOf = (points: Outcomes['points']): PlanResult['driveLine'] => ({
  before: driveLineOf(points, 'donor'),
  after: driveLineOf(points, 'built'),
});

/**
 * The third stage of an evaluation: the figures that people ask for, and everything they must know. Each is worked out when it
 * is first asked for, so that a picture that is drawn for every move of a hand costs no more than it shows.
 *
 * @param outcomes The second stage of the evaluation.
 */
export function judge(outcomes: Outcomes): PlanResult {
  const { input, context, prepared, steps, state, tape, joints, cutEnds, axles, points, seats } = outcomes;
  const { donor: frame, rules } = input;
  const measures = lazy(() => ({
    before: donorMeasures(prepared, rules, context),
    after: measuresOf(outcomes, context, () => addedSteel(outcomes, context)),
  }));
  const laden = lazy(() => ({
    before: ladenOf(
      measures().before,
      seats.map(({ body, onDonor }) => ({ body, pose: onDonor })),
      axles,
      'donor',
    ),
    after: ladenOf(measures().after, seats, axles, 'built'),
  }));
  const driveLine = lazy(() => driveLinesOf(points));
  const ramps = lazy(() => rampsWith(seats, measures().after));
  const controls = lazy(() =>
    controlPredictions(frame, prepared.onDonor, pointFinder(state), input.plan.welding?.preset),
  );
  const conflicts = lazy(() => conflictsOf(outcomes, laden().after, driveLine()));
  const lettersOf = (operation: string) =>
    [...joints, ...cutEnds]
      .filter((mark) => mark.operation === operation)
      .map((mark) => mark.letter)
      .sort();
  return {
    pieces: state.pieces,
    removed: state.removed,
    reworks: state.reworks,
    joints,
    cutEnds,
    get splices() {
      return outcomes.splices;
    },
    operations: steps.map(({ outcome }) => ({ ...outcome, letters: lettersOf(outcome.operation.id) })),
    features: outcomes.features,
    crossmembers: outcomes.crossmembers,
    members: outcomes.members,
    braces: outcomes.braces,
    units: outcomes.units,
    axles,
    points,
    tape,
    steps,
    donorState: prepared.state,
    datum: outcomes.datum,
    seats,
    get obstacles() {
      return outcomes.obstacles();
    },
    get mountings() {
      return outcomes.mountings;
    },
    get measures() {
      return measures();
    },
    get ramps() {
      return ramps();
    },
    get laden() {
      return laden();
    },
    get driveLine() {
      return driveLine();
    },
    get controls() {
      return controls();
    },
    get conflicts() {
      return conflicts();
    },
  };
}

/** Approach and departure of the frame and of every body on it: the least of each. */
function rampsWith(seats: Outcomes['seats'], after: PlanResult['measures']['after']): PlanResult['ramps'] {
  const least = (end: 'approach' | 'departure') => {
    const angles = [after[end], ...seats.map(({ ramps }) => ramps[end])].filter((angle) => angle !== null);
    return angles.length > 0 ? Math.min(...angles) : null;
  };
  return { approach: least('approach'), departure: least('departure') };
}

/** Operations that could not be carried out as given. */
const refusals = ({ steps, tape }: Outcomes): Finding[] =>
  steps.flatMap(({ outcome: { operation, refusal } }): Finding[] =>
    refusal
      ? [
          {
            code: refusal.code,
            severity: 'stop',
            operation: operation.id,
            ...placeOf(operation, tape),
            about: null,
            message: refusal.message,
            fixes: waysOfRefusal(operation, refusal),
          },
        ]
      : [],
  );

/** Suggested fixes of a refusal: what the refusal says, and what the program can do about it. */
function waysOfRefusal(operation: Operation, { code, fixes }: Refusal): SuggestedFix[] {
  const [from, to] = placesOf(operation);
  const swap: SuggestedFix[] =
    code === 'operation/order' && from && to
      ? [
          {
            say: 'Swap the two places',
            edit: { do: 'replace', operation: withPlaces(operation, (at) => (at === from ? to : from) as typeof at) },
          },
        ]
      : [];
  return [
    ...swap,
    ...advise(...fixes.filter((way) => !swap.some(({ say }) => `${say}.` === way))),
    { say: 'Take this operation off the list', edit: { do: 'drop', operation: operation.id } },
  ];
}

/** The place an operation is known by, as donor and built station where it has them. */
function placeOf(operation: Operation, tape: Tape): { readonly donorX: number | null; readonly builtX: number | null } {
  const place = placeOfOperation(operation);
  if (!place || place.on === 'end') return { donorX: null, builtX: null };
  return place.on === 'donor' ? { donorX: place.x, builtX: builtOf(tape, place.x) } : { donorX: null, builtX: place.x };
}
