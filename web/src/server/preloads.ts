import { existsSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

type Noted = Readonly<Record<string, readonly string[]>>;

let noted: Noted | undefined;

/** Noted when the program was built (`web/preloads.mjs`); nothing where the sources run as they are. */
function read(): Noted {
  const here = fileURLToPath(import.meta.url);
  const file = here.replace(/\/dist\/server\/.*$/, '/dist/preloads.json');
  return file !== here && existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Noted) : {};
}

/** The files of the program that a page with a bench loads, to be asked for all at once. */
export function preloadsOf(bench: string): readonly string[] {
  noted ??= read();
  const { react = [], workbench = [] } = noted;
  return [...new Set([...react, ...workbench, ...(noted[bench] ?? [])])];
}
