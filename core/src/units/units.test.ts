import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '../input-error.ts';
import {
  finer,
  formatLength,
  inches,
  lengthText,
  nudgeOf,
  otherUnitText,
  parseLength,
  type InchDivision,
} from './index.ts';

const read = (text: string, unit: 'in' | 'mm' = 'in') => unwrap(parseLength(text, unit));
const refusal = (text: string) => {
  const outcome = parseLength(text, 'in');
  return outcome.ok ? `read as ${outcome.value}` : outcome.problem.code;
};
const shown = (mm: number, division: InchDivision = 16) => lengthText(mm, { unit: 'in', division });

describe('parseLength', () => {
  it.each([
    ['12 3/8', 314.325],
    ['12-3/8', 314.325],
    ['12 3/8"', 314.325],
    ['3/16', 4.7625],
    ['-3/16', -4.7625],
    ['−3/16', -4.7625],
    [`1' 0 3/8"`, 314.325],
    ['1 ft 2', 355.6],
    ["1'", 304.8],
    ['12.375 in', 314.325],
    ['12 ⅜', 314.325],
    ['12⅜″', 314.325],
    ['314 mm', 314],
    ['31.4cm', 314],
    ['1.2 m', 1200],
    ['12 3/8 + 1/16', 315.9125],
    ['12 - 3/8', 295.275],
    ['12 3/8 - 1/16', 312.7375],
    [`12'-6 1/2"`, 3822.7],
    [`1'-0 3/8"`, 314.325],
    [`12'-6-1/2"`, 3822.7],
    [`12'-6½"`, 3822.7],
    [`12′–6 1/2″`, 3822.7],
    ['12ft-6in', 3810],
    ['12 ft -6 in', 3810],
    ["12'- 6", 3810],
    [`-12'-6"`, -3810],
    [`12'-6" - 1/2"`, 3797.3],
    [`12' - 6"`, 3505.2],
    ['3 ft - 2 ft', 304.8],
    ['2 m - 5 cm', 1950],
    ['10 mm + 1', 35.4],
    ['.5', 12.7],
    ['0', 0],
  ])('reads %s', (text, mm) => {
    expect(read(text)).toBeNear(mm, 1e-9);
  });

  it('takes a bare number in the unit of the job', () => {
    expect(read('314', 'mm')).toBe(314);
    expect(read('314', 'in')).toBeNear(7975.6, 1e-9);
  });

  it.each([
    ['', 'length/empty'],
    ['   ', 'length/empty'],
    ['12 3/0', 'length/zero-denominator'],
    ['1/2/3', 'length/two-slashes'],
    ['12 abc', 'length/stray-text'],
    ['12,5', 'length/comma'],
    ['NaN', 'length/stray-text'],
    ['12 3', 'length/stray-text'],
    ['12.5 3/8', 'length/decimal-and-fraction'],
    ['1.5/8', 'length/decimal-in-fraction'],
    ['3/', 'length/number-missing'],
    ['+', 'length/number-missing'],
    ['1 ft 2 mm', 'length/mixed-units'],
    ['60 m', 'length/too-long'],
    ['-60 m', 'length/too-long'],
    ['1e5', 'length/stray-text'],
    ['12 3/8-1/16', 'length/hyphen'],
    ['12 -1/16', 'length/hyphen'],
    ['12-6', 'length/hyphen'],
    ['314mm-2mm', 'length/hyphen'],
    ["12'-", 'length/number-missing'],
    ["12'-6'", 'length/mixed-units'],
    ['1 ft-2 mm', 'length/mixed-units'],
  ])('refuses “%s” as %s', (text, code) => {
    expect(refusal(text)).toBe(code);
  });

  it('says in the message what was wrong and what would be right', () => {
    const outcome = parseLength('12 bananas', 'in');
    expect(outcome.ok ? '' : outcome.problem.message).toBe(
      '“bananas” is not part of a length: write it like 12 3/8, 12.375 in or 314 mm.',
    );
  });
});

