import { InputError } from '../input-error.ts';
import { type Section, widthOf } from '../sections/index.ts';
import type { Fillet, Plug, Slice, SplicePart } from './part.ts';

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

export type PlateFace = 'web-inside' | 'web-outside' | 'top-flange' | 'bottom-flange';

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
  readonly thickness: number;
  readonly yieldStress: number;
  /** Leg of its fillets; 0 where its edges are not welded. */
  readonly leg: number;
  /** Whether its ends are welded too. */
  readonly endsWelded: boolean;
  readonly plugs: readonly Plug[];
}

interface Corner {
  readonly x: number;
  readonly low: number;
  readonly high: number;
}

/** Where the edges of a plate run, front to rear, across the rail about `middle`. */
function corners({ outline, ahead, behind, depth }: Plate, middle: number): readonly Corner[] {
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

/** What is wrong with a plate on a section; nothing where it can be laid on. */
function problemsOf(plate: Plate, section: Section) {
  const { face, outline, ahead, behind, depth, thickness } = plate;
  const problem = (field: string, message: string) => [{ code: `splice/plate-${field}`, path: field, message }];
  const wall = 'thickness' in section ? section.thickness : 0;
  const room =
    face === 'web-inside' ? section.depth - 2 * wall : face === 'web-outside' ? section.depth : widthOf(section);
  const shorter = Math.min(ahead, behind);
  const ends = outline.shape === 'hexagon' ? outline.point : outline.shape === 'taper' ? outline.over : 0;
  return [
    ...(ahead > 0 && behind > 0 ? [] : problem('ahead', 'A plate must reach beyond the joint on both sides.')),
    ...(depth > 0 && thickness > 0 ? [] : problem('depth', 'A plate must have a depth and a thickness above 0.')),
    ...(depth <= room ? [] : problem('depth', `A plate ${depth} deep does not fit: there is room for ${room}.`)),
    ...(ends <= shorter ? [] : problem('outline', 'The ends of the plate taper over more than it reaches.')),
    ...(section.kind === 'round' ? problem('face', 'A flat plate does not lie on a round tube.') : []),
  ];
}

/**
 * A plate as the strength along a joint takes it, the joint at station 0.
 *
 * @param plate The plate. mm, MPa.
 * @param section The rail that it is laid on.
 * @throws InputError for a plate that does not fit, or reaches over one side of the joint only.
 */
export function plateOn(plate: Plate, section: Section): SplicePart {
  const problems = problemsOf(plate, section);
  if (problems.length > 0) throw new InputError(problems);
  const { name, face, thickness, yieldStress, leg, endsWelded, plugs } = plate;
  const wall = 'thickness' in section ? section.thickness : 0;
  const web = face === 'web-inside' || face === 'web-outside';
  const along = corners(plate, web ? section.depth / 2 : widthOf(section) / 2);
  const inner = face === 'web-inside' ? wall : -thickness;
  const under = face === 'top-flange' ? section.depth : -thickness;
  const slices = along.map(({ x, low, high }): Slice =>
    web ? { x, y: [inner, inner + thickness], z: [low, high] } : { x, y: [low, high], z: [under, under + thickness] },
  );
  const fillets = filletsRound(along, leg, endsWelded);
  return { name, fed: web ? 'as-web' : 'as-flange', slices, yieldStress, fillets, plugs };
}
