import type { Crossmember, Frame } from '../frame/index.ts';
import type { Rulebook } from '../rules/index.ts';
import type { LengthFormat } from '../units/index.ts';
import type { Context } from './context.ts';
import { type FindPoint, pointFinder } from './control.ts';
import { crossmemberOutcome } from './crossmember-outcome.ts';
import type { StateBefore } from './fate.ts';
import { donorOutcome, type DonorSeats, donorSeatsOf, type FeatureOutcome } from './feature-outcome.ts';
import { type Measures, measuresOf, type Standing } from './measures.ts';
import { applyOperation } from './operations/index.ts';
import type { Piece } from './piece.ts';
import type { PlanInput, PlanStep } from './plan-result.ts';
import { carriersOf, riderOutcome, usualCarrier, withAxles } from './rider-outcome.ts';
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

export function standingOf(
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
export function donorMeasures(before: Prepared, frame: Frame, rules: Rulebook, context: Context): Measures {
  if (before.measured?.rules !== rules)
    before.measured = { rules, measures: measuresOf(before.standing, context, frame.material.density) };
  return before.measured.measures;
}

/** Carries out the operations in order, from the first that differs from the plan evaluated last on this frame. */
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
