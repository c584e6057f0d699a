import { polygonHull } from 'd3-polygon';
import type { Vec3 } from '../frame/index.ts';
import { solve } from '../solve.ts';
import { atRest, type BeamLoad, type BeamSupport } from './beam.ts';

/** Where something stands, and how high the top of that is, mm. */
export interface StandPoint {
  readonly x: number;
  readonly y: number;
  readonly top: number;
}

/** Which way something goes over. */
export type Over = 'front' | 'rear' | 'left' | 'right';

/** How far the centre of gravity is from where a piece would go over, mm; below 0 it does. */
export interface TippingMargins {
  readonly front: number;
  readonly rear: number;
  readonly left: number;
  readonly right: number;
  /** From the nearest edge between two stands: the margin that counts. */
  readonly nearest: number;
}

/** Whether something stands on what is under it. */
export interface Footing {
  /** It stands; it only balances, on one stand or on a line of them; it goes over; or nothing is under it. */
  readonly state: 'stays' | 'balances' | 'tips' | 'falls';
  readonly over: Over | null;
  readonly margins: TippingMargins | null;
  /** How far it may lean before it goes over, radians; null where it hangs below its stands' tops or does not stand. */
  readonly tilt: number | null;
  /** Of its centre of gravity over the stands' tops, mm. */
  readonly above: number;
  /**
   * Places among the stands of the two that it would go over first, or goes over; null where one or none is under it.
   */
  readonly edge: readonly [number, number] | null;
}

/** Nearer than this to a stand or a line of stands it balances there, mm. */
const BALANCES = 0.5;

