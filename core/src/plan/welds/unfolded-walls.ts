import { closingPlate, type Section, widthOf } from '../../sections/index.ts';
import { isClosed, type RailWall } from '../../splice/index.ts';

/** One wall of a section laid flat: from one place along its seam to another, mm, and where that is in the section. */
interface FlatWall {
  readonly wall: RailWall;
  readonly from: number;
  readonly to: number;
  readonly thickness: number;
  /** Local place of its two ends: y from the outside of the web inward, z over the underside, mm. */
  readonly start: { readonly y: number; readonly z: number };
  readonly end: { readonly y: number; readonly z: number };
}

/** A section laid flat, from the inside of its underside up the web and back over the top. */
export interface FlatSection {
  readonly walls: readonly FlatWall[];
  readonly around: number;
  readonly closed: boolean;
}

type Corner = FlatWall['start'];

/** Walls end to end, each as long as its ends are apart. */
function laidFlat(
  section: Section,
  walls: readonly (readonly [wall: RailWall, thickness: number, start: Corner, end: Corner])[],
): FlatSection {
  let at = 0;
  const flat = walls.map(([wall, thickness, start, end]): FlatWall => {
    const from = at;
    at += Math.hypot(end.y - start.y, end.z - start.z);
    return { wall, thickness, start, end, from, to: at };
  });
  return { walls: flat, around: at, closed: isClosed(section) };
}

/**
 * The walls of a section laid flat. A round tube is one wall with no corner: it begins and ends at the middle of its underside.
 *
 * @param section The section; its walls validated.
 */
export function flatSection(section: Section): FlatSection {
  const { depth, thickness: t } = section;
  const wide = widthOf(section);
  const corner = (y: number, z: number): Corner => ({ y, z });
  switch (section.kind) {
    case 'channel':
      return laidFlat(section, [
        ['bottom', t, corner(wide, 0), corner(0, 0)],
        ['outer', t, corner(0, 0), corner(0, depth)],
        ['top', t, corner(0, depth), corner(wide, depth)],
      ]);
    case 'closed-channel': {
      const plate = closingPlate(section);
      const flange = section.flange;
      return laidFlat(section, [
        ['bottom', t, corner(flange, 0), corner(0, 0)],
        ['outer', t, corner(0, 0), corner(0, depth)],
        ['top', t, corner(0, depth), corner(flange, depth)],
        ['inner', section.plate, corner(flange, plate.z + plate.height), corner(flange, plate.z)],
      ]);
    }
    case 'tube':
      return laidFlat(section, [
        ['bottom', t, corner(wide, 0), corner(0, 0)],
        ['outer', t, corner(0, 0), corner(0, depth)],
        ['top', t, corner(0, depth), corner(wide, depth)],
        ['inner', section.inner, corner(wide, depth), corner(wide, 0)],
      ]);
    case 'hat': {
      const left = section.brim - t;
      const right = left + section.crown;
      return laidFlat(section, [
        ['bottom', t, corner(0, 0), corner(left, 0)],
        ['outer', t, corner(left, 0), corner(left, depth)],
        ['top', t, corner(left, depth), corner(right, depth)],
        ['inner', t, corner(right, depth), corner(right, 0)],
        ['bottom', t, corner(right, 0), corner(wide, 0)],
      ]);
    }
    case 'round':
      return { walls: [], around: Math.PI * depth, closed: true };
  }
}

/**
 * Where a place along the seam is in the section: y from the outside of the web inward, z over the underside, mm.
 *
 * @param section The section.
 * @param flat It laid flat.
 * @param s Along the seam, mm.
 */
export function placeOnFlat(section: Section, flat: FlatSection, s: number): Corner {
  if (section.kind === 'round') {
    const radius = section.depth / 2;
    const turn = s / radius;
    return { y: radius * (1 - Math.sin(turn)), z: radius * (1 - Math.cos(turn)) };
  }
  const wall = flat.walls.find(({ to }) => s <= to) ?? flat.walls.at(-1);
  if (!wall) return { y: 0, z: 0 };
  const share = (s - wall.from) / (wall.to - wall.from);
  const between = (axis: 'y' | 'z') => wall.start[axis] + (wall.end[axis] - wall.start[axis]) * share;
  return { y: between('y'), z: between('z') };
}
