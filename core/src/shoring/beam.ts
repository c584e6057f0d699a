import { solve } from '../solve.ts';

/** A weight on a beam, N downward: at one place where both ends are the same, else spread evenly between them, mm. */
export interface BeamLoad {
  readonly from: number;
  readonly to: number;
  readonly force: number;
}

/** A stretch of a beam and how stiff it is in bending, N·mm². */
interface BeamStretch {
  readonly from: number;
  readonly to: number;
  readonly stiffness: number;
}

/** A beam along x, straight and weightless but for its loads. It is as stiff beyond its stretches as at the nearest. */
export interface Beam {
  readonly stretches: readonly BeamStretch[];
  readonly loads: readonly BeamLoad[];
}

/** Something rigid that a beam rests on, or is held down by. */
export interface BeamSupport {
  readonly x: number;
  /** How far it stands above the others, as shims lift it, mm. */
  readonly rise: number;
  /** It only pushes up; it only pulls down, as a strap does; or it does both. */
  readonly way: 'push' | 'pull' | 'both';
}

/** A beam at rest. Sagging and upward are above 0; shear is what stands in front of a place, up less down. */
export interface AtRest {
  /** Of each support, N upward; 0 where it does not touch. */
  readonly reactions: readonly number[];
  readonly touches: readonly boolean[];
  readonly moment: (x: number) => number;
  readonly shear: (x: number) => number;
  /** Height of the beam, mm: 0 where it lies on a support that is not raised. */
  readonly height: (x: number) => number;
  /** Slope of the beam, radians, rising to the rear. */
  readonly slope: (x: number) => number;
}

/**
 * The weight of a beam's loads, N, and the station where it balances, mm.
 *
 * @param loads The loads.
 */
export function weightOf(loads: readonly BeamLoad[]): { readonly force: number; readonly x: number } {
  const force = loads.reduce((sum, load) => sum + load.force, 0);
  const moment = loads.reduce((sum, load) => sum + (load.force * (load.from + load.to)) / 2, 0);
  return { force, x: force > 0 ? moment / force : 0 };
}

/** Bending between two breaks of a beam: moment, shear and even load where it begins, so that any place follows. */
interface Bending {
  readonly moment: number;
  readonly shear: number;
  readonly spread: number;
}

const ahead = (x: number): number => Math.max(0, x);

/** Bending of the loads alone, for each stretch between breaks. */
function ofLoads(loads: readonly BeamLoad[], breaks: readonly number[]): Bending[] {
  const points = breaks.map(() => 0);
  const spreads = breaks.map(() => 0);
  const put = (list: number[], x: number, by: number) => {
    const at = breakAt(breaks, x);
    list[at] = (list[at] as number) + by;
  };
  for (const { from, to, force } of loads)
    if (to > from) {
      put(spreads, from, force / (to - from));
      put(spreads, to, -force / (to - from));
    } else put(points, from, force);
  let [moment, shear, spread] = [0, 0, 0];
  return breaks.map((x, at) => {
    const run = at > 0 ? x - (breaks[at - 1] as number) : 0;
    moment += shear * run - (spread * run * run) / 2;
    shear -= spread * run + (points[at] as number);
    spread += spreads[at] as number;
    return { moment, shear, spread };
  });
}

const ofSupport = (support: number, breaks: readonly number[]): Bending[] =>
  breaks.map((x) => ({ moment: ahead(x - support), shear: x >= support ? 1 : 0, spread: 0 }));

interface Bent {
  readonly height: (x: number) => number;
  readonly slope: (x: number) => number;
}

/** What a moment turns and lifts a stretch by, a run behind where it begins: M / EI integrated once and twice. */
function over({ moment, shear, spread }: Bending, run: number, stiffness: number) {
  return {
    turn: (run * (moment + (run * (shear - (run * spread) / 3)) / 2)) / stiffness,
    rise: (run * run * (moment / 2 + run * (shear / 6 - (run * spread) / 24))) / stiffness,
  };
}

const breakAt = (breaks: readonly number[], x: number): number => {
  let [low, high] = [0, breaks.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((breaks[middle] as number) <= x) low = middle;
    else high = middle - 1;
  }
  return low;
};

