import type { laidStitches, LaidStitch } from '@splay/core';

/**
 * How long ago stitches were laid, by the clock of this device; one that another clock puts after now was laid now.
 *
 * @param laid The stitches that were welded.
 * @param now The moment, ms since 1970.
 */
export const laidSince = (laid: ReturnType<typeof laidStitches>, now: number): readonly LaidStitch[] =>
  [...laid].map(([id, { taken }]) => ({ id, ago: Math.max(0, (now - Date.parse(taken)) / 1000) }));
