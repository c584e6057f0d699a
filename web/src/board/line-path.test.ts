import { expect, it } from 'vitest';
import { linePath } from './line-path.ts';

it('a path begins once and goes on from there, to a hundredth', () => {
  expect(linePath([])).toBe('');
  expect(
    linePath([
      [0, -25.4],
      [10.0449, 2],
      [1e-9, 4.995],
    ]),
  ).toBe('M0 -25.4L10.04 2L0 5');
});
