/** The unit a shop works in: decides what a bare number means and how lengths are shown. */
export type LengthUnit = 'in' | 'mm';

/** Divisions of the inch that a tape carries, or decimal inches. */
export type InchDivision = 8 | 16 | 32 | 64 | 'decimal';

/** How a job shows its lengths. `division` is used when `unit` is inches. */
export interface LengthFormat {
  readonly unit: LengthUnit;
  readonly division: InchDivision;
}

/**
 * The format to 1/32 at least: a tape is read, and a wedge scribed, finer than a mark is given.
 *
 * @param format Unit and division that lengths are written in.
 */
export const finer = (format: LengthFormat): LengthFormat => ({
  ...format,
  division: format.division === 'decimal' || format.division === 64 ? format.division : 32,
});

/** Millimetres in one inch, exact (international inch, 1959). */
export const MM_PER_INCH = 25.4;

/** The longest length a frame job can hold, mm; anything longer is a slip of the keys. */
export const LONGEST = 50_000;

/**
 * Millimetres of `count` inches.
 *
 * @param count Inches.
 */
export const inches = (count: number): number => count * MM_PER_INCH;

/**
 * The length that one press of an arrow key moves a thing by, mm: the shown division, or 1 mm.
 *
 * @param format Unit and division that lengths are written in.
 */
export function nudgeOf(format: LengthFormat): number {
  if (format.unit === 'mm') return 1;
  return format.division === 'decimal' ? inches(0.01) : inches(1 / format.division);
}
