import type { Frame } from '../frame/index.ts';
import { inches } from '../units/index.ts';
import type { Along } from './along.ts';
import type { JudgeContext } from './judge.ts';
import { ASSUMED_ROOM, LANE_IDS, type Lane } from './reason.ts';
import { type Unmeasured, unmeasuredOf } from './unmeasured.ts';

/** A stretch of a lane that forbids a cut or makes it dear; what is between is clear. Donor stations, mm. */
export interface LaneStretch {
  readonly lane: Lane;
  readonly from: number;
  readonly to: number;
  /** `assumed`: forbidden by what is taken to be there, since nobody has measured it. */
  readonly state: 'forbids' | 'assumed' | 'costs';
  /** What it is about: names of things, or of how the rail runs. Figures change along it, and are asked for at a place. */
  readonly about: readonly string[];
  /** The most that it costs along it, hours; 0 where it forbids. */
  readonly hours: number;
}

/** What the lanes show of a frame. */
export interface Lanes {
  readonly stretches: readonly LaneStretch[];
  /** Where a cut can reach the goal, donor stations, mm: nothing is reported outside of it. */
  readonly serves: readonly { readonly from: number; readonly to: number }[];
  /** Lanes about which nobody has measured anything: not clear, but unknown. */
  readonly unmeasured: readonly Unmeasured[];
  /** How hard the rail is bent, as a share of the hardest place, along the frame. */
  readonly load: readonly { readonly x: number; readonly share: number }[];
}

/** As fine as a lane is drawn, mm. */
const FINE = inches(1 / 4);
/** What weighs less than this is left out of the lanes, hours. */
const LEAST = 0.2;

/** What of a place is shown where more than one holds. */
const RANK = { forbids: 2, assumed: 1, costs: 0 } as const;

type Here = Pick<LaneStretch, 'state' | 'about' | 'hours'>;

const sameAs = (a: Here, b: Here): boolean => a.state === b.state && a.about.join('|') === b.about.join('|');

/** How a reason is called that is about the rail itself, by its code. */
const CALLED: Readonly<Record<string, string>> = {
  crooked: 'near a bend',
  tapered: 'on a taper or slope',
  apart: 'ends apart',
  torch: 'in the way of the torch',
  'no-room': 'no room for plates',
  close: 'something right beside it',
  'ends-cannot': 'ends cannot meet',
  'joint-cannot': 'ends cannot meet',
  'ends-ease-with-a-pie-cut': 'ends at a kink',
  'ends-needs-a-transition-piece': 'ends do not meet',
  'ends-dress': 'ends to dress',
  'ends-wedge': 'a wedge',
  'no-crossmember': 'a part without crossmember',
  'ahead-of-hanger': 'ahead of the last hanger',
  'not-weldable': 'must not be welded',
};

/** Names of everything on a frame, by id. */
export const namesOf = ({ features, crossmembers, units, lines, members, braces, axles, points }: Frame) =>
  new Map(
    [...features, ...crossmembers, ...units, ...lines, ...members, ...braces, ...axles, ...points].map(
      ({ id, name }) => [id, name] as const,
    ),
  );

/**
 * What speaks against a cut along the frame, lane by lane.
 *
 * @param along Every place for one cut.
 * @param judgeContext What options are judged with.
 */
