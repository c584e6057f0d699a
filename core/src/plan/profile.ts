import { railAt, type Side, SIDES } from '../frame/index.ts';
import { type Section, widthOf } from '../sections/index.ts';
import { frontTop, type Piece, rearTop, spine } from './piece.ts';
import { posed } from './pose.ts';

/** One rail at a station: outside face from the center line, and heights of its edges over the datum plane, mm. */
interface RailProfile {
  readonly halfWidth: number;
  readonly top: number;
  readonly bottom: number;
}

/** The frame across at one station, mm. */
export interface ProfileRow {
  /** Index of the piece it is on: a joint has a row for each of its ends. */
  readonly piece: number;
  readonly builtX: number;
  /** Null on new steel. */
  readonly donorX: number | null;
  readonly left: RailProfile;
  readonly right: RailProfile;
  readonly outsideWidth: number;
  readonly insideWidth: number;
}

/**
 * Widths and heights at every measured station and every end of a piece, front to rear. Of the built frame for the
 * pieces of a result, of the donor for those of an empty plan.
 *
 * @param pieces Pieces, front to rear.
 * @param section Looks a section up by its id.
 */
export function frameProfile(pieces: readonly Piece[], section: (id: string) => Section): ProfileRow[] {
  return pieces.flatMap((piece, index) =>
    stationXs(piece).map((x, place, all) => rowAt(piece, index, x, place === all.length - 1, section)),
  );
}

/**
 * Widths and heights at one station of donor steel; null where a plan has left none of it, or beyond its ends.
 *
 * @param pieces Pieces, front to rear.
 * @param donorX Station on the donor, mm.
 * @param section Looks a section up by its id.
 */
export function profileAt(
  pieces: readonly Piece[],
  donorX: number,
  section: (id: string) => Section,
): ProfileRow | null {
  const index = pieces.findIndex(
    (piece) => piece.source === 'donor' && donorX >= frontTop(piece) && donorX <= rearTop(piece),
  );
  const piece = pieces[index];
  return piece ? rowAt(piece, index, donorX, donorX === rearTop(piece), section) : null;
}

/** Local stations of either rail between the faces at the top edge, and the faces. */
function stationXs(piece: Piece): number[] {
  const [front, rear] = [frontTop(piece), rearTop(piece)];
  const inner = SIDES.flatMap((side) => piece.rails[side].map(({ x }) => x)).filter((x) => x > front && x < rear);
  return [...new Set([front, ...inner, rear])].sort((a, b) => a - b);
}

function rowAt(piece: Piece, index: number, x: number, last: boolean, section: (id: string) => Section): ProfileRow {
  const toward = last ? 'front' : 'rear';
  const on = (side: Side): RailProfile => {
    const here = railAt(piece.rails[side], x, toward);
    const height = (z: number) => posed(piece.pose, x, z).z;
    return {
      halfWidth: here.halfWidth + piece.spread,
      top: height(here.top),
      bottom: height(here.top - section(here.section).depth),
    };
  };
  const [left, right] = [on('left'), on('right')];
  const inside = (side: Side): number => {
    const here = railAt(piece.rails[side], x, toward);
    return here.halfWidth + piece.spread - widthOf(section(here.section));
  };
  return {
    piece: index,
    builtX: spine(piece, x, toward).x,
    donorX: piece.source === 'donor' ? x : null,
    left,
    right,
    outsideWidth: left.halfWidth + right.halfWidth,
    insideWidth: inside('left') + inside('right'),
  };
}

/** By how much the right rail differs from the left at a station, right minus left, mm. */
export interface RailDifference {
  readonly row: ProfileRow;
  readonly mm: number;
}

/**
 * Where the right rail stands most over or under the left, and most farther out or in; null without a station.
 *
 * @param rows Rows of a profile.
 */
export function worstDifferences(rows: readonly ProfileRow[]): {
  readonly height: RailDifference | null;
  readonly width: RailDifference | null;
} {
  const worst = (of: (row: ProfileRow) => number) =>
    rows.reduce<RailDifference | null>((most, row) => {
      const mm = of(row);
      return most && Math.abs(most.mm) >= Math.abs(mm) ? most : { row, mm };
    }, null);
  return {
    height: worst(({ left, right }) => right.top - left.top),
    width: worst(({ left, right }) => right.halfWidth - left.halfWidth),
  };
}
