import type { Outcome } from '../input-error.ts';
import { LONGEST, MM_PER_INCH, type LengthUnit } from './length-unit.ts';

interface Token {
  readonly kind: 'number' | 'slash' | 'unit' | 'plus' | 'minus';
  readonly text: string;
  readonly at: number;
  /** True when white space stands right before it, and right behind it. */
  readonly spaced: boolean;
  readonly spacedBehind: boolean;
}

const UNIT_MM: Readonly<Record<string, number>> = {
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  foot: 12 * MM_PER_INCH,
  feet: 12 * MM_PER_INCH,
  "'": 12 * MM_PER_INCH,
  mm: 1,
  cm: 10,
  m: 1000,
};

const VULGAR: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

class LengthTextError extends Error {
  readonly code: string;
  constructor(code: string, message: string) {
    super(message);
    this.code = `length/${code}`;
  }
}

/** The text with typographic marks replaced by the plain ones that stand for them. */
function plain(text: string): string {
  return text
    .replace(/[¼½¾⅛⅜⅝⅞]/g, (mark) => ` ${VULGAR[mark] ?? ''} `)
    .replace(/[″”“]/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/[−–]/g, '-')
    .replace(/⁄/g, '/');
}

function tokenize(text: string): Token[] {
  const pattern = /(\s*)(?:(\d+\.?\d*|\.\d+)|(\/)|(inches|inch|in|feet|foot|ft|mm|cm|m|"|')(?![a-z])|(\+)|(-))/giy;
  const kinds = ['number', 'slash', 'unit', 'plus', 'minus'] as const;
  const tokens: Token[] = [];
  let end = 0;
  const whole = text.trimEnd();
  while (end < whole.length) {
    pattern.lastIndex = end;
    const match = pattern.exec(whole);
    if (!match) {
      const stray = whole.slice(end).trim();
      if (stray.startsWith(','))
        throw new LengthTextError('comma', `“${text.trim()}” has a comma: write the decimal point as a point, 12.5.`);
      throw new LengthTextError(
        'stray-text',
        `“${stray}” is not part of a length: write it like 12 3/8, 12.375 in or 314 mm.`,
      );
    }
    const index = match.slice(2).findIndex((group) => group !== undefined);
    tokens.push({
      kind: kinds[index] ?? 'number',
      text: (match[index + 2] ?? '').toLowerCase(),
      at: end,
      spaced: (match[1] ?? '').length > 0,
      spacedBehind: /^\s/.test(whole.slice(pattern.lastIndex)),
    });
    end = pattern.lastIndex;
  }
  return tokens;
}

/** A hyphen with space on both sides takes away; any other joins what stands at its two sides. */
const subtracts = ({ spaced, spacedBehind }: Token): boolean => spaced && spacedBehind;

/** Reads one length after another from the tokens; each method eats what it understood. */
class LengthReader {
  private next = 0;
  constructor(
    private readonly tokens: readonly Token[],
    private readonly unit: LengthUnit,
  ) {}

  /** length (('+' | '-') length)* */
  sum(): number {
    let total = this.signed();
    for (let token = this.peek(); token; token = this.peek()) {
      if (token.kind !== 'plus' && token.kind !== 'minus')
        throw new LengthTextError('stray-text', `“${token.text}” is not expected here: join two lengths with + or −.`);
      if (token.kind === 'minus' && !subtracts(token))
        throw new LengthTextError(
          'hyphen',
          'A hyphen joins feet to inches and inches to their fraction, as in 12\'-6 1/2" or 12-3/8: to take one length from another put a space on both sides of it.',
        );
      this.next += 1;
      const term = this.term();
      total += token.kind === 'plus' ? term : -term;
    }
    return total;
  }

  private signed(): number {
    const kind = this.peek()?.kind;
    if (kind !== 'minus' && kind !== 'plus') return this.term();
    this.next += 1;
    return kind === 'minus' ? -this.term() : this.term();
  }

  /** One length: `12 3/8 in`, or feet followed by inches: `1' 0 3/8"`, `1 ft 2`, `12'-6 1/2"`. */
  private term(): number {
    const count = this.mixedNumber();
    const unit = this.eatUnit();
    if (unit !== 'ft') return count * (UNIT_MM[unit ?? this.unit] ?? Number.NaN);
    const hyphen = this.peek();
    if (hyphen?.kind === 'minus' && !subtracts(hyphen)) {
      this.next += 1;
      if (this.peek()?.kind !== 'number')
        throw new LengthTextError('number-missing', 'After the feet and the hyphen the inches are missing.');
    }
    if (this.peek()?.kind !== 'number') return count * 12 * MM_PER_INCH;
    const rest = this.mixedNumber();
    const restUnit = this.eatUnit() ?? 'in';
    if (UNIT_MM[restUnit] !== MM_PER_INCH)
      throw new LengthTextError('mixed-units', `After feet write inches, not ${restUnit}.`);
    return (count * 12 + rest) * MM_PER_INCH;
  }

  /** `12`, `3/8`, `12 3/8` or `12-3/8`. */
  private mixedNumber(): number {
    const first = this.number();
    if (this.peek()?.kind === 'slash') return this.fraction(first);
    const hyphenated = this.peek()?.kind === 'minus' && !this.peek()?.spaced && this.isFraction(this.next + 1);
    if (hyphenated && Number.isInteger(first)) this.next += 1;
    else if (!this.isFraction(this.next)) return first;
    if (!Number.isInteger(first))
      throw new LengthTextError(
        'decimal-and-fraction',
        `${first} already has decimals: leave out the fraction after it.`,
      );
    return first + this.fraction(this.number());
  }

  private fraction(numerator: number): number {
    this.next += 1;
    const denominator = this.number();
    if (this.peek()?.kind === 'slash')
      throw new LengthTextError('two-slashes', 'There are two slashes: a fraction has one, like 3/8.');
    if (!Number.isInteger(numerator) || !Number.isInteger(denominator))
      throw new LengthTextError('decimal-in-fraction', 'A fraction is made of whole numbers, like 3/8.');
    if (denominator === 0)
      throw new LengthTextError('zero-denominator', 'The fraction is divided by zero: write it like 3/8.');
    return numerator / denominator;
  }

  private number(): number {
    const token = this.peek();
    if (token?.kind !== 'number')
      throw new LengthTextError(
        'number-missing',
        token ? `A number is missing before “${token.text}”.` : 'A number is missing at the end.',
      );
    this.next += 1;
    return Number(token.text);
  }

  private eatUnit(): 'ft' | string | undefined {
    const token = this.peek();
    if (token?.kind !== 'unit') return undefined;
    this.next += 1;
    return UNIT_MM[token.text] === 12 * MM_PER_INCH ? 'ft' : token.text;
  }

  private isFraction(index: number): boolean {
    const [first, second] = [this.tokens[index], this.tokens[index + 1]];
    return first?.kind === 'number' && second?.kind === 'slash' && (index === this.next ? first.spaced : !first.spaced);
  }

  private peek(): Token | undefined {
    return this.tokens[this.next];
  }
}

/**
 * The length that a person typed, mm, not rounded.
 *
 * Understands mixed numbers, feet and inches (`12' 6 1/2"`, `12'-6 1/2"`, `12ft-6in`), decimals, metric units, a
 * leading sign, and sums and differences of lengths. A hyphen joins; only one with space on both sides takes away. A
 * bare number is in `unit`.
 * Refuses, saying what and where: empty text, stray text, zero denominators, two slashes, a fraction after
 * decimals, and sizes beyond ±50 m.
 *
 * @param text What was typed or read.
 * @param unit What a bare number is in.
 */
export function parseLength(text: string, unit: LengthUnit): Outcome<number> {
  try {
    const tokens = tokenize(plain(text));
    if (tokens.length === 0) throw new LengthTextError('empty', 'Type a length, like 12 3/8 or 314 mm.');
    const value = new LengthReader(tokens, unit).sum();
    if (!Number.isFinite(value) || Math.abs(value) > LONGEST)
      throw new LengthTextError('too-long', `“${text.trim()}” is longer than 50 m: check the figure and its unit.`);
    return { ok: true, value: value === 0 ? 0 : value };
  } catch (error) {
    if (!(error instanceof LengthTextError)) throw error;
    return { ok: false, problem: { code: error.code, path: '', message: error.message } };
  }
}
