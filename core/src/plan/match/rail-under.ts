import { type Side, SIDES, sideSign } from '../../frame/index.ts';
import { type Section, widthOf } from '../../sections/index.ts';
import { type Piece, place, stationsOf } from '../piece.ts';

/** A rail of the built frame at a station, mm: how far its faces lie from the centre line, and its edges in height. */
export interface RailUnder {
  readonly outer: number;
  readonly inner: number;
  readonly top: number;
  readonly underside: number;
  /** How much the top edge rises to the rear, dz/dx. */
  readonly slope: number;
  readonly section: Section;
}

interface EdgePoint {
  readonly x: number;
  readonly outer: number;
  readonly top: number;
  readonly section: string;
}

/** The top edge of both rails of a piece as it stands; a dragged cut changes few pieces. */
const edges = new WeakMap<Piece, Readonly<Record<Side, readonly EdgePoint[]>>>();

function edgesOf(piece: Piece): Readonly<Record<Side, readonly EdgePoint[]>> {
  const known = edges.get(piece);
  if (known) return known;
  const edge = (side: Side) =>
    stationsOf(piece, side).map(({ x, halfWidth, top, section }): EdgePoint => {
      const at = place(piece, side, x, halfWidth, top);
      return { x: at.x, outer: sideSign(side) * at.y, top: at.z, section };
    });
  const made = { left: edge('left'), right: edge('right') };
  edges.set(piece, made);
  return made;
}

/**
 * A rail of the frame at a built station; null where there is none. Where a step in height has two, the higher counts.
 *
 * @param pieces The pieces of the frame, front to rear.
 * @param side Left or right, as seated.
 * @param x The station, mm.
 * @param sectionOf Looks a section up by its id.
 */
export function railUnder(
  pieces: readonly Piece[],
  side: Side,
  x: number,
  sectionOf: (id: string) => Section,
): RailUnder | null {
  let found: RailUnder | null = null;
  for (const piece of pieces) {
    const edge = edgesOf(piece)[side];
    for (let at = 1; at < edge.length; at += 1) {
      const [a, b] = [edge[at - 1] as EdgePoint, edge[at] as EdgePoint];
      if (x < a.x || x > b.x || b.x <= a.x) continue;
      const share = (x - a.x) / (b.x - a.x);
      const slope = (b.top - a.top) / (b.x - a.x);
      const top = a.top + share * (b.top - a.top);
      if (found && found.top >= top) continue;
      const section = sectionOf(a.section);
      const outer = a.outer + share * (b.outer - a.outer);
      // A sloping rail is as much deeper plumb down.
      const underside = top - section.depth * Math.hypot(1, slope);
      found = { outer, inner: outer - widthOf(section), top, underside, slope, section };
    }
  }
  return found;
}

/**
 * Built stations at which a rail bends or ends, within a stretch, and the ends of that stretch, mm, front to rear.
 *
 * @param pieces The pieces of the frame.
 * @param from Where the stretch begins.
 * @param to Where it ends.
 */
export function bendsBetween(pieces: readonly Piece[], from: number, to: number): readonly number[] {
  const all = pieces.flatMap((piece) => SIDES.flatMap((side) => edgesOf(piece)[side].map(({ x }) => x)));
  return [...new Set([from, ...all.filter((x) => x > from && x < to), to])].sort((a, b) => a - b);
}
