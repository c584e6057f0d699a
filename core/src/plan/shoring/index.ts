import { datumStation, extentOf, type Frame } from '../../frame/index.ts';
import { lazy } from '../../lazy.ts';
import type { Shore, Shoring } from '../../shoring/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { contextOf, type Context } from '../context.ts';
import { evaluateGeometry } from '../geometry.ts';
import { evaluateOutcomes, type Outcomes } from '../outcomes.ts';
import type { PlanInput } from '../plan-result.ts';
import { type ShoringFinding, shoringFindings } from './findings.ts';
import { standsUnder } from './stand-places.ts';
import { type ShoringStep, shoringSteps } from './steps.ts';

export { edgeText, loadText, type ShoringFinding, springText } from './findings.ts';
export { type HeldPart, type StandUnder } from './held.ts';
export { neutralOf, type ShoringCut } from './cuts.ts';
export { type ShoringStep } from './steps.ts';

/** How the frame of a plan is held at each operation that cuts through its rails. */
export interface ShoringResult {
  readonly steps: readonly ShoringStep[];
  /** Of all steps in order, worst first in each: worked out when it is first asked for. */
  readonly findings: readonly ShoringFinding[];
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
  if (last && sameBut(last.of, input, 'plan') && sameBut(last.of.plan, input.plan, 'shoring')) return last.outcomes;
  const outcomes = evaluateOutcomes(evaluateGeometry(input));
  evaluated.set(input.plan.operations, { of: input, outcomes });
  return outcomes;
}

/**
 * How the frame stands on its shores at every cut of a plan. Pure and total for a validated frame. It is no part of
 * `evaluatePlan`: nothing of the plan rests on it, and it is asked for where it is looked at.
 *
 * @param input Donor, plan and rules; validated.
 */
export function evaluateShoring(input: PlanInput): ShoringResult {
  const context = contextOf(input);
  const steps = shoringSteps(outcomesOf(input), input.plan.shoring);
  const datum = datumStation(input.donor);
  const findings = lazy(() => steps.flatMap((step, at) => shoringFindings(step, steps[at + 1], datum, context)));
  return {
    steps,
    get findings() {
      return findings();
    },
  };
}

/** Stretches of the donor below which something is in the way of a stand, mm. */
function keptClear({ features, crossmembers, rails, sections }: Frame, context: Context) {
  const clear = ruleValue(context.rules, 'stands/clear');
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
 * @returns The shoring with them instead of what held the frame up for that operation; null where a part has no room for
 *   two pairs, or the operation cuts nothing.
 */
export function withNeutralStands(input: PlanInput, operation: string, newId: () => string): Shoring | null {
  const { shoring } = input.plan;
  const others = shoring.shores.filter(({ step, kind }) => step !== operation || !HOLDS_UP.includes(kind));
  const bare = { ...input, plan: { ...input.plan, shoring: { ...shoring, shores: others } } };
  const step = evaluateShoring(bare).steps.find((each) => each.operation.id === operation);
  if (!step) return null;
  const context = contextOf(input);
  const keep = keptClear(input.donor, context);
  const parts = step.loose.filter(({ removed }) => !removed);
  const spots = parts.map(({ pieces }) => standsUnder(step.pieces, pieces, keep, context));
  if (spots.some((pair) => pair === null)) return null;
  const made = spots.flatMap((pair) =>
    (pair ?? []).map((x): Shore => ({
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
  return { ...shoring, shores: [...others, ...made] };
}

/** What stands in one press take the place of; axles on their wheels and slings stay. */
const HOLDS_UP: readonly string[] = ['stand', 'crib', 'jack', 'leg'];
