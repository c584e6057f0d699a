import { datumStation, extentOf, type Frame } from '../../frame/index.ts';
import { once } from '../../once.ts';
import type { Prop, Propping } from '../../props/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { contextOf, type Context } from '../context.ts';
import { evaluateGeometry } from '../geometry.ts';
import { evaluateOutcomes, type Outcomes } from '../outcomes.ts';
import type { PlanInput } from '../plan-result.ts';
import { type PropFinding, propFindings } from './findings.ts';
import { standsUnder } from './stand-places.ts';
import { type PropStep, propSteps } from './steps.ts';

export { edgeText, loadText, type PropFinding, springText } from './findings.ts';
export { type Bearing, type HeldPart, type LadenPiece, type StandUnder } from './held.ts';
export { type CutAdvice, neutralOf, type PropCut } from './cuts.ts';
export { type PropStep, type Spanning } from './steps.ts';

/** How the frame of a plan is held at each operation that cuts through its rails. */
export interface PropResult {
  readonly steps: readonly PropStep[];
  /** Of all steps in order, worst first in each: worked out when it is first asked for. */
  readonly findings: readonly PropFinding[];
}

/** Plans last evaluated for what holds them, by their operations. */
const evaluated = new WeakMap<
  PlanInput['plan']['operations'],
  { readonly of: PlanInput; readonly outcomes: Outcomes }
>();

/** The same things under the same names, but for some of them. */
const sameBut = (a: object, b: object, ...but: readonly string[]): boolean => {
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return Object.keys({ ...a, ...b }).every((key) => but.includes(key) || Object.is(left[key], right[key]));
};

/** The frame at every operation: nothing of it rests on what holds it, and it is not evaluated again while a stand is moved. */
function outcomesOf(input: PlanInput): Outcomes {
  const last = evaluated.get(input.plan.operations);
  if (last && sameBut(last.of, input, 'plan') && sameBut(last.of.plan, input.plan, 'propping')) return last.outcomes;
  const outcomes = evaluateOutcomes(evaluateGeometry(input));
  evaluated.set(input.plan.operations, { of: input, outcomes });
  return outcomes;
}

/**
 * How the frame stands on its props at every cut of a plan. Pure and total for a validated frame. It is no part of
 * `evaluatePlan`: nothing of the plan rests on it, and it is asked for where it is looked at.
 *
 * @param input Donor, plan and rules; validated.
 */
export function evaluateProps(input: PlanInput): PropResult {
  const context = contextOf(input);
  const steps = propSteps(outcomesOf(input), input.plan.propping);
  const datum = datumStation(input.donor);
  const findings = once(() => steps.flatMap((step, at) => propFindings(step, steps[at + 1], datum, context)));
  return {
    steps,
    get findings() {
      return findings();
    },
  };
}

/** Stretches of the donor below which something is in the way of a stand, mm. */
function keptClear({ features, crossmembers, rails, sections }: Frame, context: Context) {
  const clear = ruleValue(context.rules, 'props/clear');
  const stations = rails.kind === 'mirrored' ? rails.stations : rails.left;
  const deepest = Math.max(
    ...stations.map(({ section }) => sections.find(({ id }) => id === section)?.section.depth ?? 0),
  );
  return [
    ...features
      .filter(({ face }) => face === 'bottom')
      .map((feature) => ({ from: extentOf(feature).from - clear, to: extentOf(feature).to + clear })),
    ...crossmembers
      .filter(({ below, depth }) => below + depth > deepest)
      .map(({ x, length }) => ({ from: x - length / 2 - clear, to: x + length / 2 + clear })),
  ];
}

/**
 * Stands for one cut, so that each side of it stands by itself and, on the loads that `neutralOf` names, nothing is in
 * the steel there: two pairs under each part that stays, none under what is cut out.
 *
 * @param input Donor, plan and rules; validated.
 * @param operation Id of the operation.
 * @param newId Gives each stand its id.
 * @returns The propping with them instead of what held the frame up for that operation; null where a part has no room for
 *   two pairs, or the operation cuts nothing.
 */
export function withNeutralStands(input: PlanInput, operation: string, newId: () => string): Propping | null {
  const { propping } = input.plan;
  const others = propping.props.filter(({ step, kind }) => step !== operation || !HOLDS_UP.includes(kind));
  const bare = { ...input, plan: { ...input.plan, propping: { ...propping, props: others } } };
  const step = evaluateProps(bare).steps.find((each) => each.operation.id === operation);
  if (!step) return null;
  const context = contextOf(input);
  const keep = keptClear(input.donor, context);
  const parts = step.loose.filter(({ removed }) => !removed);
  const spots = parts.map(({ pieces }) => standsUnder(step.pieces, pieces, keep, context));
  if (spots.some((pair) => pair === null)) return null;
  const made = spots.flatMap((pair) =>
    (pair ?? []).map((x): Prop => ({
      id: newId(),
      kind: 'stand',
      side: 'both',
      x,
      to: x,
      rise: 0,
      shim: 0,
      floor: 0,
      step: operation,
      note: '',
    })),
  );
  return { ...propping, props: [...others, ...made] };
}

/** What stands in one press take the place of; axles on their wheels and slings stay. */
const HOLDS_UP: readonly string[] = ['stand', 'crib', 'jack', 'leg'];
