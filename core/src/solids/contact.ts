import type { Side } from '../frame/index.ts';
import { keyOf, middleOf, type SolidFinding } from './finding.ts';
import type { Manifold, Workshop } from './kernel.ts';
import type { FrameSolid } from './frame-solid.ts';

/** Minimum share of a plate's face in contact with the rail; the rest is tolerance for edges and bends. */
const LEAST_CONTACT = 0.9;

/** Distance that a plate is moved into the steel to measure the contact, mm. */
const PUSH = 0.5;

/** The face of a plate across one of the axes, mm². */
function faceOf(plate: Manifold, axis: 1 | 2): number {
  const { min, max } = plate.boundingBox();
  return plate.volume() / (max[axis] - min[axis]);
}

/**
 * The share of a plate's face in contact with a rail; null for what is not fastened to a rail by a face.
 *
 * @param workshop Holds what is made.
 * @param plate The plate, or the part of a bracket.
 * @param rails All rails of the frame.
 */
export function contactShare(workshop: Workshop, plate: FrameSolid, rails: readonly FrameSolid[]): number | null {
  if (!plate.toward || !plate.side) return null;
  const [outward, up] = plate.toward;
  const sign = plate.side === 'left' ? -1 : 1;
  const pushed = workshop.own(plate.solid.translate([0, sign * outward * PUSH, up * PUSH]));
  const touched = rails
    .filter(({ side, solid }) => side === plate.side && workshop.boxesMeet(pushed, solid))
    .reduce((sum, { solid }) => sum + workshop.own(pushed.intersect(solid)).volume(), 0);
  return touched / PUSH / (plate.foot ?? faceOf(plate.solid, outward === 0 ? 2 : 1));
}

/** The kinds that are fastened to a rail by a face, and the finding for one that does not touch it. */
const FASTENED = { plate: 'plate-off-steel', bracket: 'bracket-off-steel' } as const;

/**
 * Plates and brackets with too little contact with their rail.
 *
 * @param workshop Holds what is made.
 * @param all Everything on the frame.
 */
export function fasteningsOff(workshop: Workshop, all: readonly FrameSolid[]): SolidFinding[] {
  const rails = all.filter(({ kind }) => kind === 'rail');
  return all.flatMap((part): SolidFinding[] => {
    if (part.kind !== 'plate' && part.kind !== 'bracket') return [];
    const share = contactShare(workshop, part, rails);
    if (share === null || share >= LEAST_CONTACT) return [];
    const code = FASTENED[part.kind];
    return [
      {
        code,
        key: `${keyOf(code, part)}/${part.name} ${part.side}`,
        about: part.id === null ? [] : [part.id],
        message: `The ${part.name}, ${part.side}, touches the rail over ${Math.floor(100 * share)}% of its face; ${100 * LEAST_CONTACT}% is needed.`,
        at: middleOf(part.solid),
        amount: share,
      },
    ];
  });
}

/** Largest gap between a crossmember's end and a rail that counts as support, mm. */
const NEAR = 2;

/**
 * Crossmembers with no rail at one of their ends.
 *
 * @param workshop Holds what is made.
 * @param all Everything on the frame.
 */
export function unsupported(workshop: Workshop, all: readonly FrameSolid[]): SolidFinding[] {
  const rails = all.filter(({ kind }) => kind === 'rail');
  const held = (solid: Manifold, side: Side): boolean =>
    rails.some(
      (rail) =>
        rail.side === side &&
        workshop.boxesMeet(rail.solid, solid) &&
        !workshop.own(rail.solid.intersect(solid)).isEmpty(),
    );
  return all
    .filter(({ kind }) => kind === 'crossmember')
    .flatMap((one): SolidFinding[] => {
      const { min, max } = one.solid.boundingBox();
      const wide = max[1] - min[1];
      const grown = workshop.own(
        workshop
          .own(
            workshop.own(one.solid.translate([0, -(min[1] + max[1]) / 2, 0])).scale([1, (wide + 2 * NEAR) / wide, 1]),
          )
          .translate([0, (min[1] + max[1]) / 2, 0]),
      );
      const missing = (['left', 'right'] as const).filter((side) => !held(grown, side));
      return missing.length === 0
        ? []
        : [
            {
              code: 'unsupported',
              key: keyOf('unsupported', one),
              about: one.id === null ? [] : [one.id],
              message: `${one.name} does not reach the ${missing.join(' or the ')} rail at its height.`,
              at: middleOf(one.solid),
              amount: missing.length,
            },
          ];
    });
}
