import { formatLength, type LengthFormat, type SheetDrawing } from '@splay/core';
import { PDFDocument, rgb } from '@cantoo/pdf-lib';
import { create as qrCode } from 'qrcode';
import { drawDrawing, PT } from './draw-drawing.ts';
import { embedFonts, type Fonts } from './faces.ts';
import { Pen, rectangle } from './pen.ts';
import { wrap } from './wrap.ts';

export const PAPERS = { a4: [595.28, 841.89], letter: [612, 792] } as const;
export type Paper = keyof typeof PAPERS;

/** What a cell holds: text, or a length that is set with a real fraction. */
export type Cell = string | { readonly mm: number };

export interface SheetColumn {
  readonly title: string;
  /** Share of the width. */
  readonly share: number;
  readonly right?: boolean;
}

const INK = rgb(0.21, 0.2, 0.17);
const SOFT = rgb(0.42, 0.38, 0.32);
const OXIDE = rgb(0.61, 0.23, 0.15);
const MARGIN = 40;
const FOOT = 54;
/** Between two columns of a table, and from one line of a cell to the next. */
const GUTTER = 5;
const LINE = 11;
/** Between two drawings, and the side of a QR code. */
const BETWEEN = 17;
const CODE = 58;
/** How wide the drawings of a sheet are on either paper, mm. */
export const DRAWING_WIDTH = 180;

/** What stands at the head of every page. */
export interface SheetStrip {
  readonly title: string;
  readonly facts: readonly string[];
  /** Said in oxide under the title, on every page; null where nothing stands against the sheet. */
  readonly warning: string | null;
  /** What a phone opens that reads the code at the head of every page; without it there is no code. */
  readonly code?: string;
}

/** A printed sheet: title strip, tables that run over pages, and a foot on every page. */
export class Sheet {
  private pen!: Pen;
  private y = 0;
  private readonly pages: Pen[] = [];

  private constructor(
    private readonly document: PDFDocument,
    private readonly fonts: Fonts,
    private readonly size: readonly [number, number],
    private readonly format: LengthFormat,
    private readonly strip: SheetStrip,
  ) {
    this.newPage();
  }

  static async make(paper: Paper, format: LengthFormat, strip: SheetStrip): Promise<Sheet> {
    const document = await PDFDocument.create();
    document.setTitle(`${strip.title}, ${strip.facts[0] ?? ''}`);
    document.setCreator('Splay');
    return new Sheet(document, await embedFonts(document), PAPERS[paper], format, strip);
  }

  private get width(): number {
    return this.size[0] - 2 * MARGIN;
  }

  private newPage(): void {
    this.pen = new Pen(this.document.addPage([this.size[0], this.size[1]]));
    this.pages.push(this.pen);
    const top = this.size[1] - MARGIN;
    this.pen.text(this.strip.title, { x: MARGIN, y: top - 16, size: 22, font: this.fonts.label, color: INK });
    this.pen.lines(
      [
        [
          { x: MARGIN, y: top - 26 },
          { x: MARGIN + this.width - (this.strip.code === undefined ? 0 : CODE + 8), y: top - 26 },
        ],
      ],
      { color: INK, width: 1.5 },
    );
    this.strip.facts.forEach((fact, index) => {
      const column = index % 2;
      const row = Math.floor(index / 2);
      this.pen.text(fact, {
        x: MARGIN + (column * (this.width - (this.strip.code === undefined ? 0 : CODE + 8))) / 2,
        y: top - 41 - row * 13,
        size: 9.5,
        font: this.fonts.text,
        color: INK,
      });
    });
    if (this.strip.code !== undefined) this.code(this.strip.code, MARGIN + this.width - CODE, top);
    this.y = top - 41 - Math.ceil(this.strip.facts.length / 2) * 13 - 10;
    for (const line of this.strip.warning ? wrap(this.strip.warning, this.fonts.bold, 12, this.width - 16) : []) {
      this.pen.text(line, { x: MARGIN + 8, y: this.y - 6, size: 12, font: this.fonts.bold, color: OXIDE });
      this.pen.lines(
        [
          [
            { x: MARGIN, y: this.y - 10 },
            { x: MARGIN, y: this.y + 6 },
          ],
        ],
        { color: OXIDE, width: 3 },
      );
      this.y -= 16;
    }
  }

