import { atRest, type Beam, partOf, type BeamSupport } from './beam.ts';

/** Where stands carry each part of a frame by itself, so that nothing is in the steel at the cut. N, mm, N·mm. */
export interface Neutral {
  /** What each must carry, in order along the frame. */
  readonly loads: readonly number[];
  /** How far each is shimmed up over a straight line through the outermost two, as a start. */
  readonly shims: readonly number[];
  /** How much the moment at the cut grows for 1 mm more under each: why the load decides and not the shim. */
  readonly sensitive: readonly number[];
}

/**
 * What stands must carry for moment and shear at a cut to vanish: each part alone on its own. Two share by levers; of three or
 * more each carries what it would with all of them level, which any other set that balances the part could replace. The
 * shims are the deflected shape of the uncut frame under those loads.
 *
 * @param beam The frame before the cut.
 * @param stands Stations of the stands, in order, mm: two or more on each side of the cut.
 * @param cut Where it is cut, mm.
 * @returns Null where a part does not balance on its own stands.
 */
export function neutralAt(beam: Beam, stands: readonly number[], cut: number): Neutral | null {
  const sides = [
    { part: partOf(beam, -Infinity, cut), own: stands.filter((x) => x < cut) },
    { part: partOf(beam, cut, Infinity), own: stands.filter((x) => x > cut) },
  ];
  const rests = sides.map(({ part, own }) =>
    atRest(
      part,
      own.map((x): BeamSupport => ({ x, rise: 0, way: 'push' })),
    ),
  );
  if (stands.includes(cut) || rests.some((rest) => rest === null)) return null;
  const loads = rests.flatMap((rest) => rest?.reactions ?? []);
  const last = stands.length - 1;
  // The frame hangs from its two outermost stands; the inner two push with what they must carry.
  const pushed: Beam = {
    ...beam,
    loads: [
      ...beam.loads,
      ...stands.slice(1, last).map((x, index) => ({ from: x, to: x, force: -(loads[index + 1] as number) })),
    ],
  };
  const two = (x: number): BeamSupport => ({ x, rise: 0, way: 'both' });
  const shape = atRest(pushed, [two(stands[0] as number), two(stands[last] as number)]);
  if (!shape) return null;
  const level = atRest(beam, stands.map(two));
  const sensitive = stands.map((_, raised) => {
    const up = atRest(
      beam,
      stands.map((x, index): BeamSupport => ({ x, rise: index === raised ? 1 : 0, way: 'both' })),
    );
    return (up?.moment(cut) ?? 0) - (level?.moment(cut) ?? 0);
  });
  return { loads, shims: stands.map((x) => shape.height(x)), sensitive };
}
