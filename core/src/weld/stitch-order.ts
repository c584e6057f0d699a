/** A stitch as it pulls on its joint: where its middle is across the frame, and how much weld metal it has. mm, mm². */
export interface PullingStitch {
  readonly y: number;
  readonly z: number;
  readonly area: number;
  readonly length: number;
}

/** An order of stitches, and the most that the joint is pulled out of balance on the way, mm⁴. */
export interface StitchOrder {
  /** Places in the list of stitches, first to last. */
  readonly order: readonly number[];
  readonly peak: number;
}

interface Center {
  readonly y: number;
  readonly z: number;
}

/** How far out of balance: what the stitches so far pull about both axes. */
interface Moment {
  readonly y: number;
  readonly z: number;
}

const NONE: Moment = { y: 0, z: 0 };

const plus = (moment: Moment, { y, z, area, length }: PullingStitch, center: Center): Moment => ({
  y: moment.y + area * length * (z - center.z),
  z: moment.z + area * length * (y - center.y),
});

const sizeOf = ({ y, z }: Moment): number => Math.hypot(y, z);

const momentOf = (stitches: readonly PullingStitch[], center: Center): Moment =>
  stitches.reduce((moment, stitch) => plus(moment, stitch, center), NONE);

/**
 * The most that a joint is out of balance after any stitch of an order, mm⁴.
 *
 * @param stitches The stitches in their order.
 * @param center Of the joint's walls, both rails together.
 * @param before Stitches that are welded already.
 */
export function peakOf(
  stitches: readonly PullingStitch[],
  center: Center,
  before: readonly PullingStitch[] = [],
): number {
  let moment = momentOf(before, center);
  let peak = 0;
  for (const stitch of stitches) {
    moment = plus(moment, stitch, center);
    peak = Math.max(peak, sizeOf(moment));
  }
  return peak;
}

/** Up to so many stitches every set of them is looked at: more take longer than a person waits. */
const EXACT = 14;
/** How many part orders are carried along at a time where there are more. */
const BEAM = 60;

/**
 * The order with the smallest peak of the running moment: after each stitch √(My² + Mz²), M = Σ area × length × distance from
 * the center. What is out of balance depends on which stitches are done and not on their order, so up to 14 stitches every
 * set is looked at once and the result is the best there is; of more, the most balanced part orders are carried along.
 *
 * @param stitches The stitches.
 * @param center Of the joint's walls, both rails together.
 * @param before Stitches that are welded already.
 * @param after For each stitch the places of those that go first; none where not given. No circle among them.
 */
export function balancedOrder(
  stitches: readonly PullingStitch[],
  center: Center,
  before: readonly PullingStitch[] = [],
  after: readonly (readonly number[])[] = [],
): StitchOrder {
  const start = momentOf(before, center);
  const order =
    stitches.length <= EXACT
      ? overAllSets(stitches, center, start, after)
      : carriedAlong(stitches, center, start, after);
  return {
    order,
    peak: peakOf(
      order.map((at) => stitches[at] as PullingStitch),
      center,
      before,
    ),
  };
}

/** The order by its sets: the least peak on the way to each set, from the empty one to the whole. */
function overAllSets(
  stitches: readonly PullingStitch[],
  center: Center,
  start: Moment,
  after: readonly (readonly number[])[],
): readonly number[] {
  const count = stitches.length;
  const sets = 2 ** count;
  const needs = stitches.map((_, at) => (after[at] ?? []).reduce((mask, other) => mask | (1 << other), 0));
  const least = new Float64Array(sets).fill(Infinity);
  // Of orders with the same peak the one that is less out of balance on the whole is taken.
  const total = new Float64Array(sets).fill(Infinity);
  const last = new Int8Array(sets).fill(-1);
  const [my, mz] = [new Float64Array(sets), new Float64Array(sets)];
  [least[0], total[0], my[0], mz[0]] = [0, 0, start.y, start.z];
  for (let set = 1; set < sets; set += 1) {
    const top = 31 - Math.clz32(set);
    const rest = set ^ (1 << top);
    const moment = plus({ y: my[rest] as number, z: mz[rest] as number }, stitches[top] as PullingStitch, center);
    [my[set], mz[set]] = [moment.y, moment.z];
    const size = sizeOf(moment);
    for (let at = 0; at < count; at += 1) {
      const from = set ^ (1 << at);
      if (!(set & (1 << at)) || ((needs[at] as number) & from) !== needs[at]) continue;
      const peak = Math.max(least[from] as number, size);
      const sum = (total[from] as number) + size;
      if (peak < (least[set] as number) || (peak === least[set] && sum < (total[set] as number)))
        [least[set], total[set], last[set]] = [peak, sum, at];
    }
  }
  const order: number[] = [];
  for (let set = sets - 1; set > 0;) {
    const at = last[set] as number;
    order.unshift(at);
    set ^= 1 << at;
  }
  return order;
}

/** An order as far as it goes. */
interface PartOrder {
  readonly moment: Moment;
  readonly peak: number;
  readonly total: number;
  readonly at: number;
  readonly from: PartOrder | null;
  readonly done: Uint8Array;
}

/** The order by carrying the most balanced part orders along, one stitch at a time. */
function carriedAlong(
  stitches: readonly PullingStitch[],
  center: Center,
  start: Moment,
  after: readonly (readonly number[])[],
): readonly number[] {
  let carried: readonly PartOrder[] = [
    { moment: start, peak: 0, total: 0, at: -1, from: null, done: new Uint8Array(stitches.length) },
  ];
  for (let step = 0; step < stitches.length; step += 1) {
    const next = new Map<string, Omit<PartOrder, 'done'> & { readonly from: PartOrder }>();
    for (const from of carried)
      for (const [at, stitch] of stitches.entries()) {
        if (from.done[at] || !(after[at] ?? []).every((other) => from.done[other])) continue;
        const moment = plus(from.moment, stitch, center);
        const size = sizeOf(moment);
        const one = { moment, peak: Math.max(from.peak, size), total: from.total + size, at, from };
        // Two part orders that leave the joint alike out of balance are one: the better of them goes on.
        const key = `${Math.round(moment.y)} ${Math.round(moment.z)}`;
        const known = next.get(key);
        if (!known || one.peak < known.peak || (one.peak === known.peak && one.total < known.total)) next.set(key, one);
      }
    carried = [...next.values()]
      .sort((a, b) => a.peak - b.peak || a.total - b.total)
      .slice(0, BEAM)
      .map((one) => ({ ...one, done: one.from.done.with(one.at, 1) }));
  }
  const order: number[] = [];
  for (let one: PartOrder | null = carried[0] ?? null; one && one.at >= 0; one = one.from) order.unshift(one.at);
  return order;
}
