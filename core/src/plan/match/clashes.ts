import { type Body, type BodyPose, onBody, onFrame } from '../../body/index.ts';
import { type Side, SIDES, sideSign } from '../../frame/index.ts';
import type { Section } from '../../sections/index.ts';
import type { CrossmemberOutcome } from '../crossmember-outcome.ts';
import type { Piece } from '../piece.ts';
import { bendsBetween, railUnder } from './rail-under.ts';
import type { OtherSolid, Solid } from './solids.ts';
import { acrossOf, type TyreRoom } from './tyre-box.ts';

/** Something of the frame that stands in a part of the body which must stay clear. mm. */
export interface Clash {
  /** The part of the body: one of its boxes, or its floor. */
  readonly part: { readonly id: string; readonly name: string };
  readonly with:
    | { readonly kind: 'rail'; readonly side: Side }
    | { readonly kind: 'crossmember'; readonly id: string }
    | { readonly kind: 'tyre'; readonly axle: string; readonly side: Side }
    | { readonly kind: 'member' | 'room' | 'shaft'; readonly id: string };
  readonly withName: string;
  /** Built stations between which it stands there. */
  readonly from: number;
  readonly to: number;
  /** How deep it stands in it: by how much the body must rise, as it sits, to clear. */
  readonly deep: number;
}

/** Less than this is a touch, mm. */
const TOUCH = 0.05;
/** Stations looked at between the bends of a rail, mm from each other at most. */
const STEP = 60;

/** A part of the body by its height over each station of its own; `low` is where it begins to be in the way. */
interface Keep {
  readonly id: string;
  readonly name: string;
  readonly front: number;
  readonly rear: number;
  readonly left: number;
  readonly right: number;
  readonly low: (x: number) => number;
  /** The least that it lies over `low`, between two distances across; below 0 it hangs under it there. */
  readonly dip: (y: readonly [number, number]) => number;
  readonly high: number;
  /** Over all of the frame's width. */
  readonly wide: boolean;
  /** Where its lower edge bends, in its own coordinates. */
  readonly corners: Body['underside'];
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
            low: (x) => heightAt(underside, x),
            dip: (y) => leastAcross(across ?? [], y),
            high: NO_TOP,
            wide: true,
            corners: underside,
          },
        ]
      : [];
  return [
    ...boxes.map((box): Keep => ({
      ...box,
      low: () => box.low,
      dip: () => 0,
      wide: false,
      corners: [],
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

/** How deep solid stations stand in a part of the body, and between which stations; null where they do not. */
function standsIn(keep: Keep, pose: BodyPose, solids: readonly Solid[]) {
  const within = solids.flatMap(({ x, y, low, top }) => {
    const upper = onBody(pose, { x, y: 0, z: top });
    const lower = onBody(pose, { x, y: 0, z: low });
    if (upper.x < keep.front || upper.x > keep.rear || y[1] <= keep.left || y[0] >= keep.right) return [];
    const from = keep.low(upper.x) + keep.dip(y);
    if (lower.z >= keep.high || upper.z - from <= TOUCH) return [];
    return [{ x, deep: (upper.z - from) * Math.cos(pose.rake) }];
  });
  if (within.length === 0) return null;
  return {
    from: Math.min(...within.map(({ x }) => x)),
    to: Math.max(...within.map(({ x }) => x)),
    deep: Math.max(...within.map(({ deep }) => deep)),
  };
}

/** Stations from one to another, none farther from the next than a step. */
function everyStep(xs: readonly number[]): readonly number[] {
  return xs.flatMap((x, at) => {
    const next = xs[at + 1];
    if (next === undefined) return [x];
    const count = Math.max(1, Math.ceil((next - x) / STEP));
    return Array.from({ length: count }, (_, step) => x + ((next - x) * step) / count);
  });
}

/**
 * What of the frame stands in the parts of a body that must stay clear, and how deep: rails, crossmembers, the room that
 * tyres need, members beside the rails, the drive line, and what takes up room on the frame.
 *
 * @param body The body; validated.
 * @param pose Where it sits.
 * @param frame Pieces, crossmembers, the room of the tyres, and what else is solid, as built.
 * @param sectionOf Looks a section up by its id.
 */
export function clashesOf(
  body: Body,
  pose: BodyPose,
  frame: {
    readonly pieces: readonly Piece[];
    readonly crossmembers: readonly CrossmemberOutcome[];
    readonly tyres: readonly TyreRoom[];
    readonly others: readonly OtherSolid[];
  },
  sectionOf: (id: string) => Section,
): readonly Clash[] {
  return keptClear(body).flatMap((keep): Clash[] => {
    const part = { id: keep.id, name: keep.name };
    const ends = [keep.front, keep.rear].map(
      (x) => pose.x + x * Math.cos(pose.rake) - keep.low(x) * Math.sin(pose.rake),
    );
    const [from, to] = [Math.min(...ends), Math.max(...ends)];
    const corners = keep.corners.map((point) => onFrame(pose, point).x);
    const bends = [...bendsBetween(frame.pieces, from, to), ...corners].sort((a, b) => a - b);
    const rails = SIDES.flatMap((side): Clash[] => {
      const solidsAt = (xs: readonly number[]) =>
        xs.flatMap((x): Solid[] => {
          const rail = railUnder(frame.pieces, side, x, sectionOf);
          if (!rail) return [];
          const [a, b] = [rail.inner, rail.outer].map((out) => sideSign(side) * out) as [number, number];
          return [{ x, y: [Math.min(a, b), Math.max(a, b)], low: rail.underside, top: rail.top }];
        });
      // Under a floor a rail stands deepest where one of them bends; how far along is looked at only where it does.
      if (keep.wide && !standsIn(keep, pose, solidsAt(bends))) return [];
      const found = standsIn(keep, pose, solidsAt(everyStep(bends)));
      return found ? [{ part, with: { kind: 'rail', side }, withName: `the ${side} rail`, ...found }] : [];
    });
    const crossmembers = frame.crossmembers.flatMap(({ crossmember, built }): Clash[] => {
      if (!built) return [];
      const { id, name, length, depth } = crossmember;
      const rail = railUnder(frame.pieces, 'right', built.x, sectionOf);
      const out = rail?.inner ?? 0;
      const solids = [-length / 2, 0, length / 2].map((by): Solid => ({
        x: built.x + by,
        y: [-out, out],
        low: built.z - depth,
        top: built.z,
      }));
      const found = standsIn(keep, pose, solids);
      return found ? [{ part, with: { kind: 'crossmember', id }, withName: name, ...found }] : [];
    });
    // A floor lies over the tyres' openings; only what stands out of it is met by them.
    const tyres = keep.wide
      ? []
      : frame.tyres.flatMap((tyre): Clash[] => {
          const { front, rear, low, high, axle, side, name } = tyre;
          const middle = Math.min(Math.max((from + to) / 2, front), rear);
          const solids = [front, middle, rear].map((x): Solid => ({ x, y: acrossOf(tyre), low, top: high }));
          const found = standsIn(keep, pose, solids);
          return found ? [{ part, with: { kind: 'tyre', axle, side }, withName: name, ...found }] : [];
        });
    const others = frame.others.flatMap(({ kind, id, name, stations }): Clash[] => {
      const found = standsIn(keep, pose, stations);
      return found ? [{ part, with: { kind, id }, withName: name, ...found }] : [];
    });
    return [...rails, ...crossmembers, ...tyres, ...others];
  });
}
