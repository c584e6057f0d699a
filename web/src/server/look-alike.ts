/** Letters of other alphabets that look like Latin ones, and those. */
const LOOKS = new Map([
  ['а', 'a'],
  ['е', 'e'],
  ['о', 'o'],
  ['р', 'p'],
  ['с', 'c'],
  ['у', 'y'],
  ['х', 'x'],
  ['і', 'i'],
  ['ј', 'j'],
  ['ѕ', 's'],
  ['һ', 'h'],
  ['ԁ', 'd'],
  ['ԛ', 'q'],
  ['ԝ', 'w'],
  ['в', 'b'],
  ['к', 'k'],
  ['м', 'm'],
  ['н', 'h'],
  ['т', 't'],
  ['α', 'a'],
  ['ε', 'e'],
  ['ι', 'i'],
  ['κ', 'k'],
  ['ν', 'v'],
  ['ο', 'o'],
  ['ρ', 'p'],
  ['τ', 't'],
  ['υ', 'u'],
  ['χ', 'x'],
  ['ı', 'i'],
  ['0', 'o'],
  ['1', 'l'],
]);

/**
 * A name by how it looks: two people of one shop may not be told apart by what nobody sees. Full-width letters as
 * plain ones, capitals left out, letters of other alphabets as those they look like.
 *
 * @param name The name.
 */
export const looksLike = (name: string): string =>
  Array.from(name.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim())
    .map((sign) => LOOKS.get(sign) ?? sign)
    .join('');