  /** A QR code, its upper left corner at a place. */
  private code(text: string, x: number, top: number): void {
    const { data, size } = qrCode(text, { errorCorrectionLevel: 'M' }).modules;
    const side = CODE / size;
    // Behind it nothing of the strip shows through.
    this.pen.fill([rectangle(x - 4, top - CODE - 4, CODE + 8, CODE + 8)], rgb(1, 1, 1));
    const dark = Array.from(data, (on, at) => (on ? [[at % size, Math.floor(at / size)] as const] : [])).flat();
    this.pen.fill(
      dark.map(([column, row]) => rectangle(x + column * side, top - (row + 1) * side, side * 1.02, side * 1.02)),
      INK,
    );
  }

  /** What follows begins on a page of its own. */
  nextPage(): void {
    this.newPage();
  }

  /** Goes on on a new page where what follows, so many pt high, has no room on this one. */
  keep(height: number): void {
    this.room(height);
  }

  /** Drawings beside each other, each under its title. */
  drawings(drawings: readonly SheetDrawing[], titled: boolean): void {
    const title = titled ? 18 : 4;
    const tall = Math.max(...drawings.map(({ height }) => height)) * PT;
    this.room(title + tall);
    let x = MARGIN;
    for (const drawing of drawings) {
      if (titled) this.pen.text(drawing.title, { x, y: this.y - 14, size: 12, font: this.fonts.label, color: INK });
      drawDrawing(this.pen, this.fonts, drawing, this.format, x, this.y - title);
      x += drawing.width * PT + BETWEEN;
    }
    this.y -= title + tall;
  }

  /** Lines to sign on with a pen, side by side. */
  sign(what: readonly string[]): void {
    this.room(44);
    this.y -= 34;
    const each = this.width / what.length;
    what.forEach((text, index) => {
      const x = MARGIN + index * each;
      this.pen.lines(
        [
          [
            { x, y: this.y },
            { x: x + each - 14, y: this.y },
          ],
        ],
        { color: INK, width: 0.8 },
      );
      this.pen.text(text, { x, y: this.y - 10, size: 8.5, font: this.fonts.text, color: SOFT });
    });
    this.y -= 14;
  }

  private room(height: number): void {
    if (this.y - height < FOOT + 10) this.newPage();
  }

  heading(text: string): void {
    this.room(76);
    this.y -= 26;
    this.pen.text(text, { x: MARGIN, y: this.y, size: 14, font: this.fonts.label, color: INK });
    this.y -= 6;
  }

  note(text: string): void {
    for (const line of wrap(text, this.fonts.text, 9, this.width)) {
      this.room(14);
      this.y -= 12.5;
      this.pen.text(line, { x: MARGIN, y: this.y, size: 9, font: this.fonts.text, color: SOFT });
    }
  }

  /** A line with a box to tick with a pen. */
  tickOff(text: string): void {
    const [size, indent] = [7, 13];
    wrap(text, this.fonts.text, 9.5, this.width - indent).forEach((line, index) => {
      this.room(15);
      this.y -= 13.5;
      if (index === 0) this.pen.lines([rectangle(MARGIN, this.y - 0.5, size, size)], { color: INK, width: 0.8 }, true);
      this.pen.text(line, { x: MARGIN + indent, y: this.y, size: 9.5, font: this.fonts.text, color: INK });
    });
  }

