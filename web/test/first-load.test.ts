import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { BENCHES } from '../src/workbench/benches.ts';

/** The program as it was built. */
const dist = fileURLToPath(new URL('../dist', import.meta.url));
const noted = JSON.parse(readFileSync(join(dist, 'preloads.json'), 'utf8')) as Readonly<Record<string, string[]>>;
const text = (name: string) => readFileSync(join(dist, 'client', name), 'utf8');

describe('what a page of a bench loads first', () => {
  it.each(['react', 'workbench', ...Object.keys(BENCHES)])('is named in its head: %s', (name) => {
    expect(noted[name]?.length).toBeGreaterThan(0);
    for (const file of noted[name] ?? []) {
      expect(existsSync(join(dist, 'client', file))).toBe(true);
      // Made ready while it comes in.
      expect(text(file).startsWith('//# allFunctionsCalledOnLoad\n')).toBe(true);
    }
  });

  it.each(Object.keys(BENCHES))(
    'holds nothing that only checks, zooms, draws charts or looks in space: %s',
    (bench) => {
      const files = [...new Set([...(noted.react ?? []), ...(noted.workbench ?? []), ...(noted[bench] ?? [])])];
      const all = files.map(text).join('\n');
      const signs = ['scaleExtent', 'WebGLRenderer', 'BarController', 'DismissableLayer'];
      // A station that is dragged on the donor is checked as it is put down.
      for (const sign of [...signs, ...(bench === 'donor' ? [] : ['ValidationError'])])
        expect([sign, all.includes(sign)]).toEqual([sign, false]);
    },
  );
});
