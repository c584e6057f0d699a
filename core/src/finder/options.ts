import type { Operation, PlanInput } from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import { type Along, placesAlong, type Progress } from './along.ts';
import { baseOf, type Base, type FinderGoal, gridOf, operationAt, operationAtEnd, tailOf } from './goal.ts';
import { type Ground, groundOf, straightLengthAt } from './ground.ts';
import { type JudgedOption, judgeOption, type JudgeContext, judgeContextOf, onceEach, sumOf } from './judge.ts';
import { gapsOf } from './option-cuts.ts';

/** One cut of an option: where it is, and the stretch in which the same can be said of it, donor stations, mm. */
interface OptionCut {
  readonly x: number;
  /** How much is done here, mm. */
  readonly by: number;
  readonly from: number;
  readonly to: number;
  /** How long the rail is straight about it, mm. */
  readonly straight: number;
}

/** An option. */
export interface CutOption {
  readonly id: string;
  readonly method: 'one-cut' | 'two-cuts' | 'at-the-end';
  readonly cuts: readonly OptionCut[];
  readonly operations: readonly Operation[];
  readonly judged: JudgedOption;
}

/** What a search was for, and what came of it. */
export interface Found {
  readonly goal: FinderGoal;
  readonly base: Base;
  /** Ranked, distinct, the best first. */
  readonly options: readonly CutOption[];
  /** How many places and pairs of places were looked at. */
  readonly counted: { readonly places: number; readonly pairs: number };
}

/** Scores nearer to each other than this are the same, hours: less than half a minute. */
const SAME = 0.005;
/** As many options as anybody looks at. */
const MOST_WAYS = 12;
/** As many as are judged in full to be sure of those. */
const MOST_JUDGED = 240;

/** An option that may be among the best, by the least that it can score. */
interface Candidate {
  readonly score: number;
  readonly cuts: readonly { readonly along: Along; readonly at: number }[];
}

/** Stretches of an `Along` with a place that is not refused, parted where places between are. */
interface Run {
  readonly along: Along;
  readonly first: number;
  readonly last: number;
}

function runsOf(along: Along): Run[] {
  return along.stretches.flatMap(({ first, last, probe }): Run[] => {
    if (probe.refusals.length > 0) return [];
    const runs: Run[] = [];
    let start = -1;
    for (let at = first; at <= last + 1; at += 1) {
      const open = at <= last && along.refused[at] === 0;
      if (open && start < 0) start = at;
      if (!open && start >= 0) {
        runs.push({ along, first: start, last: at - 1 });
        start = -1;
      }
    }
    return runs;
  });
}

/** Costs of a place that are counted once for an option, however many of its cuts have them. */
const keyed = (along: Along, at: number) => [
  ...(along.stretches[along.stretchAt[at] as number]?.probe.costs ?? []),
  ...(along.shared[at] ?? []),
];

/**
 * The least that a single place scores, joints left out, hours.
 *
 * @param along Every place for one cut.
 * @param at Index of the place.
 */
export const leastAt = (along: Along, at: number): number =>
  (along.own[at] as number) + sumOf(onceEach(keyed(along, at)));

/** The place of a run that scores least; of several in a row that score the same, the one in their middle. */
function bestOf({ along, first, last }: Run): number {
  const least = (at: number) => leastAt(along, at);
  let [best, score] = [first, Infinity];
  for (let at = first; at <= last; at += 1) {
    const here = least(at);
    if (here < score - SAME) [best, score] = [at, here];
  }
  let end = best;
  while (end < last && least(end + 1) < score + SAME) end += 1;
  return Math.round((best + end) / 2);
}

