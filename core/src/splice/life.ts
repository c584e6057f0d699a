/**
 * Cycles that a welded detail lasts at a stress range, for comparing joints: 2 · 10⁶ · (FAT / Δσ)³, one slope, no knee.
 * Never a promise: real loads, corrosion and workmanship decide.
 *
 * @param detailClass The detail's class (FAT), MPa at two million cycles, as in the recommendations of the International
 *   Institute of Welding.
 * @param stressRange MPa, above 0.
 */
export const cyclesToCompare = (detailClass: number, stressRange: number): number =>
  2e6 * (detailClass / stressRange) ** 3;

/**
 * How much a butt weld is expected to pull the rail shorter as it cools, mm: 0.10 · A_w / t for each joint. It is added to
 * the gap, so that the finished length is right.
 *
 * @param weldArea Cross-section of the weld, mm².
 * @param thickness Of the wall, mm.
 */
export const shrinkageAcross = (weldArea: number, thickness: number): number => (0.1 * weldArea) / thickness;
