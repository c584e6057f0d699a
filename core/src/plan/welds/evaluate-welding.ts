import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { arcTime, type HeatedWall, type StitchToLay, type WaitRules, type WallPlace } from '../../weld/index.ts';
import type { PlanInput, PlanResult } from '../plan-result.ts';
import { evaluateWelds, type Welds } from './evaluate-welds.ts';
import type { Seam } from './seam.ts';
import type { Stitch } from './stitches.ts';
import { flatSection } from './unfolded-walls.ts';
import { type EarlyStep, earlySteps, type WeldStep, weldSteps } from './weld-steps.ts';

/** What is welded on a frame, how it pulls, and in which order it is done. */
export interface WeldingResult extends Welds {
  readonly steps: readonly WeldStep[];
  readonly early: readonly EarlyStep[];
}

/**
 * What is welded on the frame of a plan, step by step.
 *
 * @param input Donor, plan and rules; validated.
 * @param result What the plan gives.
 */
export function evaluateWelding(input: PlanInput, result: PlanResult): WeldingResult {
  const welds = evaluateWelds(input, result);
  const { seams, pulls, welding } = welds;
  const steps = weldSteps(result, seams, pulls, welding.order, input.rules);
  return { ...welds, steps, early: earlySteps(steps) };
}

/** What a run of the welding is timed from: plain data, so that a worker can do it. */
export interface RunToTime {
  readonly walls: Readonly<Record<string, HeatedWall>>;
  readonly joints: readonly (readonly StitchToLay[])[];
  readonly rules: WaitRules;
  /** The shop’s rule by the clock, to compare with. */
  readonly byClock: NonNullable<WaitRules['clock']>;
  /** Places along the butt weld of each wall, from one end of its seam to the other, where its warmth is shown. */
  readonly lines: Readonly<Record<string, readonly WallPlace[]>>;
}

/** So much of the rail is heated with a joint on each side of its outermost weld, mm. */
const BESIDE = 300;

/** The wall that a seam's heat goes into: the rail at its joint. */
const wallKey = ({ joint, rail }: Pick<Seam, 'joint' | 'rail'>): string => `${joint.id}:${rail}`;

/**
 * The stitches of some steps as they are timed, each joint's in their order. Plates and sleeves are left out: they take up heat,
 * so that the steel cools faster than is calculated.
 *
 * @param welding What is welded.
 * @param plan What the plan gives.
 * @param input Donor and rules.
 * @param of The stitches to time, in their order.
 */
export function runToTime(
  { heat, settings, seams }: Pick<Welds, 'heat' | 'settings' | 'seams'>,
  plan: PlanResult,
  { rules, donor }: Pick<PlanInput, 'rules' | 'donor'>,
  of: readonly Stitch[],
): RunToTime {
  const reach = new Map<string, number>();
  for (const { seam, from, to } of of) {
    const key = wallKey(seam);
    reach.set(key, Math.max(reach.get(key) ?? 0, Math.abs(from.x), Math.abs(to.x)));
  }
  const middleOf = (seam: Seam): number => (reach.get(wallKey(seam)) ?? 0) + BESIDE;
  const walls = Object.fromEntries(
    plan.splices.flatMap(({ joint, rails }) =>
      rails.flatMap(({ rail, steel }): [string, HeatedWall][] => {
        const key = wallKey({ joint, rail });
        const half = reach.get(key);
        if (half === undefined) return [];
        const flat = flatSection(steel.section);
        const thickness =
          flat.walls.length > 0
            ? flat.walls.map(({ to, thickness: thick }) => ({ to, thickness: thick }))
            : steel.section.thickness;
        return [
          [
            key,
            {
              length: 2 * (half + BESIDE),
              around: flat.around,
              closed: flat.closed,
              thickness,
              ...steelAndAir(rules, donor.material.density),
            },
          ],
        ];
      }),
    ),
  );
  const ids = [...new Set(of.map(({ seam }) => seam.joint.id))];
  const joints = ids.map((joint) =>
    of
      .filter(({ seam }) => seam.joint.id === joint)
      .map(({ id, seam, from, to, begin, end }): StitchToLay => {
        const middle = middleOf(seam);
        return {
          id,
          wall: wallKey(seam),
          from: { x: middle + from.x, s: from.s },
          to: { x: middle + to.x, s: to.s },
          band: ruleValue(rules, 'cool/band'),
          seconds: arcTime(end - begin, settings.travel),
          energy: 1000 * heat * (end - begin),
        };
      }),
  );
  const lines = Object.fromEntries(
    Object.entries(walls).map(([key, { around }]) => {
      const butts = seams.filter((seam) => seam.layer === 'butt' && wallKey(seam) === key);
      return [key, lineOf(butts, around, (reach.get(key) ?? 0) + BESIDE)];
    }),
  );
  const byClock = {
    stitches: Math.max(1, Math.round(ruleValue(rules, 'weld/clock-stitches'))),
    pause: 60 * ruleValue(rules, 'weld/clock-pause'),
  };
  return { walls, joints, lines, byClock, rules: waitRules(rules) };
}

/** A place of a seam's line is shown for about so much of it, mm. */
const SHOWN = 8;

/** Places along a joint's butt weld at even steps of the seam; where a wall has none, straight over the joint. */
function lineOf(butts: readonly Seam[], around: number, middle: number): readonly WallPlace[] {
  const stretches = butts.flatMap((seam) => seam.stretches);
  const count = Math.max(1, Math.round(around / SHOWN));
  return Array.from({ length: count }, (_, at): WallPlace => {
    const s = (around * (at + 0.5)) / count;
    const on = stretches.find(({ from, to }) => s >= Math.min(from.s, to.s) && s <= Math.max(from.s, to.s));
    if (!on || on.to.s === on.from.s) return { x: middle, s };
    return { x: middle + on.from.x + ((on.to.x - on.from.x) * (s - on.from.s)) / (on.to.s - on.from.s), s };
  });
}

/** What a shop waits by, from its rulebook. */
const waitRules = (rules: Rulebook): WaitRules => ({
  limit: ruleValue(rules, 'weld/interpass'),
  handling: ruleValue(rules, 'weld/handling'),
  inTurn: ruleValue(rules, 'weld/in-turn') === 1,
});

/** How steel takes up heat and loses it, from the rulebook. */
const steelAndAir = (rules: Rulebook, density: number): Pick<HeatedWall, 'steel' | 'loss'> => ({
  steel: {
    density: density * 1e9,
    specificHeat: ruleValue(rules, 'cool/specific-heat'),
    conductivity: ruleValue(rules, 'cool/conductivity'),
  },
  loss: {
    film: ruleValue(rules, 'cool/film'),
    emissivity: ruleValue(rules, 'cool/emissivity'),
    ambient: ruleValue(rules, 'cool/shop'),
    faces: 2,
  },
});