/** Every pair of two runs' places that stand far enough apart: the best of each pair of runs. */
function pairsOf(ahead: Along, behind: Along, judgeContext: JudgeContext): { candidates: Candidate[]; looked: number } {
  const { rules, display } = judgeContext.base.input;
  const apart = Math.ceil((ruleValue(rules, 'finder/between') + Math.max(0, -ahead.by)) / gridOf(display) - 1e-9);
  const [front, rear] = [runsOf(ahead), runsOf(behind)];
  // What is counted once is the same over all of a run but where something stands over it: those are its classes.
  const classes = new Map<string, { readonly id: number; readonly costs: ReturnType<typeof keyed> }>();
  const classOf = (along: Along, at: number): number => {
    const costs = onceEach(keyed(along, at));
    const key = costs.map(({ code, about }) => `${code}/${about ?? ''}`).join('|') + `#${sumOf(costs)}`;
    const known = classes.get(key);
    if (known) return known.id;
    const made = { id: classes.size, costs };
    classes.set(key, made);
    return made.id;
  };
  const classed = (along: Along) => Int32Array.from(along.xs, (_, at) => (along.refused[at] ? -1 : classOf(along, at)));
  const [classAhead, classBehind] = [classed(ahead), classed(behind)];
  const all = [...classes.values()];
  const together = all.map((a) => Float64Array.from(all, (b) => sumOf(onceEach([...a.costs, ...b.costs]))));
  let looked = 0;
  const candidates = front.flatMap((one) =>
    rear.flatMap((other): Candidate[] => {
      let [bestA, bestB, score] = [-1, -1, Infinity];
      for (let a = one.first; a <= one.last; a += 1) {
        const row = together[classAhead[a] as number] as Float64Array;
        const own = ahead.own[a] as number;
        for (let b = Math.max(other.first, a + apart); b <= other.last; b += 1) {
          looked += 1;
          const here = own + (behind.own[b] as number) + (row[classBehind[b] as number] as number);
          if (here < score - SAME) [bestA, bestB, score] = [a, b, here];
        }
      }
      return bestA < 0
        ? []
        : [
            {
              score,
              cuts: [
                { along: ahead, at: bestA },
                { along: behind, at: bestB },
              ],
            },
          ];
    }),
  );
  return { candidates, looked };
}

/** A change in two halves, each of whole steps of the grid. */
function halvesOf(by: number, display: PlanInput['display']): readonly [number, number] {
  const step = gridOf(display);
  const first = Math.round(by / 2 / step) * step;
  return [first, by - first];
}

/** A run about a place in which the same can be said of it, donor stations, mm. */
function stretchAbout(along: Along, at: number): Pick<OptionCut, 'from' | 'to'> {
  const stretch = along.stretches[along.stretchAt[at] as number];
  const same = (other: number) => along.refused[other] === 0;
  let [first, last] = [at, at];
  while (stretch && first > stretch.first && same(first - 1)) first -= 1;
  while (stretch && last < stretch.last && same(last + 1)) last += 1;
  return { from: along.xs[first] as number, to: along.xs[last] as number };
}

function wayOf({ cuts }: Candidate, goal: FinderGoal, judgeContext: JudgeContext): CutOption {
  const { base, ground } = judgeContext;
  const operations = [
    ...cuts.map(({ along, at }, index) => operationAt(goal, along.by, along.xs[at] as number, base.input, index + 1)),
    ...tailOf(goal, base.input),
  ];
  return {
    id: cuts.map(({ along, at }) => (along.xs[at] as number).toFixed(3)).join('+'),
    method: cuts.length > 1 ? 'two-cuts' : 'one-cut',
    cuts: cuts.map(({ along, at }): OptionCut => {
      const x = along.xs[at] as number;
      const [gap] = gapsOf([operationAt(goal, along.by, x, base.input)]);
      return { x, by: along.by, ...stretchAbout(along, at), straight: gap ? straightLengthAt(ground, gap) : 0 };
    }),
    operations,
    judged: judgeOption(operations, judgeContext),
  };
}

/** Whether two options are the same place, marked a little ahead or behind. */
const alike = (a: CutOption, b: CutOption, distinct: number): boolean =>
  a.cuts.length === b.cuts.length && a.cuts.every(({ x }, at) => Math.abs(x - (b.cuts[at]?.x ?? Infinity)) < distinct);

/**
 * Best options among some, each judged in full: from the one that could score least on, until no other can be better
 * than those that are found.
 */
function best(
  candidates: readonly Candidate[],
  goal: FinderGoal,
  judgeContext: JudgeContext,
  onProgress: Progress,
): CutOption[] {
  const distinct = ruleValue(judgeContext.base.input.rules, 'finder/distinct');
  const order = candidates.toSorted((a, b) => a.score - b.score).slice(0, MOST_JUDGED);
  let judged: CutOption[] = [];
  for (const [at, candidate] of order.entries()) {
    const enough = judged[MOST_WAYS - 1];
    if (enough && enough.judged.score + SAME < candidate.score) break;
    const option = wayOf(candidate, goal, judgeContext);
    if (option.judged.refusals.length > 0) continue;
    judged = distinctOf([...judged, option], distinct);
    if (at % 8 === 0) onProgress(at / order.length);
  }
  return judged.slice(0, MOST_WAYS);
}

