// `npm run text`: writes docs/interface-text.txt, everything that Splay says, to be proofread in one sitting. With
// `--check` it only tells whether that file is as the source is.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { textOf } from './lib/interface-text.mjs';
import { root, stop } from './lib/run.mjs';

/** What is shown to people: screens first, bench by bench, then the sentences of core and of the server. */
const FOLDERS = ['web/src', 'core/src', 'core/bin'];
/** What reads older files has words that are not shown, and tests and benchmarks show nothing. */
const SILENT = /\.(test|bench|d)\.|core\/src\/job\/version-|web\/src\/(service-worker|server\/db)\//;

const files = FOLDERS.flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true })
    .map((file) => `${folder}/${file}`)
    .filter((file) => /\.(tsx?|astro)$/.test(file) && !SILENT.test(file))
    .sort(),
);

let folder = '';
const lines = ['Everything that Splay says, file by file; … stands where a value goes. Written by `npm run text`.'];
for (const file of files) {
  const found = textOf(file, readFileSync(join(root, file), 'utf8'));
  if (found.length === 0) continue;
  if (dirname(file) !== folder) lines.push('', (folder = dirname(file)), '='.repeat(folder.length));
  lines.push('', file.slice(folder.length + 1), ...found.map((text) => `  ${text}`));
}
const text = `${lines.join('\n')}\n`;
const target = join(root, 'docs', 'interface-text.txt');
if (!process.argv.includes('--check')) writeFileSync(target, text);
else if (readFileSync(target, 'utf8') !== text)
  stop('The interface says something else than docs/interface-text.txt: run `npm run text`, and read what changed.');
