import { type Rail, railAt, type Side, sideSign, type Station } from '../frame/index.ts';
import { type Section, widthOf } from '../sections/index.ts';
import { isInside } from '../units/index.ts';
import { crossing, type CutFace, faceAt, facesOf, type LineOf, TOP_EDGE } from './face.ts';
import { type LocalPiece, perCut } from './per-cut.ts';
import { type Piece, place, stationsOf } from './piece.ts';
import type { PlanResult } from './plan-result.ts';
import { posed } from './pose.ts';

/** A point of a drawing, mm: x along the frame, and z (side view) or y (plan view). */
export type DrawnPoint = readonly [along: number, across: number];

/** A line along one rail between two local stations, local x and height: with both heights where it jumps. */
function railLine(rail: Rail, [from, to]: readonly [number, number], line: LineOf): DrawnPoint[] {
  const at = (x: number, toward: 'front' | 'rear'): DrawnPoint => {
    const { top, section } = railAt(rail, x, toward);
    return [x, top - line(section)];
  };
  const points = [at(from, 'rear')];
  for (let index = 0; index < rail.length; index += 1) {
    const { x, top, section } = rail[index] as Station;
    if (!isInside(x, { from, to })) continue;
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

/** The part of an outline on the steel's side of a face; Sutherland and Hodgman, 1974. */
function clipped(outline: readonly DrawnPoint[], face: CutFace, end: 'front' | 'rear'): DrawnPoint[] {
  const outside = ([x, z]: DrawnPoint): number => (end === 'rear' ? 1 : -1) * (x - faceAt(face, z));
  return outline.flatMap((to, index): DrawnPoint[] => {
    const from = outline[(index + outline.length - 1) % outline.length] as DrawnPoint;
    const [a, b] = [outside(from), outside(to)];
    const share = a / (a - b);
    const cut: DrawnPoint = [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
    const crosses = (a > 0 && b < 0) || (a < 0 && b > 0);
    return [...(crosses ? [cut] : []), ...(b <= 0 ? [to] : [])];
  });
}

/** Whether an end is one square face, so that every line along the rail ends at the same station. */
const isSquare = ({ lean, older }: CutFace): boolean => lean === 0 && older === undefined;

/** The outline of one rail of a piece between its ends, local x and z: top edge to the rear, bottom edge back. */
function roundRail({ rails, front, rear }: LocalPiece, side: Side, depth: LineOf): readonly DrawnPoint[] {
  const rail = rails[side];
  const between = (ends: readonly [number, number]) => [
    ...railLine(rail, ends, TOP_EDGE),
    ...railLine(rail, ends, depth).reverse(),
  ];
  if (isSquare(front) && isSquare(rear)) return between([front.x, rear.x]);
  const reach = (face: CutFace): number[] =>
    facesOf(face).flatMap((one) => [crossing(rail, one, TOP_EDGE), crossing(rail, one, depth)]);
  const long = between([Math.min(...reach(front)) - 1, Math.max(...reach(rear)) + 1]);
  const cut = facesOf(front).reduce<readonly DrawnPoint[]>((points, face) => clipped(points, face, 'front'), long);
  return facesOf(rear).reduce<readonly DrawnPoint[]>((points, face) => clipped(points, face, 'rear'), cut);
}

/** The outline of a rail between two faces in its own coordinates, as `sideOutline` goes round it. */
const localOutline = perCut((piece, section): Readonly<Record<Side, readonly DrawnPoint[]>> => {
  const depth: LineOf = (id) => section(id).depth;
  const left = roundRail(piece, 'left', depth);
  return { left, right: piece.rails.left === piece.rails.right ? left : roundRail(piece, 'right', depth) };
});

/**
 * The outline of one rail of a piece in side view, present x and z: top edge to the rear, bottom edge back. An end
 * that leans is drawn as it leans, with a corner where it runs out of an older end.
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
  const wheels = axles.flatMap(({ built, item }) => (built ? [built.z - item.tireRadius] : []));
  return { over: Math.max(0, ...tops), under: Math.max(1, ...tops.map((z) => -z), ...wheels.map((z) => -z)) };
}
