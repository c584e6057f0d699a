import { inches, type LengthUnit } from '../units/index.ts';

/** A bolt with the hole that it goes through, mm. */
export interface BoltSize {
  readonly name: string;
  readonly diameter: number;
  readonly hole: number;
}

/** Clearance holes: ISO 273, medium; ASME B18.2.8, normal, to the 1/64. */
const BOLTS: Readonly<Record<LengthUnit, readonly BoltSize[]>> = {
  mm: [
    { name: 'M8', diameter: 8, hole: 9 },
    { name: 'M10', diameter: 10, hole: 11 },
    { name: 'M12', diameter: 12, hole: 13.5 },
    { name: 'M14', diameter: 14, hole: 15.5 },
    { name: 'M16', diameter: 16, hole: 17.5 },
    { name: 'M20', diameter: 20, hole: 22 },
  ],
  in: (
    [
      ['5/16', 20, 22],
      ['3/8', 24, 26],
      ['7/16', 28, 30],
      ['1/2', 32, 36],
      ['5/8', 40, 44],
      ['3/4', 48, 52],
    ] as const
  ).map(([name, bolt, hole]) => ({ name, diameter: inches(bolt / 64), hole: inches(hole / 64) })),
};

/** How much tighter than its clearance hole a bolt may still go through a hole, mm. */
const TIGHT = 0.5;

/**
 * The largest bolt that goes through a hole of the body; null where none of the table does.
 *
 * @param hole Its diameter, mm.
 * @param unit Inches or millimeters.
 */
export const boltFor = (hole: number, unit: LengthUnit): BoltSize | null =>
  BOLTS[unit].findLast((bolt) => bolt.hole <= hole + TIGHT) ?? null;
