import { railAt, type Side, sideSign } from '../frame/index.ts';
import { type Section, widthOf } from '../sections/index.ts';
import { faceAt, type Piece, place, stationsOf } from './piece.ts';
import { posed } from './pose.ts';

/** A point of a drawing, mm: x along the frame, and z (side view) or y (plan view). */
export type DrawnPoint = readonly [along: number, across: number];

/**
 * The outline of one rail of a piece in side view, present x and z: top edge to the rear, bottom edge back.
 * Leaning faces are drawn where they cross the edges.
 */
export function sideOutline(piece: Piece, side: Side, sectionOf: (id: string) => Section): DrawnPoint[] {
  const stations = stationsOf(piece, side);
  const rail = piece.rails[side];
  const at = (x: number, z: number): DrawnPoint => {
    const point = posed(piece.pose, x, z);
    return [point.x, point.z];
  };
  const top = stations.map((station) => at(station.x, station.top));
  const bottom = stations.map((station, index) => {
    const toward = index === stations.length - 1 ? 'front' : 'rear';
    const here = railAt(rail, station.x, toward);
    const z = here.top - sectionOf(here.section).depth;
    const end = index === 0 ? piece.front : index === stations.length - 1 ? piece.rear : null;
    return at(end && end.lean !== 0 ? faceAt(end, z) : station.x, z);
  });
  return [...top, ...bottom.reverse()];
}

/** The outline of one rail of a piece seen from above, present x and y: outside edge to the rear, inside edge back. */
export function planOutline(piece: Piece, side: Side, sectionOf: (id: string) => Section): DrawnPoint[] {
  const stations = stationsOf(piece, side);
  const edge = (inboard: (section: string) => number) =>
    stations.map((station): DrawnPoint => {
      const point = place(piece, side, station.x, station.halfWidth - inboard(station.section), station.top);
      return [point.x, point.y];
    });
  return [...edge(() => 0), ...edge((id) => widthOf(sectionOf(id))).reverse()];
}

/** The inside edge of a rail at a present station, as y: where crossmembers end. */
export const insideEdge = (piece: Piece, side: Side, localX: number, sectionOf: (id: string) => Section): number => {
  const here = railAt(piece.rails[side], localX);
  return sideSign(side) * (here.halfWidth + piece.spread - widthOf(sectionOf(here.section)));
};
