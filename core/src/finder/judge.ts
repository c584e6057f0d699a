import {
  type Conflict,
  conflictsOf,
  driveLinesOf,
  evaluateGeometry,
  evaluateOutcomes,
  type Joint,
  judge,
  type Operation,
  type Outcomes,
  type PlanInput,
  worstVerdict,
} from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import { SIDES } from '../frame/index.ts';
import { lengthText } from '../units/index.ts';
import { GOAL_NAMES, type Base, figureOf, type FinderGoal, inputWith } from './goal.ts';
import { type Ground, groundOf, partsAt } from './ground.ts';
import { outOfPlace } from './out-of-place.ts';
import { apart, type EndsApart, endsParts } from './ends.ts';
import { gapsOf, jointsOfOption } from './option-cuts.ts';
import { type Cost, type Known, knownOf, laneOf, type Reason, ruleOf } from './reason.ts';

/** An option, judged. */
export interface JudgedOption {
  /** Why it cannot be done so; none where it can. */
  readonly refusals: readonly Reason[];
  readonly costs: readonly Cost[];
  readonly ends: readonly EndsApart[];
  /** Hours of work. */
  readonly hours: number;
  /** What is weighed as hours besides. */
  readonly weighed: number;
  /** Both together: what options are ranked by. */
  readonly score: number;
}

/** What options are judged with. */
export interface JudgeContext {
  /** Null where a plan is only weighed, whatever it is for. */
  readonly goal: FinderGoal | null;
  readonly base: Base;
  readonly ground: Ground;
  readonly known: Known;
  /** Keys of what the plan has against it without any of the options: not theirs. */
  readonly own: ReadonlySet<string>;
}

/**
 * What options are judged with.
 *
 * @param goal The goal.
 * @param base The plan that every option is added to.
 * @param ground The frame.
 */
export function judgeContextOf(goal: FinderGoal | null, base: Base, ground: Ground): JudgeContext {
  const { conflicts } = judge(evaluateOutcomes(evaluateGeometry(base.input)));
  return { goal, base, ground, known: knownOf(base.input.donor), own: new Set(conflicts.map(({ key }) => key)) };
}

/** Joints that the option itself makes. */
const made = (joints: readonly Joint[], operations: readonly Operation[]) =>
  joints.filter((joint) => operations.some(({ id }) => id === joint.operation));

/** What is only cut off, and nothing welded. */
const trims = (operations: readonly Operation[]): number => operations.filter(({ kind }) => kind === 'trim').length;

/**
 * The same thing said of several cuts of an option is one cost.
 *
 * @param costs What its cuts cost.
 */
export function onceEach<T extends { readonly code: string; readonly about: string | null }>(costs: readonly T[]): T[] {
  const seen = new Set<string>();
  return costs.filter(({ code, about }) => {
    if (about === null) return true;
    const key = `${code}/${about}`;
    return seen.has(key) ? false : Boolean(seen.add(key));
  });
}

/** What a plan says against an option, from its judgment: what stops it, and what costs something, rails' ends left out. */
export interface Probe {
  readonly refusals: readonly Reason[];
  readonly costs: readonly Cost[];
  /** The same for two places where the same is said, whatever the figures. */
  readonly kind: string;
}

/**
 * What the evaluation of a plan with an option in it says against the option.
 *
 * @param outcomes The plan, evaluated as far as its outcomes.
 * @param judgeContext What options are judged with.
 */
export function probeOf(outcomes: Outcomes, { goal, base, known, own }: JudgeContext): Probe {
  const elsewhere = goal ? missesMeasure(outcomes, goal, base) : null;
  if (elsewhere) return { refusals: [elsewhere], costs: [], kind: 'elsewhere' };
  const conflicts = conflictsOf(outcomes, null, driveLinesOf(outcomes.points)).filter(({ key }) => !own.has(key));
  const { rules } = base.input;
  const told = ruleValue(rules, 'finder/split-suspension') === 1;
  const stops = ({ severity, code }: Conflict) => severity === 'stop' && !(told && code === 'unit-split');
  const refusals = conflicts.filter(stops).map((conflict) => reasonOf(conflict, known));
  const costs = conflicts.flatMap((conflict): Cost[] => {
    const rule = stops(conflict) ? null : ruleOf(conflict, known);
    return rule ? [{ ...reasonOf(conflict, known), rule, counts: 'work', hours: ruleValue(rules, rule) }] : [];
  });
  const key = ({ code, about }: Reason) => `${code}/${about ?? ''}`;
  return {
    refusals,
    costs,
    kind: `${refusals.map(key).sort().join('|')}#${costs.map(key).sort().join('|')}`,
  };
}