/** How bending curves a beam that is clamped level at its first break. `stiff` is of each stretch behind a break. */
function bent(bending: readonly Bending[], breaks: readonly number[], stiff: readonly number[]): Bent {
  const slopes = [0];
  const heights = [0];
  for (let index = 1; index < breaks.length; index += 1) {
    const run = (breaks[index] as number) - (breaks[index - 1] as number);
    const { turn, rise } = over(bending[index - 1] as Bending, run, stiff[index - 1] as number);
    const slope = slopes[index - 1] as number;
    heights.push((heights[index - 1] as number) + slope * run + rise);
    slopes.push(slope + turn);
  }
  const at = (x: number) => {
    const index = breakAt(breaks, x);
    const run = x - (breaks[index] as number);
    const { turn, rise } = over(bending[index] as Bending, run, stiff[index] as number);
    const slope = slopes[index] as number;
    return { slope: slope + turn, height: (heights[index] as number) + slope * run + rise };
  };
  return { height: (x) => at(x).height, slope: (x) => at(x).slope };
}

/** More supports than this are not tried in every combination where the quick way does not settle. */
const TRIED = 12;

/**
 * A beam on rigid supports that need not touch: bending by double integration, the reactions from where it must lie. A
 * support that only pushes and would have to pull does not touch, and the other way round.
 *
 * @param beam The beam.
 * @param supports What it rests on, in any order.
 * @returns Null where the supports cannot hold it: fewer than two that touch, or it tips over the last.
 */
