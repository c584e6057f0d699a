import { type Rail, railAt, type Side, SIDES, sideSign } from '../../frame/index.ts';
import { type Section, widthOf } from '../../sections/index.ts';
import { TOLERANCE } from '../../units/index.ts';
import { facesOf } from '../face.ts';
import { notchOutline } from '../notch-profile.ts';
import type { Notch } from '../operations/notch.ts';
import { type DrawnPoint, sideOutline } from '../outline.ts';
import { endCrossing, type Piece, place } from '../piece.ts';
import { posed } from '../pose.ts';
import type { PlanState } from '../state.ts';

/** A rail of the built frame at a station, mm: how far its faces lie from the center line, and its edges in height. */
export interface RailUnder {
  readonly outer: number;
  readonly inner: number;
  readonly top: number;
  readonly underside: number;
  /** How much the top edge rises to the rear, dz/dx. */
  readonly slope: number;
  readonly section: Section;
}

/** The steel that rails are looked up in: the pieces of the frame, and the notches in them. */
export type RailSteel = Pick<PlanState, 'pieces' | 'reworks'>;

interface EdgePoint {
  readonly x: number;
  readonly outer: number;
  readonly top: number;
  readonly section: string;
}

/** One rail of a piece as it stands: its top edge as far as there is steel at any height, and its outline in side view. */
interface Standing {
  readonly edge: readonly EdgePoint[];
  readonly outline: readonly DrawnPoint[];
}

type SectionOf = (id: string) => Section;
interface Known {
  readonly sectionOf: SectionOf;
  readonly sides: Readonly<Record<Side, Standing>>;
}

/** Rails of a piece as they stand; a dragged cut changes few pieces. */
const known = new WeakMap<Piece, Known>();

/** The stations of a rail up to its farthest edge: an angled end extends farther at one edge than at the other. */
function stationsAsFar(piece: Piece, side: Side, sectionOf: SectionOf): Rail {
  const rail = piece.rails[side];
  const depth = (id: string) => sectionOf(id).depth;
  const reach = (end: 'front' | 'rear') => [
    endCrossing(piece, side, end, () => 0),
    endCrossing(piece, side, end, depth),
  ];
  const between = (end: 'front' | 'rear') =>
    facesOf(piece[end]).length > 1
      ? facesOf(piece[end])
          .slice(1)
          .map(({ x }) => x)
      : [];
  const from = Math.min(...reach('front'), ...between('front'));
  const to = Math.max(...reach('rear'), ...between('rear'));
  const at = (x: number, toward: 'front' | 'rear') => {
    const { halfWidth, top, section } = railAt(rail, x, toward);
    return { x, halfWidth, top, section };
  };
  return [at(from, 'rear'), ...rail.filter(({ x }) => x > from && x < to), at(to, 'front')];
}

function standingOf(piece: Piece, sectionOf: SectionOf): Known['sides'] {
  const found = known.get(piece);
  if (found?.sectionOf === sectionOf) return found.sides;
  const stand = (side: Side): Standing => ({
    edge: stationsAsFar(piece, side, sectionOf).map(({ x, halfWidth, top, section }): EdgePoint => {
      const at = place(piece, side, x, halfWidth, top);
      return { x: at.x, outer: sideSign(side) * at.y, top: at.z, section };
    }),
    outline: sideOutline(piece, side, sectionOf),
  });
  const sides = { left: stand('left'), right: stand('right') };
  known.set(piece, { sectionOf, sides });
  return sides;
}

/** The highest and the lowest of an outline at a station, as z; null where the station is not in it. */
function heightsAt(outline: readonly DrawnPoint[], x: number): readonly [low: number, high: number] | null {
  let [low, high] = [Infinity, -Infinity];
  const take = (z: number) => {
    low = Math.min(low, z);
    high = Math.max(high, z);
  };
  outline.forEach(([bx, bz], index) => {
    const [ax, az] = outline[index === 0 ? outline.length - 1 : index - 1] as DrawnPoint;
    if (Math.abs(bx - x) <= TOLERANCE) take(bz);
    if ((ax - x) * (bx - x) < 0) take(az + ((x - ax) / (bx - ax)) * (bz - az));
  });
  return high >= low ? [low, high] : null;
}

/** Steel that a notch takes out of one rail, in side view of the built frame. */
interface Gone {
  readonly from: Notch['from'];
  /** Stations between which it takes something, mm. */
  readonly reach: readonly [front: number, rear: number];
  readonly outline: readonly DrawnPoint[];
}
interface KnownNotches {
  readonly reworks: RailSteel['reworks'];
  readonly sectionOf: SectionOf;
  readonly sides: Readonly<Record<Side, readonly Gone[]>>;
}

/** Notches in each piece: a frame is looked at in hundreds of places. */
const knownNotches = new WeakMap<Piece, KnownNotches>();