/** Where a level line through the centre along an axis leaves a convex outline: behind and ahead of it. */
function leaves(
  outline: readonly (readonly [number, number])[],
  centre: readonly [number, number],
  axis: 0 | 1,
): readonly [number, number] | null {
  const across = 1 - axis;
  const level = centre[across] as number;
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
 * Whether something rigid stands: by where its centre of gravity is over the hull of what it stands on, seen from above.
 *
 * @param centre Its centre of gravity, mm.
 * @param stands What it stands on; each can only push.
 */
export function footingOf(centre: Vec3, stands: readonly StandPoint[]): Footing {
  const above = centre.z - Math.max(...stands.map(({ top }) => top), -Infinity);
  if (stands.length === 0) return { state: 'falls', over: null, margins: null, tilt: null, above: 0, edge: null };
  const at = [centre.x, centre.y] as const;
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

/** The side on which the centre is farthest out. */
function wayOver([x, y]: readonly [number, number], xs: readonly number[], ys: readonly number[]): Over {
  const out: readonly (readonly [Over, number])[] = [
    ['front', Math.min(...xs) - x],
    ['rear', x - Math.max(...xs)],
    ['left', Math.min(...ys) - y],
    ['right', y - Math.max(...ys)],
  ];
  return out.reduce((most, each) => (each[1] > most[1] ? each : most))[0];
}

/** A weight on a frame, N: at a place or spread along it, and how far from the middle, mm. */
export interface PlacedLoad extends BeamLoad {
  readonly y: number;
}

/** What each stand carries of a piece, N. */
export interface StandLoads {
  readonly reactions: readonly number[];
  /** False where four or more share it: how they do hangs on a millimetre. */
  readonly sure: boolean;
  /** By what it was found. */
  readonly by: 'equilibrium' | 'rails' | 'plane';
}

/** A stand nearer to the middle than this share of the widest stands under neither rail. */
const MIDDLE = 0.25;
/** Rounds of balancing side to side; each leaves a small part of what the last left. */
const MOST_BALANCINGS = 40;

/**
 * What each stand carries. Three by equilibrium. More: each rail by itself as a beam on its own stands, weights between
 * the rails split across by levers; where stands are not in two rails, the piece rigid on stands that give alike. None
 * pulls.
 *
 * @param loads Weights of the piece.
 * @param stands What it stands on, with how far each is shimmed up.
 * @param stretches How stiff one rail is in bending, by stretches, N·mm².
 * @returns Null where they cannot hold it.
 */
export function standLoads(
  loads: readonly PlacedLoad[],
  stands: readonly (StandPoint & { readonly rise: number })[],
  stretches: readonly { readonly from: number; readonly to: number; readonly stiffness: number }[],
): StandLoads | null {
  const force = loads.reduce((sum, load) => sum + load.force, 0);
  if (stands.length < 3 || force <= 0) return null;
  const centre = {
    x: loads.reduce((sum, load) => sum + (load.force * (load.from + load.to)) / 2, 0) / force,
    y: loads.reduce((sum, load) => sum + load.force * load.y, 0) / force,
  };
  if (stands.length > 3) {
    const reactions = byRails(loads, stands, stretches);
    if (reactions) return { reactions, sure: false, by: 'rails' };
  }
  const reactions = byPlane(force, centre, stands);
  return reactions && { reactions, sure: stands.length === 3, by: stands.length === 3 ? 'equilibrium' : 'plane' };
}

function byRails(
  loads: readonly PlacedLoad[],
  stands: readonly (StandPoint & { readonly rise: number })[],
  stretches: readonly { readonly from: number; readonly to: number; readonly stiffness: number }[],
): readonly number[] | null {
  const widest = Math.max(...stands.map(({ y }) => Math.abs(y)));
  if (stands.some(({ y }) => Math.abs(y) < MIDDLE * widest)) return null;
  const sides = ([-1, 1] as const).map((sign) =>
    stands.flatMap((stand, index) => (Math.sign(stand.y) === sign ? [{ ...stand, index }] : [])),
  );
  const [left, right] = sides as [(typeof sides)[0], (typeof sides)[0]];
  if (left.length < 2 || right.length < 2) return null;
  const lineOf = (side: typeof left) => {
    const line = fitLine(side);
    return (x: number) => line.at + line.slope * x;
  };
  const [yLeft, yRight] = [lineOf(left), lineOf(right)];
  /** Reactions where this much more of every weight is borne on the right than levers say. */
  const borne = (more: number): readonly number[] | null => {
    const shareRight = ({ from, to, y }: PlacedLoad) => {
      const x = (from + to) / 2;
      return (y - yLeft(x)) / (yRight(x) - yLeft(x)) + more;
    };
    const reactions = stands.map(() => 0);
    for (const [side, share] of [
      [left, (load: PlacedLoad) => 1 - shareRight(load)],
      [right, shareRight],
    ] as const) {
      const rail = {
        stretches,
        loads: loads.map((load) => ({ from: load.from, to: load.to, force: load.force * share(load) })),
      };
      const rest = atRest(
        rail,
        side.map(({ x, rise }): BeamSupport => ({ x, rise, way: 'push' })),
      );
      if (!rest) return null;
      for (const [at, { index }] of side.entries()) reactions[index] = rest.reactions[at] ?? 0;
    }
    return reactions;
  };
  // Stands of one side that are not in line: so much more goes to the other side that nothing turns about the middle.
  const wanted = loads.reduce((sum, { force, y }) => sum + force * y, 0);
  const force = loads.reduce((sum, load) => sum + load.force, 0);
  const wide = yRight(0) - yLeft(0);
  let more = 0;
  let reactions = borne(more);
  for (let step = 0; step < MOST_BALANCINGS && reactions; step += 1) {
    const off = wanted - reactions.reduce((sum, each, index) => sum + each * (stands[index] as StandPoint).y, 0);
    if (Math.abs(off) <= 1e-9 * force * widest) break;
    more += off / (force * wide);
    reactions = borne(more);
  }
  return reactions;
}

/** The line through stands of one side, seen from above, by least squares. */
function fitLine(side: readonly StandPoint[]): { readonly at: number; readonly slope: number } {
  const mean = (of: (stand: StandPoint) => number) => side.reduce((sum, stand) => sum + of(stand), 0) / side.length;
  const [mx, my] = [mean(({ x }) => x), mean(({ y }) => y)];
  const spread = side.reduce((sum, { x }) => sum + (x - mx) ** 2, 0);
  const slope = spread > 0 ? side.reduce((sum, { x, y }) => sum + (x - mx) * (y - my), 0) / spread : 0;
  return { at: my - slope * mx, slope };
}

/** Forces of stands that give alike under a rigid piece: a plane over them, without those that would have to pull. */
function byPlane(
  force: number,
  centre: { readonly x: number; readonly y: number },
  stands: readonly StandPoint[],
): readonly number[] | null {
  let touching = stands.map((_, index) => index);
  while (touching.length >= 3) {
    const arms = touching.map((i) => {
      const { x, y } = stands[i] as StandPoint;
      return [1, (x - centre.x) / 1000, (y - centre.y) / 1000] as const;
    });
    const normal = [0, 1, 2].map((i) =>
      [0, 1, 2].map((j) => arms.reduce((sum, arm) => sum + (arm[i] as number) * (arm[j] as number), 0)),
    );
    const plane = solve(normal, [1, 0, 0]);
    const forces = arms.map((arm) => force * arm.reduce<number>((sum, value, at) => sum + value * (plane[at] ?? 0), 0));
    const least = Math.min(...forces);
    if (least >= -1e-9 * force) {
      const reactions = stands.map(() => 0);
      for (const [at, i] of touching.entries()) reactions[i] = forces[at] ?? 0;
      return reactions;
    }
    const lifts = touching[forces.indexOf(least)];
    touching = touching.filter((i) => i !== lifts);
  }
  return null;
}
