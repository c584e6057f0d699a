import { GRAVITY } from './constants.ts';
import type { Outcome } from '../input-error.ts';
import { type LengthUnit, MM_PER_INCH } from './length-unit.ts';

/** Kilograms in one pound, exact (international pound, 1959). */
const KG_PER_POUND = 0.45359237;
/** Newtons that a pound of mass weighs, exact by the standard acceleration of free fall, 9.80665 m/s². */
const POUND_FORCE = KG_PER_POUND * GRAVITY;

interface Unit {
  readonly name: string;
  /** How much of the core's unit one of it is. */
  readonly size: number;
  /** Other ways of writing it. */
  readonly also?: readonly string[];
  /** What the core calls 0 of it, where that is not 0: a thermometer. */
  readonly zero?: number;
}

/** What a shop that works in inches, and one that works in millimeters, calls each kind of quantity besides a length. */
const UNITS = {
  /** kg */
  mass: {
    in: { name: 'lb', size: KG_PER_POUND, also: ['lbs', 'pound', 'pounds'] },
    mm: { name: 'kg', size: 1, also: ['kilogram', 'kilograms'] },
  },
  /** kg per meter */
  'mass along': {
    in: { name: 'lb/ft', size: KG_PER_POUND / (12 * MM_PER_INCH * 1e-3) },
    mm: { name: 'kg/m', size: 1 },
  },
  /** mm³ */
  modulus: { in: { name: 'in³', size: MM_PER_INCH ** 3 }, mm: { name: 'cm³', size: 1e3 } },
  /** mm⁴ */
  'second moment': { in: { name: 'in⁴', size: MM_PER_INCH ** 4 }, mm: { name: 'cm⁴', size: 1e4 } },
  /** N·mm */
  moment: { in: { name: 'in·lb', size: POUND_FORCE * MM_PER_INCH }, mm: { name: 'N·m', size: 1e3 } },
  /** MPa */
  stress: { in: { name: 'ksi', size: (1e3 * POUND_FORCE) / MM_PER_INCH ** 2 }, mm: { name: 'MPa', size: 1 } },
  /** N for each mm that something gives */
  rate: { in: { name: 'lb/in', size: POUND_FORCE / MM_PER_INCH }, mm: { name: 'N/mm', size: 1 } },
  /** kg per mm³ */
  density: {
    in: { name: 'lb/in³', size: KG_PER_POUND / MM_PER_INCH ** 3 },
    mm: { name: 'kg/dm³', size: 1e-6 },
  },
  /** So many times something. */
  times: { in: { name: 'times', size: 1, also: ['×'] }, mm: { name: 'times', size: 1, also: ['×'] } },
  /** kJ for each mm of weld. */
  heat: { in: { name: 'kJ/in', size: 1 / MM_PER_INCH }, mm: { name: 'kJ/mm', size: 1 } },
  /** Energy, kJ. */
  energy: { in: { name: 'kJ', size: 1 }, mm: { name: 'kJ', size: 1 } },
  /** Hours. */
  hours: { in: { name: 'h', size: 1 }, mm: { name: 'h', size: 1 } },
  /** °C */
  temperature: {
    in: { name: '°F', size: 5 / 9, also: ['F'], zero: -160 / 9 },
    mm: { name: '°C', size: 1, also: ['C'] },
  },
  /** mm/min */
  speed: { in: { name: 'in/min', size: MM_PER_INCH, also: ['ipm'] }, mm: { name: 'mm/min', size: 1 } },
  /** mm² */
  area: { in: { name: 'in²', size: MM_PER_INCH ** 2 }, mm: { name: 'mm²', size: 1 } },
  /** Volts, and amperes. */
  voltage: { in: { name: 'V', size: 1 }, mm: { name: 'V', size: 1 } },
  current: { in: { name: 'A', size: 1 }, mm: { name: 'A', size: 1 } },
  /** Seconds. */
  seconds: { in: { name: 's', size: 1 }, mm: { name: 's', size: 1 } },
  /** W/m²·K, W/m·K and J/kg·K: how steel loses, conducts and stores heat. */
  film: { in: { name: 'W/m²·K', size: 1 }, mm: { name: 'W/m²·K', size: 1 } },
  conductivity: { in: { name: 'W/m·K', size: 1 }, mm: { name: 'W/m·K', size: 1 } },
  'specific heat': { in: { name: 'J/kg·K', size: 1 }, mm: { name: 'J/kg·K', size: 1 } },
  /** Minutes. */
  minutes: { in: { name: 'min', size: 1 }, mm: { name: 'min', size: 1 } },
  /** So many stitches. */
  stitches: { in: { name: 'stitches', size: 1 }, mm: { name: 'stitches', size: 1 } },
  /** So many joints. */
  joints: { in: { name: 'joints', size: 1 }, mm: { name: 'joints', size: 1 } },
  /** A part of the whole, 0 to 1. */
  share: { in: { name: '%', size: 0.01 }, mm: { name: '%', size: 0.01 } },
} as const satisfies Record<string, Readonly<Record<LengthUnit, Unit>>>;

export type QuantityKind = keyof typeof UNITS;

const inUnit = ({ size, zero = 0 }: Unit, value: number): number => (value - zero) / size;

/** Figures that are shown, where there are that many ahead of the decimal point or not. */
const FIGURES = 3;

