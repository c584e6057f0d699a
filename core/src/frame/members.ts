import type { Side, Vec3 } from './frame.ts';

/** A point of a member's center line, mm: `outward` from the middle of the frame toward the member's own side. */
export interface MemberPoint {
  readonly x: number;
  readonly outward: number;
  readonly z: number;
}

/** What an end of a member is fixed to, and how. `own` is the rail on its side, `other` the one across. */
export interface MemberEnd {
  readonly on: 'own-rail' | 'other-rail' | 'crossmember' | 'member' | 'free';
  /** Id of the crossmember or member it is fixed to. */
  readonly to?: string;
  readonly fixing: 'riveted' | 'bolted' | 'welded';
}

/**
 * A longitudinal member beside the two rails: a leg of an X, an upper tube, a subframe rail. A path of points from
 * front to rear with one section; a pair has a mirrored one on the left, a single one is given on the right-hand side
 * (`outward` below 0 lies left of the middle).
 */
export interface Member {
  readonly id: string;
  readonly name: string;
  readonly copies: 'pair' | 'single';
  readonly section: string;
  readonly path: readonly MemberPoint[];
  readonly front: MemberEnd;
  readonly rear: MemberEnd;
}

/** One rail or one copy of a member: `left`, `right`, or a member's id with its side. */
export type RailId = Side | `${string}/${Side}`;

/** Something of each rail, and of each member where there are some. */
export type ByRail<T> = { readonly left: T; readonly right: T } & { readonly [member: `${string}/${Side}`]: T };

/**
 * The name of one copy of a member among rails.
 *
 * @param member The member’s id.
 * @param side Left or right, as seated.
 */
export const railIdOf = (member: string, side: Side): `${string}/${Side}` => `${member}/${side}`;

/** The copies of a member: one a side, or the one there is. */
export const copiesOf = ({ copies }: Pick<Member, 'copies'>): readonly Side[] =>
  copies === 'pair' ? ['left', 'right'] : ['right'];

/**
 * A point of a member's copy on one side, mm, as seen on the donor.
 *
 * @param side Left or right, as seated.
 */
export const memberPlace = ({ x, outward, z }: MemberPoint, side: Side): Vec3 => ({
  x,
  y: side === 'left' ? -outward : outward,
  z,
});

/** Where a brace is fastened: at a station of a rail or a member's copy, so far below its top edge, mm. */
export interface Anchor {
  readonly rail: RailId;
  readonly x: number;
  readonly down: number;
}

/** A straight brace or strut from any anchor to any other: across, or on the diagonal. */
export interface Brace {
  readonly id: string;
  readonly name: string;
  readonly from: Anchor;
  readonly to: Anchor;
  readonly section: string;
  readonly fixing: 'riveted' | 'bolted' | 'welded';
  readonly removable: boolean;
}
