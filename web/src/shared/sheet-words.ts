/** What stands at the foot of every printed sheet. */
export const SHEET_FOOT =
  'A planning aid, not an approval: local vehicle codes, the donor maker’s body-builder instructions, a licensed engineer and a qualified welder decide. Check every mark with your own tape before cutting.';

/** What must be seen to before a cut, in short. */
export const CUT_CAUTIONS: readonly string[] = [
  'Batteries and control modules disconnected; fuel tank, lines and vapour out of the vehicle before any spark.',
  'Both halves on their own stands on level ground, never on a jack alone; the kerf can close and pinch the disc, and a half can drop.',
  'Never cut, grind, cover or move the identity stamp. Heat-treated rails must not be welded or heated.',
];
