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
  const center = parts.reduce((sum, part) => sum + part.length * part.middle, 0) / length;
  const inertia = parts.reduce((sum, { own, length: each, middle }) => sum + own + each * (middle - center) ** 2, 0);
  const farthest = Math.max(...lines.flatMap(({ from, to }) => [from[1], to[1]]).map((z) => Math.abs(z - center)));
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

/** Stress on the throat of welds that are loaded in the plane that they lie in, off their middle: MPa. */
export interface InPlane {
  /** Middle of the welds, about which they turn, mm. */
  readonly center: readonly [y: number, z: number];
  /** Of the welds as lines about that middle, mm³ for each mm of throat. */
  readonly polar: number;
  /** N·mm, by the right hand about the normal from y to z. */
  readonly torsion: number;
  /** The most, and at which end of which weld. */
  readonly stress: number;
  readonly at: readonly [y: number, z: number];
}

/**
 * Welds as lines under a force in their own plane (elastic): the force is shared by all of their length, and its lever about
 * their middle turns them, so that the ends farthest from it carry most.
 *
 * @param lines The welds; one at least that is longer than 0.
 * @param throat Their throat, mm.
 * @param force Across and up, N.
 * @param through A point that the force goes through, mm.
 * @param moment About their level axis, out of the plane, beside it: N·mm.
 */
export function weldStressInPlane(
  lines: readonly WeldLine[],
  throat: number,
  force: readonly [y: number, z: number],
  through: readonly [y: number, z: number],
  moment = 0,
): InPlane {
  const parts = lines.map(({ from, to }) => ({
    length: Math.hypot(to[0] - from[0], to[1] - from[1]),
    middle: [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const,
  }));
  const length = parts.reduce((sum, part) => sum + part.length, 0);
  const mean = (axis: 0 | 1) => parts.reduce((sum, part) => sum + part.length * part.middle[axis], 0) / length;
  const center = [mean(0), mean(1)] as const;
  const polar = parts.reduce(
    (sum, { length: each, middle: [y, z] }) =>
      sum + each ** 3 / 12 + each * ((y - center[0]) ** 2 + (z - center[1]) ** 2),
    0,
  );
  const torsion = (through[0] - center[0]) * force[1] - (through[1] - center[1]) * force[0];
  const { inertia } = weldGroup(lines);
  const stressAt = ([y, z]: readonly [number, number]): number =>
    Math.hypot(
      force[0] / length - (torsion * (z - center[1])) / polar,
      force[1] / length + (torsion * (y - center[0])) / polar,
      inertia > 0 ? (moment * (z - center[1])) / inertia : 0,
    ) / throat;
  const worst = lines
    .flatMap(({ from, to }) => [from, to])
    .map((at) => ({ at, stress: stressAt(at) }))
    .reduce((most, each) => (each.stress > most.stress ? each : most));
  return { center, polar, torsion, ...worst };
}