export function lanesOf(along: Along, judgeContext: JudgeContext): Lanes {
  const names = namesOf(judgeContext.base.input.donor);
  const everywhere = costsEverywhere(along);
  const { xs, stretches } = along;
  const step = xs.length > 1 ? (xs[1] as number) - (xs[0] as number) : FINE;
  const skip = Math.max(1, Math.round(FINE / step));
  const found: LaneStretch[] = [];
  const open = new Map<Lane, { here: Here; from: number; to: number }>();
  const close = (lane: Lane) => {
    const one = open.get(lane);
    if (one) found.push({ lane, from: one.from, to: one.to, ...one.here });
    open.delete(lane);
  };
  for (const { first, last, probe } of stretches) {
    const elsewhere = probe.kind === 'elsewhere';
    for (let at = first; at <= last; at += skip) {
      const from = xs[at] as number;
      const to = xs[Math.min(at + skip, last + 1, xs.length - 1)] as number;
      const here = elsewhere ? new Map<Lane, Here>() : lanesAt(along, at, names, everywhere);
      for (const lane of LANE_IDS) {
        const now = here.get(lane);
        const one = open.get(lane);
        if (one && now && sameAs(one.here, now)) {
          one.to = to;
          one.here = { ...one.here, hours: Math.max(one.here.hours, now.hours) };
        } else {
          close(lane);
          if (now) open.set(lane, { here: now, from, to });
        }
      }
    }
  }
  for (const lane of LANE_IDS) close(lane);
  const { bending, hardest, ends } = judgeContext.ground;
  const SAMPLES = 160;
  return {
    stretches: found,
    serves: servesOf(along),
    unmeasured: unmeasuredOf(judgeContext.base.input.donor, bending !== null && hardest > 0),
    load:
      bending && hardest > 0
        ? Array.from({ length: SAMPLES + 1 }, (_, at) => {
            const x = ends[0] + ((ends[1] - ends[0]) * at) / SAMPLES;
            return { x, share: bending(x).stress / hardest };
          })
        : [],
  };
}

function servesOf({ stretches, xs }: Along): Lanes['serves'] {
  const serves: { from: number; to: number }[] = [];
  for (const { first, last, probe } of stretches) {
    if (probe.kind === 'elsewhere') continue;
    const [from, to] = [xs[first] as number, xs[Math.min(last + 1, xs.length - 1)] as number];
    const before = serves.at(-1);
    if (before && Math.abs(before.to - from) < 1e-6) before.to = to;
    else serves.push({ from, to });
  }
  return serves;
}

const keyOf = ({ code, about }: { readonly code: string; readonly about: string | null }) => `${code}/${about ?? ''}`;

/** A share of the places that serve above which a cost tells no place from another. */
const EVERYWHERE = 0.98;

/** What a cut costs wherever it is: the lanes would be full of it, and it tells nothing. */
function costsEverywhere({ stretches }: Along): ReadonlySet<string> {
  const lengths = new Map<string, number>();
  let all = 0;
  for (const { first, last, probe } of stretches) {
    if (probe.kind === 'elsewhere') continue;
    all += last - first + 1;
    for (const cost of probe.costs) lengths.set(keyOf(cost), (lengths.get(keyOf(cost)) ?? 0) + last - first + 1);
  }
  return new Set([...lengths].flatMap(([key, length]) => (length >= EVERYWHERE * all ? [key] : [])));
}

/** What each lane says of one place. */
function lanesAt(
  along: Along,
  at: number,
  names: ReadonlyMap<string, string>,
  everywhere: ReadonlySet<string>,
): Map<Lane, Here> {
  const here = new Map<Lane, Here>();
  const add = (
    lane: Lane,
    state: Here['state'],
    { code, about }: { readonly code: string; readonly about: string | null },
    hours: number,
  ) => {
    const called = (about === null ? undefined : names.get(about)) ?? CALLED[code] ?? code.replaceAll('-', ' ');
    const known = here.get(lane);
    if (known && RANK[known.state] > RANK[state]) return;
    const before = known?.state === state ? known.about : [];
    here.set(lane, {
      state,
      about: before.includes(called) ? before : [...before, called],
      hours: (known?.state === state ? known.hours : 0) + hours,
    });
  };
  const { probe } = along.stretches[along.stretchAt[at] as number] as Along['stretches'][number];
  const quick = along.quick(at);
  for (const reason of [...probe.refusals, ...quick.refusals])
    add(reason.lane, reason.code === ASSUMED_ROOM ? 'assumed' : 'forbids', reason, 0);
  for (const cost of probe.costs)
    if (cost.hours > 0 && !everywhere.has(keyOf(cost))) add(cost.lane, 'costs', cost, cost.hours);
  for (const part of quick.parts)
    if (part.lane !== 'load' && part.hours >= LEAST) add(part.lane, 'costs', part, part.hours);
  return here;
}
