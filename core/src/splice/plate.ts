import { InputError, type InputProblem } from '../input-error.ts';
import { type Section, widthOf } from '../sections/index.ts';
import type { Bolt, Fillet, Plug, Slice, SplicePart } from './part.ts';

/** The outline of a plate over a joint, seen square on. */
export type PlateShape =
  /** Square ends. */
  | { readonly shape: 'rectangle' }
  /** Ends cut to a point over so much of each end, mm. */
  | { readonly shape: 'hexagon'; readonly point: number }
  /** As deep as it gets at the joint, and a point at each end. */
  | { readonly shape: 'diamond' }
  /** One edge straight along the bottom of the plate, the other tapering down to a depth over so much of each end, mm. */
  | { readonly shape: 'taper'; readonly over: number; readonly end: number };

/** Where a plate lies: on the web, on a flange, or on the side opposite the web, which boxes an open channel. */
export const PLATE_FACES = ['web-inside', 'web-outside', 'inner-side', 'top-flange', 'bottom-flange'] as const;
export type PlateFace = (typeof PLATE_FACES)[number];

/** A fish plate as a shop speaks of it. mm, MPa. */
export interface Plate {
  readonly name: string;
  readonly face: PlateFace;
  readonly outline: PlateShape;
  /** How far it reaches ahead of the joint and behind it. */
  readonly ahead: number;
  readonly behind: number;
  /** Across the rail: up the web, or over the flange. */
  readonly depth: number;
  /** Its middle over the middle of the web; on a flange inward of the flange's middle. */
  readonly off: number;
  readonly thickness: number;
  readonly yieldStress: number;
  /** Leg of its fillets; 0 where its edges are not welded. */
  readonly leg: number;
  /** Whether its ends are welded too. */
  readonly endsWelded: boolean;
  readonly plugs: readonly Plug[];
  /** Bolts that hold it in place of welds or beside them. */
  readonly bolts: readonly Bolt[];
}

/** An edge of a plate at a station: across the rail from `low` to `high`, mm. */
export interface Corner {
  readonly x: number;
  readonly low: number;
  readonly high: number;
}

/** What the outline of a plate is made of. */
type PlateOutline = Pick<Plate, 'outline' | 'ahead' | 'behind' | 'depth'>;

/** Where the edges of a plate run, front to rear, across the rail about `middle`. */
function corners({ outline, ahead, behind, depth }: PlateOutline, middle: number): readonly Corner[] {
  const [low, high] = [middle - depth / 2, middle + depth / 2];
  const full = (x: number): Corner => ({ x, low, high });
  switch (outline.shape) {
    case 'rectangle':
      return [full(-ahead), full(behind)];
    case 'diamond': {
      const point = (x: number): Corner => ({ x, low: middle, high: middle });
      return [point(-ahead), full(0), point(behind)];
    }
    case 'hexagon': {
      const point = (x: number): Corner => ({ x, low: middle, high: middle });
      return [point(-ahead), full(-ahead + outline.point), full(behind - outline.point), point(behind)];
    }
    case 'taper': {
      const end = (x: number): Corner => ({ x, low, high: low + outline.end });
      return [end(-ahead), full(-ahead + outline.over), full(behind - outline.over), end(behind)];
    }
  }
}

/** The fillets round a plate: along both long edges, and over its ends. */
function filletsRound(along: readonly Corner[], leg: number, endsWelded: boolean): readonly Fillet[] {
  if (leg <= 0) return [];
  const seams = along.slice(1).flatMap((to, at): Fillet[] => {
    const from = along[at] as Corner;
    return (['high', 'low'] as const).map((edge) => ({
      role: 'long',
      from: { x: from.x, across: from[edge] },
      to: { x: to.x, across: to[edge] },
      leg,
    }));
  });
  const ends = [along[0], along.at(-1)].flatMap((corner): Fillet[] =>
    endsWelded && corner && corner.high > corner.low
      ? [{ role: 'end', from: { x: corner.x, across: corner.low }, to: { x: corner.x, across: corner.high }, leg }]
      : [],
  );
  return [...seams, ...ends];
}

/**
 * Whether a plate stands on edge beside a web, as a second web.
 * @param face The face.
 */
export const isOnWeb = (face: PlateFace): boolean =>
  face === 'web-inside' || face === 'web-outside' || face === 'inner-side';

/**
 * Middle of the face that a plate lies on, across the rail, mm: over the underside on a web, from the outside of the web on
 * a flange.
 *
 * @param face The face.
 * @param section The rail.
 */
