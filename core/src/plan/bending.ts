import { GRAVITY } from '../units/index.ts';
import { onFrame } from '../body/index.ts';
import { railAt, railOf, SIDES } from '../frame/index.ts';
import { type Section, sectionProperties } from '../sections/index.ts';
import { axleXs } from './axle-loads.ts';
import { frameLoads } from './frame-loads.ts';
import type { Outcomes } from './outcomes.ts';
import { steelLumps } from './solid.ts';
import { builtOf } from './tape.ts';

/** Section modulus of a rail to its worse edge, mm³; remembered for the section. */
function modulusOf(section: Section): number {
  const known = moduli.get(section);
  if (known !== undefined) return known;
  const { modulusTop, modulusBottom } = sectionProperties(section);
  const modulus = Math.min(modulusTop, modulusBottom);
  moduli.set(section, modulus);
  return modulus;
}
const moduli = new WeakMap<Section, number>();

/** How hard the rails are bent at a station: both together, standing still. */
export interface Bending {
  /** N·mm; above 0 the top is in compression. */
  readonly moment: number;
  /** Greatest bending stress in the rails there, MPa. */
  readonly stress: number;
}

/**
 * How hard the rails of an evaluated frame are bent, by levers: the frame's own steel, what hangs on it and the bodies
 * (each on its first and its last mount) as weights on two rails that rest on the axles. Standing still, without
 * load, without springs: a picture of where the rail works hardest. Null without both axles.
 *
 * @param outcomes The evaluated frame.
 */
export function bendingOf(outcomes: Outcomes): ((donorX: number) => Bending) | null {
  const { context, state, tape, axles, seats } = outcomes;
  const { front, rear } = axleXs(axles, 'built');
  if (front === null || rear === null || rear <= front) return null;
  const weights = [
    ...steelLumps(state.pieces, context.section, context.density),
    ...frameLoads(outcomes),
    ...seats.flatMap(({ body, pose }) => {
      const xs = body.mounts.map((mount) => onFrame(pose, mount).x).sort((a, b) => a - b);
      return body.masses.flatMap((lump) => onMounts(lump.mass, onFrame(pose, lump).x, xs));
    }),
  ].map((lump) => ({ x: lump.at.x, force: lump.mass * GRAVITY }));
  const total = weights.reduce((sum, { force }) => sum + force, 0);
  const onRear = weights.reduce((sum, { x, force }) => sum + force * (x - front), 0) / (rear - front);
  const forces = [...weights, { x: front, force: onRear - total }, { x: rear, force: -onRear }].sort(
    (a, b) => a.x - b.x,
  );
  // Sums up to each force: the moment at a station then needs only the last one ahead of it.
  const xs: number[] = [];
  const sums: { readonly force: number; readonly first: number }[] = [];
  let [force, first] = [0, 0];
  for (const one of forces) {
    force += one.force;
    first += one.force * one.x;
    xs.push(one.x);
    sums.push({ force, first });
  }
  const ahead = (x: number): number => {
    let [low, high] = [0, xs.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((xs[middle] ?? 0) <= x) low = middle + 1;
      else high = middle;
    }
    return low - 1;
  };
  const { rails } = outcomes.input.donor;
  return (donorX) => {
    const x = builtOf(tape, donorX) ?? donorX;
    const before = sums[ahead(x)];
    const moment = before ? before.first - before.force * x : 0;
    const resisting = SIDES.reduce(
      (sum, side) => sum + modulusOf(context.section(railAt(railOf(rails, side), donorX).section)),
      0,
    );
    return { moment, stress: Math.abs(moment) / resisting };
  };
}

/** A weight of a body on its first and its last mount; where it has fewer than two, where it is. */
function onMounts(mass: number, x: number, mounts: readonly number[]) {
  const [first, last] = [mounts[0], mounts.at(-1)];
  const at = (place: number, share: number) => ({ mass: share, at: { x: place, y: 0, z: 0 } });
  if (first === undefined || last === undefined || last - first < 1) return [at(x, mass)];
  const onLast = (mass * (x - first)) / (last - first);
  return [at(first, mass - onLast), at(last, onLast)];
}