export function atRest(beam: Beam, supports: readonly BeamSupport[]): AtRest | null {
  const { force: weight, x: center } = weightOf(beam.loads);
  if (supports.length < 2 || weight <= 0) return null;
  const xs = [
    ...beam.stretches.flatMap(({ from, to }) => [from, to]),
    ...beam.loads.flatMap(({ from, to }) => [from, to]),
    ...supports.map(({ x }) => x),
  ];
  const breaks = [...new Set(xs)].sort((a, b) => a - b);
  const [first, last] = [breaks[0] as number, breaks[breaks.length - 1] as number];
  const long = last - first;
  const soft = long ** 3 / Math.max(...beam.stretches.map((each) => each.stiffness));
  const stiff = breaks.map((x, at) => nearest(beam.stretches, (x + (breaks[at + 1] ?? x)) / 2).stiffness);
  const weights = ofLoads(beam.loads, breaks);
  const loaded = bent(weights, breaks, stiff);
  const pushed = supports.map(({ x }) => bent(ofSupport(x, breaks), breaks, stiff));
  const u = (x: number) => (x - first) / long;

  /** Reactions, and height and slope where the beam begins, with just these supports touching. */
  const settle = (touching: readonly number[]) => {
    // Forces in parts of the weight, deflections in parts of what it would bend the beam by.
    const scale = soft * weight;
    const rows = touching.map((i) => [
      ...touching.map((j) => (pushed[j] as Bent).height((supports[i] as BeamSupport).x) / soft),
      1,
      u((supports[i] as BeamSupport).x),
    ]);
    const right = touching.map(
      (i) => ((supports[i] as BeamSupport).rise - loaded.height((supports[i] as BeamSupport).x)) / scale,
    );
    const found = solve(
      [...rows, [...touching.map(() => 1), 0, 0], [...touching.map((i) => u((supports[i] as BeamSupport).x)), 0, 0]],
      [...right, 1, u(center)],
    );
    const reactions = supports.map(() => 0);
    for (const [at, i] of touching.entries()) reactions[i] = (found[at] ?? 0) * weight;
    const [h, s] = [(found[touching.length] ?? 0) * scale, ((found[touching.length + 1] ?? 0) * scale) / long];
    const sum = (of: (each: Bent) => number) =>
      touching.reduce((total, i) => total + (reactions[i] ?? 0) * of(pushed[i] as Bent), 0);
    return {
      reactions,
      height: (x: number) => h + s * (x - first) + loaded.height(x) + sum((each) => each.height(x)),
      slope: (x: number) => s + loaded.slope(x) + sum((each) => each.slope(x)),
    };
  };
  /** How wrong a support is: its force the way it cannot push, in parts of the weight; or the beam inside it, in mm. */
  const wrong = (settled: ReturnType<typeof settle>, i: number, touching: boolean): number => {
    const { way, rise, x } = supports[i] as BeamSupport;
    const sign = way === 'push' ? 1 : -1;
    if (touching) return way === 'both' ? 0 : (-sign * (settled.reactions[i] ?? 0)) / weight;
    return way === 'both' ? Infinity : sign * (rise - settled.height(x));
  };
  const all = supports.map((_, index) => index);
  const tolerable = (settled: ReturnType<typeof settle>, touching: readonly number[]) =>
    all.every((i) => wrong(settled, i, touching.includes(i)) <= 1e-9);

  const given = ({ reactions, height, slope }: ReturnType<typeof settle>, touching: readonly number[]): AtRest => ({
    reactions,
    touches: all.map((i) => touching.includes(i)),
    height,
    slope,
    moment: (x) => {
      const at = breakAt(breaks, x);
      const { moment, shear, spread } = weights[at] as Bending;
      const run = x - (breaks[at] as number);
      const pushes = all.reduce((sum, i) => sum + (reactions[i] ?? 0) * ahead(x - (supports[i]?.x ?? 0)), 0);
      return x < first ? 0 : moment + run * (shear - (run * spread) / 2) + pushes;
    },
    shear: (x) => {
      const at = breakAt(breaks, x);
      // What stands right there is not in front of it.
      const before = breaks[at] === x ? at - 1 : at;
      const { shear, spread } = weights[before] ?? { shear: 0, spread: 0 };
      const pushes = all.reduce((sum, i) => sum + ((supports[i]?.x ?? 0) < x ? (reactions[i] ?? 0) : 0), 0);
      return x < first ? 0 : shear - spread * (x - (breaks[before] ?? x)) + pushes;
    },
  });

  let touching: readonly number[] = all;
  const seen = new Set<string>();
  while (distinct(touching, supports) >= 2 && !seen.has(touching.join())) {
    seen.add(touching.join());
    const settled = settle(touching);
    if (tolerable(settled, touching)) return given(settled, touching);
    const worst = (some: readonly number[], touches: boolean) =>
      some.reduce<{ readonly i: number; readonly by: number }>(
        (most, i) => {
          const by = wrong(settled, i, touches);
          return by > most.by ? { i, by } : most;
        },
        { i: -1, by: 1e-9 },
      ).i;
    const lifts = worst(touching, true);
    const meets = worst(
      all.filter((i) => !touching.includes(i)),
      false,
    );
    touching = lifts >= 0 ? touching.filter((i) => i !== lifts) : [...touching, meets].sort((a, b) => a - b);
  }
  if (supports.length > TRIED) return null;
  for (let set = 0; set < 2 ** supports.length; set += 1) {
    const some = all.filter((i) => (set >> i) % 2 === 1);
    if (distinct(some, supports) < 2) continue;
    const settled = settle(some);
    if (tolerable(settled, some)) return given(settled, some);
  }
  return null;
}

/** At how many places some supports are. */
const distinct = (some: readonly number[], supports: readonly BeamSupport[]): number =>
  new Set(some.map((i) => supports[i]?.x)).size;

const nearest = (stretches: readonly BeamStretch[], x: number): BeamStretch => {
  const far = ({ from, to }: BeamStretch) => Math.max(from - x, x - to);
  return stretches.reduce((best, each) => (far(each) < far(best) ? each : best));
};

/**
 * The part of a beam between two stations, with what lies on it.
 *
 * @param beam The beam.
 * @param from Where the part begins, mm; what stands right there belongs to it.
 * @param to Where it ends, mm; what stands right there does not.
 */
export function partOf({ stretches, loads }: Beam, from: number, to: number): Beam {
  const within = <T extends { readonly from: number; readonly to: number }>(each: T) => ({
    ...each,
    from: Math.max(from, each.from),
    to: Math.min(to, each.to),
  });
  return {
    stretches: stretches.map(within).filter((each) => each.to > each.from),
    loads: loads.flatMap((load) => {
      if (load.from === load.to) return load.from >= from && load.from < to ? [load] : [];
      const part = within(load);
      return part.to > part.from
        ? [{ ...part, force: (load.force * (part.to - part.from)) / (load.to - load.from) }]
        : [];
    }),
  };
}
