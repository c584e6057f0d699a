import type { Side } from '../frame/index.ts';
import { solve } from '../solve.ts';
import { type Halves, withRearMoved } from './halves.ts';
import { type Observation, type Points, readOf } from './observation.ts';
import type { RigidMove } from './rigid-move.ts';

/** Where a loose half is held: two pairs of stands, and how far from the middle, mm. */
export interface Holds {
  readonly front: number;
  readonly rear: number;
  readonly out: number;
  /** Height that its stands push at, mm. */
  readonly z: number;
}

/** One thing to do to the loose half: mm; up, to the right, to the rear. */
export type MoveLine =
  | { readonly do: 'stand'; readonly at: 'front' | 'rear'; readonly side: Side | 'both'; readonly by: number }
  | { readonly do: 'slide'; readonly at: 'front' | 'rear' | 'both'; readonly by: number }
  | { readonly do: 'pull'; readonly by: number };

/** What is done together before one looks again, and what it leaves. */
interface Move {
  readonly lines: readonly MoveLine[];
  /** Points of the frame once it is done. */
  readonly points: Points;
  /** How many readings are then still not right, and the farthest from its target, in tolerances. */
  readonly wrong: number;
  readonly worst: number;
}

/** The fewest moves that bring a loose half to plan, in the order that leaves the fewest readings wrong meanwhile. */
export interface MoveList {
  readonly moves: readonly Move[];
  /** Before the first of them. */
  readonly before: { readonly wrong: number; readonly worst: number };
  /** Whether all readings are right in the end: what is left is the shape of the halves themselves. */
  readonly reaches: boolean;
}

/** A reading, what it should be, and how far it may be off, mm. */
export interface Target {
  readonly observation: Observation;
  readonly target: number;
  readonly tolerance: number;
}

/**
 * Ways to move a loose half, each by hand: its front or rear stands up, its right side up, its front or rear end to the right,
 * all of it to the rear. Together any small rigid move.
 */
const WAYS = ['front-up', 'rear-up', 'right-up', 'front-right', 'rear-right', 'back'] as const;
type Way = (typeof WAYS)[number];
type Amounts = Readonly<Record<Way, number>>;

const NOTHING: Amounts = { 'front-up': 0, 'rear-up': 0, 'right-up': 0, 'front-right': 0, 'rear-right': 0, back: 0 };

/** Well inside: so far from its target, of what is allowed, a reading may be after the moves, since measuring again is not exact. */
const AIM = 0.45;

/**
 * A move by hand as a rigid move.
 *
 * @param amounts How far each way, mm.
 * @param holds Where the half is held.
 */
function rigidOf(amounts: Amounts, { front, rear, out, z }: Holds): RigidMove {
  const long = rear - front;
  return {
    about: { x: front, y: 0, z },
    shift: { x: amounts.back, y: amounts['front-right'], z: amounts['front-up'] },
    turn: {
      x: amounts['right-up'] / out / 2,
      y: -(amounts['rear-up'] - amounts['front-up']) / long,
      z: (amounts['rear-right'] - amounts['front-right']) / long,
    },
  };
}

/** How wrong some readings are: how many are beyond what is allowed, the worst, and the sum of squares, in tolerances. */
function judge(points: Points, targets: readonly Target[]) {
  let [wrong, worst, squares] = [0, 0, 0];
  for (const { observation, target, tolerance } of targets) {
    const off = Math.abs(readOf(points, observation) - target) / tolerance;
    if (off > 1 + 1e-9) wrong += 1;
    worst = Math.max(worst, off);
    squares += off * off;
  }
  return { wrong, worst, squares };
}

/** Amounts rounded to what a tape shows, and what is less than half of that left out. */
const rounded = (amounts: Amounts, division: number): Amounts =>
  Object.fromEntries(
    WAYS.map((way) => [way, Math.round(amounts[way] / division) * division + 0]),
  ) as unknown as Amounts;

