import type { Rail, Station } from '../frame/index.ts';

/** A plane across the frame, in local coordinates: through (x, z), leaning `lean` = dx/dz. */
export interface CutFace {
  readonly x: number;
  readonly z: number;
  readonly lean: number;
  /** The operation that made it; undefined for the donor's own ends. */
  readonly operation?: string;
  /** A face in two halves: over the height z it lies so far behind, under it so far. */
  readonly step?: { readonly z: number; readonly above: number; readonly below: number };
  /** An older end that this face runs out of: the steel ends at whichever of the two comes first. */
  readonly older?: CutFace;
}

/**
 * Local x of a face at height z, mm.
 *
 * @param face A plane across the frame, in the coordinates of the steel that it cuts.
 * @param z Height, mm.
 */
export const faceAt = ({ x, z: through, lean, step }: CutFace, z: number): number =>
  x + lean * (z - through) + (step ? (z >= step.z ? step.above : step.below) : 0);

/** How far a line along a rail runs below its top edge, mm, by the section there: 0 for the top edge itself. */
export type LineOf = (section: string) => number;
/** The top edge itself: 0 below it. */
export const TOP_EDGE: LineOf = () => 0;

/**
 * Where a face crosses a line along a rail, local x, mm. The rail is straight between its stations and carried on
 * straight beyond its ends. Where the line jumps with the section and the face falls into the jump, the station.
 *
 * @param rail Stations from front to rear, two or more, mm.
 * @param face A plane across the frame, in the coordinates of the steel that it cuts.
 * @param line How far a line runs below the top edge, by the section there, mm.
 */
export function crossing(rail: Rail, face: CutFace, line: LineOf): number {
  if (face.lean === 0) return face.x;
  const last = rail.length - 2;
  for (let index = 0; index <= last; index += 1) {
    const [a, b] = [rail[index], rail[index + 1]] as [Station, Station];
    const down = line(a.section);
    if (index < last && b.x < faceAt(face, b.top - down)) continue;
    const slope = (b.top - a.top) / (b.x - a.x);
    const x = (face.x + face.lean * (a.top - slope * a.x - down - face.z)) / (1 - face.lean * slope);
    return index === 0 ? x : Math.max(x, a.x);
  }
  return face.x;
}

/** Heights above and below a cut in which an older end still matters, mm: more than any rail is deep. */
const REACH = 1000;

/**
 * A new end of steel that ended at `old` before: where the new face runs past the old one within the depth of a rail,
 * the steel keeps the old end there.
 *
 * @param face The new face.
 * @param old The end that the steel had.
 * @param end Which end of the steel it is.
 * @param deep Heights in which the old end matters: from so far over the cut's own point to so far under it, mm.
 */
export function cutShorter(
  face: CutFace,
  old: CutFace,
  end: 'front' | 'rear',
  deep: { readonly over: number; readonly under: number } = { over: REACH, under: REACH },
): CutFace {
  if (face.lean === old.lean) return face;
  const middle = face.lean === 0 ? old.z : face.z;
  const isPast = (z: number): boolean => {
    const beyond = faceAt(face, z) - endAt(old, end, z);
    return end === 'rear' ? beyond > 0 : beyond < 0;
  };
  return isPast(middle - deep.under) || isPast(middle + deep.over) ? { ...face, older: old } : face;
}

/**
 * Local x of an end of steel at height z, mm: of its face, or of an older end that the face runs out of.
 *
 * @param face The face of the end.
 * @param end Which end of the steel it is.
 * @param z Height, mm.
 */
export function endAt(face: CutFace, end: 'front' | 'rear', z: number): number {
  const x = faceAt(face, z);
  if (!face.older) return x;
  const older = endAt(face.older, end, z);
  return end === 'rear' ? Math.min(x, older) : Math.max(x, older);
}

/**
 * The faces of an end, the newest first.
 *
 * @param face The face of the end.
 */
export const facesOf = (face: CutFace): readonly CutFace[] => (face.older ? [face, ...facesOf(face.older)] : [face]);
