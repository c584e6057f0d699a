import { PDFDocument, type PDFFont, rgb } from '@cantoo/pdf-lib';
import { type FlatPart, type LengthFormat, lengthText } from '@splay/core';
import { SHEET_FOOT } from '../../shared/sheet-words.ts';
import type { JobHead } from '../services/jobs.ts';
import { embedFonts } from './faces.ts';
import { Pen } from './pen.ts';
import { PAPERS, type Paper } from './sheet.ts';

const INK = rgb(0.21, 0.2, 0.17);
const SOFT = rgb(0.42, 0.38, 0.32);
const BLUE = rgb(0.12, 0.31, 0.56);
const OXIDE = rgb(0.61, 0.23, 0.15);
/** Points of a mm. */
const PT = 72 / 25.4;
/** Round the drawing, at its head and at its foot, and what two pages of one part share, mm. */
const MARGIN = 12;
const HEAD = 22;
const FOOT = 14;
const SHARED = 10;
/** Of every line of a part, pt. */
const WIDTH = 0.9;
/** The line to measure before anything is cut, mm. */
const PROOF = 100;

/** A page of a part: which stretch of it is drawn there, mm. */
interface Tile {
  readonly x: number;
  readonly y: number;
  readonly name: string;
}

/** The pages that a part of a size takes on a field of paper, each sharing a strip with the next. */
export function tilesOf(
  part: { readonly length: number; readonly width: number },
  field: { readonly width: number; readonly height: number },
): readonly Tile[] {
  const along = (size: number, room: number) =>
    size <= room
      ? [0]
      : Array.from({ length: Math.ceil((size - SHARED) / (room - SHARED)) }, (_, at) => at * (room - SHARED));
  const [xs, ys] = [along(part.length, field.width), along(part.width, field.height)];
  const count = xs.length * ys.length;
  return ys.flatMap((y, row) =>
    xs.map((x, column) => ({ x, y, name: count === 1 ? '' : `page ${row * xs.length + column + 1} of ${count}` })),
  );
}

/** Every part in real size, on as many pages as it takes; each page with a line of 100 mm to prove the printer by. */
export async function partsPdf(
  { job, revision }: JobHead,
  parts: readonly FlatPart[],
  paper: Paper,
): Promise<Uint8Array<ArrayBuffer>> {
  const document = await PDFDocument.create();
  document.setTitle(`Parts 1:1, ${job.name}`);
  document.setCreator('Splay');
  const fonts = await embedFonts(document);
  const [short, long] = PAPERS[paper];
  const field = { width: long / PT - 2 * MARGIN, height: short / PT - HEAD - FOOT };
  const whose = `${job.name}, plan “${job.plan.name}”, revision ${revision}`;
  for (const part of parts)
    for (const tile of tilesOf(part, field)) {
      const pen = new Pen(document.addPage([long, short]));
      drawTile(pen, part, tile, field);
      words(pen, part, tile, whose, job.display, fonts, [long, short]);
      pen.finish();
    }
  return (await document.save()) as Uint8Array<ArrayBuffer>;
}

interface Fonts {
  readonly text: PDFFont;
  readonly label: PDFFont;
}

function words(
  pen: Pen,
  part: FlatPart,
  { name }: Tile,
  job: string,
  format: LengthFormat,
  fonts: Fonts,
  [across, height]: readonly [number, number],
) {
  const size = [part.length, part.width, part.thickness].map((mm) => lengthText(mm, format)).join(' × ');
  pen.text(`${part.mark}  ${part.name}`, {
    x: MARGIN * PT,
    y: height - 30,
    size: 18,
    font: fonts.label,
    color: INK,
  });
  pen.text([size, part.offcut ?? part.stock, name].filter((text) => text !== '').join('  ·  '), {
    x: MARGIN * PT,
    y: height - 46,
    size: 10,
    font: fonts.text,
    color: INK,
  });
  pen.text(job, { x: MARGIN * PT, y: 26, size: 8.5, font: fonts.text, color: SOFT });
  pen.text(SHEET_FOOT, { x: MARGIN * PT, y: 15, size: 7.5, font: fonts.text, color: SOFT });
  const x = across - (MARGIN + PROOF) * PT;
  const end = x + PROOF * PT;
  const rule = [
    [
      { x, y: height - 40 },
      { x: end, y: height - 40 },
    ],
    ...[x, end].map((at) => [
      { x: at, y: height - 45 },
      { x: at, y: height - 35 },
    ]),
  ];
  pen.lines(rule, { color: INK, width: 1.2 });
  pen.text('100 mm: measure this line; print at 100 %', {
    x,
    y: height - 30,
    size: 8.5,
    font: fonts.text,
    color: INK,
  });
}

function drawTile(
  pen: Pen,
  { flat, length, width }: FlatPart,
  { x: fromX, y: fromY }: Tile,
  field: { width: number; height: number },
) {
  const at = ([x, y]: readonly [number, number]) => ({ x: (MARGIN + x - fromX) * PT, y: (FOOT + y - fromY) * PT });
  const stroke = (from: readonly [number, number], to: readonly [number, number], color = INK, dash?: number[]) =>
    pen.lines([[at(from), at(to)]], { color, width: WIDTH, ...(dash && { dash }) });
  pen.lines([flat.outline.map(at)], { color: INK, width: WIDTH }, true);
  for (const { from, to, what } of flat.lines)
    stroke(from, to, what === 'cut' ? OXIDE : SOFT, what === 'cut' ? undefined : [6, 4]);
  for (const { at: hole, diameter } of flat.holes) {
    pen.circle(at(hole), (diameter / 2) * PT, { color: BLUE, width: WIDTH });
    const [x, y] = hole;
    stroke([x - 3, y], [x + 3, y], BLUE);
    stroke([x, y - 3], [x, y + 3], BLUE);
  }
  // Where a part runs over pages, both have the line that they are laid on each other by.
  for (const edge of [fromX + SHARED / 2, fromX + field.width - SHARED / 2])
    if (length > field.width && edge > SHARED && edge < length)
      stroke([edge, fromY], [edge, Math.min(width, fromY + field.height)], OXIDE, [2, 3]);
}
