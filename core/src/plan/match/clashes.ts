import { type Body, type BodyPose, onBody, onFrame } from '../../body/index.ts';
import { type Side, SIDES } from '../../frame/index.ts';
import type { Section } from '../../sections/index.ts';
import type { CrossmemberOutcome } from '../crossmember-outcome.ts';
import { TOLERANCE } from '../../units/index.ts';
import type { RailSteel } from './rail-under.ts';
import { crossmemberStretch, type OtherSolid, railStretches, type Solid, type Stretch, stretchesOf } from './solids.ts';
import { acrossOf, type TireRoom } from './tire-box.ts';

/** Something of the frame that stands in a part of the body which must stay clear. mm. */
export interface Clash {
  /** The part of the body: one of its boxes, or its floor. */
  readonly part: { readonly id: string; readonly name: string };
  readonly with:
    | { readonly kind: 'rail'; readonly side: Side }
    | { readonly kind: 'crossmember'; readonly id: string }
    | { readonly kind: 'tire'; readonly axle: string; readonly side: Side }
    | { readonly kind: 'member' | 'room' | 'shaft'; readonly id: string };
  readonly withName: string;
  /** Built stations between which it stands there. */
  readonly from: number;
  readonly to: number;
  /** How deep it stands in it: by how much the body must rise, as it sits, to clear. */
  readonly deep: number;
}

/** A part of the body, in coordinates of its own: from its lower edge up it is in the way. */
interface Keep {
  readonly id: string;
  readonly name: string;
  readonly front: number;
  readonly rear: number;
  readonly left: number;
  readonly right: number;
  readonly lower: readonly Lower[];
  /** Whether its lower edge rises or falls across. */
  readonly across: boolean;
  /** The least that it lies over its lower edge, between two distances across; below 0 it hangs under it there. */
  readonly dip: (y: readonly [number, number]) => number;
  readonly high: number;
  /** Over all of the frame's width. */
  readonly wide: boolean;
}

/** A straight stretch of a lower edge: its height at its front end, and how much it rises to the rear, dz/dx. */
interface Lower {
  readonly front: number;
  readonly rear: number;
  readonly low: number;
  readonly rise: number;
}

/** Where nothing is above a floor: all of the body stands on it. */
const NO_TOP = 1e6;

function keptClear({ boxes, underside, across, id }: Body): readonly Keep[] {
  const [first, last] = [underside[0], underside.at(-1)];
  const floor: Keep[] =
    first && last && underside.length > 1
      ? [
          {
            id,
            name: 'floor',
            front: first.x,
            rear: last.x,
            left: -NO_TOP,
            right: NO_TOP,
            lower: underside.slice(1).flatMap((to, index): Lower[] => {
              const from = underside[index] as typeof to;
              return to.x > from.x
                ? [{ front: from.x, rear: to.x, low: from.z, rise: (to.z - from.z) / (to.x - from.x) }]
                : [];
            }),
            across: (across ?? []).length > 0,
            dip: (y) => leastAcross(across ?? [], y),
            high: NO_TOP,
            wide: true,
          },
        ]
      : [];
  return [
    ...boxes.map((box): Keep => ({
      ...box,
      lower: [{ front: box.front, rear: box.rear, low: box.low, rise: 0 }],
      across: false,
      dip: () => 0,
      wide: false,
    })),
    ...floor,
  ];
}

/** Height of a profile, straight between its points. */
function heightAt(profile: Body['underside'], x: number): number {
  const behind = profile.findIndex((point) => point.x >= x);
  const [a, b] = [profile[Math.max(0, behind - 1)], profile[behind < 0 ? profile.length - 1 : behind]];
  if (!a || !b) return 0;
  return b.x <= a.x ? Math.min(a.z, b.z) : a.z + ((b.z - a.z) * (Math.min(Math.max(x, a.x), b.x) - a.x)) / (b.x - a.x);
}

/** The least height of a floor across between two distances from the middle, mm: straight between its points, level beyond. */
function leastAcross(across: NonNullable<Body['across']>, [left, right]: readonly [number, number]): number {
  if (across.length === 0) return 0;
  const profile = across.toSorted((a, b) => a.out - b.out).map(({ out, z }) => ({ x: out, z }));
  const at = (y: number) => heightAt(profile, Math.abs(y));
  const inner = left <= 0 && right >= 0 ? 0 : Math.min(Math.abs(left), Math.abs(right));
  const outer = Math.max(Math.abs(left), Math.abs(right));
  const within = profile.filter(({ x }) => x > inner && x < outer).map(({ z }) => z);
  return Math.min(at(inner), at(outer), ...within);
}

