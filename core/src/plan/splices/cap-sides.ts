import { closingPlate, type Section, widthOf } from '../../sections/index.ts';

/** One cap of a box that covers a stretch made of a sleeve alone, mm. */
export interface CapSide {
  readonly name: string;
  readonly width: number;
  readonly thickness: number;
}

/**
 * The caps that close the outside of a rail over a sleeve: upright ones over the whole depth, and between them, flush with the flanges,
 * level ones.
 *
 * @param section The rail.
 */
export function capSides(section: Section): readonly CapSide[] {
  const { depth, thickness } = section;
  const open = section.kind === 'channel';
  const far = open
    ? 0
    : section.kind === 'tube'
      ? section.inner
      : section.kind === 'closed-channel'
        ? section.plate
        : thickness;
  const level = widthOf(section) - thickness - far;
  return [
    { name: 'cap, web', width: depth, thickness },
    { name: 'cap, top', width: level, thickness },
    { name: 'cap, bottom', width: level, thickness },
    ...(open
      ? []
      : [
          {
            name: 'cap, inner side',
            width: section.kind === 'closed-channel' ? closingPlate(section).height : depth,
            thickness: far,
          },
        ]),
  ];
}

/**
 * Length of the welds of one cap, mm: across both of its ends, and, of an upright one, along both of the corners that it makes with
 * the level ones.
 *
 * @param side The cap.
 * @param length Of the stretch, mm.
 */
export const capSideWeld = ({ name, width }: CapSide, length: number): number =>
  2 * width + (name === 'cap, web' || name === 'cap, inner side' ? 2 * length : 0);

/**
 * Length of the welds of all caps of a stretch, mm.
 *
 * @param section The rail.
 * @param length Of the stretch, mm.
 */
export const capWeld = (section: Section, length: number): number =>
  capSides(section).reduce((sum, side) => sum + capSideWeld(side, length), 0);
