import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '../input-error.ts';
import { otherQuantityText, parseQuantity, quantityFigure, quantitySize, quantityText, quantityUnit } from './index.ts';

const plain = (text: string) => text.replaceAll('\u202f', ' ').replaceAll('\u00a0', ' ');

describe('quantityText', () => {
  // A rail by hand: S 80 326.6 mm³, J 11 203 mm⁴, RBM 27 713 N·m = 245 277 in·lb at 345 MPa.
  it.each([
    ['modulus', 80_326.6, '80.3 cm³', '4.9 in³'],
    ['second moment', 11_203, '1.12 cm⁴', '0.027 in⁴'],
    ['moment', 27_712_600, '27 713 N·m', '245 277 in·lb'],
    ['stress', 345, '345 MPa', '50 ksi'],
    ['mass', 952.544, '953 kg', '2100 lb'],
    ['mass', 8.7, '8.7 kg', '19.2 lb'],
    ['mass along', 11.633, '11.6 kg/m', '7.82 lb/ft'],
    ['mass', 0, '0 kg', '0 lb'],
    ['mass', -12.34, '−12.3 kg', '−27.2 lb'],
  ] as const)('shows a %s of %f', (kind, value, metric, inch) => {
    expect(plain(quantityText(kind, value, 'mm'))).toBe(metric);
    expect(plain(quantityText(kind, value, 'in'))).toBe(inch);
    expect(otherQuantityText(kind, value, 'in')).toBe(quantityText(kind, value, 'mm'));
    expect(metric.endsWith(quantityUnit(kind, 'mm'))).toBe(true);
  });

  it('refuses to show what is no number', () => {
    expect(() => quantityText('mass', Number.NaN, 'in')).toThrow(RangeError);
  });

  it('gives the size of a ksi and of an inch-pound as the textbooks do', () => {
    expect(quantitySize('stress', 'in')).toBeNear(6.894757, 1e-6);
    expect(quantitySize('moment', 'in')).toBeNear(112.984829, 1e-6);
  });
});

describe('parseQuantity', () => {
  it.each([
    ['mass', '2100', 952.543977],
    ['mass', '2100 lb', 952.543977],
    ['mass', '2100lbs', 952.543977],
    ['mass', ' 950 KG ', 950],
    ['mass', '1 pound', 0.45359237],
    ['mass', '.5 kg', 0.5],
    ['mass', '0', 0],
    ['stress', '50', 344.737865],
    ['stress', '345 MPa', 345],
    ['share', '85 %', 0.85],
    ['share', '85', 0.85],
    ['density', '0.2836', 7.85e-6],
  ] as const)('reads a %s of %s', (kind, text, value) => {
    expect(unwrap(parseQuantity(kind, text, 'in'))).toBeWithin(value, 1e-4);
  });

  it('takes a bare number in kilograms where the shop works in millimeters', () => {
    expect(unwrap(parseQuantity('mass', '950', 'mm'))).toBe(950);
  });

  it.each([
    ['', 'quantity/empty', /Type a figure, like 12.5 lb or 12.5 kg/],
    ['1,200', 'quantity/comma', /comma/],
    ['heavy', 'quantity/stray-text', /“heavy” cannot be read here/],
    ['12 in', 'quantity/stray-text', /“12 in” cannot be read here/],
    ['-3 kg', 'quantity/negative', /0 or more/],
  ])('refuses “%s” and says why', (text, code, message) => {
    const read = parseQuantity('mass', text, 'in');
    expect(read.ok ? null : read.problem).toMatchObject({ code, message: expect.stringMatching(message) as string });
  });

  it('gives back what it was shown as', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9_999_999 }), fc.constantFrom('in', 'mm'), (thousandths, unit) => {
        const typed = String(thousandths / 1000);
        expect(quantityFigure('mass', unwrap(parseQuantity('mass', typed, unit)), unit)).toBe(typed);
      }),
    );
  });
});

it('a mass given in the other unit is not shown to a thousandth that nobody weighed', () => {
  expect(quantityFigure('mass', 8, 'in')).toBe('17.6');
  expect(quantityFigure('mass', 8, 'mm')).toBe('8');
  expect(quantityFigure('mass', 0.453592371, 'in')).toBe('1');
});
