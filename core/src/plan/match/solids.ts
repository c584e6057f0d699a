import type { FramePoint, FrameRoom, Vec3 } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { type Section, widthOf } from '../../sections/index.ts';
import { driveLineOf } from '../drive-line.ts';
import { carrierOf, ridden } from '../locate.ts';
import type { MemberOutcome } from '../members/index.ts';
import type { Piece } from '../piece.ts';
import type { RiderOutcome } from '../rider-outcome.ts';
import type { PlanState } from '../state.ts';

/** A station of something solid: its breadth across the frame and its height, mm. */
export interface Solid {
  readonly x: number;
  readonly y: readonly [number, number];
  readonly low: number;
  readonly top: number;
}

/** Something solid on the built frame besides rails, crossmembers and tyres, by stations from front to rear. */
export interface OtherSolid {
  readonly kind: 'member' | 'room' | 'shaft';
  readonly id: string;
  readonly name: string;
  readonly stations: readonly Solid[];
}

/** Stations looked at along a straight stretch, mm from each other at most. */
const STEP = 60;

/** Stations along a line in space: `half` across and in height, `over` more at its rear end in height. */
function along(from: Vec3, to: Vec3, half: readonly [across: number, high: number], over = 0): readonly Solid[] {
  const count = Math.max(1, Math.ceil(Math.abs(to.x - from.x) / STEP));
  return Array.from({ length: count + 1 }, (_, at): Solid => {
    const share = at / count;
    const [y, z] = [from.y + share * (to.y - from.y), from.z + share * (to.z - from.z)];
    return {
      x: from.x + share * (to.x - from.x),
      y: [y - half[0], y + half[0]],
      low: z - half[1],
      top: z + half[1] + share * over,
    };
  });
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
  members.map(({ member, copies }): OtherSolid => {
    const section = sectionOf(member.section);
    const half = [widthOf(section) / 2, section.depth / 2] as const;
    const stations = copies.flatMap(({ built }) =>
      built.flatMap(({ points }) => points.slice(1).flatMap((to, index) => along(points[index] as Vec3, to, half))),
    );
    return { kind: 'member', id: member.id, name: member.name, stations };
  });

/**
 * The shafts of the drive line as built: a round room about each, which rises with the axle's bump towards the pinion.
 *
 * @param points What became of each point.
 * @param rules The shop’s rulebook.
 */
export function shaftSolids(points: readonly RiderOutcome<FramePoint>[], rules: Rulebook): readonly OtherSolid[] {
  const line = driveLineOf(points, 'built');
  const half = ruleValue(rules, 'shaft/room');
  const bump = ruleValue(rules, 'tyre/bump');
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
    const count = Math.max(1, Math.ceil((rear - front) / STEP));
    const stations = Array.from({ length: count + 1 }, (_, step): Solid => ({
      x: front + dx + ((rear - front) * step) / count,
      y: [left + dy, right + dy],
      low: low + dz,
      top: high + dz,
    }));
    return [{ kind: 'room', id, name, stations }];
  });
