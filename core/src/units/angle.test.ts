import { expect, it } from 'vitest';
import { angleText } from './index.ts';

const radians = (degrees: number) => (degrees * Math.PI) / 180;

it.each([
  [angleText(radians(-3.84)), '−3.8°'],
  [angleText(radians(7)), '7.0°'],
  [angleText(radians(6.0423), 2), '6.04°'],
  [angleText(radians(45), 3, false), '45°'],
  [angleText(radians(-0.5), 3, false), '−0.5°'],
  [angleText(radians(-0.02)), '0°'],
  [angleText(0, 2), '0°'],
])('an angle is shown as %s', (shown, expected) => {
  expect(shown).toBe(expected);
});

it('has its minus below 0 only, and its places only where they are asked for', () => {
  expect(angleText(-0.1, 2)).toBe('−5.73°');
  expect(angleText(0, 2)).toBe('0°');
  expect(angleText(Math.PI / 4, 2, false)).toBe('45°');
  expect(angleText(Math.PI / 4, 2)).toBe('45.00°');
});
