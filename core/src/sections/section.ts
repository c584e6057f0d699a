import { TOLERANCE } from '../units/index.ts';

/** The cross-section of a rail, by its outside measures, mm. */
export type Section =
  /** Open channel, web outside, flanges pointing inward. */
  | { readonly kind: 'channel'; readonly depth: number; readonly flange: number; readonly thickness: number }
  /**
   * Channel whose open side is closed by a plate of its own thickness: lapped onto the flange edges, or, where it is no higher than
   * the room between the flanges, set in between them flush with their edges.
   */
  | {
      readonly kind: 'closed-channel';
      readonly depth: number;
      readonly flange: number;
      readonly thickness: number;
      readonly plate: number;
      /** Height of the plate, in the middle of the depth; without it, as high as the rail. */
      readonly plateDepth?: number | undefined;
    }
  /** Rectangular tube; the inner wall may be thinner than the outer wall, top and bottom. */
  | {
      readonly kind: 'tube';
      readonly depth: number;
      readonly width: number;
      readonly thickness: number;
      readonly inner: number;
    }
  /** Hat, crown up: a channel turned on its side with a brim at each foot. */
  | {
      readonly kind: 'hat';
      readonly depth: number;
      readonly crown: number;
      readonly brim: number;
      readonly thickness: number;
    }
  /** Round tube. */
  | { readonly kind: 'round'; readonly depth: number; readonly thickness: number };

type SectionKind = Section['kind'];

/** A solid rectangle of a section, mm: lower outer corner, width (along y) and height (along z). */
export interface Rectangle {
  readonly shape: 'rectangle';
  readonly y: number;
  readonly z: number;
  readonly width: number;
  readonly height: number;
}

/** A ring, mm: center and radii. */
interface Ring {
  readonly shape: 'ring';
  readonly y: number;
  readonly z: number;
  readonly outer: number;
  readonly inner: number;
}

export type Part = Rectangle | Ring;

/**
 * A solid rectangle of a section.
 *
 * @param y Of its lower outer corner, inward, mm.
 * @param z Of its lower outer corner, up, mm.
 * @param width Along y, mm.
 * @param height Along z, mm.
 */
export const rectangle = (y: number, z: number, width: number, height: number): Rectangle => ({
  shape: 'rectangle',
  y,
  z,
  width,
  height,
});

type ClosedChannel = Extract<Section, { kind: 'closed-channel' }>;

/**
 * Whether the plate of a closed channel is set in between its flanges, flush with their edges.
 *
 * @param section The section; its walls validated.
 */
export const isPlateBetween = ({ depth, thickness, plateDepth }: ClosedChannel): boolean =>
  plateDepth !== undefined && plateDepth <= depth - 2 * thickness + TOLERANCE;

/**
 * The plate of a closed channel.
 *
 * @param section The section; its walls validated.
 */
export function closingPlate(section: ClosedChannel): Rectangle {
  const { depth, flange, plate, plateDepth: high = depth } = section;
  return rectangle(isPlateBetween(section) ? flange - plate : flange, (depth - high) / 2, plate, high);
}

/**
 * The width of a section across the frame, mm, from the outside face of its web.
 *
 * @param section The section; its walls validated.
 */
export function widthOf(section: Section): number {
  switch (section.kind) {
    case 'channel':
      return section.flange;
    case 'closed-channel':
      return section.flange + (isPlateBetween(section) ? 0 : section.plate);
    case 'tube':
      return section.width;
    case 'hat':
      return section.crown + 2 * (section.brim - section.thickness);
    case 'round':
      return section.depth;
  }
}

/**
 * The solid parts of a section; they touch but never overlap.
 *
 * @param section The section; its walls validated.
 */
export function partsOf(section: Section): Part[] {
  const { depth, thickness: t } = section;
  switch (section.kind) {
    case 'channel':
      return channelParts(depth, section.flange, t);
    case 'closed-channel':
      return [...channelParts(depth, section.flange, t), closingPlate(section)];
    case 'tube': {
      const between = section.width - t - section.inner;
      return [
        rectangle(0, 0, t, depth),
        rectangle(section.width - section.inner, 0, section.inner, depth),
        rectangle(t, 0, between, t),
        rectangle(t, depth - t, between, t),
      ];
    }
    case 'hat': {
      const brim = section.brim;
      const left = brim - t;
      const right = left + section.crown;
      return [
        rectangle(0, 0, brim, t),
        rectangle(right - t, 0, brim, t),
        rectangle(left, t, t, depth - t),
        rectangle(right - t, t, t, depth - t),
        rectangle(left + t, depth - t, section.crown - 2 * t, t),
      ];
    }
    case 'round': {
      const radius = depth / 2;
      return [{ shape: 'ring', y: radius, z: radius, outer: radius, inner: radius - t }];
    }
  }
}

const channelParts = (depth: number, flange: number, t: number): Part[] => [
  rectangle(0, 0, t, depth),
  rectangle(t, 0, flange - t, t),
  rectangle(t, depth - t, flange - t, t),
];

/**
 * The section in shop words and the job's own figures: `channel 7 3/8 × 2 5/8 × 3/16`.
 *
 * @param section The section; its walls validated.
 * @param show Writes a length, mm, in the job’s unit.
 */
export function describeSection(section: Section, show: (mm: number) => string): string {
  const words: Record<SectionKind, string> = {
    channel: 'channel',
    'closed-channel': 'closed channel',
    tube: 'rectangular tube',
    hat: 'hat',
    round: 'round tube',
  };
  const { depth, thickness } = section;
  const figures = section.kind === 'round' ? [depth, thickness] : [depth, widthOf(section), thickness];
  const text = `${words[section.kind]} ${figures.map(show).join(' × ')}`;
  if (section.kind === 'tube' && section.inner !== section.thickness)
    return `${text}, inner wall ${show(section.inner)}`;
  if (section.kind === 'closed-channel') {
    const high = section.plateDepth === undefined ? '' : `${show(section.plateDepth)} × `;
    return `${text}, plate ${high}${show(section.plate)}`;
  }
  return text;
}
