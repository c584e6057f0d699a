import { STEEL_DENSITY } from '../units/index.ts';
import { closingPlate, type Part, partsOf, type Section } from './section.ts';

/** What a set of parts is worth in bending, about axes through its centroid. mm, mm², mm³, mm⁴, kg/m. */
export interface SectionProperties {
  readonly area: number;
  readonly centroidY: number;
  readonly centroidZ: number;
  /** About the horizontal axis: bending up and down. */
  readonly iy: number;
  /** About the upright axis: bending sideways. */
  readonly iz: number;
  readonly iyz: number;
  readonly modulusTop: number;
  readonly modulusBottom: number;
  readonly modulusOuter: number;
  readonly modulusInner: number;
  readonly massPerMeter: number;
}

interface PartMoments {
  readonly area: number;
  readonly y: number;
  readonly z: number;
  readonly iy: number;
  readonly iz: number;
  readonly box: readonly [yMin: number, yMax: number, zMin: number, zMax: number];
}

function momentsOf(part: Part): PartMoments {
  if (part.shape === 'ring') {
    const i = (Math.PI / 4) * (part.outer ** 4 - part.inner ** 4);
    const { y, z, outer } = part;
    const area = Math.PI * (outer ** 2 - part.inner ** 2);
    return { area, y, z, iy: i, iz: i, box: [y - outer, y + outer, z - outer, z + outer] };
  }
  const { y, z, width, height } = part;
  return {
    area: width * height,
    y: y + width / 2,
    z: z + height / 2,
    iy: (width * height ** 3) / 12,
    iz: (height * width ** 3) / 12,
    box: [y, y + width, z, z + height],
  };
}

const total = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);

/**
 * The bending properties of parts that act together, by the parallel-axis theorem.
 *
 * @param parts Rectangles and rings, mm.
 * @param density kg/mm³.
 * @throws RangeError when the parts have no area.
 */
export function propertiesOfParts(parts: readonly Part[], density = STEEL_DENSITY): SectionProperties {
  const moments = parts.map(momentsOf);
  const area = total(moments.map((part) => part.area));
  if (!(area > 0)) throw new RangeError('a section needs some area');
  const centroidY = total(moments.map((part) => part.area * part.y)) / area;
  const centroidZ = total(moments.map((part) => part.area * part.z)) / area;
  const iy = total(moments.map((part) => part.iy + part.area * (part.z - centroidZ) ** 2));
  const iz = total(moments.map((part) => part.iz + part.area * (part.y - centroidY) ** 2));
  const iyz = total(moments.map((part) => part.area * (part.y - centroidY) * (part.z - centroidZ)));
  const edge = (index: 0 | 1 | 2 | 3, pick: (...values: number[]) => number) =>
    pick(...moments.map((part) => part.box[index]));
  return {
    area,
    centroidY,
    centroidZ,
    iy,
    iz,
    iyz,
    modulusTop: iy / (edge(3, Math.max) - centroidZ),
    modulusBottom: iy / (centroidZ - edge(2, Math.min)),
    modulusOuter: iz / (centroidY - edge(0, Math.min)),
    modulusInner: iz / (edge(1, Math.max) - centroidY),
    massPerMeter: area * density * 1000,
  };
}

const known = new WeakMap<Section, SectionProperties>();

/**
 * The bending properties of a plain rail section; kept by the section's identity, since masses ask for them often.
 *
 * @param section The section; its walls validated.
 */
export function sectionProperties(section: Section): SectionProperties {
  const found = known.get(section) ?? propertiesOfParts(partsOf(section));
  known.set(section, found);
  return found;
}

/**
 * The torsion constant of a plain section, mm⁴, and the formula it rests on. Warping is left out.
 *
 * @param section The section; its walls validated.
 */
export function torsionConstant(section: Section): {
  readonly j: number;
  readonly basis: 'open walls' | 'closed cell';
} {
  const { depth, thickness: t } = section;
  switch (section.kind) {
    case 'channel':
      return { j: ((depth - t + 2 * (section.flange - t / 2)) * t ** 3) / 3, basis: 'open walls' };
    case 'hat': {
      const line = section.crown - t + 2 * (depth - t) + 2 * (section.brim - t / 2);
      return { j: (line * t ** 3) / 3, basis: 'open walls' };
    }
    case 'closed-channel': {
      const plate = closingPlate(section);
      const [high, wide] = [depth - t, plate.y + plate.width / 2 - t / 2];
      return { j: bredt(high, wide, [high / t, (2 * wide) / t, high / section.plate]), basis: 'closed cell' };
    }
    case 'tube': {
      const [high, wide] = [depth - t, section.width - t / 2 - section.inner / 2];
      return { j: bredt(high, wide, [high / t, (2 * wide) / t, high / section.inner]), basis: 'closed cell' };
    }
    case 'round': {
      const radius = depth / 2;
      return { j: (Math.PI / 2) * (radius ** 4 - (radius - t) ** 4), basis: 'closed cell' };
    }
  }
}

const bredt = (high: number, wide: number, flow: readonly number[]): number => (4 * (high * wide) ** 2) / total(flow);

/**
 * The area that carries vertical shear, mm²: the upright walls over the full depth (half the area of a round tube).
 *
 * @param section The section; its walls validated.
 */
export function shearArea(section: Section): number {
  const { depth, thickness: t } = section;
  switch (section.kind) {
    case 'channel':
      return depth * t;
    case 'closed-channel':
      return depth * t + closingPlate(section).height * section.plate;
    case 'tube':
      return depth * (t + section.inner);
    case 'hat':
      return 2 * depth * t;
    case 'round':
      return sectionProperties(section).area / 2;
  }
}

/**
 * Resisting bending moment, N·mm: the smaller section modulus times the yield stress (MPa).
 *
 * @param properties The section’s properties, mm.
 * @param yieldStress MPa.
 */
export const resistingMoment = (properties: SectionProperties, yieldStress: number): number =>
  Math.min(properties.modulusTop, properties.modulusBottom) * yieldStress;
