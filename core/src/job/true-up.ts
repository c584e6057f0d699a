import { builtOf, type Joint, type PlanResult } from '../plan/index.ts';
import { SHORE_FACTS } from '../shoring/index.ts';
import {
  frameSurvey,
  type FrameSurvey,
  type Halves,
  halvesOf,
  type Holds,
  type MoveLine,
  type MoveList,
  movesFor,
  observationOf,
  type Reading,
  rigidHalves,
  type RigidHalves,
  type Stage,
  type Target,
  targetOf,
  toleranceOf,
} from '../survey/index.ts';
import { finer, inches, type LengthFormat, lengthText } from '../units/index.ts';
import type { Job } from './job.ts';
import { shoringOf } from './shoring-of.ts';

/** How the loose half of a frame lies at a stage, and what brings it to plan. */
export interface TrueUp {
  readonly joint: Joint;
  readonly halves: Halves;
  readonly holds: Holds;
  /** Its stands are not placed on the bench Stands: where they are is taken as is usual. */
  readonly holdsAssumed: boolean;
  readonly targets: readonly Target[];
  readonly list: MoveList;
  /**
   * Set where the readings do not hold every point: each half is taken as rigid with the shape that its typed control points
   * give it. How far readings and that shape disagree, mm, by how many readings that are not needed.
   */
  readonly asPlanned: Pick<RigidHalves, 'checks' | 'left'> | null;
}

/** What amounts of a move are rounded to, mm: what a shim or a tape shows. */
export const MOVE_DIVISION = { in: inches(1 / 32), mm: 0.5 } as const;

/** Ends of a loose half that its stands are taken to be from, in parts of its length. */
const FIFTH = 0.2;

/** Where the loose half behind a joint is held: its stands on the bench Stands, else two pairs as is usual. */
function holdsOf(job: Job, plan: PlanResult, joint: Joint, halves: Halves): { holds: Holds; assumed: boolean } {
  const points = halves.rear.map((id) => halves.points[id]).filter((point) => point !== undefined);
  const xs = points.map(({ x }) => x);
  const [first, last] = [Math.min(...xs), Math.max(...xs)];
  const mean = (of: readonly number[]) => of.reduce((sum, value) => sum + value, 0) / Math.max(1, of.length);
  const step = shoringOf(job).steps.find(({ operation }) => operation.id === joint.operation);
  const stands = (step?.loose.at(-1)?.stands ?? []).filter(({ shore }) => SHORE_FACTS[shore.kind].does === 'up');
  const places = stands.flatMap(({ shore, at }) => {
    const x = builtOf(plan.tape, shore.x);
    return x === null ? [] : [{ x, y: Math.abs(at.y), z: at.z }];
  });
  const along = places.map(({ x }) => x);
  if (along.length >= 2 && Math.max(...along) - Math.min(...along) > inches(6)) {
    const out = mean(places.map(({ y }) => y));
    return {
      holds: { front: Math.min(...along), rear: Math.max(...along), out, z: mean(places.map(({ z }) => z)) },
      assumed: false,
    };
  }
  const long = last - first;
  return {
    holds: {
      front: first + FIFTH * long,
      rear: last - FIFTH * long,
      out: mean(points.map(({ y }) => Math.abs(y))),
      z: mean(points.map(({ z }) => z)),
    },
    assumed: true,
  };
}

/**
 * How the loose half lies at a stage, and the fewest moves that bring it to plan. Where the readings do not hold every point,
 * each half is taken as rigid with its known shape: nine good readings around a cut are then enough. Null before the frame
 * is cut, where the readings hold not even that, or where no joint has measured points on both sides.
 *
 * @param job The job; validated.
 * @param plan What the plan gives.
 * @param survey What the readings of the stage say.
 * @param stage When in the work readings are taken.
 */
function trueUpOf(job: Job, plan: PlanResult, survey: FrameSurvey, stage: Stage): TrueUp | null {
  if (survey.state === 'nothing-read' || stage === 'before-cut') return null;
  const leveled = plan.controls.some(({ kind }) => kind === 'height');
  for (const joint of plan.joints) {
    const rigid = survey.state === 'held' ? null : rigidHalves(survey.nominal, survey.read, joint.builtX);
    const points = survey.state === 'held' ? survey.points : rigid?.points;
    const halves = points && halvesOf(survey.nominal, points, joint.builtX, leveled);
    if (!halves) continue;
    const { holds, assumed } = holdsOf(job, plan, joint, halves);
    const targets = targetsOf(job, plan, stage);
    const list = movesFor(halves, holds, targets, MOVE_DIVISION[job.display.unit]);
    return { joint, halves, holds, holdsAssumed: assumed, targets, list, asPlanned: rigid };
  }
  return null;
}

/** Every control measurement with what it should be and how far it may be off. */
const targetsOf = ({ rules }: Job, plan: PlanResult, stage: Stage): Target[] =>
  plan.controls.flatMap((control): Target[] => {
    const target = targetOf(control, stage);
    return target === null || control.ends.built === null
      ? []
      : [{ observation: observationOf(control, target, rules), target, tolerance: toleranceOf(control.kind, rules) }];
  });

/**
 * The survey of a stage and what brings the loose half to plan; remembered for the same job, plan and readings.
 *
 * @param job The job; validated.
 * @param plan What the plan gives.
 * @param readings Readings, in any order.
 * @param stage When in the work readings are taken.
 */
export function surveyAndMoves(
  job: Job,
  plan: PlanResult,
  readings: readonly Reading[],
  stage: Stage,
): { readonly survey: FrameSurvey; readonly trueUp: TrueUp | null } {
  const stages = known.get(readings) ?? new Map<Stage, Surveyed>();
  known.set(readings, stages);
  const before = stages.get(stage);
  if (before?.job === job && before.plan === plan) return before;
  const survey = frameSurvey(plan.controls, readings, stage, job.rules);
  const found = { job, plan, survey, trueUp: trueUpOf(job, plan, survey, stage) };
  stages.set(stage, found);
  return found;
}

interface Surveyed {
  readonly job: Job;
  readonly plan: PlanResult;
  readonly survey: FrameSurvey;
  readonly trueUp: TrueUp | null;
}

/** What was surveyed last at each stage of some readings: panel, picture and tables ask for the same. */
const known = new WeakMap<readonly Reading[], Map<Stage, Surveyed>>();

/**
 * One line of a move, for the shop floor: “Left rear stand, at 141 3/8, up 3/32”.
 *
 * @param line The line.
 * @param holds Where the loose half is held.
 * @param datum Where the shop measures from on the built frame, mm.
 * @param format How lengths are written.
 */
export function moveText(line: MoveLine, holds: Holds, datum: number, format: LengthFormat): string {
  const by = lengthText(Math.abs(line.by), finer(format), true);
  const at = (end: 'front' | 'rear') => lengthText(holds[end] - datum, format, true);
  switch (line.do) {
    case 'stand': {
      const which = line.side === 'both' ? `both ${line.at} stands` : `${line.side} ${line.at} stand`;
      return `${which.charAt(0).toUpperCase()}${which.slice(1)}, at ${at(line.at)}, ${line.by > 0 ? 'up' : 'down'} ${by}`;
    }
    case 'slide': {
      const what = line.at === 'both' ? 'the loose half' : `its ${line.at} end, at ${at(line.at)},`;
      return `Slide ${what} ${by} ${line.by > 0 ? 'right' : 'left'}`;
    }
    case 'pull':
      return `${line.by > 0 ? 'Push' : 'Pull'} the loose half ${by} ${line.by > 0 ? 'to the rear' : 'forward'}, alike on both straps`;
  }
}