const reasonOf = (conflict: Conflict, known: Known): Reason => ({
  code: conflict.code,
  lane: laneOf(conflict, known),
  about: conflict.about,
  says: conflict.message,
});

/** Says where a cut does not change the goal, or not by as much. */
function missesMeasure(outcomes: Outcomes, { of, by }: FinderGoal, { now }: Base): Reason | null {
  const after = now === null ? null : figureOf(outcomes, of);
  if (now === null) return null;
  // Where the rail slopes the axles come apart by a little less than is let in.
  if (after !== null && Math.abs(after - now - by) < Math.abs(by) / 2) return null;
  return {
    code: 'elsewhere',
    lane: 'bend',
    about: null,
    says: `A cut here does not change ${GOAL_NAMES[of].toLowerCase()}.`,
  };
}

/**
 * An option, judged by everything that a plan with it says, and by the ground it is on.
 *
 * @param operations The option's operations.
 * @param judgeContext What options are judged with.
 */
export function judgeOption(operations: readonly Operation[], judgeContext: JudgeContext): JudgedOption {
  const { base, ground } = judgeContext;
  const { rules, display } = base.input;
  const show = (mm: number) => lengthText(mm, display, true);
  const outcomes = evaluateOutcomes(evaluateGeometry(inputWith(base, operations)));
  const joints = made(outcomes.joints, operations);
  const probe = probeOf(outcomes, judgeContext);
  const parts = onceEach([...endsParts(joints, rules), ...gapsOf(operations).flatMap((gap) => partsAt(ground, gap))]);
  const count = jointsOfOption(operations);
  const costs: Cost[] = [
    ...(count > 0 ? [jointsCost(count, rules)] : []),
    ...(trims(operations) > 0 ? [trimCost(rules)] : []),
    ...onceEach(probe.costs),
    ...parts.map(({ say, ...rest }): Cost => ({ ...rest, says: say(show) })),
  ].sort((a, b) => b.hours - a.hours);
  const [hours, weighed] = (['work', 'weighed'] as const).map((sort) =>
    sumOf(costs.filter(({ counts }) => counts === sort)),
  ) as [number, number];
  return {
    refusals: [...outOfPlace(operations, ground, show), ...probe.refusals],
    costs,
    ends: joints.map((joint) => ({
      letter: joint.letter,
      left: apart(joint, 'left'),
      right: apart(joint, 'right'),
      verdict: worstVerdict(SIDES.map((side) => joint.sides[side].verdict)),
    })),
    hours,
    weighed,
    score: hours + weighed,
  };
}

/**
 * Hours of some costs together.
 *
 * @param costs The costs.
 */
export const sumOf = (costs: readonly { readonly hours: number }[]): number =>
  costs.reduce((sum, { hours }) => sum + hours, 0);

const jointsCost = (count: number, rules: PlanInput['rules']): Cost => ({
  code: 'joints',
  lane: 'strip',
  about: null,
  rule: 'finder/joint',
  counts: 'work',
  hours: count * ruleValue(rules, 'finder/joint'),
  says: count === 1 ? 'one joint on each rail' : `${count} joints on each rail`,
});

const trimCost = (rules: PlanInput['rules']): Cost => ({
  code: 'trim',
  lane: 'strip',
  about: null,
  rule: 'finder/trim',
  counts: 'work',
  hours: ruleValue(rules, 'finder/trim'),
  says: 'the end cut off',
});

/**
 * What a plan as it stands costs in work, and what is weighed against it: all its operations as one option.
 *
 * @param job Donor, bodies, plan and rules; validated.
 */
export function weighPlan(job: PlanInput): JudgedOption {
  const bare: PlanInput = { ...job, bodies: [], plan: { ...job.plan, operations: [] } };
  const base: Base = { input: bare, replaced: [], at: 0, now: null, planned: null };
  const operations = job.plan.operations.filter(({ off }) => !off);
  return judgeOption(operations, judgeContextOf(null, base, groundOf(job, base)));
}