const middleOf = (face: PlateFace, section: Section): number =>
  isOnWeb(face) ? section.depth / 2 : widthOf(section) / 2;

/**
 * The room for a plate across the face that it lies on, mm, its middle on the face's; 0 where there is no such face.
 *
 * @param face The face.
 * @param section The rail; its walls validated.
 * @param cornerRadius Radius of its corners inside, which a plate keeps clear of, mm.
 */
export function roomFor(face: PlateFace, section: Section, cornerRadius: number): number {
  if (section.kind === 'round') return 0;
  switch (face) {
    case 'web-inside':
      // Inside a closed rail nobody lays a plate on the web: a sleeve goes there.
      return section.kind === 'channel' ? section.depth - 2 * (section.thickness + cornerRadius) : 0;
    case 'inner-side':
      return section.kind === 'hat' ? 0 : section.depth;
    case 'web-outside':
      return section.depth;
    case 'top-flange':
    case 'bottom-flange':
      return widthOf(section);
  }
}

/**
 * What is wrong with a plate on a section, each problem with its field; empty where it can be laid on.
 *
 * @param plate The plate.
 * @param section The rail.
 * @param cornerRadius Radius of its corners inside, mm.
 */
export function plateProblems(plate: Plate, section: Section, cornerRadius = 0): InputProblem[] {
  const { face, outline, ahead, behind, depth, off, thickness } = plate;
  const problem = (field: string, message: string) => [{ code: `splice/plate-${field}`, path: field, message }];
  const room = roomFor(face, section, cornerRadius);
  if (section.kind === 'round') return problem('face', 'A flat plate does not lie on a round tube.');
  if (room <= 0)
    return problem(
      'face',
      face === 'inner-side'
        ? 'This rail has no flat side opposite its web: take a plate outside, or on a flange.'
        : 'Nothing can be welded to the inside of this rail’s web: take a sleeve, or a plate outside.',
    );
  const shorter = Math.min(ahead, behind);
  const ends = outline.shape === 'hexagon' ? outline.point : outline.shape === 'taper' ? outline.over : 0;
  const over = depth / 2 + Math.abs(off) - room / 2;
  return [
    ...(ahead > 0 && behind > 0 ? [] : problem('ahead', 'A plate must reach beyond the joint on both sides.')),
    ...(depth > 0 && thickness > 0 ? [] : problem('depth', 'A plate must have a depth and a thickness above 0.')),
    ...(over <= 1e-9 ? [] : problem('depth', 'The plate runs past the flat of the rail: make it less deep.')),
    ...(ends >= 0 && ends <= shorter
      ? []
      : problem('outline', 'The ends of the plate taper over more than it reaches.')),
    ...(outline.shape !== 'taper' || (outline.end >= 0 && outline.end <= depth)
      ? []
      : problem('outline', 'The ends of a taper cannot be deeper than the plate.')),
  ];
}

/**
 * The edges of a plate on a section, front to rear from the joint at station 0, mm.
 *
 * @param plate The plate.
 * @param section The rail.
 */
export const edgesOf = (plate: Omit<Plate, 'name'>, section: Section): readonly Corner[] =>
  corners(plate, middleOf(plate.face, section) + plate.off);

/**
 * A plate as the strength along a joint takes it, the joint at station 0.
 *
 * @param plate The plate. mm, MPa.
 * @param section The rail that it is laid on.
 * @throws InputError for a plate that does not fit, or reaches over one side of the joint only.
 */
export function plateOn(plate: Plate, section: Section): SplicePart {
  const problems = plateProblems(plate, section);
  if (problems.length > 0) throw new InputError(problems);
  const { name, face, thickness, yieldStress, leg, endsWelded, plugs, bolts } = plate;
  const wall = 'thickness' in section ? section.thickness : 0;
  const web = isOnWeb(face);
  const along = edgesOf(plate, section);
  const inner = face === 'web-inside' ? wall : face === 'inner-side' ? widthOf(section) : -thickness;
  const under = face === 'top-flange' ? section.depth : -thickness;
  const slices = along.map(({ x, low, high }): Slice =>
    web ? { x, y: [inner, inner + thickness], z: [low, high] } : { x, y: [low, high], z: [under, under + thickness] },
  );
  const fillets = filletsRound(along, leg, endsWelded);
  return { name, fed: web ? 'as-web' : 'as-flange', slices, yieldStress, fillets, plugs, bolts };
}