type Point = readonly [x: number, z: number];

/** The part of a convex outline where `inside` is 0 or more; it must be straight in x and z. */
function clip(outline: readonly Point[], inside: (point: Point) => number): readonly Point[] {
  return outline.flatMap((to, index): Point[] => {
    const from = outline[index === 0 ? outline.length - 1 : index - 1] as Point;
    const [a, b] = [inside(from), inside(to)];
    const share = a / (a - b);
    const cut: Point = [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
    return [...((a > 0 && b < 0) || (a < 0 && b > 0) ? [cut] : []), ...(b >= 0 ? [to] : [])];
  });
}

/** The part of a stretch of something solid that lies between two distances across; null where none does. */
function between([a, b]: Stretch, left: number, right: number): Stretch | null {
  // Both edges run straight: where each passes a limit is known exactly.
  const [over, under] = [(at: Solid) => at.y[1] - left, (at: Solid) => right - at.y[0]];
  let [from, to] = [0, 1];
  for (const room of [over, under]) {
    const [here, there] = [room(a), room(b)];
    if (here <= TOLERANCE && there <= TOLERANCE) return null;
    const share = here / (here - there);
    if (here <= 0) from = Math.max(from, share);
    else if (there <= 0) to = Math.min(to, share);
  }
  if (to <= from) return null;
  const at = (share: number): Solid => {
    const mix = (p: number, q: number) => p + share * (q - p);
    return {
      x: mix(a.x, b.x),
      y: [mix(a.y[0], b.y[0]), mix(a.y[1], b.y[1])],
      low: mix(a.low, b.low),
      top: mix(a.top, b.top),
    };
  };
  return [from === 0 ? a : at(from), to === 1 ? b : at(to)];
}

/** Parts that a stretch is looked at in where the floor rises or falls across and the stretch runs across too. */
const ACROSS_PARTS = 16;

/** A stretch in parts, where the floor over it is not the same all along. */
function inParts([a, b]: Stretch, { across }: Keep): readonly Stretch[] {
  if (!across || (a.y[0] === b.y[0] && a.y[1] === b.y[1])) return [[a, b]];
  const at = (step: number): Solid => {
    const mix = (p: number, q: number) => p + ((q - p) * step) / ACROSS_PARTS;
    return {
      x: mix(a.x, b.x),
      y: [mix(a.y[0], b.y[0]), mix(a.y[1], b.y[1])],
      low: mix(a.low, b.low),
      top: mix(a.top, b.top),
    };
  };
  return Array.from({ length: ACROSS_PARTS }, (_, step): Stretch => [at(step), at(step + 1)]);
}

/** How deep something stands in a part of a body, and between which built stations. */
interface StandsIn {
  readonly from: number;
  readonly to: number;
  readonly deep: number;
}

/** Both together: the deeper, over all that they take up. */
const together = <T extends StandsIn>(known: T | null, here: T): T =>
  known === null
    ? here
    : {
        ...here,
        from: Math.min(known.from, here.from),
        to: Math.max(known.to, here.to),
        deep: Math.max(known.deep, here.deep),
      };

/** How deep a straight stretch of something solid stands in a part of a body: exact, by the corners of what they share. */
function shared(keep: Keep, pose: BodyPose, stretch: Stretch): StandsIn | null {
  const [a, b] = stretch;
  const corner = (x: number, z: number): Point => {
    const at = onBody(pose, { x, y: 0, z });
    return [at.x, at.z];
  };
  const side = [corner(a.x, a.top), corner(b.x, b.top), corner(b.x, b.low), corner(a.x, a.low)];
  const dip = Math.min(keep.dip(a.y), keep.dip(b.y));
  const [first, last] = [Math.min(...side.map(([x]) => x)), Math.max(...side.map(([x]) => x))];
  return keep.lower.reduce<StandsIn | null>((found, { front, rear, low, rise }) => {
    // Most stretches lie all ahead of it or all behind it.
    if (last <= front || first >= rear) return found;
    const over = ([x, z]: Point): number => z - (low + rise * (x - front) + dip);
    // What lies all under it is not cut to size first: cutting brings nothing of it higher.
    if (!side.some((point) => over(point) > TOLERANCE)) return found;
    const inside = [([x]: Point) => x - front, ([x]: Point) => rear - x, ([, z]: Point) => keep.high - z, over].reduce<
      readonly Point[]
    >(clip, side);
    const deep = Math.max(-Infinity, ...inside.map(over)) * Math.cos(pose.rake);
    if (!(deep > TOLERANCE)) return found;
    const xs = inside.map(([x, z]) => onFrame(pose, { x, z }).x);
    // What only touches at an end does not stand in it.
    if (!(Math.max(...xs) - Math.min(...xs) > TOLERANCE)) return found;
    return together(found, { from: Math.min(...xs), to: Math.max(...xs), deep });
  }, null);
}

/** How deep something solid stands in a part of the body, and between which stations; null where it does not. */
const standsIn = (keep: Keep, pose: BodyPose, stretches: readonly Stretch[]): StandsIn | null =>
  stretches
    .map((stretch) => between(stretch, keep.left, keep.right))
    .filter((stretch) => stretch !== null)
    .flatMap((stretch) => inParts(stretch, keep))
    .reduce<StandsIn | null>((found, stretch) => {
      const here = shared(keep, pose, stretch);
      return here ? together(found, here) : found;
    }, null);

/**
 * What of the frame stands in the parts of a body that must stay clear, and how deep: rails, crossmembers, the room that
 * tires need, members beside the rails, the drive line, and what takes up room on the frame.
 *
 * @param body The body; validated.
 * @param pose Where it sits.
 * @param frame Pieces, crossmembers, the room of the tires, and what else is solid, as built.
 * @param sectionOf Looks a section up by its id.
 */
export function clashesOf(
  body: Body,
  pose: BodyPose,
  frame: {
    readonly pieces: RailSteel['pieces'];
    readonly reworks: RailSteel['reworks'];
    readonly crossmembers: readonly CrossmemberOutcome[];
    readonly tires: readonly TireRoom[];
    readonly others: readonly OtherSolid[];
  },
  sectionOf: (id: string) => Section,
): readonly Clash[] {
  const across = frame.crossmembers.flatMap((outcome) => {
    const stretch = crossmemberStretch(outcome, frame, sectionOf);
    return stretch ? [{ outcome, stretch }] : [];
  });
  return keptClear(body).flatMap((keep): Clash[] => {
    const part = { id: keep.id, name: keep.name };
    const rails = SIDES.flatMap((side): Clash[] => {
      const found = standsIn(keep, pose, railStretches(frame, side, sectionOf));
      return found ? [{ part, with: { kind: 'rail', side }, withName: `the ${side} rail`, ...found }] : [];
    });
    const crossmembers = across.flatMap(({ outcome, stretch }): Clash[] => {
      const found = standsIn(keep, pose, [stretch]);
      const { id, name } = outcome.crossmember;
      return found ? [{ part, with: { kind: 'crossmember', id }, withName: name, ...found }] : [];
    });
    // A floor lies over the tires' openings; only what stands out of it is met by them.
    const tires = keep.wide
      ? []
      : frame.tires.flatMap((tire): Clash[] => {
          const { front, rear, low, high, axle, side, name } = tire;
          const at = (x: number): Solid => ({ x, y: acrossOf(tire), low, top: high });
          const found = standsIn(keep, pose, [[at(front), at(rear)]]);
          return found ? [{ part, with: { kind: 'tire', axle, side }, withName: name, ...found }] : [];
        });
    const others = frame.others.flatMap(({ kind, id, name, stations }): Clash[] => {
      const found = standsIn(keep, pose, stretchesOf(stations));
      return found ? [{ part, with: { kind, id }, withName: name, ...found }] : [];
    });
    return [...rails, ...crossmembers, ...tires, ...deepestOfEach(others)];
  });
}

/** Copies of one thing as one clash: the deepest of them, over all that they take up. */
function deepestOfEach(clashes: readonly Clash[]): readonly Clash[] {
  const byThing = new Map<string, Clash>();
  for (const clash of clashes) {
    const key = 'id' in clash.with ? `${clash.with.kind}/${clash.with.id}` : clash.withName;
    byThing.set(key, together(byThing.get(key) ?? null, clash));
  }
  return [...byThing.values()];
}
