/** The opening that a butt weld fills, from one side. mm, radians. */
export interface Groove {
  readonly wall: number;
  readonly gap: number;
  /** Height of the square edge that is left under the bevel. */
  readonly land: number;
  /** Bevel of an edge, from square. */
  readonly bevel: number;
  /** How many of the two edges are beveled. */
  readonly beveledEdges: 0 | 1 | 2;
  readonly cap: { readonly width: number; readonly height: number };
}

/**
 * Cross-section of a butt weld, mm²: gap × wall, the bevel of each edge over what stands above the land, and a cap that is
 * a flat parabola. Independent: a union of polygons (`weld_plan.json`).
 *
 * @param groove The groove.
 */
export const grooveArea = ({ wall, gap, land, bevel, beveledEdges, cap }: Groove): number =>
  gap * wall + (beveledEdges / 2) * Math.max(0, wall - land) ** 2 * Math.tan(bevel) + (2 / 3) * cap.width * cap.height;

/** A fillet stands a tenth prouder than the flat triangle of its legs. */
const CONVEXITY = 1.1;

/**
 * Cross-section of a fillet weld, mm².
 *
 * @param leg Its equal legs, mm.
 */
export const filletArea = (leg: number): number => (CONVEXITY * leg ** 2) / 2;

/** What floating-point noise may add to a whole number of passes. */
const NOISE = 1e-9;

/**
 * In how many passes a weld is laid.
 *
 * @param area Its cross-section, mm², 0 or more.
 * @param onePass What one pass lays down at most, mm², above 0.
 */
export const passesFor = (area: number, onePass: number): number => Math.ceil(area / onePass - NOISE);

/**
 * Mass of the weld metal, kg.
 *
 * @param area Cross-section, mm².
 * @param length mm.
 * @param density kg/mm³.
 */
export const weldMass = (area: number, length: number, density: number): number => area * length * density;
