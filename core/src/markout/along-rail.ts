import { type Rail, railAt, type Vec3 } from '../frame/index.ts';
import { distance } from '../plan/index.ts';

/**
 * Developed length along one line of a rail from station `a` to `b`, mm; negative when `b` lies ahead of `a`. The line
 * runs `depthShare` of the depth below the top edge: 0 the top edge, 1 the bottom edge.
 *
 * @param rail Stations from front to rear, two or more, mm.
 * @param a Station to begin at, mm.
 * @param b Station to end at, mm; below `a` gives a distance below 0.
 * @param depthShare From 0 at the top edge to 1 at the bottom edge.
 * @param depthOf Depth of a section by its id, mm.
 */
export function alongRail(
  rail: Rail,
  a: number,
  b: number,
  depthShare: number,
  depthOf: (section: string) => number,
): number {
  if (b < a) return -alongRail(rail, b, a, depthShare, depthOf);
  const xs = [a, ...rail.map((station) => station.x).filter((x) => x > a && x < b), b];
  const at = (x: number, toward: 'front' | 'rear'): Vec3 => {
    const here = railAt(rail, x, toward);
    return { x, y: here.halfWidth, z: here.top - depthShare * depthOf(here.section) };
  };
  return xs.slice(1).reduce((sum, x, index) => sum + distance(at(xs[index] ?? x, 'rear'), at(x, 'front')), 0);
}
