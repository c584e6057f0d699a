import { evaluatePlan, spliceParts } from '@splay/core';
import fc from 'fast-check';
import { extractText, getDocumentProxy } from 'unpdf';
import { describe, expect, it } from 'vitest';
import { partsPdf, tilesOf } from '../src/server/pdf/parts-pdf.ts';
import { demoJob } from './demo.ts';

const { job: van } = demoJob('parcel-van');
const parts = spliceParts(evaluatePlan(van), van);
const head = { id: 'x', revision: 3, job: van, savedBy: 'owner', savedAt: '2026-05-02T10:00:00.000Z' };

describe('parts in real size on paper', () => {
  it.each(['a4', 'letter'] as const)(
    'each with its mark, its size and a line to prove the printer by, on %s',
    async (paper) => {
      const document = await getDocumentProxy(await partsPdf(head, parts, paper));
      const { text, totalPages } = await extractText(document, { mergePages: false });
      // A plate of 15 in runs over two pages.
      expect(totalPages).toBe(2 * parts.length);
      const read = (text as string[]).map((page) => page.replace(/\s+/g, ' '));
      for (const [at, { mark, name }] of parts.entries()) {
        expect(read[2 * at]).toContain(`${mark} ${name}`);
        expect(read[2 * at]).toMatch(/15 × 5 1\/2 × 3\/16/);
        expect(read[2 * at]).toContain('page 1 of 2');
      }
      for (const page of read) {
        expect(page).toContain('100 mm: measure this line; print at 100 %');
        expect(page).toContain('not an approval');
      }
    },
  );

  it('the pages of a part cover all of it, and each shares a strip with the next', () => {
    const size = fc.double({ min: 10, max: 1500, noNaN: true });
    fc.assert(
      fc.property(size, size, (length, width) => {
        const field = { width: 273, height: 174 };
        const tiles = tilesOf({ length, width }, field);
        for (const [extent, room, key] of [
          [length, field.width, 'x'],
          [width, field.height, 'y'],
        ] as const) {
          const starts = [...new Set(tiles.map((tile) => tile[key]))].sort((a, b) => a - b);
          expect(starts[0]).toBe(0);
          expect(starts.at(-1)! + room).toBeGreaterThanOrEqual(extent - 1e-9);
          for (const [at, start] of starts.slice(1).entries()) expect(start - starts[at]!).toBeLessThan(room);
        }
      }),
    );
  });
});
