import { type Axle, type Crossmember, type Frame, railAt, type Ref, refKey } from '../frame/index.ts';
import { lazy } from '../lazy.ts';
import type { Rulebook } from '../rules/index.ts';
import type { LengthFormat } from '../units/index.ts';
import type { Context } from './context.ts';
import { type FindPoint, pointFinder } from './control.ts';
import { crossmemberOutcome } from './crossmember-outcome.ts';
import type { StateBefore } from './attachment-status.ts';
import { donorOutcome, type DonorSeats, donorSeatsOf, type FeatureOutcome } from './feature-outcome.ts';
import { type Measures, measuresOf, type Standing } from './measures.ts';
import { applyOperation } from './operations/index.ts';
import type { Piece } from './piece.ts';
import type { PlanInput, PlanStep } from './plan-result.ts';
import { carriersIn, carriersOf, wantedIn } from './carriers.ts';
import { braceOutcome, memberOutcome } from './members/index.ts';
import type { Plan } from './operation.ts';
import { riderOutcome, type RiderOutcome } from './rider-outcome.ts';
import { axlesOn, unitOutcome } from './unit-outcome.ts';
import { roomSolids } from './match/solids.ts';
import { donorState, type PlanState } from './state.ts';

/** What hung things were on the donor, and where. */
interface DonorView {
  readonly piece: Piece;
  readonly seats: DonorSeats;
  readonly crossmembers: ReadonlyMap<string, Crossmember>;
}

/** The frame after each operation of the plan that was evaluated last: what a drag of one operation starts from. */
interface Trail {
  readonly rules: Rulebook;
  readonly display: LengthFormat;
  readonly steps: readonly PlanStep[];
}

/** What is remembered of a donor: all that does not hang on the plan, and how far the last plan came. */
export interface Prepared {
  readonly state: PlanState;
  readonly view: DonorView;
  readonly standing: Standing;
  /** The donor's measures, by the rules they were taken under. */
  measured: { readonly rules: Rulebook; readonly measures: Measures } | null;
  /** Control points on the donor: the same for every plan. */
  readonly onDonor: FindPoint;
  /** What carries each axle and point, by its id. */
  readonly carriers: ReadonlyMap<string, Ref | null>;
  /** Ids of everything that carries something. */
  readonly wanted: ReadonlySet<string>;
  trail: Trail | null;
}

const preparedFrames = new WeakMap<Frame, Prepared>();

/** What a frame in work is looked at with besides itself. */
interface Looking {
  readonly frame: Frame;
  readonly view: DonorView;
  readonly donor: PlanState;
  readonly carriers: ReadonlyMap<string, Ref | null>;
  readonly wanted: ReadonlySet<string>;
  readonly stays: Plan['stays'];
  readonly context: Context;
  /** The same frame with its ends as their joints are really cut. */
  readonly made: PlanState;
}

/**
 * Everything that hangs on the frame in work, where it is now: features first, then what rides on what.
 *
 * @param state The frame in work.
 * @param features What became of each feature.
 * @param before Gives the frame ahead of an operation.
 */
export function standingOf(
  state: PlanState,
  features: readonly FeatureOutcome[],
  { frame, view, donor, carriers, wanted, stays, context, made }: Looking,
  before: StateBefore,
): Standing {
  const crossmembers = state.crossmembers.map((hung) =>
    crossmemberOutcome(
      made,
      hung,
      { piece: view.piece, crossmember: view.crossmembers.get(hung.item.id) },
      before,
      context,
    ),
  );
  const carrier = (id: string) => carriers.get(id) ?? null;
  const carrying = carriersOf(features, crossmembers, wanted);
  const units = frame.units.map((unit) =>
    unitOutcome(
      unit,
      { stays },
      axlesOn(unit, (axle) => carrier(axle.id), frame, state),
      carrying,
    ),
  );
  for (const { unit, carrier: on, mounts } of units) {
    const [first] = mounts;
    if (on) carrying.set(`unit/${unit.id}`, on);
    else if (first)
      carrying.set(`unit/${unit.id}`, {
        name: unit.name,
        donor: first.donor,
        built: null,
        turn: 0,
        piece: null,
        operation: first.operation,
      });
  }
  const axles = frame.axles.map((axle) =>
    onItsRails(riderOutcome(state, axle, carrier(axle.id), carrying), donor, state),
  );
  for (const { item, ...axle } of axles)
    carrying.set(refKey({ kind: 'axle', id: item.id }), { ...axle, name: item.name });
  return {
    state,
    features,
    crossmembers,
    units,
    members: state.members.map((hung) => memberOutcome(state, hung, context)),
    braces: state.braces.map((hung) => braceOutcome(state, donor, frame, hung, context)),
    rooms: lazy(() => roomSolids(frame.rooms, state)),
    axles,
    points: frame.points.map((point) => riderOutcome(state, point, carrier(point.id), carrying)),
  };
}

/** Outside width of a piece at local x, mm. */
const widthAt = ({ rails, spread }: Piece, x: number): number =>
  railAt(rails.left, x).halfWidth + railAt(rails.right, x).halfWidth + 2 * spread;

/** An axle as it stands: wheels that hang on the rails by themselves go apart with them. */
function onItsRails(outcome: RiderOutcome<Axle>, donor: PlanState, state: PlanState): RiderOutcome<Axle> {
  const { item, piece: index } = outcome;
  const [was, piece] = [donor.pieces[0], index === null ? undefined : state.pieces[index]];
  if (item.suspension !== 'independent' || !was || !piece) return outcome;
  const wider = widthAt(piece, item.x) - widthAt(was, item.x);
  return wider === 0 ? outcome : { ...outcome, item: { ...item, track: item.track + wider } };
}

/**
 * The donor half of every result: the same for all plans on a frame, so it is kept by the frame's identity.
 *
 * @param frame The donor; validated.
 * @param context Sections, rules and how lengths are written.
 */
export function prepare(frame: Frame, context: Context): Prepared {
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
  const wanted = wantedIn(frame, carriers);
  const looking = { frame, view, donor: state, carriers, wanted, stays: [], context, made: state };
  const standing = standingOf(state, features, looking, () => undefined);
  const prepared: Prepared = {
    state,
    carriers,
    wanted,
    view,
    onDonor: pointFinder(state),
    standing,
    measured: null,
    trail: null,
  };
  preparedFrames.set(frame, prepared);
  return prepared;
}

/**
 * The measures of the donor as it stands.
 *
 * @param before What is remembered of the donor.
 * @param rules The shop’s rules.
 * @param context Sections, rules and how lengths are written.
 */
export function donorMeasures(before: Prepared, rules: Rulebook, context: Context): Measures {
  if (before.measured?.rules !== rules) before.measured = { rules, measures: measuresOf(before.standing, context) };
  return before.measured.measures;
}

/**
 * Carries out the operations in order, from the first that differs from the plan evaluated last on this frame.
 *
 * @param before What is remembered of the donor.
 * @param context Sections, rules and how lengths are written.
 */
export function carryOutAll(
  before: Prepared,
  { plan, rules, display }: PlanInput,
  context: Context,
): readonly PlanStep[] {
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
      steps.push({ state, before: state, outcome: { operation, status: 'off', refusal: null } });
      continue;
    }
    const applied = applyOperation(state, operation, context);
    const outcome = applied.done
      ? ({ operation, status: 'done', refusal: null } as const)
      : ({ operation, status: 'refused', refusal: applied.refusal } as const);
    steps.push({ state: applied.state, before: state, outcome });
  }
  before.trail = { rules, display, steps };
  return steps;
}
