import type { LengthFormat } from '@splay/core';

/** The job's format, to 1/32 at least: a tape is read, and a wedge scribed, finer than a mark is given. */
export const finer = (format: LengthFormat): LengthFormat => ({
  ...format,
  division: format.division === 'decimal' || format.division === 64 ? format.division : 32,
});