/** The number in tens, with the thousands of long ones set apart by a narrow space. */
function figures(value: number): string {
  const ahead = value === 0 ? 1 : Math.floor(Math.log10(Math.abs(value))) + 1;
  const text = String(Number(value.toFixed(Math.min(FIGURES, Math.max(0, FIGURES - ahead))))).replace('-', '−');
  return text.replace(/\d{5,}/, (whole) => whole.replace(/\B(?=(\d{3})+$)/g, '\u202f'));
}

/**
 * What a quantity of the core is called in a shop of this unit: `lb`, `in³`.
 *
 * @param kind What is measured.
 * @param unit Inches or millimeters.
 */
export const quantityUnit = (kind: QuantityKind, unit: LengthUnit): string => UNITS[kind][unit].name;

/**
 * How much of the core's unit one of the shop's is: kg in a pound, MPa in a ksi.
 *
 * @param kind What is measured.
 * @param unit Inches or millimeters.
 */
export const quantitySize = (kind: QuantityKind, unit: LengthUnit): number => UNITS[kind][unit].size;

/**
 * A quantity of the core in the shop's unit, to three figures or to the whole number, with the unit: `2100 lb`,
 * `4.9 in³`. `value` is in kg, kg/m, mm³, mm⁴, N·mm or MPa by its kind.
 *
 * @param kind What is measured.
 * @param value In the core’s unit: kg, MPa, mm³ and so on.
 * @param unit Inches or millimeters.
 * @throws RangeError for NaN or an infinite value: the core never makes one, so showing it would hide a fault.
 */
export function quantityText(kind: QuantityKind, value: number, unit: LengthUnit): string {
  if (!Number.isFinite(value)) throw new RangeError(`a ${kind} must be finite, not ${value}`);
  return `${figures(inUnit(UNITS[kind][unit], value))}\u00a0${UNITS[kind][unit].name}`;
}

/**
 * The same quantity in the unit that the shop does not use, for a second look.
 *
 * @param kind What is measured.
 * @param value In the core’s unit: kg, MPa, mm³ and so on.
 * @param unit Inches or millimeters.
 */
export const otherQuantityText = (kind: QuantityKind, value: number, unit: LengthUnit): string =>
  quantityText(kind, value, unit === 'in' ? 'mm' : 'in');

/** Decimals that are typed of what is known to fewer than a thousandth. */
const DECIMALS: Readonly<Partial<Record<QuantityKind, number>>> = {
  stress: 1,
  share: 1,
  density: 4,
  temperature: 0,
  speed: 1,
};

/**
 * A quantity as it is typed, without its unit: a mass to a thousandth, a stress and a share to a tenth. What is a round
 * figure in the unit that the shop does not use was given in that, and is shown to a tenth: 8 kg is 17.6 lb.
 *
 * @param kind What is measured.
 * @param value In the core’s unit: kg, MPa, mm³ and so on.
 * @param unit Inches or millimeters.
 */
export function quantityFigure(kind: QuantityKind, value: number, unit: LengthUnit): string {
  const shown = inUnit(UNITS[kind][unit], value);
  const tenths = inUnit(UNITS[kind][unit === 'in' ? 'mm' : 'in'], value) * 10;
  const foreign = kind === 'mass' && Math.abs(shown) >= 1 && Math.abs(tenths - Math.round(tenths)) < 1e-9;
  return String(Number(shown.toFixed(foreign ? 1 : (DECIMALS[kind] ?? 3))));
}

const NUMBER_AND_UNIT = /^([+\-−]?(?:\d+\.?\d*|\.\d+))\s*(.*)$/;

/**
 * The quantity that a person typed, in the core's unit, not rounded: `2100`, `2100 lb`, `950 kg`. A bare number is in
 * what the shop calls it: pounds beside inches, kilograms beside millimeters. Refuses anything else, and below 0.
 *
 * @param kind What is measured.
 * @param text What was typed or read.
 * @param unit What a bare number is in.
 */
export function parseQuantity(kind: QuantityKind, text: string, unit: LengthUnit): Outcome<number> {
  const units: readonly Unit[] = [UNITS[kind][unit], UNITS[kind][unit === 'in' ? 'mm' : 'in']];
  const refuse = (code: string, message: string): Outcome<number> => ({
    ok: false,
    problem: { code: `quantity/${code}`, path: '', message },
  });
  const typed = text.trim();
  const example = [...new Set(units.map(({ name }) => name))].map((name) => `12.5 ${name}`).join(' or ');
  if (typed === '') return refuse('empty', `Type a figure, like ${example}.`);
  if (/\d,\d/.test(typed)) return refuse('comma', `“${typed}” has a comma: write 2100, and 12.5 with a point.`);
  const [, figure, named = ''] = NUMBER_AND_UNIT.exec(typed) ?? [];
  const asked = named.toLowerCase();
  const found =
    asked === ''
      ? units[0]
      : units.find(({ name, also = [] }) => [name, ...also].some((word) => word.toLowerCase() === asked));
  if (figure === undefined || !found)
    return refuse('stray-text', `“${typed}” cannot be read here: write it like ${example}.`);
  const value = Number(figure.replace('−', '-'));
  if (value < 0) return refuse('negative', 'It must be 0 or more.');
  return { ok: true, value: value * found.size + (found.zero ?? 0) };
}
