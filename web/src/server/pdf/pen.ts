import { deflateSync } from 'node:zlib';
import type { PDFFont, PDFName, PDFPage, RGB } from '@cantoo/pdf-lib';

/** A place on a page, pt from its lower left corner. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

/** How a line is drawn: its width and the lengths of its dashes and gaps, pt. */
export interface Stroke {
  readonly color: RGB;
  readonly width: number;
  readonly dash?: readonly number[];
}

/** The outline of a rectangle by its lower left corner, pt. */
export const rectangle = (x: number, y: number, width: number, height: number): readonly Place[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

/** Control points of a quarter of a circle lie so far along the tangents, of its radius. */
const QUARTER = (4 / 3) * (Math.SQRT2 - 1);

/**
 * Draws on a page by writing the operators of its content (ISO 32000-1, 8 and 9): what the library offers checks every
 * argument and keeps an object for every number, which was most of the time of a sheet. `finish` puts it on the page.
 */
export class Pen {
  private readonly fonts = new Map<PDFFont, PDFName>();
  private content = '';

  constructor(private readonly page: PDFPage) {}

  /** A line of text from the left end of its baseline. */
  text(
    text: string,
    { x, y, size, font, color }: Place & { readonly size: number; readonly font: PDFFont; readonly color: RGB },
  ): void {
    let name = this.fonts.get(font);
    if (!name) {
      name = this.page.node.newFontDictionary(font.name, font.ref);
      this.fonts.set(font, name);
    }
    const glyphs = font.encodeText(text).toString();
    this.content += `BT ${rgbOf(color)} rg ${name.toString()} ${pt(size)} Tf ${pt(x)} ${pt(y)} Td ${glyphs} Tj ET\n`;
  }

  /** Lines that each run through two places or more, closed to a ring if asked. */
  lines(lines: readonly (readonly Place[])[], stroke: Stroke, closed = false): void {
    this.content += `q ${strokeOf(stroke)}${lines.map((line) => pathOf(line, closed)).join('')}S Q\n`;
  }

  /** Fills shapes by their outlines. */
  fill(shapes: readonly (readonly Place[])[], color: RGB): void {
    this.content += `${rgbOf(color)} rg ${shapes.map((shape) => pathOf(shape, true)).join('')}f\n`;
  }

  /** The outline of a circle. */
  circle({ x, y }: Place, radius: number, stroke: Stroke): void {
    const reach = radius * QUARTER;
    const [right, up, left, down] = [x + radius, y + radius, x - radius, y - radius];
    const curves = [
      [right, y + reach, x + reach, up, x, up],
      [x - reach, up, left, y + reach, left, y],
      [left, y - reach, x - reach, down, x, down],
      [x + reach, down, right, y - reach, right, y],
    ].map((curve) => `${curve.map(pt).join(' ')} c `);
    this.content += `q ${strokeOf(stroke)}${pt(right)} ${pt(y)} m ${curves.join('')}s Q\n`;
  }

  /** Puts what was drawn on the page: nothing is drawn on it afterward. */
  finish(): void {
    const { context } = this.page.doc;
    const stream = context.stream(deflateSync(this.content), { Filter: 'FlateDecode' });
    this.page.node.addContentStream(context.register(stream));
  }
}

/** A number as a PDF writes it, without an exponent: finer than a thousandth of a point shows on no paper. */
const pt = (value: number): string => String(Math.round(value * 1000) / 1000);

const rgbOf = ({ red, green, blue }: RGB): string => `${pt(red)} ${pt(green)} ${pt(blue)}`;

const strokeOf = ({ color, width, dash }: Stroke): string =>
  `${rgbOf(color)} RG ${pt(width)} w 1 j ${dash ? `[${dash.map(pt).join(' ')}] 0 d ` : ''}`;

const pathOf = (places: readonly Place[], closed: boolean): string =>
  places.map(({ x, y }, index) => `${pt(x)} ${pt(y)} ${index === 0 ? 'm' : 'l'} `).join('') + (closed ? 'h ' : '');
