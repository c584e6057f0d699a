import { solve } from '../solve.ts';
import { atRest, type BeamLoad, type BeamSupport } from './beam.ts';
import type { StandPoint } from './stability.ts';

/** A weight on a frame, N: at a place or spread along it, and how far from the middle, mm. */
export interface PlacedLoad extends BeamLoad {
  readonly y: number;
}

/** What each stand carries of a piece, N. */
export interface StandLoads {
  readonly reactions: readonly number[];
  /** False where four or more share it: how they do hangs on a millimeter. */
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
  const center = {
    x: loads.reduce((sum, load) => sum + (load.force * (load.from + load.to)) / 2, 0) / force,
    y: loads.reduce((sum, load) => sum + load.force * load.y, 0) / force,
  };
  if (stands.length > 3) {
    const reactions = byRails(loads, stands, stretches);
    if (reactions) return { reactions, sure: false, by: 'rails' };
  }
  const reactions = byPlane(force, center, stands);
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
  center: { readonly x: number; readonly y: number },
  stands: readonly StandPoint[],
): readonly number[] | null {
  let touching = stands.map((_, index) => index);
  while (touching.length >= 3) {
    const arms = touching.map((i) => {
      const { x, y } = stands[i] as StandPoint;
      return [1, (x - center.x) / 1000, (y - center.y) / 1000] as const;
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
