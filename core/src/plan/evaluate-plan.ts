import type { Body } from '../body/index.ts';
import {
  type Axle,
  type Crossmember,
  datumStation,
  type Frame,
  type FramePoint,
  sectionLookup,
} from '../frame/index.ts';
import type { Rulebook } from '../rules/index.ts';
import { lengthText, type LengthFormat } from '../units/index.ts';
import { type Laden, ladenOf, seatOf } from './axle-loads.ts';
import { advise, type Conflict, conflictOf, type Finding, SEVERITIES, type WayOut } from './conflict.ts';
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
import { carriersOf, type RiderOutcome, riderOutcome, usualCarrier, withAxles } from './rider-outcome.ts';
import type { Piece, RemovedPiece } from './piece.ts';
import { donorState, type PlanState, type Refusal, type Rework } from './state.ts';
import { builtOf, type Tape, tapeOf } from './tape.ts';
import type { StateBefore } from './fate.ts';

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
  /** The frame after each operation in order, also after one that was refused or is off: then as it was before. */
  readonly steps: readonly PlanStep[];
  /** The frame before the first of them. */
  readonly donorState: PlanState;
  /** Station of the datum hole; on the built frame where its steel went, if that was taken out. */
  readonly datum: { readonly donor: number; readonly built: number };
  /** Where the body's front wheel opening stands: in the middle of the front axles; null without any. */
  readonly seat: { readonly before: number | null; readonly after: number | null };
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
export interface PlanStep {
  readonly state: PlanState;
  readonly outcome: Omit<OperationOutcome, 'letters'>;
}

/** The frame after each operation of the plan that was evaluated last: what a drag of one operation starts from. */
interface Trail {
  readonly rules: Rulebook;
  readonly display: LengthFormat;
  readonly steps: readonly PlanStep[];
}

interface Prepared {
  readonly state: PlanState;
  readonly view: DonorView;
  readonly standing: Standing;
  /** The donor's measures, by the rules they were taken under. */
  measured: { readonly rules: Rulebook; readonly measures: Measures } | null;
  /** Control points on the donor: the same for every plan. */
  readonly onDonor: FindPoint;
  /** Ids of what carries points that name no carrier. */
  readonly carriers: ReadonlyMap<string, string | null>;
  trail: Trail | null;
}

const preparedFrames = new WeakMap<Frame, Prepared>();

/** What carries each axle and point, by its id: what the donor says, or what usually carries a point of its kind. */
const carriersIn = (frame: Frame): ReadonlyMap<string, string | null> =>
  new Map([
    ...frame.axles.map(({ id, carrier }) => [id, carrier ?? null] as const),
    ...frame.points.map((point) => [point.id, point.carrier ?? usualCarrier(point, frame)] as const),
  ]);

function standingOf(
  state: PlanState,
  frame: Frame,
  view: DonorView,
  features: readonly FeatureOutcome[],
  carriers: ReadonlyMap<string, string | null>,
  before: StateBefore,
): Standing {
  const crossmembers = state.crossmembers.map((hung) =>
    crossmemberOutcome(state, hung, { piece: view.piece, crossmember: view.crossmembers.get(hung.item.id) }, before),
  );
  const carrier = (id: string) => carriers.get(id) ?? null;
  const carrying = carriersOf(features, crossmembers, new Set([...carriers.values()].filter((id) => id !== null)));
  const axles = frame.axles.map((axle) => riderOutcome(state, axle, carrier(axle.id), carrying));
  const all = withAxles(carrying, axles);
  return {
    state,
    features,
    crossmembers,
    axles,
    points: frame.points.map((point) => riderOutcome(state, point, carrier(point.id), all)),
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
  const carriers = carriersIn(frame);
  const standing = standingOf(state, frame, view, features, carriers, () => undefined);
  const prepared: Prepared = {
    state,
    carriers,
    view,
    onDonor: pointFinder(state),
    standing,
    measured: null,
    trail: null,
  };
  preparedFrames.set(frame, prepared);
  return prepared;
}

/** The measures of the donor as it stands. */
function donorMeasures(before: Prepared, frame: Frame, rules: Rulebook, context: Context): Measures {
  if (before.measured?.rules !== rules)
    before.measured = { rules, measures: measuresOf(before.standing, context, frame.material.density) };
  return before.measured.measures;
}

/** Carries out the operations in order, from the first that differs from the plan evaluated last on this frame. */
function carryOutAll(before: Prepared, { plan, rules, display }: PlanInput, context: Context): readonly PlanStep[] {
  const { trail } = before;
  const known = trail && trail.rules === rules && trail.display === display ? trail.steps : [];
  const steps: PlanStep[] = [];
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

/** What operations and reports of a plan need to know besides the frame in work. */
export const contextOf = ({ donor, rules, display }: Omit<PlanInput, 'plan' | 'body'>): Context => ({
  section: sectionLookup(donor),
  hasSection: (id) => donor.sections.some((named) => named.id === id),
  rules,
  display,
  show: (mm) => lengthText(mm, display, true),
});

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
