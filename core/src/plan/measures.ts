import { type Axle, type FramePoint, type Rail, railAt, type Side, SIDES, type Vec3 } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { axleLoadsOf, axleXs, balance } from './axle-loads.ts';
import type { Context } from './context.ts';
import { type Piece, stationsOf } from './piece.ts';
import { type Lump, steelLumps } from './solid.ts';
import { lowestOf, rampsOf, undersides, wheelsUnder } from './underside.ts';
import type { CrossmemberOutcome } from './crossmember-outcome.ts';
import type { FeatureOutcome } from './feature-outcome.ts';
import type { RiderOutcome } from './rider-outcome.ts';
import { type BraceOutcome, memberLumps, type MemberOutcome, middleOf } from './members/index.ts';
import type { PlanState } from './state.ts';
import type { UnitOutcome } from './unit-outcome.ts';

/** The figures of a frame that people ask for first. mm, radians, kg; null where the frame lacks what it needs. */
export interface Measures {
  readonly wheelbase: number | null;
  /** Cab back to rear axle. */
  readonly cabToAxle: number | null;
  /** Where a body can begin (behind the cab, what stands behind it, and the gap) to rear axle. */
  readonly usableCabToAxle: number | null;
  /** Rear axle to the end of the frame: the rear overhang. */
  readonly axleToEnd: number | null;
  readonly frontOverhang: number | null;
  readonly overallLength: number;
  readonly widest: number;
  readonly narrowest: number;
  /** Lowest part of rails and crossmembers over the ground, and what it is. */
  readonly lowest: { readonly clearance: number; readonly what: string } | null;
  readonly approach: number | null;
  readonly departure: number | null;
  readonly breakover: number | null;
  /** Steel of rails and crossmembers, features and named masses, and where it balances. */
  readonly mass: number;
  readonly centreOfGravity: Vec3 | null;
  /** What that mass puts on the front and the rear axles by levers, kg; null without both axles. */
  readonly axleLoads: { readonly front: number; readonly rear: number } | null;
}

/** What the measures are taken from, donor or built. */
export interface Standing {
  readonly state: PlanState;
  readonly features: readonly FeatureOutcome[];
  readonly crossmembers: readonly CrossmemberOutcome[];
  readonly axles: readonly RiderOutcome<Axle>[];
  readonly points: readonly RiderOutcome<FramePoint>[];
  readonly units: readonly UnitOutcome[];
  readonly members: readonly MemberOutcome[];
  readonly braces: readonly BraceOutcome[];
}

/** One rail of one piece between its faces. */
interface Run {
  readonly piece: Piece;
  readonly side: Side;
  readonly stations: Rail;
}

const runsOf = (pieces: readonly Piece[]): Run[] =>
  pieces.flatMap((piece) => SIDES.map((side) => ({ piece, side, stations: stationsOf(piece, side) })));

/** Outside widths at every station of either rail. */
function outsideWidths(runs: readonly Run[]): number[] {
  const widths: number[] = [];
  for (const { piece, side, stations } of runs) {
    const other = piece.rails[side === 'left' ? 'right' : 'left'];
    for (const { x, halfWidth } of stations)
      widths.push(
        halfWidth + (other === piece.rails[side] ? halfWidth : railAt(other, x).halfWidth) + 2 * piece.spread,
      );
  }
  return widths;
}

export function measuresOf(standing: Standing, context: Context): Measures {
  const { pieces } = standing.state;
  const axles = axleXs(standing.axles, 'built');
  const { front: frontAxle, rear: rearAxle } = axles;
  const cabBack = standing.points.find((point) => point.item.kind === 'cab-back')?.built?.x ?? null;
  const behindCab = standing.points.flatMap(({ item, built }) =>
    item.kind === 'behind-cab' && built ? [built.x] : [],
  );
  const bodyFrom = cabBack === null ? null : Math.max(cabBack, ...behindCab) + ruleValue(context.rules, 'body/cab-gap');
  const widths = outsideWidths(runsOf(pieces));
  const low = undersides(pieces, standing.crossmembers, standing.members, context);
  const ofRails = low.filter(({ ofRail }) => ofRail).flatMap(({ from, to }) => [from.x, to.x]);
  const [frontX, rearX] = [Math.min(...ofRails), Math.max(...ofRails)];
  const wheels = wheelsUnder(standing.axles);
  const lumps: Lump[] = [
    ...steelLumps(pieces, context.section, context.density),
    ...standing.crossmembers.flatMap(({ built, crossmember, mass }) =>
      built ? [{ mass, at: { ...built, z: built.z - crossmember.depth / 2 } }] : [],
    ),
    ...standing.members.flatMap(memberLumps),
    ...standing.braces.flatMap(({ built, mass }) => (built ? [{ mass, at: middleOf(built) }] : [])),
    ...standing.features.flatMap(({ feature, places }) =>
      feature.mass > 0
        ? Object.values(places).flatMap(({ built }) => (built ? [{ mass: feature.mass, at: built }] : []))
        : [],
    ),
    ...standing.points.flatMap(({ item, built }) => (built && item.mass > 0 ? [{ mass: item.mass, at: built }] : [])),
  ];
  const weight = balance(lumps);
  const minus = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : a - b);
  return {
    wheelbase: minus(rearAxle, frontAxle),
    cabToAxle: minus(rearAxle, cabBack),
    usableCabToAxle: minus(rearAxle, bodyFrom),
    axleToEnd: minus(rearX, rearAxle),
    frontOverhang: minus(frontAxle, frontX),
    overallLength: rearX - frontX,
    widest: Math.max(...widths),
    narrowest: Math.min(...widths),
    lowest: lowestOf(low, wheels),
    ...rampsOf(low, wheels),
    ...weight,
    axleLoads: axleLoadsOf(weight, axles),
  };
}