describe('formatLength', () => {
  it.each([
    [314.325, 16, '12 3/8'],
    [inches(11 + 31 / 32), 16, '12 scant'],
    [inches(11 + 31 / 32), 32, '11 31/32'],
    [inches(1 / 16), 8, '1/8 scant'],
    [inches(0.5), 16, '1/2'],
    [inches(-0.5), 16, '−1/2'],
    [-0.001, 16, '0'],
    [inches(3 + 3 / 64), 16, '3 1/16'],
    [inches(3 + 3 / 64 - 0.003), 16, '3 1/16 scant'],
    [inches(3 + 5 / 64 + 0.002), 16, '3 1/16 full'],
    [inches(12.3756), 'decimal', '12.376'],
  ] as const)('%d mm at 1/%s is %s', (mm, division, text) => {
    expect(shown(mm, division)).toBe(text);
  });

  it('tells scant and full by size, also for a negative length', () => {
    expect(shown(-inches(3 / 8 - 0.02))).toBe('−3/8 scant');
  });

  it('gives the parts that a page sets in their own type', () => {
    expect(formatLength(314.325, { unit: 'in', division: 16 })).toMatchObject({
      whole: '12',
      fraction: '3/8',
      nuance: '',
    });
  });

  it('shows millimeters to a tenth and the other unit for a second look', () => {
    expect(lengthText(314.325, { unit: 'mm', division: 16 }, true)).toBe('314.3 mm');
    expect(otherUnitText(314.325, { unit: 'mm', division: 16 })).toBe('12 3/8 in');
  });

  it('refuses to show what is not a number', () => {
    expect(() => shown(Number.NaN)).toThrow(RangeError);
  });

  it('comes back exactly from what it showed, at 1/64', () => {
    fc.assert(
      fc.property(fc.integer({ min: -120_000, max: 120_000 }), (ticks) => {
        const mm = (ticks * 25.4) / 64;
        return read(formatLength(mm, { unit: 'in', division: 64 }).text) === (mm === 0 ? 0 : mm);
      }),
    );
  });

  it('is never off by more than half a division', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -40_000, max: 40_000, noNaN: true }),
        fc.constantFrom(8, 16, 32, 64),
        (mm, division) => {
          const back = read(formatLength(mm, { unit: 'in', division }).text);
          return Math.abs(back - mm) <= inches(0.5 / division) + 1e-6;
        },
      ),
    );
  });
});

describe('nudgeOf', () => {
  it('is the shown division', () => {
    expect(nudgeOf({ unit: 'in', division: 16 })).toBe(1.5875);
    expect(nudgeOf({ unit: 'mm', division: 16 })).toBe(1);
  });
});

describe('finer', () => {
  it('is 1/32 at least, and leaves what is finer already or decimal', () => {
    const of = (division: InchDivision) => finer({ unit: 'in', division }).division;
    expect(([8, 16, 32, 64, 'decimal'] as const).map(of)).toEqual([32, 32, 32, 64, 'decimal']);
    expect(finer({ unit: 'mm', division: 16 }).unit).toBe('mm');
  });
});

describe('nuances, signs and zeros', () => {
  it('a decimal below 0 has its minus, and zeros at its end are dropped only there', () => {
    expect(lengthText(-314.3, { unit: 'mm', division: 16 })).toBe('−314.3');
    expect(lengthText(100, { unit: 'mm', division: 16 })).toBe('100');
    expect(lengthText(100.04, { unit: 'mm', division: 16 })).toBe('100');
    expect(lengthText(inches(10.05), { unit: 'in', division: 'decimal' })).toBe('10.05');
    expect(lengthText(inches(-10.5), { unit: 'in', division: 'decimal' })).toBe('−10.5');
    expect(lengthText(0, { unit: 'mm', division: 16 })).toBe('0');
  });

  it('is neither scant nor full up to a quarter of a division, both ways', () => {
    expect(shown(inches(5 + 0.25 / 16))).toBe('5');
    expect(shown(inches(5 - 0.25 / 16))).toBe('5');
    expect(shown(inches(5 + 0.26 / 16))).toBe('5 full');
    expect(shown(inches(5 - 0.26 / 16))).toBe('5 scant');
  });

  it('gives the other unit of either', () => {
    expect(otherUnitText(254, { unit: 'in', division: 16 })).toBe('254 mm');
    expect(otherUnitText(254, { unit: 'mm', division: 16 })).toBe('10 in');
  });

  it('nudges decimal inches by a hundredth', () => {
    expect(nudgeOf({ unit: 'in', division: 'decimal' })).toBeNear(0.254, 1e-12);
  });
});

describe('at the edges of what is read', () => {
  it.each([
    ['50 m', 50_000],
    ['-50 m', -50_000],
    ['+3', 76.2],
    ['.75 in', 19.05],
    ['-0', 0],
  ])('reads %s', (text, mm) => {
    expect(read(text)).toBeNear(mm, 1e-9);
    expect(Object.is(read('-0'), 0)).toBe(true);
  });

  it('trims what it quotes', () => {
    const told = (text: string) => {
      const outcome = parseLength(text, 'in');
      return outcome.ok ? '' : outcome.problem.message;
    };
    expect(told('  60 m ')).toMatch(/^“60 m” is longer/);
    expect(told('  12,5 ')).toMatch(/^“12,5” has a comma/);
  });
});
