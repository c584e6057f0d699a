import { extentOf, factsOf, type Frame, railAt, railOf } from '../frame/index.ts';
import type { Operation, PlanInput } from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import { inches, lengthText } from '../units/index.ts';
import type { Along, Progress } from './along.ts';
import { type FinderGoal, gridOf, operationAt, reachOfCut, tailOf } from './goal.ts';
import { type JudgedOption, judgeOption, type JudgeContext } from './judge.ts';
import { type Lanes, lanesOf } from './lanes.ts';
import { findOptions, leastAt, type CutOption } from './options.ts';
import { commonTo, lostText, placeText, wayText } from './words.ts';

/** An option with the words for it. */
export interface Answer extends CutOption {
  readonly says: string;
  /** A short name, for a plan that is made of it. */
  readonly name: string;
}

/** A place that seems obvious, and what became of it. */
interface Obvious {
  readonly id: string;
  readonly name: string;
  /** Donor station, mm. */
  readonly x: number;
  readonly judged: JudgedOption;
  /** Rank of the option that it is, from 1; null where it lost. */
  readonly rank: number | null;
  /** Why it lost; what it costs, where it did not. */
  readonly says: string;
}

/** Everything that a search tells, as plain data. */
export interface FinderResult {
  readonly goal: FinderGoal;
  /** The figure without what the plan does for it already, and as the plan in hand makes it, mm. */
  readonly now: number | null;
  readonly planned: number | null;
  /** Operations of the plan in hand that an option takes the place of. */
  readonly replaced: readonly Operation[];
  readonly answers: readonly Answer[];
  readonly obvious: readonly Obvious[];
  readonly lanes: Lanes;
  readonly counted: { readonly places: number; readonly pairs: number };
  /** Ends of the rails, donor stations, mm. */
  readonly ends: readonly [from: number, to: number];
}

/** Somewhere that anybody would look at first: the front line of the cut, and how far about it a builder looks, mm. */
interface ObviousPlace extends Pick<Obvious, 'id' | 'name' | 'x'> {
  readonly look: readonly [from: number, to: number];
}

/** How far a builder looks about a place that seems obvious, mm. */
const ABOUT = inches(8);
const [BEHIND, ROUND, AHEAD] = [
  [0, ABOUT],
  [-ABOUT / 2, ABOUT / 2],
  [-ABOUT, 0],
] as const;

/** The places that anybody would look at first. */
function obviousPlaces(goal: FinderGoal, { base }: JudgeContext): ObviousPlace[] {
  const { donor, rules, display } = base.input;
  const removed = reachOfCut(goal, goal.by, display);
  const clear = ruleValue(rules, 'joint/hole-distance');
  const [front, rear] = (['front', 'rear'] as const).map((role) => donor.axles.find((axle) => axle.role === role)?.x);
  const cab = donor.points.find(({ kind }) => kind === 'cab-back')?.x;
  if (rear === undefined || front === undefined) return [];
  const suspension = donor.features
    .filter(({ kind, x }) => factsOf(kind).suspension && x > (front + rear) / 2)
    .map((feature) => extentOf(feature).from);
  const rises = kickUpOf(donor, cab ?? front, rear);
  return [
    ...(cab === undefined ? [] : [{ id: 'behind-the-cab', name: 'Behind the cab', x: cab + clear, look: BEHIND }]),
    { id: 'middle', name: 'Middle of the wheelbase', x: (front + rear - removed) / 2, look: ROUND },
    ...(suspension.length > 0
      ? [
          {
            id: 'ahead-of-suspension',
            name: 'Just ahead of the suspension',
            x: Math.min(...suspension) - clear - removed,
            look: AHEAD,
          },
        ]
      : []),
    ...(rises === null ? [] : [{ id: 'kick-up', name: 'At the kick-up', x: rises, look: BEHIND }]),
    ...(goal.of === 'rear-overhang'
      ? [{ id: 'overhang', name: 'Behind the axle', x: rear + clear, look: BEHIND }]
      : []),
  ];
}

/** A rail that rises by more than this, dz/dx, kicks up. */
const RISES = 0.05;

/** Where the rail begins to rise out of its run ahead of the rear axle, mm; null where it does not: a rail that falls all along has none. */
function kickUpOf({ rails }: Frame, from: number, to: number): number | null {
  const rail = railOf(rails, 'left');
  const rises = (x: number, side: 'front' | 'rear') => railAt(rail, x, side).topSlope > RISES;
  const found = rail.find(({ x }) => x > from && x < to && rises(x, 'rear') && !rises(x, 'front'));
  return found ? found.x : null;
}

