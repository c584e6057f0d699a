/** A strip with bends, laid flat, mm. */
export interface BentStrip {
  /** Straight from bend to bend, front to rear; below 0 where a leg is too short for its bends. */
  readonly straights: readonly number[];
  /** Where each bend begins and ends on the flat, from the first edge. */
  readonly zones: readonly (readonly [from: number, to: number])[];
  readonly length: number;
}

/**
 * The flat length of a strip: the straights, and the fiber at r + k·t through each bend.
 *
 * @param legs Outside lengths of its legs, from edge or bend to bend, to where their outer faces would meet, mm.
 * @param angles By how much each bend turns, radians, from 0 to less than π; one less than legs.
 * @param bend Thickness and inside radius, mm, and where the fiber that keeps its length lies, as a share of the thickness.
 */
export function bentStrip(
  legs: readonly number[],
  angles: readonly number[],
  { thickness, radius, k }: { readonly thickness: number; readonly radius: number; readonly k: number },
): BentStrip {
  const setback = (angle: number | undefined) => (angle === undefined ? 0 : (radius + thickness) * Math.tan(angle / 2));
  const straights = legs.map((leg, at) => leg - setback(angles[at - 1]) - setback(angles[at]));
  let end = 0;
  const zones = angles.map((angle, at): readonly [number, number] => {
    const from = end + (straights[at] ?? 0);
    end = from + angle * (radius + k * thickness);
    return [from, end];
  });
  return { straights, zones, length: end + (straights.at(-1) ?? 0) };
}
