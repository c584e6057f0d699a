/** A label that wants a place along a line; any unit of length, the same for all. */
export interface Label {
  /** Where it belongs, and how far it may be from there before the next lane is better. */
  readonly middle: number;
  readonly width: number;
}

export interface PlacedLabel {
  readonly x: number;
  readonly lane: number;
}

/** Between two labels of a lane, px. */
const APART = 8;

/**
 * Places for labels, given from left to right, such that none overlaps another: each in the first lane where it
 * comes within `reach` of its own place, else in the lane where it comes nearest.
 *
 * @param labels Labels from left to right.
 * @param lanes How many lanes there are, 1 or more.
 * @param reach How far from its own place a label may be before the next lane is better.
 * @param apart The least distance between two labels of a lane.
 */
export function layLabels(labels: readonly Label[], lanes: number, reach: number, apart = APART): PlacedLabel[] {
  const ends = Array.from({ length: lanes }, () => -Infinity);
  return labels.map(({ middle, width }) => {
    const places = ends.map((end) => Math.max(middle, end + apart + width / 2));
    const near = places.findIndex((x) => x - middle <= reach);
    const lane = near >= 0 ? near : places.indexOf(Math.min(...places));
    const x = places[lane] ?? middle;
    ends[lane] = x + width / 2;
    return { x, lane };
  });
}
