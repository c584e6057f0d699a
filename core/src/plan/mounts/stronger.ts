import type { Bracket } from '../../mounting/index.ts';
import { inches, type LengthFormat } from '../../units/index.ts';

/** Thicknesses of plate that a yard has, mm. */
const PLATES = { in: [1 / 8, 3 / 16, 1 / 4, 5 / 16, 3 / 8, 1 / 2].map(inches), mm: [3, 4, 5, 6, 8, 10, 12] } as const;

/**
 * The same bracket made stronger, from little to much: closed, of thicker plate with welds to match, wider.
 *
 * @param bracket The bracket.
 * @param display The unit that plate is sold in.
 */
export function strongerBrackets(
  bracket: Bracket,
  display: Pick<LengthFormat, 'unit'>,
): readonly (readonly [string, Bracket])[] {
  if (!('thickness' in bracket)) return [];
  const thicker = PLATES[display.unit].filter((plate) => plate > bracket.thickness + 0.05);
  const radius = (plate: number) => (bracket.radius / bracket.thickness) * plate;
  const withLeg = (leg: number): Bracket =>
    bracket.form === 'perch'
      ? { ...bracket, leg }
      : bracket.fixing.by === 'weld'
        ? { ...bracket, fixing: { ...bracket.fixing, leg } }
        : { ...bracket, fixing: { ...bracket.fixing, diameter: bracket.fixing.diameter * (leg / bracket.thickness) } };
  const wider = [1.25, 1.5, 2].map((times) => ({ ...bracket, along: bracket.along * times }) as Bracket);
  const closed: readonly (readonly [string, Bracket])[] =
    bracket.form === 'arm' && bracket.make === 'folded' ? [['Close it from below', { ...bracket, make: 'boxed' }]] : [];
  return [
    ...closed,
    ...thicker.map(
      (plate) =>
        [
          'Make it of thicker plate',
          { ...withLeg(plate), thickness: plate, radius: radius(plate) } as Bracket,
        ] as const,
    ),
    ...wider.map((each) => ['Make it wider', each] as const),
  ];
}
