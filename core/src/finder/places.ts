import {
  evaluatePlan,
  emptyPlan,
  newOperation,
  type Conflict,
  type PlanInput,
  type PlanResult,
} from '../plan/index.ts';
import { ruleValue, type RuleId } from '../rules/index.ts';
import { inches } from '../units/index.ts';

/** What is to be done somewhere: rail let in, or taken out, mm. */
export interface FinderAsk {
  readonly do: 'lengthen' | 'shorten';
  readonly amount: number;
}

/** One thing that speaks against a place, and what it costs, hours. */
export interface Cost {
  readonly code: string;
  readonly hours: number;
  readonly says: string;
}

/** A donor station where the cut could be, judged; of rail that comes out its front line. mm. */
export interface CutPlace {
  readonly x: number;
  /** Why it cannot be there; null where it can. */
  readonly refused: string | null;
  readonly costs: readonly Cost[];
  /** Of all of them, hours. */
  readonly hours: number;
}

/** A stretch where the cut can be, all along with the same costs, and the best place in it. */
export interface FoundRun {
  readonly from: number;
  readonly to: number;
  readonly best: CutPlace;
}

/** Grid that a frame is looked at on, mm. */
export const GRID = { coarse: inches(1 / 2), fine: inches(1 / 16) } as const;

/** Codes that are each the work of one mount or bracket, or of one crossmember. */
const WORK: Readonly<Record<string, RuleId>> = {
  'feature-lost': 'finder/bracket',
  'mount-left': 'finder/bracket',
  'mount-at-joint': 'finder/bracket',
  'cut-through': 'finder/bracket',
  'crossmember-lost': 'finder/crossmember',
  'cut-crossmember': 'finder/crossmember',
  'crossmember-width': 'finder/crossmember',
};

const ENDS: Readonly<Record<string, RuleId>> = {
  dress: 'finder/dress',
  'ease-with-a-pie-cut': 'finder/ease',
  'needs-a-transition-piece': 'finder/transition',
};

/** The plan with just this cut in it: nothing else of the plan moves or hides anything. */
function cutAt({ donor, rules, display }: PlanInput, ask: FinderAsk, x: number): PlanInput {
  const at = { x, on: 'donor' } as const;
  const to = { x: ask.do === 'shorten' ? x + ask.amount : x, on: 'donor' } as const;
  const operation = newOperation(ask.do, 'cut', { at, to }, donor);
  const sized =
    operation.kind === 'lengthen'
      ? { ...operation, at, length: ask.amount }
      : operation.kind === 'shorten'
        ? { ...operation, from: at, to }
        : operation;
  return { donor, bodies: [], rules, display, plan: { ...emptyPlan('Finder'), operations: [sized] } };
}

/** What the ends cost: the worst verdict of the joints. */
function endsCost({ joints }: PlanResult, input: PlanInput): Cost[] {
  const hours = joints.map(({ verdict }) => (ENDS[verdict] ? ruleValue(input.rules, ENDS[verdict]) : 0));
  const worst = Math.max(0, ...hours);
  const joint = joints[hours.indexOf(worst)];
  if (worst === 0 || !joint) return [];
  const says = { dress: 'the ends are dressed', 'ease-with-a-pie-cut': 'the ends are eased with a pie cut' };
  return [
    {
      code: joint.verdict,
      hours: worst,
      says: says[joint.verdict as keyof typeof says] ?? 'the ends are joined by a transition piece',
    },
  ];
}

const ENDS_CODES = /^joint-/;

const costOf = ({ code, message }: Conflict, input: PlanInput): Cost => ({
  code,
  hours: ruleValue(input.rules, WORK[code] ?? 'finder/other'),
  says: message,
});

/** The cab, where a joint is under it or near behind it. */
function cabCost({ joints, features, points }: PlanResult, input: PlanInput): Cost[] {
  const mounts = features.flatMap(({ feature }) => (feature.kind === 'cab-mount' ? [feature.x] : []));
  const back = points.find(({ item }) => item.kind === 'cab-back')?.donor.x ?? Math.max(...mounts);
  if (mounts.length === 0 && !Number.isFinite(back)) return [];
  const [from, to] = [Math.min(back, ...mounts), back + ruleValue(input.rules, 'finder/reach')];
  const near = joints.some(({ donorX }) => donorX !== null && donorX >= from && donorX <= to);
  return near
    ? [{ code: 'cab', hours: ruleValue(input.rules, 'finder/cab'), says: 'the cab is loosened and lifted for access' }]
    : [];
}

