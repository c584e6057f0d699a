import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import fontkit from '@cantoo/fontkit';
import type { PDFDocument, PDFFont } from '@cantoo/pdf-lib';
import { LRUCache } from 'lru-cache';

export interface Fonts {
  readonly text: PDFFont;
  readonly bold: PDFFont;
  readonly label: PDFFont;
}

const require = createRequire(import.meta.url);
const FACES = {
  text: 'sofia-sans/files/sofia-sans-latin-400',
  bold: 'sofia-sans/files/sofia-sans-latin-700',
  label: 'barlow-condensed/files/barlow-condensed-latin-600',
} as const;
// WOFF, not WOFF2: pdf-lib embeds the latter as invisible text.
const fontFile = (name: string) => readFile(require.resolve(`@fontsource/${name}-normal.woff`));

let files: Promise<Readonly<Record<keyof typeof FACES, Uint8Array>>> | undefined;

/** The files of the faces, read once. */
const fontFiles = () =>
  (files ??= Promise.all([fontFile(FACES.text), fontFile(FACES.bold), fontFile(FACES.label)]).then(
    ([text, bold, label]) => ({ text, bold, label }),
  ));

type Face = Extract<ReturnType<typeof fontkit.create>, { layout: unknown }>;
const faces = new WeakMap<Uint8Array, Face>();

/** As many texts of a face are kept laid out. */
const MOST_TEXTS = 4000;

/**
 * A face as it was opened before. Laying a text out is most of what a sheet costs, and sheets are alike: names of columns,
 * figures, sentences. Each text is laid out once and kept.
 */
function opened(bytes: Uint8Array): Face {
  const known = faces.get(bytes);
  if (known) return known;
  const face = fontkit.create(bytes) as Face;
  // A glyph keeps the characters of the first time that it is asked for: a subset that asks for the period as a part of a
  // colon, before any text has one, would leave every later period without its character when text is copied.
  for (const code of face.characterSet) face.glyphForCodePoint(code);
  const layOut = face.layout.bind(face) as (text: string, features: unknown) => object;
  const laidOut = new LRUCache<string, object>({ max: MOST_TEXTS });
  const layout = (text: string, features: unknown) => {
    const key = features === undefined ? text : `${JSON.stringify(features)} ${text}`;
    const kept = laidOut.get(key) ?? layOut(text, features);
    laidOut.set(key, kept);
    return kept;
  };
  faces.set(bytes, Object.assign(face, { layout }) as Face);
  return face;
}

/** The faces that sheets are set in, embedded in a document. */
export async function embedFonts(document: PDFDocument): Promise<Fonts> {
  document.registerFontkit({ create: opened } as typeof fontkit);
  const { text, bold, label } = await fontFiles();
  const add = (bytes: Uint8Array) => document.embedFont(bytes, { subset: true });
  return { text: await add(text), bold: await add(bold), label: await add(label) };
}
