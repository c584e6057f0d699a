/** How finely the wall is divided. */
export interface Mesh {
  /** Size of a cell near the seam and along it, mm. */
  readonly cell: number;
  /** Size that cells grow to away from the seam, mm. */
  readonly far: number;
}

/** Fine enough for a wait to come out within a second or two of a finer one. */
export const USUAL_MESH: Mesh = { cell: 5, far: 20 };

/** For the times of a whole frame: a wait comes out within a few parts in a hundred, six times as fast. */
export const COARSE_MESH: Mesh = { cell: 8, far: 24 };

/** Within this of the seam's line cells keep their size, mm; beyond it each is so much longer than the one before. */
const FINE = 40;
const GROWTH = 1.25;
/** Sizes of cells from the even part outward, so much longer each, that fill a stretch. */
function outward(stretch: number, { cell, far }: Mesh): readonly number[] {
  const sizes: number[] = [];
  let reached = 0;
  for (let size = cell; reached < stretch - 1e-9; size = Math.min(far, size * GROWTH)) {
    sizes.push(size);
    reached += size;
  }
  return sizes.map((size) => (size * stretch) / reached);
}

/**
 * Edges of cells along the rail: even where it is welded, growing away from there.
 *
 * @param length Of the wall along the rail, mm.
 * @param seams Places along the rail where it is welded, mm; one at least.
 * @param mesh How finely it is divided.
 */
export function edgesAlong(length: number, seams: readonly number[], mesh: Mesh): Float64Array {
  const from = Math.max(0, Math.min(...seams) - FINE);
  const to = Math.min(length, Math.max(...seams) + FINE);
  const count = Math.max(1, Math.round((to - from) / mesh.cell));
  const sizes = [
    ...outward(from, mesh).toReversed(),
    ...Array.from({ length: count }, () => (to - from) / count),
    ...outward(length - to, mesh),
  ];
  let edge = 0;
  return Float64Array.from([0, ...sizes.map((size) => (edge += size))]);
}

/**
 * Which cells a stretch lies on, each with its share of it; what would lie beyond an edge of the wall stays in its last cell.
 *
 * @param edges Edges of the cells, mm.
 * @param stretch From where to where, mm.
 */
export function shares(
  edges: Float64Array,
  [from, to]: readonly [number, number],
): (readonly [cell: number, share: number])[] {
  const last = edges.length - 2;
  const [low, high] = [edges[0] as number, edges[last + 1] as number];
  const found: (readonly [number, number])[] = [];
  for (let cell = 0; cell <= last; cell += 1) {
    const [a, b] = [
      cell === 0 ? Math.min(from, low) : (edges[cell] as number),
      cell === last ? Math.max(to, high) : (edges[cell + 1] as number),
    ];
    const covered = Math.min(b, to) - Math.max(a, from);
    if (to > from ? covered > 0 : from >= a && (from < b || cell === last))
      found.push([cell, to > from ? covered / (to - from) : 1]);
  }
  return found;
}

/**
 * The cell whose middle is before a place, and how far the place is on the way to the next one's, 0 to 1.
 *
 * @param edges Edges of the cells, mm.
 * @param at The place, mm.
 */
export function between(edges: Float64Array, at: number): readonly [cell: number, share: number] {
  const middle = (cell: number) => ((edges[cell] as number) + (edges[cell + 1] as number)) / 2;
  const count = edges.length - 1;
  let cell = 0;
  while (cell + 1 < count && middle(cell + 1) <= at) cell += 1;
  if (cell + 1 >= count || at <= middle(cell)) return [cell, 0];
  return [cell, (at - middle(cell)) / (middle(cell + 1) - middle(cell))];
}
