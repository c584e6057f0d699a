import { expect, it } from 'vitest';
import { fitted } from './shrink-picture.ts';

it.each([
  [4000, 3000, 1600, 1600, 1200],
  [3000, 4000, 1600, 1200, 1600],
  [800, 600, 1600, 800, 600],
  [9000, 2, 1600, 1600, 1],
])('a picture of %i × %i fits into %i as %i × %i', (width, height, longest, wide, high) => {
  expect(fitted(width, height, longest)).toEqual({ width: wide, height: high });
});