/** The lines of some amounts, by what is done together. */
function linesOf(
  amounts: Amounts,
  division: number,
): Readonly<Record<'stands' | 'front' | 'rear' | 'pull', MoveLine[]>> {
  const up = (at: 'front' | 'rear', side: Side) =>
    amounts[`${at}-up`] + (side === 'right' ? 1 : -1) * (amounts['right-up'] / 2);
  const stands = (['front', 'rear'] as const).flatMap((at): MoveLine[] => {
    const [left, right] = (['left', 'right'] as const).map(
      (side) => Math.round(up(at, side) / division) * division,
    ) as [number, number];
    if (Math.abs(left - right) < 1e-9) return left === 0 ? [] : [{ do: 'stand', at, side: 'both', by: left }];
    return [
      ...(left === 0 ? [] : [{ do: 'stand', at, side: 'left', by: left } as const]),
      ...(right === 0 ? [] : [{ do: 'stand', at, side: 'right', by: right } as const]),
    ];
  });
  const slide = (at: 'front' | 'rear'): MoveLine[] =>
    amounts[`${at}-right`] === 0 ? [] : [{ do: 'slide', at, by: amounts[`${at}-right`] }];
  const [front, rear] = [slide('front'), slide('rear')];
  const together = front[0] && rear[0] && front[0].by === rear[0].by;
  return {
    stands,
    front: together ? [{ do: 'slide', at: 'both', by: front[0]?.by ?? 0 }] : front,
    rear: together ? [] : rear,
    pull: amounts.back === 0 ? [] : [{ do: 'pull', by: amounts.back }],
  };
}

/** What belongs to each thing that is done together. */
const GROUPS = {
  stands: ['front-up', 'rear-up', 'right-up'],
  front: ['front-right'],
  rear: ['rear-right'],
  pull: ['back'],
} as const satisfies Readonly<Record<string, readonly Way[]>>;
type Group = keyof typeof GROUPS;

const only = (amounts: Amounts, ways: readonly Way[]): Amounts =>
  Object.fromEntries(WAYS.map((way) => [way, ways.includes(way) ? amounts[way] : 0])) as unknown as Amounts;

/**
 * Gives the amounts of some ways that bring the readings as near to their targets as can be, by least squares: how each
 * reading answers to each way is found once, since moves are small.
 */
function fitting(halves: Halves, holds: Holds, targets: readonly Target[]): (ways: readonly Way[]) => Amounts {
  const steps = WAYS.map((way) => withRearMoved(halves, rigidOf({ ...NOTHING, [way]: STEP }, holds)));
  const rows = targets.map(({ observation, target, tolerance }) => {
    const value = readOf(halves.points, observation);
    return {
      row: steps.map((step) => (readOf(step, observation) - value) / STEP / tolerance),
      miss: (target - value) / tolerance,
    };
  });
  const normal = WAYS.map((_, i) =>
    WAYS.map((__, j) => rows.reduce((sum, { row }) => sum + (row[i] as number) * (row[j] as number), 0)),
  );
  const right = WAYS.map((_, i) => rows.reduce((sum, { row, miss }) => sum + (row[i] as number) * miss, 0));
  return (ways) => {
    const at = ways.map((way) => WAYS.indexOf(way));
    const by = solve(
      at.map((i) => at.map((j) => normal[i]?.[j] as number)),
      at.map((i) => right[i] as number),
    );
    return { ...NOTHING, ...Object.fromEntries(ways.map((way, index) => [way, by[index] ?? 0])) };
  };
}

/** How far each way is tried, mm: as far as frames are out, so that what bends is met half-way. */
const STEP = 4;

/**
 * The fewest moves that bring the loose half to plan: every choice of ways to move is tried, each with the amounts that suit
 * all readings best together (one correction spoils another, so none is calculated alone), rounded to what a tape shows. Of
 * those that come well inside, the one with the fewest things to do.
 *
 * @param halves How the loose half lies.
 * @param holds Where it is held.
 * @param targets Readings and what each should be.
 * @param division What amounts are rounded to, mm.
 */
