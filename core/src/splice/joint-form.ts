/** How the two ends of a rail meet; stations along the rail, heights over its underside, mm. */
export type JointForm =
  /** Square across: all of the wall is in weld at one station. */
  | { readonly form: 'butt'; readonly x: number }
  /** One slanting plane through the whole rail, straight in plan; `band`: width of the weld along the rail. */
  | { readonly form: 'angled'; readonly undersideX: number; readonly topX: number; readonly band: number }
  /** No rail between two stations: what is laid over carries alone. */
  | { readonly form: 'gap'; readonly from: number; readonly to: number }
  /** Two verticals and a horizontal between them at the height `z`; the seam along it has no height. */
  | { readonly form: 'step'; readonly upperX: number; readonly lowerX: number; readonly z: number };

/** Heights between which the wall is in weld, mm. */
export type Band = readonly [low: number, high: number];

/**
 * The heights between which a joint's weld takes the wall at a station; null where it takes none.
 *
 * @param joint The joint.
 * @param depth Depth of the rail, mm.
 * @param x The station, mm.
 */
export function weldAt(joint: JointForm, depth: number, x: number): Band | null {
  switch (joint.form) {
    case 'butt':
      return x === joint.x ? [0, depth] : null;
    case 'gap':
      return x >= joint.from && x <= joint.to ? [0, depth] : null;
    case 'step': {
      const upper = x === joint.upperX;
      const lower = x === joint.lowerX;
      return upper || lower ? [lower ? 0 : joint.z, upper ? depth : joint.z] : null;
    }
    case 'angled': {
      const { undersideX, topX, band } = joint;
      const run = topX - undersideX;
      if (run === 0) return Math.abs(x - topX) <= band / 2 ? [0, depth] : null;
      const heights = [x - band / 2, x + band / 2].map((edge) => ((edge - undersideX) / run) * depth);
      const [low, high] = [Math.max(0, Math.min(...heights)), Math.min(depth, Math.max(...heights))];
      return high > low ? [low, high] : null;
    }
  }
}

/**
 * The stretch of the rail in which a joint's weld lies, mm.
 *
 * @param joint The joint.
 */
export function weldReach(joint: JointForm): readonly [from: number, to: number] {
  switch (joint.form) {
    case 'butt':
      return [joint.x, joint.x];
    case 'gap':
      return [joint.from, joint.to];
    case 'step':
      return [Math.min(joint.upperX, joint.lowerX), Math.max(joint.upperX, joint.lowerX)];
    case 'angled': {
      const { undersideX, topX, band } = joint;
      return [Math.min(undersideX, topX) - band / 2, Math.max(undersideX, topX) + band / 2];
    }
  }
}
