import { railAt, type Side } from '../frame/index.ts';
import { crossing, endAt, type LineOf, TOP_EDGE } from './face.ts';
import type { Piece } from './piece.ts';

/** Where a cut really cuts the rail, in the steel's own coordinates, mm: from its upper to its lower end. */
export interface FaceSpan {
  readonly upper: FacePoint;
  readonly lower: FacePoint;
  /** Along the cut, in side view. */
  readonly length: number;
}

/** A point of a cut, mm. */
interface FacePoint {
  readonly x: number;
  readonly z: number;
  /** Below the top edge of the rail at this station. */
  readonly down: number;
  /** Whether the cut runs out here through an older end of the steel, before it reaches the edge of the rail. */
  readonly runsOut: boolean;
}

/** Steps that find where a cut runs out of an older end: far below the tolerance. */
const HALVINGS = 60;

/**
 * The part of the face at an end of one rail that really cuts steel: from the top edge to the bottom edge, or to where it
 * runs out of an older end. Null where the face misses the steel.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param end The front or the rear end.
 * @param depthOf Depth of the rail by its section id, mm.
 */
export function faceSpan(
  piece: Pick<Piece, 'rails' | 'front' | 'rear'>,
  side: Side,
  end: 'front' | 'rear',
  depthOf: LineOf,
): FaceSpan | null {
  const rail = piece.rails[side];
  const face = piece[end];
  const toward = end === 'front' ? 'rear' : 'front';
  const edge = (line: LineOf) => {
    const x = crossing(rail, face, line);
    const { top, section } = railAt(rail, x, toward);
    return { x, z: top - line(section) };
  };
  const [top, bottom] = [edge(TOP_EDGE), edge(depthOf)];
  const at = (share: number) => ({
    x: top.x + share * (bottom.x - top.x),
    z: top.z + share * (bottom.z - top.z),
  });
  const { older } = face;
  const isOn = (share: number): boolean => {
    if (!older) return true;
    const { x, z } = at(share);
    const beyond = x - endAt(older, end, z);
    return end === 'rear' ? beyond <= 0 : beyond >= 0;
  };
  const [fromTop, toBottom] = [isOn(0), isOn(1)];
  if (!fromTop && !toBottom) return null;
  let [low, high] = [0, 1];
  if (fromTop !== toBottom)
    for (let step = 0; step < HALVINGS; step += 1) {
      const middle = (low + high) / 2;
      if (isOn(middle) === fromTop) low = middle;
      else high = middle;
    }
  const point = (share: number, runsOut: boolean): FacePoint => {
    const { x, z } = at(share);
    return { x, z, down: railAt(rail, x, toward).top - z, runsOut };
  };
  const whole = fromTop === toBottom;
  const upper = fromTop ? point(0, false) : point(high, true);
  const lower = toBottom ? point(1, false) : point(whole ? 1 : low, !whole);
  return { upper, lower, length: Math.hypot(lower.x - upper.x, lower.z - upper.z) };
}
