import { laidStitches, newRecord } from '@splay/core';
import { expect, it } from 'vitest';
import { laidSince } from './laid-since.ts';

it('stitches were laid so long ago by the clock, and never after now', () => {
  const welded = (stitch: string, taken: string) =>
    newRecord('stitch-welded', { stitch, laid: true, settings: null, note: '' }, { id: stitch, taken, by: 'welder' });
  const laid = laidStitches([welded('a', '2026-04-12T08:00:00Z'), welded('b', '2026-04-12T09:00:00Z')]);
  expect(laidSince(laid, Date.parse('2026-04-12T08:30:00Z'))).toEqual([
    { id: 'a', ago: 1800 },
    { id: 'b', ago: 0 },
  ]);
});
