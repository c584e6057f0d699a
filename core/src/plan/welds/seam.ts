import type { RailId, Vec3 } from '../../frame/index.ts';
import type { RailWall, WeldWay } from '../../splice/index.ts';
import type { WallPlace } from '../../weld/index.ts';
import type { PlanResult } from '../plan-result.ts';
import type { SpliceJoint } from '../splices/joints-to-make.ts';

/** What the welds of a plan are found from. */
export type WeldedFrame = Pick<PlanResult, 'joints' | 'pieces' | 'splices'>;

/** When at a joint a seam is welded, by what lies over what: the first is reached first. */
export const WELD_LAYERS = ['sleeve', 'butt', 'inside', 'outside'] as const;
export type WeldLayer = (typeof WELD_LAYERS)[number];

export type WeldPosition = 'flat' | 'horizontal' | 'vertical' | 'overhead';

/** A stretch of a seam: where it is on the frame, and on the wall of the rail laid flat, the joint's middle at x 0. mm. */
export interface SeamStretch {
  readonly length: number;
  readonly from: WallPlace;
  readonly to: WallPlace;
  /** Its ends on the built frame. */
  readonly start: Vec3;
  readonly end: Vec3;
}

/** A weld between two parts in one face, as it is laid without turning a corner. mm. */
export interface Seam {
  /** Names it in the job: what is logged of it goes by it. */
  readonly id: string;
  readonly joint: SpliceJoint;
  readonly rail: RailId;
  /** `rail`, or the plate or wall of a sleeve that it holds. */
  readonly part: string;
  readonly wall: RailWall | 'all';
  /** `top flange`, `web, high`, `front end`. */
  readonly where: string;
  readonly weld:
    | { readonly kind: 'groove'; readonly wall: number; readonly way: WeldWay }
    | { readonly kind: 'fillet'; readonly leg: number }
    | { readonly kind: 'plug'; readonly diameter: number; readonly count: number };
  readonly layer: WeldLayer;
  readonly length: number;
  /** Cross-section, mm², and in how many passes it is laid. */
  readonly area: number;
  readonly passes: number;
  readonly position: WeldPosition;
  /** One, or each plug of a row. */
  readonly stretches: readonly SeamStretch[];
  /** What closes it off, so that it has to be done and looked at before; null where it stays in reach. */
  readonly closedOffBy: string | null;
}

/**
 * The place between two.
 *
 * @param a One place.
 * @param b The other.
 * @param share 0 at the one and 1 at the other.
 */
export const placeBetween = (a: WallPlace, b: WallPlace, share: number): WallPlace => ({
  x: a.x + (b.x - a.x) * share,
  s: a.s + (b.s - a.s) * share,
});

/**
 * The point of the frame between two.
 *
 * @param a One point.
 * @param b The other.
 * @param share 0 at the one and 1 at the other.
 */
export const pointBetween = (a: Vec3, b: Vec3, share: number): Vec3 => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
  z: a.z + (b.z - a.z) * share,
});