function notchesIn({ reworks }: RailSteel, piece: Piece, sectionOf: SectionOf): KnownNotches['sides'] {
  const found = knownNotches.get(piece);
  if (found?.reworks === reworks && found.sectionOf === sectionOf) return found.sides;
  const gone = (side: Side): readonly Gone[] =>
    reworks.flatMap(({ operation, source, from, to }): Gone[] => {
      if (operation.kind !== 'notch' || source !== piece.source) return [];
      const local = notchOutline(operation, { from, to }, piece.rails, side, (id) => sectionOf(id).depth);
      const outline = local.map(([x, z]): DrawnPoint => {
        const at = posed(piece.pose, x, z);
        return [at.x, at.z];
      });
      const xs = outline.map(([x]) => x);
      return [{ from: operation.from, reach: [Math.min(...xs), Math.max(...xs)], outline }];
    });
  const sides = { left: gone('left'), right: gone('right') };
  knownNotches.set(piece, { reworks, sectionOf, sides });
  return sides;
}

/** What notches leave of a rail between two heights at a station. */
function withoutNotches(
  notches: readonly Gone[],
  x: number,
  [low, high]: readonly [number, number],
): readonly [number, number] | null {
  let [under, over] = [low, high];
  for (const { from, reach, outline } of notches) {
    if (x < reach[0] - TOLERANCE || x > reach[1] + TOLERANCE) continue;
    const gone = heightsAt(outline, x);
    if (!gone) continue;
    if (from === 'above') over = Math.min(over, gone[0]);
    else under = Math.max(under, gone[1]);
  }
  return over - under > TOLERANCE ? [under, over] : null;
}

/**
 * A rail of the frame at a built station, as its steel really is: less what notches take out, to where an end that leans really
 * ends. Null where there is none. Where a step in height has two, the higher counts.
 *
 * @param steel The pieces of the frame, front to rear, and the notches in them.
 * @param side Left or right, as seated.
 * @param x The station, mm.
 * @param sectionOf Looks a section up by its id.
 */
export function railUnder(steel: RailSteel, side: Side, x: number, sectionOf: SectionOf): RailUnder | null {
  let found: RailUnder | null = null;
  for (const piece of steel.pieces) {
    const { edge, outline } = standingOf(piece, sectionOf)[side];
    const [first, last] = [edge[0], edge.at(-1)];
    if (!first || !last || x < first.x - TOLERANCE || x > last.x + TOLERANCE) continue;
    const whole = heightsAt(outline, x);
    const heights = whole && withoutNotches(notchesIn(steel, piece, sectionOf)[side], x, whole);
    if (!heights || (found && found.top >= heights[1])) continue;
    for (let at = 1; at < edge.length; at += 1) {
      const [a, b] = [edge[at - 1] as EdgePoint, edge[at] as EdgePoint];
      if (x < a.x - TOLERANCE || x > b.x + TOLERANCE || b.x <= a.x) continue;
      const share = (x - a.x) / (b.x - a.x);
      const outer = a.outer + share * (b.outer - a.outer);
      const section = sectionOf(a.section);
      found = {
        outer,
        inner: outer - widthOf(section),
        top: heights[1],
        underside: heights[0],
        slope: (b.top - a.top) / (b.x - a.x),
        section,
      };
    }
  }
  return found;
}

/**
 * How far the rail on a side is from a built station along the frame, mm: behind its rear end above 0, ahead of its front end
 * below 0; 0 where it reaches the station.
 *
 * @param steel The pieces of the frame, front to rear.
 * @param side Left or right, as seated.
 * @param x The station, mm.
 * @param sectionOf Looks a section up by its id.
 */
export function beyondRail(steel: Pick<RailSteel, 'pieces'>, side: Side, x: number, sectionOf: SectionOf): number {
  const xs = steel.pieces.flatMap((piece) => standingOf(piece, sectionOf)[side].outline.map(([at]) => at));
  const [front, rear] = [Math.min(...xs), Math.max(...xs)];
  return x > rear ? x - rear : x < front ? x - front : 0;
}

/**
 * Built stations at which a rail bends or ends, or a notch does, within a stretch, and the ends of that stretch, mm, front to rear.
 *
 * @param steel The pieces of the frame, and the notches in them.
 * @param from Where the stretch begins.
 * @param to Where it ends.
 * @param sectionOf Looks a section up by its id.
 */
export function bendsBetween(steel: RailSteel, from: number, to: number, sectionOf: SectionOf): readonly number[] {
  const all = steel.pieces.flatMap((piece) => {
    const sides = standingOf(piece, sectionOf);
    const notches = notchesIn(steel, piece, sectionOf).left.flatMap(({ outline }) => outline.map(([x]) => x));
    return [
      ...SIDES.flatMap((side) => [...sides[side].edge.map(({ x }) => x), ...sides[side].outline.map(([x]) => x)]),
      ...notches,
    ];
  });
  return [...new Set([from, ...all.filter((x) => x > from && x < to), to])].sort((a, b) => a - b);
}
