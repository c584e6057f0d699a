import { railAt, type Side, sideSign, type Station } from '../frame/index.ts';
import { type Section, widthOf } from '../sections/index.ts';
import { type LineOf, TOP_EDGE } from './face.ts';
import { type LocalPiece, perCut } from './per-cut.ts';
import { endCrossing, type Piece, place, stationsOf } from './piece.ts';
import type { PlanResult } from './plan-result.ts';
import { posed } from './pose.ts';

/** A point of a drawing, mm: x along the frame, and z (side view) or y (plan view). */
export type DrawnPoint = readonly [along: number, across: number];

/** A line along one rail of a piece from face to face, local x and height: with both heights where it jumps. */
function railLine(piece: LocalPiece, side: Side, line: LineOf): DrawnPoint[] {
  const rail = piece.rails[side];
  const [from, to] = [endCrossing(piece, side, 'front', line), endCrossing(piece, side, 'rear', line)];
  const at = (x: number, toward: 'front' | 'rear'): DrawnPoint => {
    const { top, section } = railAt(rail, x, toward);
    return [x, top - line(section)];
  };
  const points = [at(from, 'rear')];
  for (let index = 0; index < rail.length; index += 1) {
    const { x, top, section } = rail[index] as Station;
    if (!(x > from && x < to)) continue;
    // The last station has no stretch behind it: it goes on with the section of the one ahead, as `railAt` does.
    const ahead = rail[index - 1]?.section ?? section;
    const behind = index === rail.length - 1 ? ahead : section;
    const [above, below] = [top - line(ahead), top - line(behind)];
    if (Math.abs(above - below) >= 1e-9) points.push([x, above]);
    points.push([x, below]);
  }
  if (to > from) points.push(at(to, 'front'));
  return points;
}

/** The outline of a rail between two faces in its own coordinates, as `sideOutline` goes round it. */
const localOutline = perCut((piece, section): Readonly<Record<Side, readonly DrawnPoint[]>> => {
  const round = (side: Side) => {
    const bottom: LineOf = (id) => section(id).depth;
    return [...railLine(piece, side, TOP_EDGE), ...railLine(piece, side, bottom).reverse()];
  };
  const left = round('left');
  return { left, right: piece.rails.left === piece.rails.right ? left : round('right') };
});

/**
 * The outline of one rail of a piece in side view, present x and z: top edge to the rear, bottom edge back. Leaning
 * faces are drawn from where they cross the top edge to where they cross the bottom edge.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param sectionOf Looks a section up by its id.
 */
export const sideOutline = (piece: Piece, side: Side, sectionOf: (id: string) => Section): DrawnPoint[] =>
  localOutline(piece, sectionOf)[side].map(([x, z]): DrawnPoint => {
    const point = posed(piece.pose, x, z);
    return [point.x, point.z];
  });

/**
 * The outline of one rail of a piece seen from above, present x and y: outside edge to the rear, inside edge back.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param sectionOf Looks a section up by its id.
 */
export function planOutline(piece: Piece, side: Side, sectionOf: (id: string) => Section): DrawnPoint[] {
  const stations = stationsOf(piece, side);
  const edge = (inboard: (section: string) => number) =>
    stations.map((station): DrawnPoint => {
      const point = place(piece, side, station.x, station.halfWidth - inboard(station.section), station.top);
      return [point.x, point.y];
    });
  return [...edge(() => 0), ...edge((id) => widthOf(sectionOf(id))).reverse()];
}

/**
 * The inside edge of a rail at a present station, as y: where crossmembers end.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param localX Station in the steel’s own coordinates, mm.
 * @param sectionOf Looks a section up by its id.
 */
export const insideEdge = (piece: Piece, side: Side, localX: number, sectionOf: (id: string) => Section): number => {
  const here = railAt(piece.rails[side], localX);
  return sideSign(side) * (here.halfWidth + piece.spread - widthOf(sectionOf(here.section)));
};

/**
 * How far a frame reaches over the datum plane and under it, its wheels included, mm; both from 0.
 *
 * @param plan The frame as built.
 */
export function tallOf({ pieces, axles }: Pick<PlanResult, 'pieces' | 'axles'>): {
  readonly over: number;
  readonly under: number;
} {
  const tops = pieces.flatMap(({ rails, pose }) =>
    [...rails.left, ...rails.right].map(({ x, top }) => posed(pose, x, top).z),
  );
  const wheels = axles.flatMap(({ built, item }) => (built ? [built.z - item.tyreRadius] : []));
  return { over: Math.max(0, ...tops), under: Math.max(1, ...tops.map((z) => -z), ...wheels.map((z) => -z)) };
}
