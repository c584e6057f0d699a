/**
 * How well an entry answers what was typed, for the list of everything: whole words before beginnings of words, these before letters
 * inside a word, and things on the frame before benches and actions of the same kind of match.
 *
 * @param name What the entry is called.
 * @param typed What was typed.
 * @param onFrame Whether it stands on the frame, or is measured on it.
 * @param hint What else it may be found by.
 * @returns From 0, not at all, to 1.
 */
export function findScore(name: string, typed: string, onFrame: boolean, hint = ''): number {
  const wanted = wordsOf(typed);
  if (wanted.length === 0) return 1;
  const words = wordsOf(name);
  const matches = wanted.map((word) => {
    if (words.includes(word)) return 1;
    if (words.some((own) => own.startsWith(word))) return 0.7;
    if (words.some((own) => own.includes(word))) return 0.4;
    return wordsOf(hint).some((own) => own.startsWith(word)) ? 0.2 : 0;
  });
  // Every word that was typed must be there.
  const worst = Math.min(...matches);
  return worst === 0 ? 0 : worst * (onFrame ? 1 : 0.9);
}

const wordsOf = (text: string): readonly string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
