import type { PDFFont } from '@cantoo/pdf-lib';

/** Kept free at the end of a line: letters over a gap between words stand a little nearer than words alone are wide. */
const SPARE = 0.5;

/** A text in lines. Words are measured, each once and for all sheets: a growing line would be laid out again with every word. */
export function wrap(text: string, font: PDFFont, size: number, width: number): string[] {
  const gap = font.widthOfTextAtSize(' ', size);
  const lines: string[] = [];
  let filled = 0;
  for (const word of text.split(' ')) {
    const wide = font.widthOfTextAtSize(word, size);
    if (lines.length > 0 && filled + gap + wide <= width - SPARE) {
      lines[lines.length - 1] += ` ${word}`;
      filled += gap + wide;
    } else {
      lines.push(word);
      filled = wide;
    }
  }
  return lines;
}
