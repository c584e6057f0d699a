import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { ESLint } from 'eslint';
import { afterEach, expect, it } from 'vitest';
import { root } from './lib/run.mjs';

const planted = [];

/** Writes a file with a line in it, lints it, and gives the rules that it breaks. */
async function breaks(path, line) {
  const file = join(root, path);
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, `${line}\n`);
  planted.push(file);
  const [result] = await new ESLint({ cwd: root }).lintFiles([file]);
  return result.messages.map((message) => message.ruleId);
}

afterEach(() => planted.splice(0).forEach((file) => rmSync(file, { force: true })));

it.each([
  [
    'core imports nothing that depends on it',
    'core/src/units/planted.ts',
    `export { evaluatePlan } from '../plan/index.ts';`,
  ],
  [
    'a bench never imports another bench',
    'web/src/benches/cuts/planted.ts',
    `export { MarksPanel } from '../marks/marks-panel.tsx';`,
  ],
  [
    'the board imports no bench',
    'web/src/board/planted.ts',
    `export { CutsBench } from '../benches/cuts/cuts-bench.tsx';`,
  ],
  [
    'the browser’s side imports nothing of the server',
    'web/src/client/planted.ts',
    `export { auth } from '../server/auth.ts';`,
  ],
])('%s', async (_, path, line) => {
  expect(await breaks(path, line)).toContain('boundaries/dependencies');
});

it('core knows no interface and no Node', async () => {
  expect(await breaks('core/src/units/planted.ts', `export { readFileSync } from 'node:fs';`)).toContain(
    'no-restricted-imports',
  );
  expect(await breaks('core/src/units/planted.ts', `export { useState } from 'react';`)).toContain(
    'no-restricted-imports',
  );
  expect(await breaks('core/src/units/planted.ts', 'export const now = () => Date.now();')).toContain(
    'no-restricted-globals',
  );
});

it('allowed ways stay open', async () => {
  expect(await breaks('core/src/plan/planted.ts', `export { inches } from '../units/index.ts';`)).toEqual([]);
});

it('no file needs itself by way of another; types may go round', () => {
  const round = (line) => {
    const folder = mkdtempSync(join(tmpdir(), 'round-'));
    writeFileSync(join(folder, 'one.ts'), `${line}\nexport const one = 1;\n`);
    writeFileSync(join(folder, 'two.ts'), `export { one } from './one.ts';\nexport const two = 2;\n`);
    const { status, stdout } = spawnSync('npx', ['oxlint', '-c', join(root, '.oxlintrc.json'), folder], {
      cwd: root,
      encoding: 'utf8',
    });
    rmSync(folder, { recursive: true });
    return status === 0 ? 'clean' : /no-cycle/.exec(stdout)?.[0];
  };
  expect(round(`export { two } from './two.ts';`)).toBe('no-cycle');
  expect(round(`import type { two } from './two.ts';\nexport const three: typeof two = 2;`)).toBe('clean');
});

it('what core gives others says what it takes', async () => {
  const said = (doc) =>
    breaks('core/src/units/planted.ts', `${doc}\nexport const half = (mm: number): number => mm / 2;`);
  expect(await said('')).toContain('jsdoc/require-jsdoc');
  expect(await said('/** Half of a length, mm. */')).toContain('jsdoc/require-param');
  expect(await said('/**\n * Half of a length, mm.\n *\n * @param mm\n */')).toContain(
    'jsdoc/require-param-description',
  );
  expect(await said('/**\n * Half of a length, mm.\n *\n * @param mm The length, mm.\n */')).toEqual([]);
});