  /** A table; the column `boxed` is boxes to write into; words that are too long for their column go on in the next line of their row. */
  table(
    columns: readonly SheetColumn[],
    rows: readonly (readonly Cell[])[],
    strong: readonly number[] = [],
    boxed = -1,
  ): void {
    const total = columns.reduce((sum, column) => sum + column.share, 0);
    const widths = columns.map((column) => (column.share / total) * this.width - GUTTER);
    const lefts = columns.map(
      (_, index) => MARGIN + columns.slice(0, index).reduce((sum, { share }) => sum + (share / total) * this.width, 0),
    );
    const linesOf = (cell: Cell, index: number, bold: boolean, size: number): Cell[] =>
      typeof cell === 'string'
        ? wrap(cell, bold ? this.fonts.bold : this.fonts.text, size, widths[index] ?? 0)
        : [cell];
    /** Draws one row, its lines from `first` down, and gives how many there were. */
    const put = (cells: readonly Cell[], look: (index: number) => { bold: boolean; size: number }, color = INK) => {
      const lines = cells.map((cell, index) => linesOf(cell, index, look(index).bold, look(index).size));
      const count = Math.max(1, ...lines.map(({ length }) => length));
      this.room(4 + count * LINE);
      lines.forEach((stack, index) => {
        const { bold, size } = look(index);
        stack.forEach((line, at) => {
          const drawn = this.measure(line, bold, size);
          const left = lefts[index] ?? 0;
          const x = columns[index]?.right ? left + (widths[index] ?? 0) + GUTTER - drawn : left;
          this.drawCell(line, x, this.y - 15.5 - at * LINE, bold, size, color);
        });
      });
      this.y -= 15.5 + (count - 1) * LINE;
    };
    this.room(44);
    put(
      columns.map(({ title }) => title),
      () => ({ bold: false, size: 8.5 }),
      SOFT,
    );
    this.rule(1);
    for (const row of rows) {
      put(row, (index) => (strong.includes(index) ? { bold: true, size: 11.5 } : { bold: false, size: 9.5 }));
      // A box to write one's own reading into.
      const [left, width] = [lefts[boxed], widths[boxed]];
      if (left !== undefined && width !== undefined)
        this.pen.lines(
          [rectangle(left + GUTTER, this.y - 2.5, width - GUTTER, LINE + 1.5)],
          { color: INK, width: 0.7 },
          true,
        );
      this.rule(0.4);
    }
  }

  private rule(thickness: number): void {
    this.y -= 4;
    this.pen.lines(
      [
        [
          { x: MARGIN, y: this.y },
          { x: MARGIN + this.width, y: this.y },
        ],
      ],
      { color: thickness < 1 ? SOFT : INK, width: thickness },
    );
  }

  private parts(cell: Cell): { readonly whole: string; readonly fraction: string; readonly nuance: string } {
    if (typeof cell === 'string') return { whole: cell, fraction: '', nuance: '' };
    const { sign, whole, fraction, nuance } = formatLength(cell.mm, this.format);
    // Digits around the fraction slash (U+2044) are shaped as a real fraction.
    return { whole: sign + whole, fraction: fraction.replace('/', '⁄'), nuance };
  }

  private measure(cell: Cell, bold: boolean, size: number): number {
    const { whole, fraction, nuance } = this.parts(cell);
    const font = bold ? this.fonts.bold : this.fonts.text;
    return (
      font.widthOfTextAtSize(whole, size) +
      (fraction ? font.widthOfTextAtSize(fraction, size) + (whole ? size * 0.14 : 0) : 0) +
      (nuance ? this.fonts.text.widthOfTextAtSize(` ${nuance}`, size * 0.7) : 0)
    );
  }

  private drawCell(cell: Cell, x: number, y: number, bold: boolean, size: number, color = INK): void {
    const { whole, fraction, nuance } = this.parts(cell);
    const font = bold ? this.fonts.bold : this.fonts.text;
    let at = x;
    if (whole) this.pen.text(whole, { x: at, y, size, font, color });
    at += font.widthOfTextAtSize(whole, size) + (whole && fraction ? size * 0.14 : 0);
    if (fraction) this.pen.text(fraction, { x: at, y, size, font, color });
    at += fraction ? font.widthOfTextAtSize(fraction, size) : 0;
    if (nuance) this.pen.text(` ${nuance}`, { x: at, y, size: size * 0.7, font: this.fonts.text, color: SOFT });
  }

  /** The finished file, with the foot and page numbers on every page. */
  async bytes(foot: string): Promise<Uint8Array<ArrayBuffer>> {
    this.pages.forEach((pen, index) => {
      pen.lines(
        [
          [
            { x: MARGIN, y: FOOT },
            { x: MARGIN + this.width, y: FOOT },
          ],
        ],
        { color: INK, width: 0.6 },
      );
      wrap(foot, this.fonts.text, 8, this.width - 60).forEach((line, row) =>
        pen.text(line, { x: MARGIN, y: FOOT - 12 - row * 10, size: 8, font: this.fonts.text, color: SOFT }),
      );
      const number = `${index + 1} of ${this.pages.length}`;
      pen.text(number, {
        x: MARGIN + this.width - this.fonts.text.widthOfTextAtSize(number, 9),
        y: FOOT - 12,
        size: 9,
        font: this.fonts.text,
        color: INK,
      });
      pen.finish();
    });
    return new Uint8Array(await this.document.save());
  }
}
