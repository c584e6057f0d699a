import { MM_PER_INCH, type LengthFormat } from './length-unit.ts';

/** A length as it is shown, in parts, so that a page can set the fraction in its own type. */
export interface FormattedLength {
  readonly sign: '' | '−';
  /** Whole inches, decimal inches or millimeters; empty when there is only a fraction. */
  readonly whole: string;
  /** `3/8`, or empty. */
  readonly fraction: string;
  readonly unit: 'in' | 'mm';
  /** *scant*: really a bit under what is shown; *full*: a bit over. */
  readonly nuance: '' | 'scant' | 'full';
  /** All of it but the unit and the nuance, such as `−12 3/8`. */
  readonly text: string;
}

/** Guard against a tie that binary rounding pushed just below itself (such as 0.5 stored as 0.49999…). */
const TIE_GUARD = 1e-9;

const roundAwayFromZero = (count: number): number => Math.sign(count) * Math.floor(Math.abs(count) + 0.5 + TIE_GUARD);

function commonDivisor(a: number, b: number): number {
  return b === 0 ? a : commonDivisor(b, a % b);
}

function decimals(value: number, places: number, unit: 'in' | 'mm'): FormattedLength {
  const scale = 10 ** places;
  const rounded = roundAwayFromZero(value * scale) / scale;
  const sign = rounded < 0 ? '−' : '';
  const whole = Math.abs(rounded)
    .toFixed(places)
    .replace(/\.?0+$/, '');
  return { sign, whole, fraction: '', unit, nuance: '', text: sign + whole };
}

/**
 * The length `mm` as text in the job's format, rounded to its division, ties away from zero, lowest terms.
 *
 * Millimeters are shown to 0.1 mm, decimal inches to 0.001 in.
 *
 * @param mm A length, mm.
 * @param format Unit and division that lengths are written in.
 * @throws RangeError for NaN or an infinite length: the core never makes one, so showing it would hide a fault.
 */
export function formatLength(mm: number, format: LengthFormat): FormattedLength {
  if (!Number.isFinite(mm)) throw new RangeError(`a length must be finite, not ${mm}`);
  if (format.unit === 'mm') return decimals(mm, 1, 'mm');
  if (format.division === 'decimal') return decimals(mm / MM_PER_INCH, 3, 'in');

  const exact = (mm / MM_PER_INCH) * format.division;
  const ticks = roundAwayFromZero(exact);
  const size = Math.abs(ticks);
  const whole = Math.floor(size / format.division);
  const rest = size % format.division;
  const divisor = commonDivisor(rest, format.division);
  const fraction = rest === 0 ? '' : `${rest / divisor}/${format.division / divisor}`;
  const sign = ticks < 0 ? '−' : '';
  const wholeText = whole > 0 || fraction === '' ? String(whole) : '';
  const off = exact - ticks;
  // Under and over are told by size, as on a tape: a move of −3/8 scant is a bit less than 3/8 forward.
  const offBySize = ticks === 0 ? off : off * Math.sign(ticks);
  const nuance = Math.abs(off) <= 0.25 + TIE_GUARD ? '' : offBySize < 0 ? 'scant' : 'full';
  const text = sign + [wholeText, fraction].filter(Boolean).join(' ');
  return { sign, whole: wholeText, fraction, unit: 'in', nuance, text };
}

/**
 * `formatLength` as one string with its nuance and, when asked, its unit: `12 3/8 scant`, `314 mm`.
 *
 * @param mm A length, mm.
 * @param format Unit and division that lengths are written in.
 * @param withUnit Whether the unit is said.
 */
export function lengthText(mm: number, format: LengthFormat, withUnit = false): string {
  const shown = formatLength(mm, format);
  return [shown.text, withUnit ? shown.unit : '', shown.nuance].filter(Boolean).join(' ');
}

/**
 * The same length in the unit the job does not use, with its unit, for a second look: `314.3 mm`.
 *
 * @param mm A length, mm.
 * @param format Unit and division that lengths are written in.
 */
export function otherUnitText(mm: number, format: LengthFormat): string {
  return format.unit === 'in'
    ? lengthText(mm, { unit: 'mm', division: 16 }, true)
    : lengthText(mm, { unit: 'in', division: 16 }, true);
}
