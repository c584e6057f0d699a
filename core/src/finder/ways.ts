import type { Operation, PlanInput } from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import { type Along, placesAlong, type Progress } from './along.ts';
import { baseOf, type Base, type FinderAsk, gridOf, operationAt, operationAtEnd, tailOf } from './ask.ts';
import { type Ground, groundOf, straightLengthAt } from './ground.ts';
import { type Judged, judgeWay, type Judging, judgingOf, onceEach, sumOf } from './judge.ts';
import { gapsOf } from './way-cuts.ts';

/** One cut of a way: where it is, and the stretch in which the same can be said of it, donor stations, mm. */
export interface WayCut {
  readonly x: number;
  /** How much is done here, mm. */
  readonly by: number;
  readonly from: number;
  readonly to: number;
  /** How long the rail is straight about it, mm. */
  readonly straight: number;
}

/** A way of doing what is asked for. */
export interface Way {
  readonly id: string;
  readonly method: 'one-cut' | 'two-cuts' | 'at-the-end';
  readonly cuts: readonly WayCut[];
  readonly operations: readonly Operation[];
  readonly judged: Judged;
}

/** What a search was for, and what came of it. */
export interface Found {
  readonly ask: FinderAsk;
  readonly base: Base;
  /** Ranked, distinct, the best first. */
  readonly ways: readonly Way[];
  /** How many places and pairs of places were looked at. */
  readonly counted: { readonly places: number; readonly pairs: number };
}

/** Scores nearer to each other than this are the same, hours: less than half a minute. */
const SAME = 0.005;
/** As many ways as anybody looks at. */
const MOST_WAYS = 12;
/** As many as are judged in full to be sure of those. */
const MOST_JUDGED = 240;

/** A way that may be among the best, by the least that it can score. */
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

