import { InputError } from '../input-error.ts';
import { isPlateBetween, type Section, widthOf } from '../sections/index.ts';
import type { Fillet, Plug, SplicePart } from './part.ts';

/** A rectangular tube as a yard sells it, mm; its corners are as round outside as is said, sharp where it is not known. */
export interface StockTube {
  readonly name: string;
  readonly height: number;
  readonly width: number;
  readonly wall: number;
  /** Its wall toward the middle of the frame, where that is not as thick as the others. */
  readonly inner?: number | undefined;
  readonly cornerRadius: number;
}

/** The clear room inside a rail, mm: from web to the open edge or the other wall, and between the flanges. */
export interface Inside {
  readonly height: number;
  readonly width: number;
  /** Radius of the corners inside, between web and flange. */
  readonly cornerRadius: number;
  /** Whether all four sides are closed, so that the tube must go in from the end. */
  readonly closed: boolean;
}

/**
 * The room inside a rail; null for a section that a rectangular tube does not go into.
 *
 * @param section The rail; its walls validated.
 * @param cornerRadius Radius of its corners inside, mm: measured, or its wall where it was not.
 */
export function insideOf(section: Section, cornerRadius: number): Inside | null {
  switch (section.kind) {
    case 'channel':
    case 'closed-channel': {
      const { depth, flange, thickness } = section;
      const closed = section.kind === 'closed-channel';
      const taken = section.kind === 'closed-channel' && isPlateBetween(section) ? section.plate : 0;
      return { height: depth - 2 * thickness, width: flange - thickness - taken, cornerRadius, closed };
    }
    case 'tube': {
      const { depth, width, thickness, inner } = section;
      return { height: depth - 2 * thickness, width: width - thickness - inner, cornerRadius, closed: true };
    }
    case 'hat':
    case 'round':
      return null;
  }
}

/** How a tube would serve as a sleeve, mm. */
export type SleeveFit =
  /** Goes in as it is; what is left beside it stands beside it. */
  | { readonly fit: 'slides-in'; readonly clearance: { readonly height: number; readonly width: number } }
  /** Goes in once so much is ground off its height, its width, and its corners. */
  | {
      readonly fit: 'slides-in-ground';
      readonly grind: { readonly height: number; readonly width: number; readonly corner: number };
    }
  /** Goes over the rail; what is left beside the rail stands beside it. */
  | { readonly fit: 'slides-over'; readonly clearance: { readonly height: number; readonly width: number } }
  /** Too high: cut corner to corner it comes to the height, with a strip of so much beside it. */
  | { readonly fit: 'wedge'; readonly packing: number }
  | { readonly fit: 'none' };

/** What a shop takes as a fit, mm. */
export interface SleeveRules {
  /** The least room that a sleeve wants in all to slide, and the most that weld still bridges. */
  readonly slide: number;
  readonly loose: number;
  /** The most that is ground off a tube, of its wall. */
  readonly grind: number;
  /** The most that a wedge sleeve is lowered from the tube's height. */
  readonly wedge: number;
}

/** Lengths nearer to each other than this are one, mm. */
const SAME = 1e-6;

/** How much a corner of the tube has to give way where the rail's is rounder: along the diagonal. */
const cornerGrind = (tube: StockTube, room: Inside, clear: number): number =>
  Math.max(0, (room.cornerRadius - tube.cornerRadius) * (Math.SQRT2 - 1) - clear / Math.SQRT2);

/**
 * How a tube serves as a sleeve of a rail.
 *
 * @param tube The tube; its walls validated.
 * @param section The rail.
 * @param room The room inside the rail; null where nothing goes in.
 * @param rules What the shop takes as a fit.
 */
