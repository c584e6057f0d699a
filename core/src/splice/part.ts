/** A fillet along an edge of a part. `across` is z on a web plate, y on a flange plate or a wall. mm. */
export interface Fillet {
  /** Long seams feed force and moment, end welds force only. An inclined edge is a long seam. */
  readonly role: 'long' | 'end';
  readonly from: { readonly x: number; readonly across: number };
  readonly to: { readonly x: number; readonly across: number };
  readonly leg: number;
}

/** A plug weld through a part, mm. */
export interface Plug {
  readonly x: number;
  readonly across: number;
  readonly diameter: number;
}

/** A bolt through a part and the rail, and what it is allowed to carry there: in shear or in bearing, the lesser. mm, N. */
export interface Bolt {
  readonly x: number;
  readonly across: number;
  readonly diameter: number;
  readonly carries: number;
}

/** The cross-section of a part at a station: a rectangle, mm. */
export interface Slice {
  readonly x: number;
  readonly y: readonly [from: number, to: number];
  readonly z: readonly [from: number, to: number];
}

/** A plate, or one wall of a sleeve, that is welded to the rail over a stretch. */
export interface SplicePart {
  readonly name: string;
  /**
   * How its welds feed it: a plate on the web must be fed its moment, and its force as far as it lies off the centroid;
   * a plate on a flange and a wall of a sleeve must be fed their force.
   */
  readonly fed: 'as-web' | 'as-flange';
  /** Its cross-sections, front to rear; straight between them. Two at least. */
  readonly slices: readonly Slice[];
  /** MPa. */
  readonly yieldStress: number;
  readonly fillets: readonly Fillet[];
  readonly plugs: readonly Plug[];
  readonly bolts: readonly Bolt[];
}

/** What weld metal is allowed to carry. */
export interface WeldMetal {
  /** Tensile strength of the electrode, MPa. */
  readonly electrode: number;
  /** Share of it allowed in shear on the throat; 0.3 in AWS D1.1. */
  readonly allowed: number;
}

/** Throat of an equal-legged fillet over its leg, as it is rounded in the trade's tables. */
export const THROAT = 0.707;

/**
 * What a fillet carries for each mm of its length, N/mm.
 *
 * @param leg Its leg, mm.
 * @param metal The weld metal.
 */
export const filletCapacity = (leg: number, { electrode, allowed }: WeldMetal): number =>
  THROAT * leg * allowed * electrode;

/**
 * What a plug weld carries, N.
 *
 * @param diameter Of the hole it fills, mm.
 * @param metal The weld metal.
 */
export const plugCapacity = (diameter: number, { electrode, allowed }: WeldMetal): number =>
  (Math.PI / 4) * diameter ** 2 * allowed * electrode;

/**
 * The stretch that a part covers, mm.
 *
 * @param part The part.
 */
export const reachOfPart = ({ slices }: SplicePart): readonly [from: number, to: number] => [
  slices[0]?.x ?? 0,
  slices.at(-1)?.x ?? 0,
];

const between = (a: number, b: number, share: number): number => a + (b - a) * share;

/**
 * The cross-section of a part at a station; null beside it.
 *
 * @param part The part.
 * @param x The station, mm.
 */
export function sliceAt({ slices }: SplicePart, x: number): Slice | null {
  const next = slices.findIndex((slice) => slice.x >= x);
  const [before, after] = [slices[Math.max(0, next - 1)], slices[next]];
  if (!before || !after || x < before.x) return null;
  const share = after.x === before.x ? 0 : (x - before.x) / (after.x - before.x);
  return {
    x,
    y: [between(before.y[0], after.y[0], share), between(before.y[1], after.y[1], share)],
    z: [between(before.z[0], after.z[0], share), between(before.z[1], after.z[1], share)],
  };
}

/** What the welds on one side of a station can bring into a part: a force, N, and a moment about its axis, N·mm. */
export interface Fed {
  readonly force: number;
  readonly moment: number;
}

/** The mean of |a + (b − a)·t − axis| for t from 0 to 1. */
function meanDistance(a: number, b: number, axis: number): number {
  const [from, to] = [a - axis, b - axis];
  if (from * to >= 0) return Math.abs(from + to) / 2;
  return (from ** 2 + to ** 2) / (2 * Math.abs(to - from));
}

/** The stretch of a fillet between two stations: how long it is, and how far from an axis on the mean. */
function stretchOf({ from, to }: Fillet, low: number, high: number, axis: number) {
  const length = Math.hypot(to.x - from.x, to.across - from.across);
  if (from.x === to.x) {
    const inside = from.x >= low && from.x <= high;
    return inside ? { length, distance: meanDistance(from.across, to.across, axis) } : null;
  }
  const shares = [low, high].map((x) => Math.min(1, Math.max(0, (x - from.x) / (to.x - from.x))));
  const [a, b] = [Math.min(...shares), Math.max(...shares)];
  if (b <= a) return null;
  const at = (share: number) => between(from.across, to.across, share);
  return { length: length * (b - a), distance: meanDistance(at(a), at(b), axis) };
}

/** What plugs and bolts of a part carry, by the weld metal: asked for at every station. */
const points = new WeakMap<
  SplicePart,
  { readonly metal: WeldMetal; readonly all: readonly Omit<Bolt, 'diameter'>[] }
>();

function pointsOf(part: SplicePart, metal: WeldMetal): readonly Omit<Bolt, 'diameter'>[] {
  const known = points.get(part);
  if (known?.metal === metal) return known.all;
  const plugs = part.plugs.map(({ x, across, diameter }) => ({ x, across, carries: plugCapacity(diameter, metal) }));
  const all = [...plugs, ...part.bolts];
  points.set(part, { metal, all });
  return all;
}

/**
 * What the welds between an end of a part and a station can bring into it.
 *
 * @param part The part.
 * @param metal Its weld metal.
 * @param x The station, mm.
 * @param end The end that the welds are counted from.
 * @param axis The part's axis at the station, across, mm.
 */
export function fedFrom(part: SplicePart, metal: WeldMetal, x: number, end: 'front' | 'rear', axis: number): Fed {
  const [front, rear] = reachOfPart(part);
  const [low, high] = end === 'front' ? [front, x] : [x, rear];
  let [force, moment] = [0, 0];
  for (const fillet of part.fillets) {
    const stretch = stretchOf(fillet, low, high, axis);
    if (!stretch) continue;
    const carried = filletCapacity(fillet.leg, metal) * stretch.length;
    force += carried;
    if (fillet.role === 'long') moment += carried * stretch.distance;
  }
  for (const { x: at, across, carries } of pointsOf(part, metal)) {
    if (at < low || at > high) continue;
    force += carries;
    moment += carries * Math.abs(across - axis);
  }
  return { force, moment };
}
