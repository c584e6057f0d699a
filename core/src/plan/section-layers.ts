import { type Part, partsOf, type Section } from '../sections/index.ts';

/** A level slice of a section: from so far below the top edge to so far, its width there, and the middle of that, mm. */
export interface Layer {
  readonly from: number;
  readonly to: number;
  readonly width: number;
  readonly middle: number;
}

/** Slices that a ring is cut into: enough for a leaning cut through it to be right to a part in ten thousand. */
const RING_SLICES = 48;

/** Half of a circle's chord area up to height `z` over its middle: ∫ √(r² − t²) dt from −r to z. */
const halfDisc = (r: number, z: number): number => {
  const t = Math.min(r, Math.max(-r, z));
  return (t * Math.sqrt(r * r - t * t) + r * r * (Math.asin(t / r) + Math.PI / 2)) / 2;
};

function layersOfPart(part: Part, depth: number): Layer[] {
  if (part.shape === 'rectangle')
    return [
      {
        from: depth - part.z - part.height,
        to: depth - part.z,
        width: part.width,
        middle: part.y + part.width / 2,
      },
    ];
  const high = (2 * part.outer) / RING_SLICES;
  return Array.from({ length: RING_SLICES }, (_, index): Layer => {
    const from = index * high;
    const area = (z: number) => 2 * (halfDisc(part.outer, z) - halfDisc(part.inner, z));
    const z = part.outer - from;
    return { from, to: from + high, width: (area(z) - area(z - high)) / high, middle: part.y };
  });
}

const known = new WeakMap<Section, readonly Layer[]>();

/**
 * The level slices of a section, remembered.
 *
 * @param section The section.
 */
export function layersOf(section: Section): readonly Layer[] {
  const found = known.get(section) ?? partsOf(section).flatMap((part) => layersOfPart(part, section.depth));
  known.set(section, found);
  return found;
}

/**
 * The area of a section up to a height over its underside, mm².
 *
 * @param section The section.
 * @param height Over the underside, mm.
 */
export const sectionBelow = (section: Section, height: number): number =>
  layersOf(section).reduce((sum, { from, to, width }) => {
    const [low, high] = [section.depth - to, section.depth - from];
    return sum + width * Math.max(0, Math.min(high, height) - low);
  }, 0);