/** The length of the shortest clear straight stretch that an option's cuts are on, mm. */
const clearOf = ({ cuts }: CutOption): number =>
  Math.min(...cuts.map(({ from, to, straight }) => Math.min(straight, to - from)));

/** By score; where two score the same, the one on the longer clear straight stretch. */
function betterFirst(a: CutOption, b: CutOption): number {
  const more = a.judged.score - b.judged.score;
  return Math.abs(more) > SAME ? more : clearOf(b) - clearOf(a);
}

/** CutOptions in order of their score, without those that are the same place as a better one. */
function distinctOf(options: readonly CutOption[], distinct: number): CutOption[] {
  const kept: CutOption[] = [];
  for (const option of options.toSorted(betterFirst))
    if (!kept.some((other) => alike(other, option, distinct))) kept.push(option);
  return kept;
}

/** What was looked through for a goal, to tell of single places. */
export interface Search {
  readonly judgeContext: JudgeContext;
  readonly single: Along;
}

const jointsHours = (along: Along, rules: PlanInput['rules']): number => {
  const open = along.refused.indexOf(0);
  return open < 0 ? 0 : along.quick(open).joints * ruleValue(rules, 'finder/joint');
};

/**
 * Every option for the goal, ranked: each place along the frame for one cut, each pair of places for two,
 * and the very end where that serves.
 *
 * @param job Donor, bodies, plan and rules; validated.
 * @param goal The goal; a change that is not 0.
 * @param onProgress Told how far the search has come.
 */
export function findOptions(job: PlanInput, goal: FinderGoal, onProgress: Progress = () => undefined): Found & Search {
  const base = baseOf(job, goal);
  const ground: Ground = groundOf(job, base);
  const judgeContext = judgeContextOf(goal, base, ground);
  const { rules, display } = base.input;
  const splits =
    (goal.of === 'wheelbase' || goal.of === 'cab-to-axle' || goal.of === 'rear-overhang') &&
    Math.abs(goal.by) >= ruleValue(rules, 'finder/split-from') - 1e-6;
  const share = splits ? 0.3 : 0.8;
  const single = placesAlong(goal, judgeContext, (done) => onProgress(share * done));
  const singles = runsOf(single).map((run): Candidate => {
    const at = bestOf(run);
    return { score: leastAt(single, at) + jointsHours(single, rules), cuts: [{ along: single, at }] };
  });
  let [pairs, looked]: [Candidate[], number] = [[], 0];
  if (splits) {
    const [first, second] = halvesOf(goal.by, display);
    const half = (by: number) => ({ ...goal, by });
    const judged = (by: number) => ({ ...judgeContext, goal: half(by) });
    const ahead = placesAlong(half(first), judged(first), (done) => onProgress(0.3 + 0.3 * done), single);
    const behind =
      first === second ? ahead : placesAlong(half(second), judged(second), (done) => onProgress(0.6 + 0.2 * done));
    const found = pairsOf(ahead, behind, judgeContext);
    const joints = jointsHours(ahead, rules) + jointsHours(behind, rules);
    pairs = found.candidates.map(({ score, cuts }) => ({ score: score + joints, cuts }));
    looked = found.looked;
  }
  const options = best([...singles, ...pairs], goal, judgeContext, (done) => onProgress(0.8 + 0.2 * done));
  const end = goal.of === 'rear-overhang' ? [endFix(goal, judgeContext)] : [];
  onProgress(1);
  return {
    goal,
    base,
    options: distinctOf([...options, ...end.filter(({ judged }) => judged.refusals.length === 0)], 0).slice(
      0,
      MOST_WAYS,
    ),
    counted: { places: single.xs.length, pairs: looked },
    judgeContext,
    single,
  };
}

/** A rear overhang made at the very end. */
function endFix({ by }: FinderGoal, judgeContext: JudgeContext): CutOption {
  const operations = [operationAtEnd(by, judgeContext.base.input)];
  return { id: 'end', method: 'at-the-end', cuts: [], operations, judged: judgeOption(operations, judgeContext) };
}
