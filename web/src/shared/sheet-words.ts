/** What stands at the foot of every printed sheet. */
export const SHEET_FOOT =
  'A planning aid, not an approval: local vehicle codes, the donor maker’s body-builder instructions, a licensed engineer and a qualified welder decide. Check every mark with your own tape before cutting.';

/**
 * What a sheet rests on that nobody has measured, as a sentence.
 *
 * @param assumed What is only assumed; not empty.
 */
export const assumedWords = (assumed: readonly string[]): string =>
  `Assumed, not measured yet: ${assumed.slice(0, 8).join('; ')}${assumed.length > 8 ? `; and ${assumed.length - 8} more` : ''}. Measure before anything is scribed.`;
