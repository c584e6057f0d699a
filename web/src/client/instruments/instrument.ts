import { inches } from '@splay/core';

/** What an instrument says: a distance, mm, or an angle against the level, radians, above 0 where its far end is higher. */
export type InstrumentReading =
  | { readonly kind: 'distance'; readonly mm: number }
  | { readonly kind: 'angle'; readonly radians: number };

/** An instrument that is held to the frame. See docs/instruments.md. */
export interface Instrument {
  readonly name: string;
  /** Whether this browser can reach it. */
  readonly here: () => boolean;
  /**
   * Connects it.
   *
   * @returns What disconnects it. Rejects, with a sentence, where it cannot be reached.
   */
  readonly connect: (
    onReading: (reading: InstrumentReading) => void,
    onLost: (why: string) => void,
  ) => Promise<() => void>;
}

const LENGTHS: Readonly<Record<string, number>> = { mm: 1, cm: 10, m: 1000, in: inches(1), ft: inches(12) };
const MOST_MM = 50_000;

/**
 * A line that an instrument sends, as a reading: a number and its unit, `1234.5 mm`, `48.625 in`, `-0.35 deg`. What stands
 * ahead of the number is left out.
 *
 * @returns Null for a line that says nothing of the kind.
 */
export function readingOfLine(line: string): InstrumentReading | null {
  const found = /(-?\d+(?:[.,]\d+)?)\s*(mm|cm|m|in|ft|deg|°)\s*$/i.exec(line.trim());
  if (!found) return null;
  const value = Number((found[1] as string).replace(',', '.'));
  const unit = (found[2] as string).toLowerCase();
  if (unit === 'deg' || unit === '°')
    return Math.abs(value) <= 90 ? { kind: 'angle', radians: (value * Math.PI) / 180 } : null;
  const mm = value * (LENGTHS[unit] as number);
  return mm > 0 && mm <= MOST_MM ? { kind: 'distance', mm } : null;
}

/** Text that comes in pieces, as whole lines. */
export function lineSplitter(onLine: (line: string) => void): (piece: string) => void {
  let left = '';
  return (piece) => {
    const lines = (left + piece).split(/\r\n|\n|\r/);
    left = (lines.pop() ?? '').slice(-200);
    for (const line of lines) if (line.trim() !== '') onLine(line);
  };
}
