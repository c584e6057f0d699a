/**
 * Two stations, heights or lengths this close are the same, mm. It is far below what a scriber marks and far above
 * floating-point noise. Every *at*, *inside*, *touches* and *equal* of core uses it.
 */
export const TOLERANCE = 0.01;

/** A stretch from one value to a larger one, mm. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/**
 * Whether two lengths are the same.
 *
 * @param a One, mm.
 * @param b The other, mm.
 */
export const isAt = (a: number, b: number): boolean => Math.abs(a - b) <= TOLERANCE;

/** What was asked for is given within this, mm: less than a line that is scribed and a tape that is read. */
const MET = 0.5;

/**
 * Whether a length is what was asked for: a wheelbase is met, a change is none, a line is as long as it was.
 *
 * @param mm The length, or what is left of a change, mm.
 * @param asked What was asked for, mm.
 */
export const isMet = (mm: number, asked = 0): boolean => Math.abs(mm - asked) < MET;

/**
 * Room that is left, or missing below 0: none where it is within the tolerance, so that its sign is a verdict, mm.
 *
 * @param mm The room.
 */
export const settled = (mm: number): number => (isAt(mm, 0) ? 0 : mm);

/**
 * Whether a length is beyond a limit by more than the tolerance.
 *
 * @param value The length, mm.
 * @param limit The limit, mm.
 */
export const exceeds = (value: number, limit: number): boolean => value > limit + TOLERANCE;

/**
 * Whether a station lies inside a stretch and not at its ends.
 *
 * @param x The station, mm.
 */
export const isInside = (x: number, { from, to }: Span): boolean => x > from + TOLERANCE && x < to - TOLERANCE;

/**
 * Whether a station lies in a stretch or at one of its ends.
 *
 * @param x The station, mm.
 */
export const isWithin = (x: number, { from, to }: Span): boolean => x >= from - TOLERANCE && x <= to + TOLERANCE;

/**
 * Whether two stretches share more than an end.
 *
 * @param a One stretch, mm.
 * @param b The other, mm.
 */
export const overlap = (a: Span, b: Span): boolean => exceeds(b.to, a.from) && exceeds(a.to, b.from);

/**
 * Whether a value falls short of a limit so that it also reads as less: rounded figures that are the same give no
 * verdict.
 *
 * @param value The value, mm.
 * @param limit The limit, mm.
 * @param show Writes a length as the job displays it.
 */
export const readsLess = (value: number, limit: number, show: (mm: number) => string): boolean =>
  value < limit - TOLERANCE && plain(show(value)) !== plain(show(limit));

/** A written length without the words that say how it was rounded. */
const plain = (text: string): string => text.replace(/ (scant|full)$/, '');
