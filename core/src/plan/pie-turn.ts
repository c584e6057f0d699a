import { railAt } from '../frame/index.ts';
import type { Context } from './context.ts';
import type { PieCut } from './operations/pie-cut.ts';
import { frontTop, meanTop, type Piece, rearTop } from './piece.ts';
import { posed } from './pose.ts';
import type { PlanState } from './state.ts';
import { pieceAt, type Spot } from './spot.ts';

/** A pie cut's turn and what it does to the point it is given by. mm, radians. */
export interface PieTurn {
  /** By how much the turned part turns; NaN where no turn brings the point as far as asked. */
  readonly angle: number;
  /** Local height of the pivot. */
  readonly z: number;
  /** How far the point moves along the frame, toward the cut above 0; null where the cut is given by its angle. */
  readonly nearer: number | null;
}

/** Local height of an edge of the rail at local x, mean of both sides. */
function edgeHeight(
  piece: Piece,
  x: number,
  toward: 'front' | 'rear',
  edge: 'top' | 'bottom',
  context: Context,
): number {
  const { top } = meanTop(piece, x, toward);
  if (edge === 'top') return top;
  const depth = (rail: Piece['rails']['left']) => context.section(railAt(rail, x, toward).section).depth;
  return top - (depth(piece.rails.left) + depth(piece.rails.right)) / 2;
}

/** Places along an edge from the pivot to the end of the frame that turns, present. */
function edgeFrom(state: PlanState, at: Spot, { pivot, turned }: PieCut, context: Context) {
  const rear = turned === 'rear';
  const pieces = rear ? state.pieces.slice(at.index) : state.pieces.slice(0, at.index + 1).reverse();
  return pieces.flatMap((piece, index) => {
    const [front, end] = [frontTop(piece), rearTop(piece)];
    const [from, to] = rear ? [index === 0 ? at.x : front, end] : [front, index === 0 ? at.x : end];
    const inner = [...piece.rails.left, ...piece.rails.right].map(({ x }) => x).filter((x) => x > from && x < to);
    const xs = [from, ...inner.sort((a, b) => a - b), to];
    return (rear ? xs : xs.reverse()).map((x) =>
      posed(piece.pose, x, edgeHeight(piece, x, x === to ? 'front' : 'rear', pivot, context)),
    );
  });
}

/** How steeply the straight line rises from the pivot to the point of the edge that is `distance` away, radians. */
function riseTo(edge: readonly { readonly x: number; readonly z: number }[], distance: number): number {
  const start = edge[0] ?? { x: 0, z: 0 };
  const away = (p: { readonly x: number; readonly z: number }) => ({ x: Math.abs(p.x - start.x), z: p.z - start.z });
  let [a, b] = [away(start), away(start)];
  for (const point of edge.slice(1)) {
    const next = away(point);
    if (Math.hypot(next.x - b.x, next.z - b.z) < 1e-9) continue;
    [a, b] = [b, next];
    if (Math.hypot(b.x, b.z) >= distance) break;
  }
  // Along the stretch from a to b, carried on straight beyond the end of the frame: |a + t (b − a)| = distance.
  const [dx, dz] = [b.x - a.x, b.z - a.z];
  const [square, half, rest] = [dx * dx + dz * dz, a.x * dx + a.z * dz, a.x * a.x + a.z * a.z - distance * distance];
  if (square === 0) return 0;
  const t = (-half + Math.sqrt(Math.max(0, half * half - square * rest))) / square;
  return Math.atan2(a.z + t * dz, a.x + t * dx);
}

/**
 * The turn of a pie cut: as given, or from how far a point of the pivot edge drops or rises. With L the straight line
 * from pivot to point, rising by a away from the cut, a drop D turns the piece by θ with sin(a − θ) = sin a − D/L and
 * brings the point nearer to the cut by L (cos a − cos(a − θ)): on a rising rail that is below 0, it goes away from it.
 * Derived: the point turns on a circle about the pivot.
 *
 * @param state The frame in work.
 * @param at Where the cut is.
 * @param operation The pie cut.
 * @param context Sections, rules and how lengths are written.
 */
export function pieTurn(state: PlanState, at: Spot, operation: PieCut, context: Context): PieTurn {
  const { amount, pivot, mode } = operation;
  const piece = pieceAt(state, at);
  const z = edgeHeight(piece, at.x, 'rear', pivot, context);
  if (amount.by === 'angle') return { angle: amount.angle, z, nearer: null };
  const { drop, distance } = amount;
  if (!(drop > 0 && distance > 0)) return { angle: Number.NaN, z, nearer: null };
  const rise = riseTo(edgeFrom(state, at, operation, context), distance);
  // Closing below a top pivot, or opening above a bottom one, brings the turned end down.
  const down = (pivot === 'top') === (mode === 'close');
  const turned = Math.asin(Math.sin(rise) + ((down ? -1 : 1) * drop) / distance);
  return { angle: down ? rise - turned : turned - rise, z, nearer: distance * (Math.cos(rise) - Math.cos(turned)) };
}