/**
 * A place for a cut, judged by everything that a plan with just this cut says.
 *
 * @param input Donor and rules; what else the plan does is left out.
 * @param ask What is to be done there.
 * @param x Donor station, mm.
 */
export function placeAt(input: PlanInput, ask: FinderAsk, x: number): CutPlace {
  const cut = cutAt(input, ask, x);
  const result = evaluatePlan(cut);
  const stop = result.conflicts.find(({ severity }) => severity === 'stop');
  const { before, after } = result.measures;
  const grows = (after.wheelbase ?? 0) - (before.wheelbase ?? 0);
  const wanted = ask.do === 'lengthen' ? ask.amount : -ask.amount;
  // Where the rail slopes the axles come apart by a little less than is let in.
  const elsewhere = before.wheelbase !== null && Math.abs(grows - wanted) > Math.abs(wanted) / 2;
  const warnings = result.conflicts.filter(({ severity, code }) => severity === 'warn' && !ENDS_CODES.test(code));
  const costs = [...endsCost(result, cut), ...cabCost(result, cut), ...warnings.map((each) => costOf(each, cut))];
  const refused = stop?.message ?? (elsewhere ? 'It changes an overhang, not the wheelbase.' : null);
  return { x, refused, costs, hours: costs.reduce((sum, { hours }) => sum + hours, 0) };
}

/** The same work in the same things: places that differ in nothing but where they are. */
const kindOf = ({ refused, costs }: CutPlace): string =>
  refused === null
    ? costs.map(({ code, says }) => `${code} ${code === 'cab' ? '' : says.split(':')[0]}`).join('|')
    : 'no';

/**
 * Every place along the frame on a grid.
 *
 * @param input Donor and rules.
 * @param ask What is to be done.
 * @param step The grid, mm.
 */
export function placesAlong(input: PlanInput, ask: FinderAsk, step: number = GRID.coarse): CutPlace[] {
  const { rails } = input.donor;
  const stations = rails.kind === 'mirrored' ? rails.stations : [...rails.left, ...rails.right];
  const xs = stations.map(({ x }) => x);
  const [from, to] = [Math.min(...xs), Math.max(...xs) - (ask.do === 'shorten' ? ask.amount : 0)];
  const first = Math.ceil((from + 1) / step);
  const count = Math.max(0, Math.floor((to - 1) / step) - first + 1);
  return Array.from({ length: count }, (_, at) => placeAt(input, ask, (first + at) * step));
}

/**
 * Distinct places, the best first: neighbours with the same work are one run, and its best place is the one with least work,
 * of those the one farthest from where that changes. Its ends are looked for on the fine grid.
 *
 * @param input Donor and rules.
 * @param ask What is to be done.
 * @param places What `placesAlong` gives for them on the coarse grid.
 */
export function runsOf(input: PlanInput, ask: FinderAsk, places: readonly CutPlace[]): FoundRun[] {
  const runs: CutPlace[][] = [];
  for (const place of places) {
    const last = runs.at(-1);
    if (
      place.refused === null &&
      last?.[0] &&
      kindOf(last[0]) === kindOf(place) &&
      place.x - (last.at(-1)?.x ?? 0) < GRID.coarse * 1.5
    )
      last.push(place);
    else if (place.refused === null) runs.push([place]);
    else runs.push([]);
  }
  return runs
    .filter((run) => run.length > 0)
    .map((run): FoundRun => {
      const [first, last] = [run[0] as CutPlace, run[run.length - 1] as CutPlace];
      const edge = (from: number, way: 1 | -1): number => {
        const steps = Math.round(GRID.coarse / GRID.fine) - 1;
        let reached = from;
        for (let at = 1; at <= steps; at += 1) {
          const next = placeAt(input, ask, from + way * at * GRID.fine);
          if (kindOf(next) !== kindOf(first) || next.refused !== null) break;
          reached = next.x;
        }
        return reached;
      };
      const [from, to] = [edge(first.x, -1), edge(last.x, 1)];
      const middle = (from + to) / 2;
      const best = run.reduce((found, place) =>
        place.hours < found.hours - 1e-9 ||
        (place.hours < found.hours + 1e-9 && Math.abs(place.x - middle) < Math.abs(found.x - middle))
          ? place
          : found,
      );
      return { from, to, best };
    })
    .toSorted((a, b) => a.best.hours - b.best.hours || b.to - b.from - (a.to - a.from));
}
