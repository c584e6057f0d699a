import { type Part, partsOf, type Section } from '../sections/index.ts';
import type { Band } from './joint-form.ts';
import type { Slice } from './part.ts';
import type { RailWall } from './rail-splice.ts';
import { wallParts } from './section-walls.ts';

/** Area and moments of something that counts with a factor. */
export interface Weighted {
  readonly area: number;
  readonly z: number;
  readonly iy: number;
}

/**
 * A rectangle between two heights, counted with a factor.
 *
 * @param width Across, mm.
 * @param low Its lower edge over the underside of the rail, mm.
 * @param high Its upper edge, mm.
 * @param factor What it counts by; below 0 for steel that is taken out.
 */
export const ofRectangle = (width: number, low: number, high: number, factor: number): Weighted => ({
  area: factor * width * (high - low),
  z: (low + high) / 2,
  iy: (factor * width * (high - low) ** 3) / 12,
});

/** Strips that a ring is cut into where only a part of its height is in weld. */
const STRIPS = 720;

/** Half the width of a ring's steel at a height over its center, mm. */
const ringChord = (outer: number, inner: number, z: number): number =>
  2 * (Math.sqrt(Math.max(0, outer ** 2 - z ** 2)) - Math.sqrt(Math.max(0, inner ** 2 - z ** 2)));

/** A part of the rail between two heights, counted with a factor. */
function banded(part: Part, low: number, high: number, factor: number): readonly Weighted[] {
  if (part.shape === 'rectangle') {
    const [from, to] = [Math.max(low, part.z), Math.min(high, part.z + part.height)];
    return to > from ? [ofRectangle(part.width, from, to, factor)] : [];
  }
  const { outer, inner, z } = part;
  if (low <= z - outer && high >= z + outer) {
    const area = factor * Math.PI * (outer ** 2 - inner ** 2);
    return [{ area, z, iy: (factor * Math.PI * (outer ** 4 - inner ** 4)) / 4 }];
  }
  const step = (2 * outer) / STRIPS;
  return Array.from({ length: STRIPS }, (_, at) => z - outer + at * step).flatMap((from) => {
    const [a, b] = [Math.max(low, from), Math.min(high, from + step)];
    return b > a ? [ofRectangle(ringChord(outer, inner, (a + b) / 2 - z), a, b, factor)] : [];
  });
}

/**
 * How the walls of two ends lie on each other at a joint: the share of their thickness that meets. Upright walls are offset by how far
 * the ends are apart sideways, level ones by how far they are apart in height.
 */
export interface WallContact {
  readonly upright: number;
  readonly level: number;
}

/** The wall of a rail where none of it is in weld: asked for at every station. */
const bareWalls = new WeakMap<Section, readonly Weighted[]>();

/**
 * The rail's wall, what of it is in weld counted less.
 *
 * @param section The rail.
 * @param inWeld Heights between which the wall is in weld, mm; null where none is.
 * @param factor What the wall in weld counts by, 0 to 1.
 * @param contact How the walls of the two ends lie on each other.
 * @param others Walls in weld that count by another factor.
 */
export function wall(
  section: Section,
  inWeld: Band | null,
  factor: number,
  contact: WallContact = { upright: 1, level: 1 },
  others: Partial<Readonly<Record<RailWall, number>>> = {},
): readonly Weighted[] {
  const parts = partsOf(section);
  if (!inWeld) {
    const known = bareWalls.get(section);
    if (known) return known;
    const { area, centroidZ, iy } = sumOf(parts.flatMap((part) => banded(part, -Infinity, Infinity, 1)));
    const bare = [{ area, z: centroidZ, iy }];
    bareWalls.set(section, bare);
    return bare;
  }
  const [low, high] = inWeld;
  const meets = (part: Part): number => {
    if (part.shape === 'ring') return Math.min(contact.upright, contact.level);
    return part.height > part.width ? contact.upright : contact.level;
  };
  const alike = Object.keys(others).length === 0;
  const counted = alike
    ? parts.map((part) => ({ part, by: factor }))
    : wallParts(section).map(([name, part]) => ({ part, by: others[name] ?? factor }));
  return counted.flatMap(({ part, by }) => [
    ...banded(part, -Infinity, low, 1),
    ...banded(part, low, high, by * meets(part)),
    ...banded(part, high, Infinity, 1),
  ]);
}

/**
 * All of them as one: area mm², centroid mm over the underside, second moment about it mm⁴; zeros where no steel is left.
 *
 * @param all What is summed.
 */
export function sumOf(all: readonly Weighted[]) {
  let [area, first] = [0, 0];
  for (const each of all) {
    area += each.area;
    first += each.area * each.z;
  }
  if (area <= 0) return { area: 0, centroidZ: 0, iy: 0 };
  const centroidZ = first / area;
  let iy = 0;
  for (const each of all) iy += each.iy + each.area * (each.z - centroidZ) ** 2;
  return { area, centroidZ, iy };
}

/**
 * A part at a station, counted with a factor.
 *
 * @param slice The part there, mm.
 * @param factor What it counts by.
 */
export const ofSlice = (slice: Slice, factor: number): Weighted =>
  ofRectangle(slice.y[1] - slice.y[0], slice.z[0], slice.z[1], factor);
