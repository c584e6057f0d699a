import { railAt, SIDES } from '../frame/index.ts';
import {
  axleLengthsOf,
  evaluateGeometry,
  evaluateOutcomes,
  judge,
  newOperation,
  type Operation,
  type Outcomes,
  type Plan,
  type PlanInput,
  posed,
  withoutOperation,
} from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import { inches, isMet, nudgeOf } from '../units/index.ts';

/** What can be asked for, and what it is called. */
export const GOAL_NAMES = {
  wheelbase: 'Wheelbase',
  'cab-to-axle': 'Cab to axle',
  'rear-overhang': 'Axle to end of frame',
  width: 'Outside width at the rear axle',
  height: 'Rail height at the rear axle, over the front',
} as const;
export type GoalMeasure = keyof typeof GOAL_NAMES;
export const GOAL_MEASURES = Object.keys(GOAL_NAMES) as readonly GoalMeasure[];

/** What must change: which figure, and by how much, mm; below 0 less. */
export interface FinderGoal {
  readonly of: GoalMeasure;
  readonly by: number;
  /** How much longer the frame becomes at its rear end besides, mm; below 0 is trimmed off. 0 where not said. */
  readonly tail?: number;
}

/** The kinds of operation that change a figure. */
const ANSWERS: Readonly<Record<GoalMeasure, readonly Operation['kind'][]>> = {
  wheelbase: ['lengthen', 'shorten'],
  'cab-to-axle': ['lengthen', 'shorten'],
  'rear-overhang': ['lengthen', 'shorten', 'trim', 'extend'],
  width: ['widen'],
  height: ['step'],
};

/** A plan without what it does for a goal already: the plan that every option is added to. */
export interface Base {
  readonly input: PlanInput;
  /** Operations that answer the goal now, and would be replaced. */
  readonly replaced: readonly Operation[];
  /** Where in the order the new ones go. */
  readonly at: number;
  /** The figure as it is without them, mm; null where the frame lacks what it needs. */
  readonly now: number | null;
  /** And as the plan in hand makes it. */
  readonly planned: number | null;
}

const without = (input: PlanInput, id: string): PlanInput => ({ ...input, plan: withoutOperation(input.plan, id) });

/**
 * The figure that is asked for, as an evaluated plan makes it, mm; null where the frame lacks what it needs. Widths and
 * heights are those of the rails over the rear axle, heights from the rails over the front axle.
 *
 * @param outcomes The plan, evaluated as far as its outcomes.
 * @param of The goal.
 */
export function figureOf(outcomes: Outcomes, of: GoalMeasure): number | null {
  switch (of) {
    case 'wheelbase':
      return axleLengthsOf(outcomes).wheelbase;
    case 'cab-to-axle':
      return axleLengthsOf(outcomes).cabToAxle;
    case 'rear-overhang':
      return judge(outcomes).measures.after.axleToEnd;
    case 'width':
    case 'height': {
      const [front, rear] = (['front', 'rear'] as const).map((role) => railsOver(outcomes, role));
      if (of === 'width') return rear?.width ?? null;
      return front && rear ? rear.height - front.height : null;
    }
  }
}

/** Outside width, and mean height of the top, of the rails over the first axle of a role; null where they are gone. */
function railsOver({ axles, state }: Outcomes, role: 'front' | 'rear') {
  const x = axles.find(({ item }) => item.role === role)?.donor.x;
  const piece =
    x === undefined
      ? undefined
      : state.pieces.find(({ source, front, rear }) => source === 'donor' && x >= front.x - 1e-6 && x <= rear.x + 1e-6);
  if (x === undefined || !piece) return null;
  const rails = SIDES.map((side) => railAt(piece.rails[side], x));
  return {
    width: 2 * piece.spread + rails.reduce((all, { halfWidth }) => all + halfWidth, 0),
    height: rails.reduce((all, { top }) => all + posed(piece.pose, x, top).z / rails.length, 0),
  };
}

const evaluated = (input: PlanInput, of: GoalMeasure): number | null =>
  figureOf(evaluateOutcomes(evaluateGeometry(input)), of);

/**
 * The plan of a job without what answers a goal already, and without bodies: everything else that it does stays.
 *
 * @param job Donor, plan and rules; validated.
 * @param goal The goal.
 */