/** Whether one place is nearer to a station than another; of two as near, the one farther ahead is. */
const isNearer = (a: Pick<Obvious, 'x'>, b: Pick<Obvious, 'x'>, x: number): boolean => {
  const [one, other] = [Math.abs(a.x - x), Math.abs(b.x - x)];
  return one === other ? a.x < b.x : one < other;
};

/** The best place that can be between two stations, as an index; the one in the middle where none can. */
function bestNear(along: Along, [from, to]: readonly [number, number], step: number): number {
  const { xs, refused } = along;
  const indexOf = (x: number) => Math.min(xs.length - 1, Math.max(0, Math.round((x - (xs[0] ?? 0)) / step)));
  let [best, score] = [indexOf((from + to) / 2), Infinity];
  for (let at = indexOf(from); at <= indexOf(to); at += 1) {
    const here = refused[at] ? Infinity : leastAt(along, at);
    if (here < score - 1e-6) [best, score] = [at, here];
  }
  return best;
}

/**
 * Where to cut, as a person who knows the frame would answer: ranked options with their reasons, the obvious places that
 * lost and why, and what forbids and costs along the frame. Plain data.
 *
 * @param job Donor, bodies, plan and rules; validated.
 * @param goal The goal; a change that is not 0.
 * @param onProgress Told how far it has come.
 */
export function whereToCut(job: PlanInput, goal: FinderGoal, onProgress: Progress = () => undefined): FinderResult {
  const { base, options, counted, judgeContext, single } = findOptions(job, goal, onProgress);
  const { donor, display } = base.input;
  const show = (mm: number) => lengthText(mm, display, true);
  const common = commonTo(options);
  const [best] = options;
  // A change that is longer than the frame has no places at all.
  const obvious = (single.xs.length > 0 ? obviousPlaces(goal, judgeContext) : []).map(
    ({ id, name, x: wanted, look: [from, to] }): Obvious => {
      const at = bestNear(single, [wanted + from, wanted + to], gridOf(display));
      const x = single.xs[at] as number;
      const judged = judgeOption(
        [operationAt(goal, goal.by, x, base.input), ...tailOf(goal, base.input)],
        judgeContext,
      );
      const rank = options.findIndex(
        ({ cuts }) => cuts.length === 1 && cuts.every(({ from, to }) => x >= from - 1e-6 && x <= to + 1e-6),
      );
      return {
        id,
        name,
        x,
        judged,
        rank: rank < 0 ? null : rank + 1,
        says: rank === 0 ? 'It is the best of all.' : lostText(judged, best?.judged),
      };
    },
  );
  // Of two places that are the same option, the nearer to its cut is it.
  const told = obvious.map((place): Obvious => {
    const cut = place.rank === null ? undefined : options[place.rank - 1]?.cuts[0];
    const nearer = obvious.some(
      (other) => other !== place && cut && other.rank === place.rank && isNearer(other, place, cut.x),
    );
    return nearer ? { ...place, rank: null, says: lostText(place.judged, best?.judged) } : place;
  });
  const cab = told.find(
    ({ id, judged, rank }) => id === 'behind-the-cab' && judged.refusals.length === 0 && rank !== 1,
  );
  const beside = cab ? { name: cab.name.charAt(0).toLowerCase() + cab.name.slice(1), hours: cab.judged.hours } : null;
  const answers = options.map((option): Answer => ({
    ...option,
    says: wayText(option, donor, show, common, beside),
    name: nameOf(option, donor, show),
  }));
  return {
    goal,
    now: base.now,
    planned: base.planned,
    replaced: base.replaced,
    answers,
    obvious: told,
    lanes: lanesOf(single, judgeContext),
    counted,
    ends: judgeContext.ground.ends,
  };
}

/** A short name of an option: what it is just behind. */
function nameOf({ cuts }: CutOption, frame: Frame, show: (mm: number) => string): string {
  if (cuts.length === 0) return 'At the very end';
  const places = cuts.map(({ x }) => placeText(frame, x, show).split(', ')[0] ?? '');
  return places
    .map((place) => place.charAt(0).toUpperCase() + place.slice(1))
    .join(' + ')
    .slice(0, 110);
}
