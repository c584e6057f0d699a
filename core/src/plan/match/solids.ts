import { type FramePoint, type FrameRoom, type Side, SIDES, sideSign, type Vec3 } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { type Section, widthOf } from '../../sections/index.ts';
import { driveLineOf } from '../drive-line.ts';
import { carrierOf, ridden } from '../locate.ts';
import type { MemberOutcome } from '../members/index.ts';
import type { CrossmemberOutcome } from '../crossmember-outcome.ts';
import { insideEdge } from '../outline.ts';
import type { Piece } from '../piece.ts';
import type { RiderOutcome } from '../rider-outcome.ts';
import type { PlanState } from '../state.ts';
import { TOLERANCE } from '../../units/index.ts';
import { bendsBetween, railUnder, type RailSteel } from './rail-under.ts';

/** A station of something solid: its breadth across the frame and its height, mm. */
export interface Solid {
  readonly x: number;
  readonly y: readonly [number, number];
  readonly low: number;
  readonly top: number;
}

/** Something solid on the built frame besides rails, crossmembers and tires, by stations from front to rear. */
export interface OtherSolid {
  readonly kind: 'member' | 'room' | 'shaft';
  readonly id: string;
  readonly name: string;
  readonly stations: readonly Solid[];
}

/** A straight stretch of something solid, front to rear: between its two stations everything runs straight. */
export type Stretch = readonly [Solid, Solid];

/**
 * The stretches between the stations of something solid.
 *
 * @param stations Front to rear.
 */
export const stretchesOf = (stations: readonly Solid[]): readonly Stretch[] =>
  stations.slice(1).map((to, index): Stretch => [stations[index] as Solid, to]);

/** Both ends of a line in space: `half` across and in height, `over` more at its rear end in height. */
const along = (from: Vec3, to: Vec3, half: readonly [across: number, high: number], over = 0): readonly Solid[] =>
  [from, to].map(({ x, y, z }, at): Solid => ({
    x,
    y: [y - half[0], y + half[0]],
    low: z - half[1],
    top: z + half[1] + at * over,
  }));

/** How far beside a bend a rail is looked at, mm: on the side of the stretch, and beyond the tolerance. */
const BESIDE = 2 * TOLERANCE;

const railsKnown = new WeakMap<
  RailSteel['pieces'],
  {
    readonly reworks: RailSteel['reworks'];
    readonly sectionOf: (id: string) => Section;
    readonly sides: Readonly<Record<Side, readonly Stretch[]>>;
  }
>();

/**
 * The straight stretches of one rail of the built frame, as its steel really is.
 *
 * @param steel The pieces of the frame, and the notches in them.
 * @param side Left or right, as seated.
 * @param sectionOf Looks a section up by its id.
 */
export function railStretches(steel: RailSteel, side: Side, sectionOf: (id: string) => Section): readonly Stretch[] {
  const known = railsKnown.get(steel.pieces);
  if (known && known.reworks === steel.reworks && known.sectionOf === sectionOf) return known.sides[side];
  const bends = bendsBetween(steel, -Infinity, Infinity, sectionOf).filter(Number.isFinite);
  const of = (on: Side): readonly Stretch[] =>
    bends.slice(1).flatMap((to, index): Stretch[] => {
      const from = bends[index] as number;
      if (to - from <= 2 * BESIDE) return [];
      const at = (x: number, seen: number): Solid | null => {
        const rail = railUnder(steel, on, seen, sectionOf);
        if (!rail) return null;
        const ys = [rail.inner, rail.outer].map((out) => sideSign(on) * out) as [number, number];
        return { x, y: [Math.min(...ys), Math.max(...ys)], low: rail.underside, top: rail.top };
      };
      const [a, b] = [at(from, from + BESIDE), at(to, to - BESIDE)];
      return a && b ? [[a, b]] : [];
    });
  const sides = { left: of('left'), right: of('right') };
  railsKnown.set(steel.pieces, { reworks: steel.reworks, sectionOf, sides });
  return sides[side];
}

/**
 * A crossmember as built, from rail to rail; null where it is not there.
 *
 * @param outcome What became of it.
 * @param steel The pieces of the frame, and the notches in them.
 * @param sectionOf Looks a section up by its id.
 */
export function crossmemberStretch(
  { crossmember, built, piece }: CrossmemberOutcome,
  { pieces }: Pick<RailSteel, 'pieces'>,
  sectionOf: (id: string) => Section,
): Stretch | null {
  const carrier = piece === null ? undefined : pieces[piece];
  if (!built || !carrier) return null;
  const { x, length, depth } = crossmember;
  const inside = SIDES.map((side) => insideEdge(carrier, side, x, sectionOf)) as [number, number];
  const y = [Math.min(...inside), Math.max(...inside)] as const;
  const at = (by: number): Solid => ({ x: built.x + by, y, low: built.z - depth, top: built.z });
  return [at(-length / 2), at(length / 2)];
}

/**
 * Members beside the rails as built.
 *
 * @param members What became of each.
 * @param sectionOf Looks a section up by its id.
 */
export const memberSolids = (
  members: readonly MemberOutcome[],
  sectionOf: (id: string) => Section,
): readonly OtherSolid[] =>
  members.flatMap(({ member, copies }): OtherSolid[] => {
    const section = sectionOf(member.section);
    const half = [widthOf(section) / 2, section.depth / 2] as const;
    return copies.flatMap(({ built }) =>
      built.flatMap(({ points }) =>
        points.slice(1).map((to, index): OtherSolid => ({
          kind: 'member',
          id: member.id,
          name: member.name,
          stations: along(points[index] as Vec3, to, half),
        })),
      ),
    );
  });

/**
 * The shafts of the drive line as built: a round room about each, which rises with the axle's bump toward the pinion.
 *
 * @param points What became of each point.
 * @param rules The shop’s rulebook.
 */
export function shaftSolids(points: readonly RiderOutcome<FramePoint>[], rules: Rulebook): readonly OtherSolid[] {
  const line = driveLineOf(points, 'built');
  const half = ruleValue(rules, 'shaft/room');
  const bump = ruleValue(rules, 'tire/bump');
  return (line?.shafts ?? []).map(({ front, rear }, at, all): OtherSolid => {
    const rises = at === all.length - 1 ? bump : 0;
    return {
      kind: 'shaft',
      id: rear.point.id,
      name: all.length > 1 ? `drive shaft ${at + 1}` : 'the drive shaft',
      stations: along(front.at, rear.at, [half, half], rises),
    };
  });
}

/**
 * What takes up room on the frame, as built: it goes with the steel under its middle; what lost that is left out.
 *
 * @param rooms What takes up room on the donor.
 * @param state The built frame.
 */
export const roomSolids = (rooms: readonly FrameRoom[], state: PlanState): readonly OtherSolid[] =>
  rooms.flatMap(({ id, name, front, rear, left, right, low, high }): OtherSolid[] => {
    const middle: Vec3 = { x: (front + rear) / 2, y: (left + right) / 2, z: (low + high) / 2 };
    const under = carrierOf(state, middle.x);
    if ('operation' in under) return [];
    const at = ridden(state.pieces[under.index] as Piece, middle);
    const [dx, dy, dz] = [at.x - middle.x, at.y - middle.y, at.z - middle.z];
    const stations = [front, rear].map((x): Solid => ({
      x: x + dx,
      y: [left + dy, right + dy],
      low: low + dz,
      top: high + dz,
    }));
    return [{ kind: 'room', id, name, stations }];
  });
