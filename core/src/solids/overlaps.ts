import { keyOf, middleOf, type SolidFinding, TOUCH } from './finding.ts';
import type { Manifold, Triple, Workshop } from './kernel.ts';
import type { FrameSolid, SolidKind } from './frame-solid.ts';

/** Kinds that must not overlap. */
const APART: readonly (readonly [SolidKind, SolidKind])[] = [
  ['box', 'rail'],
  ['box', 'crossmember'],
  ['box', 'member'],
  ['box', 'plate'],
  ['box', 'sleeve'],
  ['box', 'box'],
  ['crossmember', 'crossmember'],
  ['crossmember', 'member'],
  ['sleeve', 'rail'],
  ['plate', 'plate'],
  ['bracket', 'rail'],
  ['bracket', 'crossmember'],
  ['bracket', 'member'],
  ['bracket', 'plate'],
  ['bracket', 'bracket'],
  ['bracket', 'box'],
  ['tire', 'rail'],
  ['tire', 'crossmember'],
  ['tire', 'member'],
  ['tire', 'bracket'],
  ['tire', 'box'],
];

const mayMeet = (a: FrameSolid, b: FrameSolid): boolean => {
  if (a.id !== null && a.id === b.id) return true;
  // A plate and a sleeve of one side have nothing to do with the other rail.
  if (a.side && b.side && a.side !== b.side) return true;
  return !APART.some(([p, q]) => (a.kind === p && b.kind === q) || (a.kind === q && b.kind === p));
};

/** The overlap of two solids, mm, and its middle; null without one. */
function overlapOf(
  workshop: Workshop,
  a: Manifold,
  b: Manifold,
): { readonly deep: number; readonly at: Triple } | null {
  if (!workshop.boxesMeet(a, b, TOUCH)) return null;
  const shared = workshop.own(a.intersect(b));
  if (shared.isEmpty()) return null;
  const { min, max } = shared.boundingBox();
  const size = ([0, 1, 2] as const).map((axis) => max[axis] - min[axis]);
  // A thin layer along a sloping face has a large bounding box: its thickness is twice its volume over its surface.
  const thick = (2 * shared.volume()) / Math.max(1e-9, shared.surfaceArea());
  const deep = Math.min(...size, 2 * thick);
  return deep > TOUCH ? { deep, at: middleOf(shared) } : null;
}

/**
 * Things that overlap by more than the tolerance.
 *
 * @param workshop Holds what is made.
 * @param all Everything on the frame.
 * @param show Writes a length as the job displays it.
 */
export function overlapsOf(
  workshop: Workshop,
  all: readonly FrameSolid[],
  show: (mm: number) => string,
): SolidFinding[] {
  const found = new Map<string, SolidFinding>();
  all.forEach((a, index) => {
    for (const b of all.slice(index + 1)) {
      if (mayMeet(a, b)) continue;
      const here = overlapOf(workshop, a.solid, b.solid);
      if (!here) continue;
      const blocked = a.kind === 'sleeve' || b.kind === 'sleeve';
      const code = blocked && (a.kind === 'rail' || b.kind === 'rail') ? 'sleeve-blocked' : 'overlap';
      const key = keyOf(code, a, b);
      if ((found.get(key)?.amount ?? 0) >= here.deep) continue;
      const [first, second] = a.kind === 'rail' ? [b, a] : [a, b];
      found.set(key, {
        code,
        key,
        about: [first.id, second.id].filter((id) => id !== null),
        message:
          code === 'sleeve-blocked'
            ? `The ${first.name} does not fit: it runs ${show(here.deep)} into the steel of the ${second.name}.`
            : `${first.name} and ${second.kind === 'rail' ? `the ${second.name}` : second.name} overlap by ${show(here.deep)}.`,
        at: here.at,
        amount: here.deep,
      });
    }
  });
  return [...found.values()];
}

/** Rotations, degrees, and offsets, mm, tried to fit a sleeve into its rail within its clearance. */
const TURNS = [0.5, -0.5, 1, -1, 1.5, -1.5, 2.5, -2.5];

const SHIFTS = [0, 1, -1, 2, -2, 4, -4];

/** The deepest overlap of a sleeve with the rails of its side, mm. */
const overlapWithRails = (workshop: Workshop, sleeve: Manifold, rails: readonly FrameSolid[]): number =>
  Math.max(0, ...rails.map(({ solid }) => overlapOf(workshop, sleeve, solid)?.deep ?? 0));

/**
 * A sleeve in its best position in the rail: straight where it fits, else the rotation and offset with the least overlap.
 *
 * @param workshop Holds what is made.
 * @param sleeve The sleeve, straight along the rail ahead of its joint.
 * @param all Everything on the frame.
 */
export function fitSleeve(workshop: Workshop, sleeve: FrameSolid, all: readonly FrameSolid[]): FrameSolid {
  const rails = all.filter(({ kind, side }) => kind === 'rail' && side === sleeve.side);
  let best = { solid: sleeve.solid, deep: overlapWithRails(workshop, sleeve.solid, rails) };
  const [x, y, z] = middleOf(sleeve.solid);
  const centered = workshop.own(sleeve.solid.translate([-x, -y, -z]));
  for (const across of [true, false])
    for (const turn of TURNS)
      for (const shift of SHIFTS) {
        if (best.deep === 0) return { ...sleeve, solid: best.solid };
        const turned = workshop.own(centered.rotate(across ? [0, 0, turn] : [0, turn, 0]));
        const solid = workshop.own(turned.translate(across ? [x, y + shift, z] : [x, y, z + shift]));
        const deep = overlapWithRails(workshop, solid, rails);
        if (deep < best.deep) best = { solid, deep };
      }
  return { ...sleeve, solid: best.solid };
}
