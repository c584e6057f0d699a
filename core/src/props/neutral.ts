import { atRest, type Beam, partOf, type BeamSupport, weightOf } from './beam.ts';

/** Where stands carry each part of a frame by itself, so that nothing is in the steel at the cut. N, mm, N·mm. */
export interface Neutral {
  /** What each must carry, in order along the frame. */
  readonly loads: readonly number[];
  /** How far each is shimmed up over a straight line through the outermost two, as a start. */
  readonly shims: readonly number[];
  /** How much the moment at the cut grows for 1 mm more under each: why the load decides and not the shim. */
  readonly touchy: readonly number[];
}

/**
 * What stands must carry for moment and shear at a cut to vanish: each part alone on its own two, by levers. The shims
 * are the deflected shape of the uncut frame under those loads.
 *
 * @param beam The frame before the cut.
 * @param stands Stations of two stands in front of the cut and two behind it, in order, mm.
 * @param cut Where it is cut, mm.
 * @returns Null where a part does not balance between its two.
 */
export function neutralAt(beam: Beam, stands: readonly [number, number, number, number], cut: number): Neutral | null {
  const parts = [partOf(beam, -Infinity, cut), partOf(beam, cut, Infinity)] as const;
  const pairs = [stands.slice(0, 2), stands.slice(2)] as readonly (readonly number[])[];
  const loads = parts.flatMap((part, index) => {
    const { force, x } = weightOf(part.loads);
    const [first, last] = pairs[index] as [number, number];
    const onLast = (force * (x - first)) / (last - first);
    return [force - onLast, onLast];
  });
  if (stands[1] >= cut || stands[2] <= cut || loads.some((load) => load < 0)) return null;
  // The frame hangs from its two outermost stands; the inner two push with what they must carry.
  const pushed: Beam = {
    ...beam,
    loads: [
      ...beam.loads,
      ...[1, 2].map((index) => ({
        from: stands[index] as number,
        to: stands[index] as number,
        force: -(loads[index] as number),
      })),
    ],
  };
  const two = (x: number): BeamSupport => ({ x, rise: 0, way: 'both' });
  const shape = atRest(pushed, [two(stands[0]), two(stands[3])]);
  if (!shape) return null;
  const level = atRest(beam, stands.map(two));
  const touchy = stands.map((_, raised) => {
    const up = atRest(
      beam,
      stands.map((x, index): BeamSupport => ({ x, rise: index === raised ? 1 : 0, way: 'both' })),
    );
    return (up?.moment(cut) ?? 0) - (level?.moment(cut) ?? 0);
  });
  return { loads, shims: stands.map((x) => shape.height(x)), touchy };
}
