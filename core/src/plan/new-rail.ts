import { type Rail, railAt, type Side, type Station } from '../frame/index.ts';
import { type LineOf, TOP_EDGE } from './face.ts';
import { endCrossing, type Piece } from './piece.ts';

/** An end of a piece of new rail, radians from square: in side view, above 0 with the top longer; and in plan. */
export interface RailEndAngle {
  readonly side: number;
  readonly plan: number;
}

/** Length along a line of one rail of a piece, between its faces, in space, mm. */
function lengthAlong(piece: Piece, side: Side, line: LineOf): number {
  const rail: Rail = piece.rails[side];
  const [from, to] = [endCrossing(piece, side, 'front', line), endCrossing(piece, side, 'rear', line)];
  if (to <= from) return 0;
  const xs = [from, ...rail.map(({ x }) => x).filter((x) => x > from && x < to), to];
  return xs.slice(1).reduce((sum, x, index) => {
    const [a, b] = [railAt(rail, xs[index] ?? x, 'rear'), railAt(rail, x, 'front')];
    return sum + Math.hypot(x - (xs[index] ?? x), b.halfWidth - a.halfWidth, b.top - a.top);
  }, 0);
}

/**
 * Length of one rail of a piece along its top edge, mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 */
export const topLength = (piece: Piece, side: Side): number => lengthAlong(piece, side, TOP_EDGE);

/**
 * Length of one rail of a piece along its bottom edge, mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param depthOf How far a line runs below the top edge, by the section there, mm.
 */
export const bottomLength = (piece: Piece, side: Side, depthOf: LineOf): number => lengthAlong(piece, side, depthOf);

/**
 * How an end of one rail of a straight piece stands to square.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param end The front or the rear end.
 */
export function endAngle(piece: Piece, side: Side, end: 'front' | 'rear'): RailEndAngle {
  const [a, b] = [piece.rails[side][0], piece.rails[side].at(-1)] as [Station, Station];
  const run = b.x - a.x;
  const leans = Math.atan(piece[end].lean) + Math.atan((b.top - a.top) / run);
  return { side: end === 'rear' ? leans : 0 - leans, plan: Math.atan((b.halfWidth - a.halfWidth) / run) };
}
