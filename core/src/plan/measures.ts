import { lazy } from '../lazy.ts';
import { type Axle, type FramePoint, railAt, SIDES, type Vec3 } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { axleLoadsOf, axleXs, balance } from './axle-loads.ts';
import { frameLoads } from './frame-loads.ts';
import type { Context } from './context.ts';
import { type FrameEnds, frameEnds } from './frame-ends.ts';
import type { OtherSolid } from './match/solids.ts';
import { perCut } from './per-cut.ts';
import { stationsOf } from './piece.ts';
import { type Lump, steelLumps } from './solid.ts';
import { lowestOf, rampsOf, undersides, wheelsUnder } from './underside.ts';
import type { CrossmemberOutcome } from './crossmember-outcome.ts';
import type { FeatureOutcome } from './feature-outcome.ts';
import type { RiderOutcome } from './rider-outcome.ts';
import type { BraceOutcome, MemberOutcome } from './members/index.ts';
import type { PlanState } from './state.ts';
import type { UnitOutcome } from './unit-outcome.ts';

/**
 * The figures of a frame that people ask for first, each worked out when it is. mm, radians, kg; null where the frame lacks what
 * it needs.
 */
export interface Measures {
  readonly wheelbase: number | null;
  /** Back of cab to rear axle. */
  readonly cabToAxle: number | null;
  /** Where a body can begin (behind the cab, what stands behind it, and the gap) to rear axle. */
  readonly usableCabToAxle: number | null;
  /** The ends of the frame, each by its farthest corner: overhangs and the overall length are measured to these. */
  readonly ends: FrameEnds;
  /** Rear axle to the end of the frame: the rear overhang. */
  readonly axleToEnd: number | null;
  readonly frontOverhang: number | null;
  readonly overallLength: number;
  readonly widest: number;
  readonly narrowest: number;
  /** Lowest of the frame and of what is mounted on it over the ground, and what it is. */
  readonly lowest: { readonly clearance: number; readonly what: string } | null;
  readonly approach: number | null;
  readonly departure: number | null;
  readonly breakover: number | null;
  /** Steel of rails and crossmembers, features and named masses, and where it balances. */
  readonly mass: number;
  readonly centerOfGravity: Vec3 | null;
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
  /** What takes up room on the frame, where it is: worked out when it is first asked for. */
  readonly rooms: () => readonly OtherSolid[];
}

/** The least and the greatest outside width at the stations of a piece, without how far its rails were spread, mm. */
const localWidths = perCut((piece): { readonly least: number; readonly most: number } => {
  let [least, most] = [Infinity, -Infinity];
  for (const side of SIDES) {
    const other = piece.rails[side === 'left' ? 'right' : 'left'];
    for (const { x, halfWidth } of stationsOf(piece, side)) {
      const width = halfWidth + (other === piece.rails[side] ? halfWidth : railAt(other, x).halfWidth);
      least = Math.min(least, width);
      most = Math.max(most, width);
    }
  }
  return { least, most };
});

/**
 * Where a frame's axles stand, and its cab: the lengths that a search over many plans asks for first. mm.
 *
 * @param standing Everything on the frame, where it is.
 */
export function axleLengthsOf({ axles, points }: Pick<Standing, 'axles' | 'points'>) {
  const { front, rear } = axleXs(axles, 'built');
  const cabBack = points.find((point) => point.item.kind === 'cab-back')?.built?.x ?? null;
  return { front, rear, cabBack, wheelbase: minus(rear, front), cabToAxle: minus(rear, cabBack) };
}

const minus = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : a - b);

/**
 * The figures of a frame that people ask for first.
 *
 * @param standing Everything on the frame, where it is.
 * @param context Sections, rules and how lengths are written.
 * @param added Steel that the plan adds to the rails or takes out of them besides cutting them.
 */
export function measuresOf(standing: Standing, context: Context, added: () => readonly Lump[] = () => []): Measures {
  const { pieces } = standing.state;
  const { front: frontAxle, rear: rearAxle, cabBack, wheelbase, cabToAxle } = axleLengthsOf(standing);
  const behindCab = standing.points.flatMap(({ item, built }) =>
    item.kind === 'behind-cab' && built ? [built.x] : [],
  );
  const bodyFrom = cabBack === null ? null : Math.max(cabBack, ...behindCab) + ruleValue(context.rules, 'body/cab-gap');
  const widths = lazy(() =>
    pieces.map((piece) => {
      const { least, most } = localWidths(piece, context.section);
      return { least: least + 2 * piece.spread, most: most + 2 * piece.spread };
    }),
  );
  const low = lazy(() => undersides(pieces, { ...standing, rooms: standing.rooms() }, context));
  const ends = lazy(() => frameEnds(pieces, context.section));
  const wheels = wheelsUnder(standing.axles);
  const ramps = lazy(() => rampsOf(low(), wheels));
  const weight = lazy(() =>
    balance([...steelLumps(pieces, context.section, context.density), ...added(), ...frameLoads(standing)]),
  );
  return {
    wheelbase,
    cabToAxle,
    usableCabToAxle: minus(rearAxle, bodyFrom),
    get axleToEnd() {
      return minus(ends().rear.x, rearAxle);
    },
    get frontOverhang() {
      return minus(frontAxle, ends().front.x);
    },
    get overallLength() {
      return ends().rear.x - ends().front.x;
    },
    get ends() {
      return ends();
    },
    get widest() {
      return Math.max(...widths().map(({ most }) => most));
    },
    get narrowest() {
      return Math.min(...widths().map(({ least }) => least));
    },
    get lowest() {
      return lowestOf(low(), wheels);
    },
    get approach() {
      return ramps().approach;
    },
    get departure() {
      return ramps().departure;
    },
    get breakover() {
      return ramps().breakover;
    },
    get mass() {
      return weight().mass;
    },
    get centerOfGravity() {
      return weight().centerOfGravity;
    },
    get axleLoads() {
      return axleLoadsOf(weight(), { front: frontAxle, rear: rearAxle });
    },
  };
}
