import { type Rail, railEnds, type Side, type Station } from '../frame/index.ts';
import type { CutFace } from './face.ts';
import type { Alignment } from './operation.ts';
import { type Piece, railEnd } from './piece.ts';
import { unposed } from './pose.ts';

/**
 * A new, straight piece in the local coordinates of `beside`, between two stations of each rail, with square faces.
 *
 * @param beside The piece whose coordinates it takes.
 * @param source Id of the operation that adds it.
 * @param stationsOfSide Its two stations on each side, in those coordinates, mm.
 */
function newPiece(beside: Piece, source: string, stationsOfSide: (side: Side) => readonly [Station, Station]): Piece {
  const rails: Record<Side, Rail> = { left: stationsOfSide('left'), right: stationsOfSide('right') };
  const [front, rear] = railEnds(rails.left);
  const face = (x: number): CutFace => ({ x, z: 0, lean: 0, operation: source });
  return {
    source,
    rails: sameRail(rails.left, rails.right) ? { left: rails.left, right: rails.left } : rails,
    front: face(front),
    rear: face(rear),
    pose: beside.pose,
    spread: beside.spread,
  };
}

/**
 * A new, straight piece from the rear end of `front` to the front end of `rear`, in the local coordinates of
 * `front`; level and parallel where the two ends already line up.
 *
 * @param front The piece ahead.
 * @param rear The piece behind.
 * @param section Id of its section; null: that of the end ahead.
 * @param source Id of the operation that adds it.
 */
export function bridge(front: Piece, rear: Piece, section: string | null, source: string): Piece {
  const piece = newPiece(front, source, (side) => {
    const [a, b] = [railEnd(front, side, 'rear'), railEnd(rear, side, 'front')];
    const end = unposed(front.pose, b.point.x, b.point.z);
    const used = section ?? a.section;
    return [
      { x: a.localX, halfWidth: a.halfWidth, top: a.top, section: used },
      { x: end.x, halfWidth: Math.abs(b.point.y) - front.spread, top: end.z, section: used },
    ];
  });
  return { ...piece, front: { ...front.rear, operation: source } };
}

/**
 * A new, straight piece that goes on from an end of `beside`, as it is aligned to that end, for `length` mm along the
 * local axis of `beside`. Its section is that of the end where none is given.
 *
 * @param beside The piece it goes on from.
 * @param end The front or the rear end.
 * @param length Along that piece’s own axis, mm.
 * @param section Id of its section; null: that of the end.
 * @param source Id of the operation that adds it.
 */
export function goingOn(
  beside: Piece,
  end: 'front' | 'rear',
  length: number,
  { out, up, yaw, pitch }: Alignment,
  section: string | null,
  source: string,
): Piece {
  return newPiece(beside, source, (side) => {
    const at = railEnd(beside, side, end);
    const used = section ?? at.section;
    const near = { x: at.localX, halfWidth: at.halfWidth + out, top: at.top + up, section: used };
    const far = {
      x: near.x + (end === 'rear' ? length : -length),
      halfWidth: near.halfWidth + length * Math.tan(yaw),
      top: near.top + length * Math.tan(pitch),
      section: used,
    };
    return end === 'rear' ? [near, far] : [far, near];
  });
}

const sameRail = (a: Rail, b: Rail): boolean =>
  a.every((station, index) => {
    const other = b[index];
    return (
      other !== undefined && station.x === other.x && station.halfWidth === other.halfWidth && station.top === other.top
    );
  });