export function movesFor(halves: Halves, holds: Holds, targets: readonly Target[], division: number): MoveList {
  const before = judge(halves.points, targets);
  const best = fitting(halves, holds, targets);
  const candidates = Array.from({ length: 2 ** WAYS.length }, (_, set) => {
    const ways = WAYS.filter((__, at) => (set >> at) % 2 === 1);
    const amounts = rounded(best(ways), division);
    const { worst, squares } = judge(withRearMoved(halves, rigidOf(amounts, holds)), targets);
    const lines = Object.values(linesOf(amounts, division)).flat().length;
    return { amounts, worst, squares, lines };
  });
  const least = Math.min(...candidates.map(({ worst }) => worst));
  const enough = Math.max(AIM, least * 1.05 + 1e-9);
  const chosen = candidates
    .filter(({ worst }) => worst <= enough)
    .reduce((best, each) =>
      each.lines < best.lines || (each.lines === best.lines && each.squares < best.squares) ? each : best,
    );
  // What improves most comes first; what is done together is one step.
  const lines = linesOf(chosen.amounts, division);
  let done: readonly Way[] = [];
  let left = (Object.keys(GROUPS) as Group[]).filter((group) => lines[group].length > 0);
  const moves: Move[] = [];
  while (left.length > 0) {
    const tried = left.map((group) => {
      // Both ends slid together are one line, under the front one.
      const ways: readonly Way[] =
        group === 'front' && lines.front[0]?.do === 'slide' && lines.front[0].at === 'both'
          ? ['front-right', 'rear-right']
          : GROUPS[group];
      const points = withRearMoved(halves, rigidOf(only(chosen.amounts, [...done, ...ways]), holds));
      return { group, ways, points, ...judge(points, targets) };
    });
    const next = tried.reduce((best, each) =>
      each.wrong < best.wrong || (each.wrong === best.wrong && each.squares < best.squares) ? each : best,
    );
    moves.push({ lines: lines[next.group], points: next.points, wrong: next.wrong, worst: next.worst });
    done = [...done, ...next.ways];
    left = left.filter((group) => group !== next.group);
  }
  const end = moves.at(-1) ?? before;
  return { moves, before: { wrong: before.wrong, worst: before.worst }, reaches: end.wrong === 0 };
}

/**
 * The moves by hand of which a rigid move of the loose half is made, each rounded: what a push of the picture asks for.
 *
 * @param move The rigid move; its turns are small.
 * @param holds Where the half is held.
 * @param division What amounts are rounded to, mm.
 */
export function linesOfMove(move: RigidMove, holds: Holds, division: number): readonly MoveLine[] {
  const amounts = amountsOf(move, holds);
  return Object.values(linesOf(rounded(amounts, division), division)).flat();
}

/**
 * One thing done to the loose half as the rigid move that a pair of hands makes of it: the other stands stay as they are.
 *
 * @param line What is done.
 * @param holds Where the half is held.
 */
export function rigidOfLine(line: MoveLine, holds: Holds): RigidMove {
  const { by } = line;
  if (line.do === 'pull') return rigidOf({ ...NOTHING, back: by }, holds);
  if (line.do === 'slide')
    return rigidOf(
      { ...NOTHING, 'front-right': line.at === 'rear' ? 0 : by, 'rear-right': line.at === 'front' ? 0 : by },
      holds,
    );
  const up = line.at === 'front' ? 'front-up' : 'rear-up';
  if (line.side === 'both') return rigidOf({ ...NOTHING, [up]: by }, holds);
  // A stand on one side lifts the half's middle by half of it, and leans it.
  return rigidOf({ ...NOTHING, [up]: by / 2, 'right-up': ((line.side === 'right' ? 1 : -1) * by) / 2 }, holds);
}

/** A rigid move as moves by hand at where the half is held, mm. */
function amountsOf({ shift, turn, about }: RigidMove, { front, rear, out }: Holds): Amounts {
  const up = (x: number) => shift.z - turn.y * (x - about.x);
  const right = (x: number) => shift.y + turn.z * (x - about.x);
  return {
    'front-up': up(front),
    'rear-up': up(rear),
    'right-up': turn.x * out * 2,
    'front-right': right(front),
    'rear-right': right(rear),
    back: shift.x,
  };
}

/**
 * A slide of the loose half in plan as a rigid move: its front and its rear end to the right, and all of it to the rear, mm.
 *
 * @param slide How far each.
 * @param holds Where the half is held.
 */
export const slidBy = (
  slide: { readonly front: number; readonly rear: number; readonly back: number },
  holds: Holds,
): RigidMove => rigidOf({ ...NOTHING, 'front-right': slide.front, 'rear-right': slide.rear, back: slide.back }, holds);
