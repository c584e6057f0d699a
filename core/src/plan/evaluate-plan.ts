import type { Body } from '../body/index.ts';
import { type Axle, type Crossmember, type Frame, type FramePoint, sectionLookup } from '../frame/index.ts';
import type { Rulebook } from '../rules/index.ts';
import { lengthText, type LengthFormat } from '../units/index.ts';
import { type Laden, ladenOf } from './axle-loads.ts';
import { type Conflict, SEVERITIES } from './conflict.ts';
import type { Context } from './context.ts';
import { type ControlPrediction, controlPredictions, type FindPoint, pointFinder } from './control.ts';
import { type CutEnd, cutEndsOf, lettered } from './cut-ends.ts';
import { type DriveLine, driveLineOf } from './drive-line.ts';
import { findConflicts } from './find-conflicts.ts';
import { type Joint, jointsOf } from './joint.ts';
import { type Measures, measuresOf, type Standing } from './measures.ts';
import type { Operation, Plan } from './operation.ts';
import { applyOperation } from './operations/index.ts';
import { type CrossmemberOutcome, crossmemberOutcome } from './crossmember-outcome.ts';
import {
  donorOutcome,
  type DonorSeats,
  donorSeatsOf,
  type FeatureOutcome,
  featureOutcomes,
} from './feature-outcome.ts';
import { type RiderOutcome, riderOutcome } from './rider-outcome.ts';
import type { Piece, RemovedPiece } from './piece.ts';
import { donorState, type PlanState, type Refusal, type Rework } from './state.ts';
import { builtOf, type Tape, tapeOf } from './tape.ts';

/** What a plan is evaluated from; a `Job` is one. */
export interface PlanInput {
  readonly donor: Frame;
  readonly body: Body | null;
  readonly plan: Plan;
  readonly rules: Rulebook;
  readonly display: LengthFormat;
}

/** How one operation went. */
export interface OperationOutcome {
  readonly operation: Operation;
  readonly status: 'done' | 'off' | 'refused';
  readonly refusal: Refusal | null;
  /** Letters of the joints and free ends it made, front to rear. */
  readonly letters: readonly string[];
}

/** Everything a plan gives; lengths in mm, angles in radians, stations on the built frame unless named donor. */
export interface PlanResult {
  readonly pieces: readonly Piece[];
  readonly removed: readonly RemovedPiece[];
  readonly reworks: readonly Rework[];
  readonly joints: readonly Joint[];
  readonly cutEnds: readonly CutEnd[];
  readonly operations: readonly OperationOutcome[];
  readonly features: readonly FeatureOutcome[];
  readonly crossmembers: readonly CrossmemberOutcome[];
  readonly axles: readonly RiderOutcome<Axle>[];
  readonly points: readonly RiderOutcome<FramePoint>[];
  readonly tape: Tape;
  readonly measures: { readonly before: Measures; readonly after: Measures };
  /** With the body on, its front wheel opening on the front axle; null while its masses are not known. */
  readonly laden: { readonly before: Laden | null; readonly after: Laden | null };
  /** Null without a gearbox flange and a pinion, or where the plan takes one of them out. */
  readonly driveLine: { readonly before: DriveLine | null; readonly after: DriveLine | null };
  readonly controls: readonly ControlPrediction[];
  /** Worst first. */
  readonly conflicts: readonly Conflict[];
}

/** What hung things were on the donor, and where. */
interface DonorView {
  readonly piece: Piece;
  readonly seats: DonorSeats;
  readonly crossmembers: ReadonlyMap<string, Crossmember>;
}

/** The frame after one operation of a plan. */
interface TrailStep {
  readonly state: PlanState;
  readonly outcome: Omit<OperationOutcome, 'letters'>;
}

/** The frame after each operation of the plan that was evaluated last: what a drag of one operation starts from. */
interface Trail {
  readonly rules: Rulebook;
  readonly display: LengthFormat;
  readonly steps: readonly TrailStep[];
}

interface Prepared {
  readonly state: PlanState;
  readonly view: DonorView;
  readonly measures: Measures;
  /** Control points on the donor: the same for every plan. */
  readonly onDonor: FindPoint;
  trail: Trail | null;
}

const preparedFrames = new WeakMap<Frame, Prepared>();

function standingOf(state: PlanState, frame: Frame, view: DonorView, features: readonly FeatureOutcome[]): Standing {
  return {
    state,
    features,
    crossmembers: state.crossmembers.map((hung) =>
      crossmemberOutcome(state, hung, { piece: view.piece, crossmember: view.crossmembers.get(hung.item.id) }),
    ),
    axles: frame.axles.map((axle) => riderOutcome(state, axle)),
    points: frame.points.map((point) => riderOutcome(state, point)),
  };
}