/** Costs of a place that are counted once for a way, however many of its cuts have them. */
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
function pairsOf(ahead: Along, behind: Along, judging: Judging): { candidates: Candidate[]; looked: number } {
  const { rules, display } = judging.base.input;
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
function stretchAbout(along: Along, at: number): Pick<WayCut, 'from' | 'to'> {
  const stretch = along.stretches[along.stretchAt[at] as number];
  const same = (other: number) => along.refused[other] === 0;
  let [first, last] = [at, at];
  while (stretch && first > stretch.first && same(first - 1)) first -= 1;
  while (stretch && last < stretch.last && same(last + 1)) last += 1;
  return { from: along.xs[first] as number, to: along.xs[last] as number };
}

function wayOf({ cuts }: Candidate, ask: FinderAsk, judging: Judging): Way {
  const { base, ground } = judging;
  const operations = [
    ...cuts.map(({ along, at }, index) => operationAt(ask, along.by, along.xs[at] as number, base.input, index + 1)),
    ...tailOf(ask, base.input),
  ];
  return {
    id: cuts.map(({ along, at }) => (along.xs[at] as number).toFixed(3)).join('+'),
    method: cuts.length > 1 ? 'two-cuts' : 'one-cut',
    cuts: cuts.map(({ along, at }): WayCut => {
      const x = along.xs[at] as number;
      const [gap] = gapsOf([operationAt(ask, along.by, x, base.input)]);
      return { x, by: along.by, ...stretchAbout(along, at), straight: gap ? straightLengthAt(ground, gap) : 0 };
    }),
    operations,
    judged: judgeWay(operations, judging),
  };
}

/** Whether two ways are the same place, marked a little ahead or behind. */
const alike = (a: Way, b: Way, distinct: number): boolean =>
  a.cuts.length === b.cuts.length && a.cuts.every(({ x }, at) => Math.abs(x - (b.cuts[at]?.x ?? Infinity)) < distinct);

/**
 * The best ways among some, each judged in full: from the one that could score least on, until no other can be better
 * than those that are found.
 */
function best(candidates: readonly Candidate[], ask: FinderAsk, judging: Judging, onProgress: Progress): Way[] {
  const distinct = ruleValue(judging.base.input.rules, 'finder/distinct');
  const order = candidates.toSorted((a, b) => a.score - b.score).slice(0, MOST_JUDGED);
  let judged: Way[] = [];
  for (const [at, candidate] of order.entries()) {
    const enough = judged[MOST_WAYS - 1];
    if (enough && enough.judged.score + SAME < candidate.score) break;
    const way = wayOf(candidate, ask, judging);
    if (way.judged.refusals.length > 0) continue;
    judged = distinctOf([...judged, way], distinct);
    if (at % 8 === 0) onProgress(at / order.length);
  }
  return judged.slice(0, MOST_WAYS);
}

/** The length of the shortest clear straight stretch that a way's cuts are on, mm. */
const clearOf = ({ cuts }: Way): number =>
  Math.min(...cuts.map(({ from, to, straight }) => Math.min(straight, to - from)));

/** By score; where two score the same, the one on the longer clear straight stretch. */
function betterFirst(a: Way, b: Way): number {
  const more = a.judged.score - b.judged.score;
  return Math.abs(more) > SAME ? more : clearOf(b) - clearOf(a);
}

/** Ways in order of their score, without those that are the same place as a better one. */
function distinctOf(ways: readonly Way[], distinct: number): Way[] {
  const kept: Way[] = [];
  for (const way of ways.toSorted(betterFirst)) if (!kept.some((other) => alike(other, way, distinct))) kept.push(way);
  return kept;
}

/** What was looked through for an ask, to tell of single places. */
export interface Search {
  readonly judging: Judging;
  readonly single: Along;
}

const jointsHours = (along: Along, rules: PlanInput['rules']): number => {
  const open = along.refused.indexOf(0);
  return open < 0 ? 0 : along.quick(open).joints * ruleValue(rules, 'finder/joint');
};

/**
 * Every way of doing what is asked for, ranked: each place along the frame for one cut, each pair of places for two,
 * and the very end where that serves.
 *
 * @param job Donor, bodies, plan and rules; validated.
 * @param ask What is asked for; a change that is not 0.
 * @param onProgress Told how far the search has come.
 */
export function findWays(job: PlanInput, ask: FinderAsk, onProgress: Progress = () => undefined): Found & Search {
  const base = baseOf(job, ask);
  const ground: Ground = groundOf(job, base);
  const judging = judgingOf(ask, base, ground);
  const { rules, display } = base.input;
  const splits =
    (ask.of === 'wheelbase' || ask.of === 'cab-to-axle' || ask.of === 'rear-overhang') &&
    Math.abs(ask.by) >= ruleValue(rules, 'finder/split-from') - 1e-6;
  const share = splits ? 0.3 : 0.8;
  const single = placesAlong(ask, judging, (done) => onProgress(share * done));
  const singles = runsOf(single).map((run): Candidate => {
    const at = bestOf(run);
    return { score: leastAt(single, at) + jointsHours(single, rules), cuts: [{ along: single, at }] };
  });
  let [pairs, looked]: [Candidate[], number] = [[], 0];
  if (splits) {
    const [first, second] = halvesOf(ask.by, display);
    const half = (by: number) => ({ ...ask, by });
    const judged = (by: number) => ({ ...judging, ask: half(by) });
    const ahead = placesAlong(half(first), judged(first), (done) => onProgress(0.3 + 0.3 * done), single);
    const behind =
      first === second ? ahead : placesAlong(half(second), judged(second), (done) => onProgress(0.6 + 0.2 * done));
    const found = pairsOf(ahead, behind, judging);
    const joints = jointsHours(ahead, rules) + jointsHours(behind, rules);
    pairs = found.candidates.map(({ score, cuts }) => ({ score: score + joints, cuts }));
    looked = found.looked;
  }
  const ways = best([...singles, ...pairs], ask, judging, (done) => onProgress(0.8 + 0.2 * done));
  const end = ask.of === 'rear-overhang' ? [endWay(ask, judging)] : [];
  onProgress(1);
  return {
    ask,
    base,
    ways: distinctOf([...ways, ...end.filter(({ judged }) => judged.refusals.length === 0)], 0).slice(0, MOST_WAYS),
    counted: { places: single.xs.length, pairs: looked },
    judging,
    single,
  };
}

/** A rear overhang made at the very end. */
function endWay({ by }: FinderAsk, judging: Judging): Way {
  const operations = [operationAtEnd(by, judging.base.input)];
  return { id: 'end', method: 'at-the-end', cuts: [], operations, judged: judgeWay(operations, judging) };
}
