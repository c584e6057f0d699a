import { railAt, type Side, sideSign } from '../frame/index.ts';
import { type Section, widthOf } from '../sections/index.ts';
import { type LineOf, TOP_EDGE } from './face.ts';
import { endCrossing, type Piece, place, stationsOf } from './piece.ts';
import { posed } from './pose.ts';

/** A point of a drawing, mm: x along the frame, and z (side view) or y (plan view). */
export type DrawnPoint = readonly [along: number, across: number];

/** A line along one rail of a piece from face to face, local x and height: with both heights where it jumps. */
function railLine(piece: Piece, side: Side, line: LineOf): { readonly x: number; readonly z: number }[] {
  const rail = piece.rails[side];
  const [from, to] = [endCrossing(piece, side, 'front', line), endCrossing(piece, side, 'rear', line)];
  const at = (x: number, toward: 'front' | 'rear') => {
    const { top, section } = railAt(rail, x, toward);
    return { x, z: top - line(section) };
  };
  return [
    at(from, 'rear'),
    ...rail
      .filter(({ x }) => x > from && x < to)
      .flatMap(({ x }) => {
        const [ahead, behind] = [at(x, 'front'), at(x, 'rear')];
        return Math.abs(ahead.z - behind.z) < 1e-9 ? [behind] : [ahead, behind];
      }),
    ...(to > from ? [at(to, 'front')] : []),
  ];
}

/**
 * The outline of one rail of a piece in side view, present x and z: top edge to the rear, bottom edge back. Leaning
 * faces are drawn from where they cross the top edge to where they cross the bottom edge.
 */
export function sideOutline(piece: Piece, side: Side, sectionOf: (id: string) => Section): DrawnPoint[] {
  const drawn = (line: LineOf) =>
    railLine(piece, side, line).map(({ x, z }): DrawnPoint => {
      const point = posed(piece.pose, x, z);
      return [point.x, point.z];
    });
  return [...drawn(TOP_EDGE), ...drawn((id) => sectionOf(id).depth).reverse()];
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
