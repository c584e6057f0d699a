import { polygonHull } from 'd3-polygon';
import type { Vec3 } from '../frame/index.ts';

/** Where something stands, and how high the top of that is, mm. */
export interface StandPoint {
  readonly x: number;
  readonly y: number;
  readonly top: number;
}

/** Which way something goes over. */
type Over = 'front' | 'rear' | 'left' | 'right';

/** How far the center of gravity is from where a piece would go over, mm; below 0 it does. */
interface TippingMargins {
  readonly front: number;
  readonly rear: number;
  readonly left: number;
  readonly right: number;
  /** From the nearest edge between two stands: the margin that counts. */
  readonly nearest: number;
}

/** Whether something stands on what is under it. */
export interface Stability {
  /** It stands; it only balances, on one stand or on a line of them; it goes over; or nothing is under it. */
  readonly state: 'stays' | 'balances' | 'tips' | 'falls';
  readonly over: Over | null;
  readonly margins: TippingMargins | null;
  /** How far it may lean before it goes over, radians; null where it hangs below its stands' tops or does not stand. */
  readonly tilt: number | null;
  /** Of its center of gravity over the stands' tops, mm. */
  readonly above: number;
  /**
   * Places among the stands of the two that it would go over first, or goes over; null where one or none is under it.
   */
  readonly edge: readonly [number, number] | null;
}

/** Nearer than this to a stand or a line of stands it balances there, mm. */
const BALANCES = 0.5;

/** Where a level line through the center along an axis leaves a convex outline: behind and ahead of it. */
function leaves(
  outline: readonly (readonly [number, number])[],
  center: readonly [number, number],
  axis: 0 | 1,
): readonly [number, number] | null {
  const across = 1 - axis;
  const level = center[across] as number;
  const met = outline.flatMap((a, index) => {
    const b = outline[(index + 1) % outline.length] as readonly [number, number];
    const [from, to] = [a[across] as number, b[across] as number];
    if (Math.min(from, to) > level || Math.max(from, to) < level) return [];
    if (from === to) return [a[axis] as number, b[axis] as number];
    return [(a[axis] as number) + (((b[axis] as number) - (a[axis] as number)) * (level - from)) / (to - from)];
  });
  return met.length === 0 ? null : [Math.min(...met), Math.max(...met)];
}

/** The edge of a convex outline that a point is nearest to going over, and how far inside it is, mm. Any way round. */
function nearestEdge(outline: readonly (readonly [number, number])[], [x, y]: readonly [number, number]) {
  const [ax, ay] = outline[0] as readonly [number, number];
  const area = outline.reduce((sum, [px, py], index) => {
    const [qx, qy] = outline[(index + 1) % outline.length] as readonly [number, number];
    return sum + (px - ax) * (qy - ay) - (qx - ax) * (py - ay);
  }, 0);
  return outline
    .map((from, index) => {
      const to = outline[(index + 1) % outline.length] as readonly [number, number];
      const [px, py] = from;
      const [qx, qy] = to;
      const long = Math.hypot(qx - px, qy - py);
      return { from, to, inside: (Math.sign(area) * ((qx - px) * (y - py) - (qy - py) * (x - px))) / long };
    })
    .reduce((least, each) => (each.inside < least.inside ? each : least));
}

/**
 * Whether something rigid stands: by where its center of gravity is over the hull of what it stands on, seen from above.
 *
 * @param center Its center of gravity, mm.
 * @param stands What it stands on; each can only push.
 */
export function stabilityOf(center: Vec3, stands: readonly StandPoint[]): Stability {
  const above = center.z - Math.max(...stands.map(({ top }) => top), -Infinity);
  if (stands.length === 0) return { state: 'falls', over: null, margins: null, tilt: null, above: 0, edge: null };
  const at = [center.x, center.y] as const;
  const outline = polygonHull(stands.map(({ x, y }): [number, number] => [x, y]));
  const xs = stands.map(({ x }) => x);
  const ys = stands.map(({ y }) => y);
  const wide = Math.max(...ys) - Math.min(...ys);
  const long = Math.max(...xs) - Math.min(...xs);
  if (!outline || wide < BALANCES || long < BALANCES) {
    // One stand, or all in a line: at best it balances there.
    const beside =
      wide < BALANCES
        ? Math.abs(at[1] - (ys[0] as number))
        : long < BALANCES
          ? Math.abs(at[0] - (xs[0] as number))
          : Math.abs(lineMiss(stands, at));
    const between =
      at[0] >= Math.min(...xs) - BALANCES &&
      at[0] <= Math.max(...xs) + BALANCES &&
      at[1] >= Math.min(...ys) - BALANCES &&
      at[1] <= Math.max(...ys) + BALANCES;
    const balances = beside <= BALANCES && between;
    const along = stands.map(({ x, y }) => x + y * 1e-6 + (long < BALANCES ? y : 0));
    const [one, other] = [along.indexOf(Math.min(...along)), along.indexOf(Math.max(...along))];
    const ends = [Math.min(one, other), Math.max(one, other)] as const;
    return {
      state: balances ? 'balances' : 'tips',
      over: balances ? null : wayOver(at, xs, ys),
      margins: null,
      tilt: null,
      above,
      edge: ends[0] === ends[1] ? null : ends,
    };
  }
  const { from, to, inside: nearest } = nearestEdge(outline, at);
  const standAt = ([px, py]: readonly [number, number]) => stands.findIndex(({ x, y }) => x === px && y === py);
  const alongs = leaves(outline, at, 0);
  const acrosses = leaves(outline, at, 1);
  const margins: TippingMargins = {
    front: at[0] - (alongs?.[0] ?? Math.min(...xs)),
    rear: (alongs?.[1] ?? Math.max(...xs)) - at[0],
    left: at[1] - (acrosses?.[0] ?? Math.min(...ys)),
    right: (acrosses?.[1] ?? Math.max(...ys)) - at[1],
    nearest,
  };
  const state = nearest > BALANCES ? 'stays' : nearest > -BALANCES ? 'balances' : 'tips';
  return {
    state,
    over: state === 'tips' ? wayOver(at, xs, ys) : null,
    margins,
    tilt: nearest > 0 && above > 0 ? Math.atan2(nearest, above) : null,
    above,
    edge: [Math.min(standAt(from), standAt(to)), Math.max(standAt(from), standAt(to))],
  };
}

/** How far a point is off the line through stands that all lie in one, mm. */
function lineMiss(stands: readonly StandPoint[], [x, y]: readonly [number, number]): number {
  const [a, b] = [stands[0] as StandPoint, stands[stands.length - 1] as StandPoint];
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  return long === 0 ? Math.hypot(x - a.x, y - a.y) : ((b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x)) / long;
}

/** The side on which the center is farthest out. */
function wayOver([x, y]: readonly [number, number], xs: readonly number[], ys: readonly number[]): Over {
  const out: readonly (readonly [Over, number])[] = [
    ['front', Math.min(...xs) - x],
    ['rear', x - Math.max(...xs)],
    ['left', Math.min(...ys) - y],
    ['right', y - Math.max(...ys)],
  ];
  return out.reduce((most, each) => (each[1] > most[1] ? each : most))[0];
}
