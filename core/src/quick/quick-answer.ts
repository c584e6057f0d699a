import { isMet } from '../units/index.ts';
import { type Answer, type FinderResult, type Unmeasured } from '../finder/index.ts';
import { type MeasuringTask, evaluateJob, type Job, measuringGuide, withOptionAsPlan } from '../job/index.ts';
import { markSheet, type NewPiece } from '../markout/index.ts';
import { type ControlPrediction, lineRun, type PlanResult, summaryOf } from '../plan/index.ts';

/** A length before and after, mm; null where the frame lacks what it needs. */
export interface QuickChange {
  readonly name: string;
  readonly before: number | null;
  readonly after: number | null;
}

/** Of one rail: each piece that is added, mm and kg, and the length that comes out, mm. */
interface QuickSteel {
  readonly added: readonly Pick<NewPiece, 'letters' | 'length' | 'cutTo' | 'mass'>[];
  readonly removed: number;
}

/** What a quick start answers, all of it read from the evaluation of `job`. Stations in mm behind the front axle. */
export interface QuickAnswer {
  /** The entries as a job with the best cut in its plan: what *Make this a job* keeps. */
  readonly job: Job;
  readonly result: PlanResult;
  /** Change of the wheelbase, mm: above 0 is added, below 0 comes out. */
  readonly by: number;
  /** Nothing has to be cut; no cut was found; or where the best one is. */
  readonly cut: { readonly kind: 'none-needed' } | { readonly kind: 'none-found'; readonly why: string } | BestCut;
  /** Wheelbase, CA, rear overhang and frame length. */
  readonly lengths: readonly QuickChange[];
  readonly steel: QuickSteel;
  /** Drive shaft, flange to pinion; null where the plan takes an end of it out. */
  readonly shaft: QuickChange | null;
  /** Lines along the frame, each with its run before and after. */
  readonly lines: readonly QuickChange[];
  readonly diagonals: readonly ControlPrediction[];
  /** What to measure before any of it is trusted, the first five. */
  readonly measureFirst: readonly MeasuringTask[];
  /** What the place of the cut was chosen without. */
  readonly unmeasured: readonly Unmeasured[];
}

/** The best place: donor stations, and what the finder says of it. */
export interface BestCut {
  readonly kind: 'found';
  readonly says: string;
  /** Of each cut, its station and the clear stretch that it is in, mm. */
  readonly cuts: Answer['cuts'];
}

/**
 * What to measure first: what the length rests on, then what can rule a place out, then what its strength rests on. Ids of the
 * measuring guide.
 */
const FIRST = ['axles', 'stations', 'crossmembers', 'suspension', 'sections', 'both-rails', 'stamp', 'lines', 'tank'];
const HOW_MANY = 5;

function measureFirst(job: Job): readonly MeasuringTask[] {
  const guide = measuringGuide(job).filter(({ state }) => state !== 'there');
  return FIRST.flatMap((id) => guide.find((goal) => goal.id === id) ?? []).slice(0, HOW_MANY);
}

const lineRuns = ({ donor }: Job, { tape }: PlanResult): QuickChange[] =>
  donor.lines.map((line) => ({ name: line.name, before: line.to - line.from, after: lineRun(line, tape) }));

function shaftRun({ driveLine: { before, after } }: PlanResult): QuickChange | null {
  const length = (line: PlanResult['driveLine']['before']) =>
    line ? line.shafts.reduce((sum, shaft) => sum + shaft.length, 0) : null;
  const [was, now] = [length(before), length(after)];
  return was === null || now === null ? null : { name: 'Drive shaft', before: was, after: now };
}

/** Why no place was found: the reason at the first obvious place. */
function noPlace({ obvious }: FinderResult): string {
  const [first] = obvious;
  return first ? `${first.name}: ${first.says}` : 'The frame is too short for this change.';
}

/**
 * What a quick start answers.
 *
 * @param job The job of the entries (`quickJob`); nothing planned.
 * @param by Change of the wheelbase, mm.
 * @param found What the finder found for it; null where nothing has to be cut.
 * @param newId Gives an id for each new operation.
 */
export function quickAnswer(job: Job, by: number, found: FinderResult | null, newId: () => string): QuickAnswer {
  const best = found?.answers[0];
  const planned = found && best ? withOptionAsPlan(job, found.goal, best, newId) : job;
  const { plan: result } = evaluateJob(planned, []);
  const { before, after } = result.measures;
  return {
    job: planned,
    result,
    by,
    cut: isMet(by)
      ? { kind: 'none-needed' }
      : !found || !best
        ? { kind: 'none-found', why: found ? noPlace(found) : '' }
        : { kind: 'found', says: best.says, cuts: best.cuts },
    lengths: [
      { name: 'Wheelbase (WB)', before: before.wheelbase, after: after.wheelbase },
      { name: 'Cab-to-axle (CA)', before: before.cabToAxle, after: after.cabToAxle },
      { name: 'Rear overhang (AF)', before: before.axleToEnd, after: after.axleToEnd },
      { name: 'Frame length', before: before.overallLength, after: after.overallLength },
    ],
    steel: {
      added: markSheet(planned, result)
        .newPieces.filter(({ side }) => side === 'left')
        .map(({ letters, length, cutTo, mass }) => ({ letters, length, cutTo, mass })),
      removed: summaryOf(result).cutAway,
    },
    shaft: shaftRun(result),
    lines: lineRuns(planned, result),
    diagonals: result.controls.filter(({ kind }) => kind === 'diagonal'),
    measureFirst: measureFirst(planned),
    unmeasured: found?.lanes.unmeasured ?? [],
  };
}
