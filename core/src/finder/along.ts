import { datumStation, extentOf } from '../frame/index.ts';
import { evaluateGeometry, evaluateOutcomes } from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import { inches } from '../units/index.ts';
import { type FinderGoal, gridOf, inputWith, operationAt, reachOfCut, tailOf } from './goal.ts';
import type { Part } from './ground.ts';
import { type JudgeContext, type Probe, probeOf, sumOf } from './judge.ts';
import { quickOf } from './quick.ts';

/** Told how far a search has come: from 0 to 1. */
export type Progress = (share: number) => void;

/** Neighboring places where the plan's judgment says the same. */
interface Stretch {
  /** Indices on the grid, both within. */
  readonly first: number;
  readonly last: number;
  readonly probe: Probe;
}

/** Every place along the frame for a cut that changes so much, on a grid. */
export interface Along {
  readonly by: number;
  /** Donor stations of the grid, front to rear, mm. */
  readonly xs: Float64Array;
  readonly stretches: readonly Stretch[];
  /** For each place: which stretch it is in, whether it is refused, and what it costs by itself and what only once, hours. */
  readonly stretchAt: Int32Array;
  readonly refused: Uint8Array;
  readonly own: Float64Array;
  readonly shared: readonly (readonly Part[])[];
  readonly quick: (at: number) => ReturnType<typeof quickOf>;
}

/** Coarser than this no place is left unasked, mm. */
const COARSE = inches(4);

/** Donor stations where what a plan says may change: the edges of everything, and how far a joint keeps from them. */
function edges({ base, ground }: JudgeContext, removed: number): number[] {
  const { donor, rules } = base.input;
  const clear = ruleValue(rules, 'joint/hole-distance');
  const things = [
    ...donor.features.map(extentOf),
    ...ground.crossmembers,
    ...donor.lines,
    ...[...donor.axles, ...donor.points].map(({ x }) => ({ from: x, to: x })),
  ];
  const near = donor.features.map(extentOf).flatMap(({ from, to }) => [from - clear, to + clear]);
  const at = [...things.flatMap(({ from, to }) => [from, to]), ...near];
  return removed > 0 ? [...at, ...at.map((x) => x - removed)] : at;
}

/**
 * Every place along the frame for one cut of an option. Where the steel goes is worked out for each place of the grid; what
 * the plan's judgment says, once for each stretch between places where it changes, which are found by halving.
 *
 * @param goal What is asked of this one cut.
 * @param judgeContext What options are judged with.
 * @param onProgress Told how far it has come.
 * @param like Places for another amount of new rail: what is said of them changes at the same places, or between.
 */
export function placesAlong(
  goal: FinderGoal,
  judgeContext: JudgeContext,
  onProgress: Progress = () => undefined,
  like?: Along,
): Along {
  const { base, ground } = judgeContext;
  const { input } = base;
  const { by } = goal;
  const step = gridOf(input.display);
  const removed = reachOfCut(goal, by, input.display);
  const datum = datumStation(input.donor);
  const [from, to] = [ground.ends[0] + 1, ground.ends[1] - 1 - removed];
  const first = Math.ceil((from - datum) / step);
  const count = Math.max(0, Math.floor((to - datum) / step) - first + 1);
  const xs = Float64Array.from({ length: count }, (_, at) => datum + (first + at) * step);
  const tail = tailOf(goal, input);
  const operations = (at: number) => [operationAt(goal, by, xs[at] as number, input), ...tail];

  const probes = new Map<number, Probe>();
  const probe = (at: number): Probe => {
    const known = probes.get(at);
    if (known) return known;
    const found = probeOf(evaluateOutcomes(evaluateGeometry(inputWith(base, operations(at)))), judgeContext);
    probes.set(at, found);
    return found;
  };

  const indexOf = (x: number) => Math.floor((x - (xs[0] ?? 0)) / step);
  const marks = new Set([0, count - 1]);
  const inOrder = [...new Set(edges(judgeContext, removed).map(indexOf))]
    .flatMap((at) => [at, at + 1])
    .sort((a, b) => a - b);
  if (like && removed === 0) for (const { first, last } of like.stretches) marks.add(first).add(last);
  else
    for (const [at, mark] of inOrder.entries()) {
      const next = inOrder[at + 1] ?? mark;
      if (next > mark) marks.add(Math.round((mark + next) / 2));
    }
  for (let at = 0; at < count; at += Math.round(COARSE / step)) marks.add(at);
  const sampled = [...marks].filter((at) => at >= 0 && at < count).sort((a, b) => a - b);

  // The first places of every stretch: between two that differ, first where something is known to end, then in the middle.
  const starts: number[] = count > 0 ? [0] : [];
  const between = (low: number, high: number): void => {
    if (probe(low).kind === probe(high).kind) return;
    if (high - low === 1) {
      starts.push(high);
      return;
    }
    const middle = inOrder.find((at) => at > low && at < high) ?? (low + high) >> 1;
    between(low, middle);
    between(middle, high);
  };
  for (const [at, mark] of sampled.entries()) {
    const next = sampled[at + 1];
    if (next !== undefined) between(mark, next);
    onProgress((0.7 * at) / sampled.length);
  }
  const stretches = starts.map((start, at): Stretch => ({
    first: start,
    last: (starts[at + 1] ?? count) - 1,
    probe: probe(start),
  }));

  const [stretchAt, refused, own] = [new Int32Array(count), new Uint8Array(count), new Float64Array(count)];
  const shared: (readonly Part[])[] = [];
  const quick = (at: number) => quickOf(operations(at), judgeContext);
  for (const [index, stretch] of stretches.entries())
    for (let at = stretch.first; at <= stretch.last; at += 1) {
      stretchAt[at] = index;
      const barred = stretch.probe.refusals.length > 0;
      const said = barred ? null : quick(at);
      refused[at] = barred || (said?.refusals.length ?? 0) > 0 ? 1 : 0;
      own[at] = said ? sumOf(said.parts.filter(({ about }) => about === null)) : 0;
      shared.push(said ? said.parts.filter(({ about }) => about !== null) : []);
      if (at % 256 === 0) onProgress(0.7 + (0.3 * at) / count);
    }
  return { by, xs, stretches, stretchAt, refused, own, shared, quick };
}
