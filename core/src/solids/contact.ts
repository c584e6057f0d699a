import type { Side } from '../frame/index.ts';
import type { PlateFace } from '../splice/index.ts';
import { keyOf, middleOf, type SolidFinding } from './finding.ts';
import type { Manifold, Workshop } from './kernel.ts';
import type { FrameSolid } from './things.ts';

/**
 * The direction from a plate to the steel it lies on, by the face of the rail: outward, and up. A plate on the inner side is not
 * checked: over an open channel it touches the edges of the flanges only.
 */
const TOWARD_STEEL: Partial<Readonly<Record<PlateFace, readonly [outward: number, up: number]>>> = {
  'web-inside': [1, 0],
  'web-outside': [-1, 0],
  'top-flange': [0, -1],
  'bottom-flange': [0, 1],
};

/** Minimum share of a plate's face in contact with the rail; the rest is tolerance for edges and bends. */
const LEAST_CONTACT = 0.9;

/** Distance that a plate is moved into the steel to measure the contact, mm. */
const PUSH = 0.5;

/**
 * The share of a plate's face in contact with a rail; null for a solid that is not a plate on a rail.
 *
 * @param workshop Holds what is made.
 * @param plate The plate.
 * @param rails All rails of the frame.
 */
export function contactShare(workshop: Workshop, plate: FrameSolid, rails: readonly FrameSolid[]): number | null {
  const direction = plate.face && TOWARD_STEEL[plate.face];
  if (!direction || !plate.side) return null;
  const [outward, up] = direction;
  const sign = plate.side === 'left' ? -1 : 1;
  const pushed = workshop.own(plate.solid.translate([0, sign * outward * PUSH, up * PUSH]));
  const touched = rails
    .filter(({ side }) => side === plate.side)
    .reduce((sum, { solid }) => sum + workshop.own(pushed.intersect(solid)).volume(), 0);
  const { min, max } = plate.solid.boundingBox();
  const thick = outward === 0 ? max[2] - min[2] : max[1] - min[1];
  const face = plate.solid.volume() / thick;
  return touched / PUSH / face;
}

/**
 * Plates with too little contact with their rail.
 *
 * @param workshop Holds what is made.
 * @param all Everything on the frame.
 */
export function platesOff(workshop: Workshop, all: readonly FrameSolid[]): SolidFinding[] {
  const rails = all.filter(({ kind }) => kind === 'rail');
  return all
    .filter(({ kind }) => kind === 'plate')
    .flatMap((plate): SolidFinding[] => {
      const share = contactShare(workshop, plate, rails);
      if (share === null || share >= LEAST_CONTACT) return [];
      return [
        {
          code: 'plate-off-steel',
          key: `${keyOf('plate-off-steel', plate)}/${plate.name} ${plate.side}`,
          about: plate.id === null ? [] : [plate.id],
          message: `The ${plate.name}, ${plate.side}, touches the rail over ${Math.floor(100 * share)}% of its face; ${100 * LEAST_CONTACT}% is needed.`,
          at: middleOf(plate.solid),
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
    rails.some((rail) => rail.side === side && !workshop.own(rail.solid.intersect(solid)).isEmpty());
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