/** The donor half of every result: the same for all plans on a frame, so it is kept by the frame's identity. */
function prepare(frame: Frame, context: Context): Prepared {
  const known = preparedFrames.get(frame);
  if (known) return known;
  const state = donorState(frame);
  const piece = state.pieces[0] as Piece;
  const view: DonorView = {
    piece,
    seats: donorSeatsOf(piece, frame.features, context),
    crossmembers: new Map(frame.crossmembers.map((member) => [member.id, member])),
  };
  const features = frame.features.map((feature) => donorOutcome(feature, view.seats));
  const standing = standingOf(state, frame, view, features);
  const prepared: Prepared = {
    state,
    view,
    onDonor: pointFinder(state),
    trail: null,
    measures: measuresOf(standing, context, frame.material.density),
  };
  preparedFrames.set(frame, prepared);
  return prepared;
}

/** Carries out the operations in order, from the first that differs from the plan evaluated last on this frame. */
function carryOutAll(before: Prepared, { plan, rules, display }: PlanInput, context: Context): readonly TrailStep[] {
  const { trail } = before;
  const known = trail && trail.rules === rules && trail.display === display ? trail.steps : [];
  const steps: TrailStep[] = [];
  for (const [index, operation] of plan.operations.entries()) {
    const same = known[index];
    if (same?.outcome.operation === operation && steps[index - 1] === known[index - 1]) {
      steps.push(same);
      continue;
    }
    const state = steps[index - 1]?.state ?? before.state;
    if (operation.off) {
      steps.push({ state, outcome: { operation, status: 'off', refusal: null } });
      continue;
    }
    const applied = applyOperation(state, operation, context);
    const outcome = applied.done
      ? ({ operation, status: 'done', refusal: null } as const)
      : ({ operation, status: 'refused', refusal: applied.refusal } as const);
    steps.push({ state: applied.state, outcome });
  }
  before.trail = { rules, display, steps };
  return steps;
}

/**
 * What a plan makes of its donor. Pure, total and deterministic for a validated frame: whatever the operations say,
 * there is a result, with everything that cannot be done listed under `conflicts` and `operations`.
 */
export function evaluatePlan(input: PlanInput): PlanResult {
  const { donor: frame, body, plan, rules, display } = input;
  const context: Context = {
    section: sectionLookup(frame),
    hasSection: (id) => frame.sections.some((named) => named.id === id),
    rules,
    display,
    show: (mm) => lengthText(mm, display, true),
  };
  const before = prepare(frame, context);

  const steps = carryOutAll(before, input, context);
  const state = steps[steps.length - 1]?.state ?? before.state;
  const went = steps.map((step) => step.outcome);

  const operations = new Map(plan.operations.map((operation) => [operation.id, operation]));
  const features = featureOutcomes(state, before.view.seats, context);
  const standing = standingOf(state, frame, before.view, features);
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
  const refused = went.flatMap(({ operation, refusal }): Conflict[] =>
    refusal
      ? [
          {
            code: refusal.code,
            severity: 'stop',
            operation: operation.id,
            ...placeOf(operation, tape),
            about: null,
            message: refusal.message,
            waysOut: refusal.waysOut,
          },
        ]
      : [],
  );
  const measures = {
    before: before.measures,
    after: measuresOf(standing, context, frame.material.density),
  };
  const laden = {
    before: ladenOf(measures.before, body, standing.axles, 'donor'),
    after: ladenOf(measures.after, body, standing.axles, 'built'),
  };
  const driveLine = {
    before: driveLineOf(standing.points, 'donor'),
    after: driveLineOf(standing.points, 'built'),
  };
  const found = findConflicts({ frame, plan, tape, joints, driveLine, laden: laden.after, ...standing }, context);
  const conflicts = [...refused, ...found].sort(
    (a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity),
  );

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
    measures,
    laden,
    driveLine,
    controls: controlPredictions(frame, before.onDonor, pointFinder(state)),
    conflicts,
  };
}

/** The place an operation names first, as donor and built station where it has them. */
function placeOf(operation: Operation, tape: Tape): { readonly donorX: number | null; readonly builtX: number | null } {
  const place =
    'at' in operation
      ? operation.at
      : 'from' in operation && typeof operation.from === 'object'
        ? operation.from
        : null;
  if (!place) return { donorX: null, builtX: null };
  return place.on === 'donor' ? { donorX: place.x, builtX: builtOf(tape, place.x) } : { donorX: null, builtX: place.x };
}
