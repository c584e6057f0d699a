import { expect, it } from 'vitest';
import { textOf } from './lib/interface-text.mjs';

it('reads what stands on a screen, sentence by sentence, with a mark where a value goes', () => {
  const screen = `export const Screen = ({ name }) => (
    <section className="flex gap-2 p-4" aria-label="Where to cut">
      <h2>Cuts</h2>
      <p>
        Nothing of {name} is measured yet.{' '}
        <a href="/quick">Begin</a> here.
      </p>
      <button title={name ? \`Delete \${name}\` : 'Delete it'} onClick={() => act('some key')} />
    </section>
  );`;
  expect(textOf('screen.tsx', screen)).toEqual([
    'Where to cut',
    'Cuts',
    'Nothing of … is measured yet. … here.',
    'Begin',
    'Delete …',
    'Delete it',
    'some key',
  ]);
});

it('reads names, errors and sentences of plain code, and no keys, paths, classes or queries', () => {
  const code = `import { one } from './one.ts';
    export const KINDS = { step: { name: 'Step', sentence: 'Up and over.', id: 'step' } };
    export const bad = (at: string) => new Error(\`Row \${at} is empty: type a length.\`);
    export const look = 'rounded-sm border-2 hover:bg-paper';
    export const kind = 'pie-cut';
    export const found = (text: string) => text.split(' and ').join(', or ');
    export const rows = sql\`select id from jobs where shop = 1\`;`;
  expect(textOf('plain.ts', code)).toEqual(['Step', 'Up and over.', 'Row … is empty: type a length.']);
});

it('reads the template of a page, each piece once', () => {
  const page = "---\nconst name = 'not on the page';\n---\n<!doctype html>\n<p>Lay it out.</p><p>Lay it out.</p>";
  expect(textOf('page.astro', page)).toEqual(['Lay it out.']);
});