export function sleeveFit(tube: StockTube, section: Section, room: Inside | null, rules: SleeveRules): SleeveFit {
  const over = {
    height: tube.height - 2 * tube.wall - section.depth,
    width: tube.width - tube.wall - (tube.inner ?? tube.wall) - widthOf(section),
  };
  if (section.kind !== 'hat' && section.kind !== 'round') {
    const overFits = (clear: number) => clear >= rules.slide && clear <= rules.loose;
    if (overFits(over.height) && overFits(over.width)) return { fit: 'slides-over', clearance: over };
  }
  if (!room) return { fit: 'none' };
  const clear = { height: room.height - tube.height, width: room.width - tube.width };
  // Beside a tube in an open channel there is room to the open edge, which nothing has to fill.
  const loose = clear.height <= rules.loose + SAME && (!room.closed || clear.width <= rules.loose + SAME);
  if (clear.height >= rules.slide && clear.width >= rules.slide && loose) {
    const corner = cornerGrind(tube, room, Math.min(clear.height, clear.width) / 2);
    if (corner === 0) return { fit: 'slides-in', clearance: clear };
    if (corner <= rules.grind) return { fit: 'slides-in-ground', grind: { height: 0, width: 0, corner } };
    return { fit: 'none' };
  }
  const grind = { height: Math.max(0, rules.slide - clear.height), width: Math.max(0, rules.slide - clear.width) };
  const most = Math.min(rules.grind, tube.wall);
  if (grind.height + grind.width > 0 && grind.height / 2 <= most && grind.width / 2 <= most && loose) {
    const corner = cornerGrind(tube, room, rules.slide / 2);
    if (corner <= most) return { fit: 'slides-in-ground', grind: { ...grind, corner } };
  }
  if (tube.height > room.height && tube.height - room.height <= rules.wedge && clear.width >= 0)
    return { fit: 'wedge', packing: clear.width };
  return { fit: 'none' };
}

/** An inner or outer sleeve over a joint at station 0. mm, MPa. */
export interface Sleeve {
  readonly tube: StockTube;
  /** Where it stands: its outer lower corner, from the outside of the rail's web and over its underside. */
  readonly y: number;
  readonly z: number;
  readonly ahead: number;
  readonly behind: number;
  readonly yieldStress: number;
  /** Stations of the plugs on one side of the joint, from it; the other side has the same. */
  readonly plugs: {
    readonly diameter: number;
    readonly inTopAndBottom: readonly number[];
    readonly inSides: readonly number[];
  };
  /** Leg of a fillet round each end; 0 where the ends are not welded. */
  readonly endLeg: number;
}

/**
 * The walls of a sleeve as the strength along a joint takes them: top and bottom over its whole width, its sides between
 * them, each fed its force by its own plugs and ends.
 *
 * @param sleeve The sleeve.
 * @throws InputError where it reaches over one side of the joint only, or a plug lies beyond its end.
 */
export function sleeveWalls(sleeve: Sleeve): readonly SplicePart[] {
  const { tube, y, z, ahead, behind, yieldStress, plugs, endLeg } = sleeve;
  const { height, width, wall, inner = wall } = tube;
  const shorter = Math.min(ahead, behind);
  const beyond = [...plugs.inTopAndBottom, ...plugs.inSides].some((x) => x <= 0 || x >= shorter);
  if (!(shorter > 0))
    throw new InputError([
      { code: 'splice/sleeve-reach', path: 'ahead', message: 'A sleeve must reach beyond the joint on both sides.' },
    ]);
  if (beyond)
    throw new InputError([
      {
        code: 'splice/sleeve-plug',
        path: 'plugs',
        message: 'A plug must lie between the joint and the end of the sleeve.',
      },
    ]);
  const wallOf = (
    name: string,
    at: { y: readonly [number, number]; z: readonly [number, number] },
    xs: readonly number[],
  ): SplicePart => {
    const across = (at.y[0] + at.y[1]) / 2;
    const long = Math.max(at.y[1] - at.y[0], at.z[1] - at.z[0]);
    const ends = endLeg > 0 ? [-ahead, behind] : [];
    return {
      name,
      fed: 'as-flange',
      yieldStress,
      slices: [-ahead, behind].map((x) => ({ x, ...at })),
      fillets: ends.map((x): Fillet => ({
        role: 'end',
        from: { x, across: across - long / 2 },
        to: { x, across: across + long / 2 },
        leg: endLeg,
      })),
      plugs: xs.flatMap((x): Plug[] => [-x, x].map((station) => ({ x: station, across, diameter: plugs.diameter }))),
      bolts: [],
    };
  };
  const [left, right, low, high] = [y, y + width, z, z + height];
  return [
    wallOf('top', { y: [left, right], z: [high - wall, high] }, plugs.inTopAndBottom),
    wallOf('bottom', { y: [left, right], z: [low, low + wall] }, plugs.inTopAndBottom),
    wallOf('outer', { y: [left, left + wall], z: [low + wall, high - wall] }, plugs.inSides),
    wallOf('inner', { y: [right - inner, right], z: [low + wall, high - wall] }, plugs.inSides),
  ];
}