export function baseOf(job: PlanInput, { of, tail = 0 }: Pick<FinderGoal, 'of' | 'tail'>): Base {
  const bare: PlanInput = { donor: job.donor, bodies: [], plan: job.plan, rules: job.rules, display: job.display };
  const planned = evaluated(bare, of);
  const answering = (sampled: GoalMeasure): readonly Operation[] => {
    const figure = sampled === of ? planned : evaluated(bare, sampled);
    return bare.plan.operations.filter(({ id, kind, off }) => {
      if (off || !ANSWERS[sampled].includes(kind)) return false;
      const other = evaluated(without(bare, id), sampled);
      return figure !== null && other !== null && !isMet(other, figure);
    });
  };
  const found = new Set([...answering(of), ...(tail === 0 ? [] : answering('rear-overhang'))]);
  const replaced = bare.plan.operations.filter((operation) => found.has(operation));
  const input = replaced.reduce((left, { id }) => without(left, id), bare);
  const first = bare.plan.operations.findIndex((operation) => replaced.includes(operation));
  return {
    input,
    replaced,
    at: first < 0 ? input.plan.operations.length : first,
    now: replaced.length === 0 ? planned : evaluated(input, of),
    planned,
  };
}

/**
 * How far along the frame places are told apart: 1/16 in, or 1 mm.
 *
 * @param display The job's unit.
 */
export const gridOf = ({ unit }: PlanInput['display']): number => (unit === 'in' ? inches(1 / 16) : 1);

/** Ids that the finder's operations have: only one option is tried at a time. */
const ID = 'finder-cut';

/** Lengths that the finder proposes are whole inches or centimetres, mm. */
const whole = (mm: number, { unit }: PlanInput['display']): number => {
  const step = unit === 'in' ? inches(1) : 10;
  return Math.ceil(mm / step - 1e-9) * step;
};

/**
 * The operation that gives `by` at a donor station, by the shop's rules; null where a change of 0 is asked for.
 *
 * @param goal The goal.
 * @param by How much of it is done here, mm.
 * @param x Donor station of the cut, of rail that comes out its front line, mm.
 * @param input Donor and rules.
 * @param count Which of the option's cuts it is, from 1.
 */
export function operationAt(
  { of }: FinderGoal,
  by: number,
  x: number,
  { donor, rules, display }: PlanInput,
  count = 1,
): Operation {
  const at = { x, on: 'donor' } as const;
  const id = `${ID}-${count}`;
  const make = (kind: Operation['kind'], to: number) =>
    newOperation(kind, id, { at, to: { x: to, on: 'donor' } }, donor);
  if (of === 'width') {
    const slope = Math.tan(ruleValue(rules, 'joint/transition-turn') / 2);
    return { ...make('widen', x), amount: by, transition: whole(Math.abs(by) / 2 / slope, display) } as Operation;
  }
  if (of === 'height') return { ...make('step', x + runOf(by, display)), rise: by } as Operation;
  return by > 0 ? ({ ...make('lengthen', x), length: by } as Operation) : make('shorten', x - by);
}

/** How far apart the two cuts of a step lie, mm: three times what it rises, a foot at least. */
const runOf = (rise: number, display: PlanInput['display']): number =>
  whole(Math.max(inches(12), 3 * Math.abs(rise)), display);

/**
 * The operation that gives a rear overhang at the very end: a trim, or an extension.
 *
 * @param by mm; below 0 is cut off.
 */
export const operationAtEnd = (by: number, { donor, display }: PlanInput): Operation => {
  const nowhere = { x: 0, on: 'donor' } as const;
  const id = `${ID}-1`;
  return by > 0
    ? ({ ...newOperation('extend', id, { at: nowhere, to: nowhere }, donor), end: 'rear', length: by } as Operation)
    : ({
        ...newOperation('trim', id, { at: nowhere, to: nowhere }, donor),
        end: 'rear',
        at: { x: Math.max(-by, nudgeOf(display)), on: 'end' },
      } as Operation);
};

/**
 * What is done at the rear end besides, as operations: none where nothing is asked there.
 *
 * @param goal The goal.
 * @param input Donor and rules.
 */
export const tailOf = ({ tail = 0 }: FinderGoal, input: PlanInput): readonly Operation[] =>
  tail === 0 ? [] : [{ ...operationAtEnd(tail, input), id: `${ID}-tail` }];

/**
 * How far an operation at `x` reaches along the donor, mm: its front cut and its rear cut.
 *
 * @param goal The goal.
 * @param by How much of it is done here, mm.
 * @param display The job's unit.
 */
export const reachOfCut = ({ of }: FinderGoal, by: number, display: PlanInput['display']): number =>
  of === 'width' ? 0 : of === 'height' ? runOf(by, display) : Math.max(0, -by);

/**
 * The base plan with the operations of an option in it.
 *
 * @param base What the option is put into.
 * @param operations The option's operations.
 */
export const inputWith = ({ input, at }: Pick<Base, 'input' | 'at'>, operations: readonly Operation[]): PlanInput => ({
  ...input,
  plan: { ...input.plan, operations: input.plan.operations.toSpliced(at, 0, ...operations) } satisfies Plan,
});
