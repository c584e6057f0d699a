import { InputError } from '../input-error.ts';
import { propertiesOfParts, type SectionProperties, torsionConstant } from './properties.ts';
import { type Part, partsOf, rectangle, type Rectangle, type Section, widthOf } from './section.ts';

/** Something welded to a rail, or taken out of it, over a stretch. mm. */
export type Addition =
  /** A plate on a face; on the web faces `size` is its height (centered unless `from` is given), on flanges its width. */
  | {
      readonly kind: 'plate';
      readonly face: 'outside' | 'inside' | 'top' | 'bottom';
      readonly thickness: number;
      readonly size: number;
      /** From the underside (web faces) or from the outside face (flanges). */
      readonly from?: number;
    }
  /** A plate that closes the open side of a channel. */
  | { readonly kind: 'boxing'; readonly thickness: number }
  /** A tube or channel inside the rail, standing on its bottom wall. */
  | { readonly kind: 'sleeve'; readonly section: Section; readonly y: number; readonly z: number }
  /** Steel taken away from below or above, with an optional plate laid along the cut edge. */
  | {
      readonly kind: 'notch';
      readonly from: 'below' | 'above';
      readonly depth: number;
      readonly plate?: { readonly width: number; readonly thickness: number };
    };

/** A rail section with everything added to it, acting together in bending. */
export interface BuiltUpSection {
  readonly parts: readonly Part[];
  readonly properties: SectionProperties;
  /** Torsion constant with the parts on their own: plates and sleeves add only their own. */
  readonly j: number;
}

const refuse = (code: string, message: string): never => {
  throw new InputError([{ code, path: '', message }]);
};

function plateParts(section: Section, addition: Extract<Addition, { kind: 'plate' }>): Rectangle {
  const { face, thickness, size } = addition;
  const centered = (room: number) => addition.from ?? (room - size) / 2;
  switch (face) {
    case 'outside':
      return rectangle(-thickness, centered(section.depth), thickness, size);
    case 'inside': {
      const room = section.depth - 2 * section.thickness;
      if (size > room)
        refuse('section/plate-too-high', `An inside plate ${size} high does not fit between the flanges (${room}).`);
      return rectangle(section.thickness, centered(section.depth), thickness, size);
    }
    case 'top':
      return rectangle(centered(widthOf(section)), section.depth, size, thickness);
    case 'bottom':
      return rectangle(centered(widthOf(section)), -thickness, size, thickness);
  }
}

/** The rectangles with everything below `z` (or above it) taken away. */
function clip(parts: readonly Part[], keep: 'above' | 'below', z: number): Part[] {
  return parts.flatMap((part): Part[] => {
    if (part.shape === 'ring') return refuse('section/notch-in-round', 'A notch in a round tube is not computed.');
    const bottom = keep === 'above' ? Math.max(part.z, z) : part.z;
    const top = keep === 'below' ? Math.min(part.z + part.height, z) : part.z + part.height;
    return top > bottom ? [rectangle(part.y, bottom, part.width, top - bottom)] : [];
  });
}

/**
 * A rail section with its additions, in the order given (a notch takes away what is there when its turn comes).
 * The torsion constant of a notched closed section is that of its open remains and is left at the open-wall sum.
 *
 * @param section The section; its walls validated.
 * @param additions Plates, sleeves and notches, in any order.
 * @throws InputError for an addition that does not fit.
 */
export function builtUpSection(section: Section, additions: readonly Addition[]): BuiltUpSection {
  let parts = partsOf(section);
  let j = torsionConstant(section).j;
  for (const addition of additions) {
    switch (addition.kind) {
      case 'plate': {
        parts = [...parts, plateParts(section, addition)];
        j += (addition.size * addition.thickness ** 3) / 3;
        break;
      }
      case 'boxing': {
        if (section.kind !== 'channel') return refuse('section/already-closed', 'Only an open channel can be boxed.');
        const closed: Section = { ...section, kind: 'closed-channel', plate: addition.thickness };
        j += torsionConstant(closed).j - torsionConstant(section).j;
        parts = [...parts, rectangle(section.flange, 0, addition.thickness, section.depth)];
        break;
      }
      case 'sleeve': {
        const moved = partsOf(addition.section).map((part) => ({
          ...part,
          y: part.y + addition.y,
          z: part.z + addition.z,
        }));
        parts = [...parts, ...moved];
        j += torsionConstant(addition.section).j;
        break;
      }
      case 'notch': {
        if (!(addition.depth > 0))
          refuse('section/notch-depth', `A notch must be deeper than 0, not ${addition.depth} mm.`);
        if (addition.depth >= section.depth)
          refuse(
            'section/notch-depth',
            `A notch must be shallower than the rail (${section.depth} mm), not ${addition.depth} mm.`,
          );
        const edge = addition.from === 'below' ? addition.depth : section.depth - addition.depth;
        parts = clip(parts, addition.from === 'below' ? 'above' : 'below', edge);
        j = parts.reduce((sum, part) => sum + (part.shape === 'rectangle' ? thinWall(part) : 0), 0);
        if (addition.plate) {
          const { width, thickness } = addition.plate;
          parts = [...parts, rectangle(0, addition.from === 'below' ? edge - thickness : edge, width, thickness)];
          j += (width * thickness ** 3) / 3;
        }
        break;
      }
    }
  }
  return { parts, properties: propertiesOfParts(parts), j };
}

const thinWall = (part: Rectangle): number =>
  (Math.max(part.width, part.height) * Math.min(part.width, part.height) ** 3) / 3;
