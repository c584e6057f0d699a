/** What stands at the foot of every printed sheet. */
export const SHEET_FOOT =
  'A planning aid, not an approval: local vehicle codes, the donor maker’s body-builder instructions, a licensed engineer and a qualified welder decide. Check every mark with your own tape before cutting.';
