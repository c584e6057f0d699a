import { solve } from '../solve.ts';

/** A weight on a beam, N downward: at one place where both ends are the same, else spread evenly between them, mm. */
export interface BeamLoad {
  readonly from: number;
  readonly to: number;
  readonly force: number;
}

/** A stretch of a beam and how stiff it is in bending, N·mm². */
export interface BeamStretch {
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
export interface Support {
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

/** Bending moment at a place of what is ahead of it, N·mm. */
type MomentAt = (x: number) => number;

const ahead = (x: number): number => Math.max(0, x);

const ofLoads =
  (loads: readonly BeamLoad[]): MomentAt =>
  (x) =>
    -loads.reduce(
      (sum, { from, to, force }) =>
        sum +
        (to > from
          ? ((force / (to - from)) * (ahead(x - from) ** 2 - ahead(x - to) ** 2)) / 2
          : force * ahead(x - from)),
      0,
    );

const ofSupport =
  (at: number): MomentAt =>
  (x) =>
    ahead(x - at);

/** Gauss's three points: exact for the fourth degree, and moment times lever is of the third. */
const GAUSS = [
  [-Math.sqrt(0.6), 5 / 18],
  [0, 8 / 18],
  [Math.sqrt(0.6), 5 / 18],
] as const;

interface Bent {
  readonly height: (x: number) => number;
  readonly slope: (x: number) => number;
}

/** How a moment bends a beam that is clamped level at its first break: M / EI integrated twice, exactly between breaks. */
function bent(moment: MomentAt, breaks: readonly number[], stiffness: (x: number) => number): Bent {
  const step = (from: number, to: number) => {
    const flex = 1 / stiffness((from + to) / 2);
    let [turn, rise] = [0, 0];
    for (const [at, share] of GAUSS) {
      const s = (from + to) / 2 + (at * (to - from)) / 2;
      const bend = moment(s) * flex * share * (to - from);
      turn += bend;
      rise += bend * (to - s);
    }
    return { turn, rise };
  };
  const slopes = [0];
  const heights = [0];
  for (let index = 1; index < breaks.length; index += 1) {
    const [from, to] = [breaks[index - 1] as number, breaks[index] as number];
    const { turn, rise } = step(from, to);
    const slope = slopes[index - 1] as number;
    heights.push((heights[index - 1] as number) + slope * (to - from) + rise);
    slopes.push(slope + turn);
  }
  const at = (x: number) => {
    const index = Math.max(
      0,
      breaks.findLastIndex((each) => each <= x),
    );
    const from = breaks[index] as number;
    const { turn, rise } = step(from, x);
    const slope = slopes[index] as number;
    return { slope: slope + turn, height: (heights[index] as number) + slope * (x - from) + rise };
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
export function atRest(beam: Beam, supports: readonly Support[]): AtRest | null {
  const { force: weight, x: centre } = weightOf(beam.loads);
  if (supports.length < 2 || weight <= 0) return null;
  const stiffness = (x: number): number =>
    (beam.stretches.find(({ from, to }) => x >= from && x <= to) ?? nearest(beam.stretches, x)).stiffness;
  const xs = [
    ...beam.stretches.flatMap(({ from, to }) => [from, to]),
    ...beam.loads.flatMap(({ from, to }) => [from, to]),
    ...supports.map(({ x }) => x),
  ];
  const breaks = [...new Set(xs)].sort((a, b) => a - b);
  const [first, last] = [breaks[0] as number, breaks[breaks.length - 1] as number];
  const long = last - first;
  const soft = long ** 3 / Math.max(...beam.stretches.map((each) => each.stiffness));
  const loaded = bent(ofLoads(beam.loads), breaks, stiffness);
  const pushed = supports.map(({ x }) => bent(ofSupport(x), breaks, stiffness));
  const u = (x: number) => (x - first) / long;

  /** Reactions, and height and slope where the beam begins, with just these supports touching. */
  const settle = (touching: readonly number[]) => {
    // Forces in parts of the weight, deflections in parts of what it would bend the beam by.
    const scale = soft * weight;
    const rows = touching.map((i) => [
      ...touching.map((j) => (pushed[j] as Bent).height((supports[i] as Support).x) / soft),
      1,
      u((supports[i] as Support).x),
    ]);
    const right = touching.map(
      (i) => ((supports[i] as Support).rise - loaded.height((supports[i] as Support).x)) / scale,
    );
    const found = solve(
      [...rows, [...touching.map(() => 1), 0, 0], [...touching.map((i) => u((supports[i] as Support).x)), 0, 0]],
      [...right, 1, u(centre)],
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
    const { way, rise, x } = supports[i] as Support;
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
    moment: (x) =>
      ofLoads(beam.loads)(x) + all.reduce((sum, i) => sum + (reactions[i] ?? 0) * ahead(x - (supports[i]?.x ?? 0)), 0),
    shear: (x) =>
      all.reduce((sum, i) => sum + ((supports[i]?.x ?? 0) < x ? (reactions[i] ?? 0) : 0), 0) -
      beam.loads.reduce((sum, { from, to, force }) => {
        if (from === to) return sum + (from < x ? force : 0);
        return sum + (force * Math.min(Math.max(x - from, 0), to - from)) / (to - from);
      }, 0),
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
const distinct = (some: readonly number[], supports: readonly Support[]): number =>
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
