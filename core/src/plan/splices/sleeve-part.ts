import { InputError } from '../../input-error.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { Section } from '../../sections/index.ts';
import { cornerRadiusOf, insideOf, type SpliceSleeve, wedgeSleeve } from '../../splice/index.ts';
import type { DrawnPoint } from '../outline.ts';
import { box, laidOut, sizeOf } from '../flat-part.ts';
import { type MadePart, sideOf } from './cut-part.ts';
import { capSides } from './cap-sides.ts';
import type { RailSpliceOutcome } from './splice-outcome.ts';
import { sleeveMass } from './steel.ts';

/**
 * Width of the flat that a channel is folded from, mm, and where its two bends are: inside radius as thick as the wall, its
 * length along the neutral line.
 *
 * @param size Outside height and width of the channel and its wall, mm.
 * @param neutral Where the neutral line lies, as a share of the wall from inside.
 */
export function foldedFlat(
  { height, width, wall }: Pick<SpliceSleeve, 'height' | 'width' | 'wall'>,
  neutral: number,
): { readonly width: number; readonly bends: readonly [number, number] } {
  const corner = 2 * wall;
  const bend = (Math.PI / 2) * (wall + neutral * wall);
  const flange = width - corner;
  const web = height - 2 * corner;
  return { width: 2 * flange + 2 * bend + web, bends: [flange + bend / 2, flange + bend + web + bend / 2] };
}

/**
 * A sleeve as it is cut: a tube, a wedge with its packing strip, or the flat that a channel is folded from.
 *
 * @param sleeve The sleeve.
 * @param one The rail's splice.
 * @param through How much longer it is to run through a stretch, mm.
 * @param rules The shop's rulebook.
 * @param show Writes a length, mm, in the job's unit.
 */
export function sleevePieces(
  sleeve: SpliceSleeve,
  one: RailSpliceOutcome,
  through: number,
  rules: Rulebook,
  show: (mm: number) => string,
): readonly MadePart[] {
  const { density } = one.steel.material;
  const length = sleeve.ahead + through + sleeve.behind;
  const mass = sleeveMass(sleeve, density, through);
  const side = sideOf(one.rail);
  const common = { thickness: sleeve.wall, mass };
  const joint = (width: number) => [
    { from: [0, 0] as DrawnPoint, to: [0, width] as DrawnPoint, what: 'joint' as const },
  ];
  const uneven = sleeve.inner === undefined || sleeve.inner === sleeve.wall ? '' : `, inner wall ${show(sleeve.inner)}`;
  const tube = `tube ${[sleeve.height, sleeve.width, sleeve.wall].map(show).join(' × ')}${uneven}`;
  if (sleeve.kind === 'folded') {
    const { width, bends } = foldedFlat(sleeve, ruleValue(rules, 'sleeve/bend'));
    const flat = laidOut(
      {
        outline: box(length, width, -sleeve.ahead),
        holes: [],
        lines: [
          ...joint(width),
          ...bends.map((y) => ({
            from: [-sleeve.ahead, y] as DrawnPoint,
            to: [sleeve.behind, y] as DrawnPoint,
            what: 'bend' as const,
          })),
        ],
      },
      side,
    );
    const inside = `folded to ${show(sleeve.height)} × ${show(sleeve.width)} outside, inside radius ${show(sleeve.wall)}`;
    return [{ ...common, name: 'folded channel', stock: sleeve.stock, flat, ...sizeOf(flat), note: inside }];
  }
  if (sleeve.kind === 'wedge') return wedgeParts(sleeve, one, tube, rules, show);
  const flat = laidOut(
    { outline: box(length, sleeve.height, -sleeve.ahead), holes: [], lines: joint(sleeve.height) },
    side,
  );
  return [
    {
      ...common,
      name: sleeve.kind === 'outer' ? 'outer sleeve' : 'inner sleeve',
      stock: tube,
      flat,
      ...sizeOf(flat),
      note: `its weld seam and corners of ${show(sleeve.cornerRadius)} dressed where they lie against the rail`,
    },
  ];
}

/** A wedge sleeve's tube with its cut from corner to corner, and the strip that fills the rail's width beside it. */
function wedgeParts(
  sleeve: SpliceSleeve,
  one: RailSpliceOutcome,
  tube: string,
  rules: Rulebook,
  show: (mm: number) => string,
): readonly MadePart[] {
  const { section, material } = one.steel;
  const room = insideOf(section, cornerRadiusOf(section));
  const wedge = wedgeOf(sleeve, section, rules);
  if (!room || !wedge) return [];
  const { wedgeLength: length, height } = sleeve;
  const flat = laidOut(
    {
      outline: box(length, height, 0),
      holes: [],
      lines: [{ from: [0, 0], to: [length, height], what: 'cut' }],
    },
    sideOf(one.rail),
  );
  const strip = room.width - sleeve.width;
  const { density } = material;
  const halves = {
    name: 'wedge sleeve',
    stock: tube,
    thickness: sleeve.wall,
    flat,
    ...sizeOf(flat),
    mass: (sleeveMass(sleeve, density) / (sleeve.ahead + sleeve.behind)) * length,
    note: `cut corner to corner, the halves slid ${show(wedge.slide)} on each other: they then fill ${show(room.height)} and overlap over ${show(wedge.overlap)}`,
  };
  if (strip < 0.5) return [halves];
  const packing = laidOut({ outline: box(wedge.overlap, room.height, 0), holes: [], lines: [] }, sideOf(one.rail));
  return [
    halves,
    {
      name: 'filler strip',
      stock: 'flat bar',
      thickness: strip,
      flat: packing,
      ...sizeOf(packing),
      mass: wedge.overlap * room.height * strip * density,
      note: 'fills the rail beside the sleeve',
    },
  ];
}

/**
 * The caps that cover a stretch that is made of a sleeve alone, one for each flat side of the rail.
 *
 * @param one The rail's splice.
 * @param length Of the stretch, mm.
 */
export function capParts(one: RailSpliceOutcome, length: number): readonly MadePart[] {
  const { section, material } = one.steel;
  return capSides(section).map((side) => {
    const flat = laidOut({ outline: box(length, side.width, 0), holes: [], lines: [] }, sideOf(one.rail));
    return {
      name: side.name,
      stock: 'plate',
      thickness: side.thickness,
      flat,
      ...sizeOf(flat),
      mass: length * side.width * side.thickness * material.density,
      note: 'restores the outside between the joints; counts for nothing in strength',
    };
  });
}

/**
 * How the halves of a wedge sleeve lie; null where the tube cannot come to the height of the rail's inside.
 *
 * @param sleeve The sleeve.
 * @param section The rail.
 * @param rules The shop's rulebook: the kerf.
 */
export function wedgeOf(sleeve: SpliceSleeve, section: Section, rules: Rulebook) {
  const room = insideOf(section, cornerRadiusOf(section));
  if (!room || sleeve.wedgeLength <= 0) return null;
  try {
    return wedgeSleeve(
      { height: sleeve.height, length: sleeve.wedgeLength },
      ruleValue(rules, 'cut/kerf'),
      room.height,
    );
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}
