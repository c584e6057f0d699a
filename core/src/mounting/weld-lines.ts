/** A weld as a line, mm: y across, z up. */
export interface WeldLine {
  readonly from: readonly [y: number, z: number];
  readonly to: readonly [y: number, z: number];
}

/** Welds as lines, about a level axis through their middle: mm, mm³ for each mm of throat. */
export interface WeldGroup {
  readonly length: number;
  readonly inertia: number;
  /** From that axis to the farthest point. */
  readonly farthest: number;
}

/**
 * Welds as lines (elastic).
 *
 * @param lines The welds; one at least, and one that is longer than 0.
 */
export function weldGroup(lines: readonly WeldLine[]): WeldGroup {
  const parts = lines.map(({ from, to }) => {
    const [rise, length] = [to[1] - from[1], Math.hypot(to[0] - from[0], to[1] - from[1])];
    return { length, middle: (from[1] + to[1]) / 2, own: (length * rise ** 2) / 12 };
  });
  const length = parts.reduce((sum, part) => sum + part.length, 0);
  const centre = parts.reduce((sum, part) => sum + part.length * part.middle, 0) / length;
  const inertia = parts.reduce((sum, { own, length: each, middle }) => sum + own + each * (middle - centre) ** 2, 0);
  const farthest = Math.max(...lines.flatMap(({ from, to }) => [from[1], to[1]]).map((z) => Math.abs(z - centre)));
  return { length, inertia, farthest };
}

/**
 * Stress on the throat of a weld group under a moment about its level axis and a force across it, MPa.
 *
 * @param group The welds.
 * @param throat Their throat, mm.
 * @param moment N·mm.
 * @param force N.
 */
export function weldStress(group: WeldGroup, throat: number, moment: number, force: number): number {
  const bending = group.inertia > 0 ? (Math.abs(moment) * group.farthest) / (group.inertia * throat) : 0;
  return Math.hypot(bending, force / (group.length * throat));
}
