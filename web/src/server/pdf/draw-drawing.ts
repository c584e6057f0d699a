import { type PDFPage, rgb } from '@cantoo/pdf-lib';
import {
  formatLength,
  type LengthFormat,
  type SheetDrawing,
  type SheetInk,
  type SheetPoint,
  type SheetText,
} from '@splay/core';
import type { Fonts } from './faces.ts';

const INK = rgb(0.21, 0.2, 0.17);
const SOFT = rgb(0.42, 0.38, 0.32);
const PAPER = rgb(1, 1, 1);
const STEEL = rgb(0.9, 0.88, 0.85);
const BLUE = rgb(0.12, 0.31, 0.56);
const OXIDE = rgb(0.61, 0.23, 0.15);
/** Points of a mm. */
export const PT = 72 / 25.4;
/** Between two lines of a hatch, mm. */
const HATCH = 1.1;

interface Look {
  readonly color: typeof INK;
  /** mm. */
  readonly width: number;
  readonly dash?: readonly number[];
}

/** How each ink is drawn on paper: also without color a line is known by its weight and its dash. */
const LOOKS: Readonly<Record<SheetInk, Look>> = {
  steel: { color: INK, width: 0.35 },
  fold: { color: INK, width: 0.2, dash: [2, 1] },
  scribe: { color: BLUE, width: 0.7 },
  waste: { color: OXIDE, width: 0.3 },
  thing: { color: SOFT, width: 0.25 },
  work: { color: BLUE, width: 0.4 },
  leader: { color: SOFT, width: 0.18 },
  break: { color: SOFT, width: 0.3 },
  datum: { color: INK, width: 0.35, dash: [3, 0.8, 0.6, 0.8] },
};

/** Where hatch lines across a closed shape begin and end: level lines, by the even-odd rule. */
export function hatchLines(points: readonly SheetPoint[]): readonly (readonly [SheetPoint, SheetPoint])[] {
  const downs = points.map(([, down]) => down);
  const [from, to] = [Math.min(...downs), Math.max(...downs)];
  const count = Math.floor((to - from) / HATCH);
  return Array.from({ length: count }, (_, at) => from + (at + 0.5) * HATCH).flatMap((down) => {
    const xs = points
      .flatMap(([x, y], index): number[] => {
        const [nextX, nextY] = points[(index + 1) % points.length] as SheetPoint;
        return y <= down === nextY <= down ? [] : [x + ((down - y) / (nextY - y)) * (nextX - x)];
      })
      .sort((a, b) => a - b);
    return Array.from(
      { length: Math.floor(xs.length / 2) },
      (_, pair) =>
        [
          [xs[2 * pair] as number, down],
          [xs[2 * pair + 1] as number, down],
        ] as const,
    );
  });
}

/**
 * Draws a drawing of a sheet on a page.
 *
 * @param left Left edge, and `top` its upper edge, pt from the lower left corner of the page.
 */
export function drawDrawing(
  page: PDFPage,
  fonts: Fonts,
  { items }: SheetDrawing,
  format: LengthFormat,
  left: number,
  top: number,
): void {
  const at = ([x, y]: SheetPoint) => ({ x: left + x * PT, y: top - y * PT });
  const line = (from: SheetPoint, to: SheetPoint, { color, width, dash }: Look) =>
    page.drawLine({
      start: at(from),
      end: at(to),
      thickness: width * PT,
      color,
      ...(dash && { dashArray: dash.map((mm) => mm * PT) }),
    });
  for (const item of items) {
    if (item.kind === 'text') drawText(page, fonts, item, format, at(item.at));
    else if (item.kind === 'circle')
      page.drawCircle({
        ...at(item.at),
        size: item.radius * PT,
        borderWidth: LOOKS[item.ink].width * PT,
        borderColor: LOOKS[item.ink].color,
      });
    else if (item.ink === 'waste') for (const [from, to] of hatchLines(item.points)) line(from, to, LOOKS.waste);
    else {
      const { points, closed } = item;
      if (item.ink === 'steel') {
        const path = `M${points.map(([x, y]) => `${x * PT} ${y * PT}`).join('L')}Z`;
        page.drawSvgPath(path, { x: left, y: top, color: STEEL, borderWidth: 0 });
      }
      const look = LOOKS[item.ink];
      points.slice(1).forEach((point, index) => line(points[index] as SheetPoint, point, look));
      const [first, last] = [points[0], points.at(-1)];
      if (closed && first && last) line(last, first, look);
    }
  }
}

/** Letters in the color of the lines, then words and a length with a real fraction. */
function drawText(
  page: PDFPage,
  fonts: Fonts,
  { tag, words, mm, size, anchor, soft, patched }: SheetText,
  format: LengthFormat,
  place: { readonly x: number; readonly y: number },
): void {
  const { sign, whole, fraction } = mm === null ? { sign: '', whole: '', fraction: '' } : formatLength(mm, format);
  const font = fonts.label;
  const high = size * PT;
  const parts = [
    { text: tag === '' ? '' : `${tag} `, color: BLUE },
    { text: `${words}${sign}${whole}${whole && fraction ? ' ' : ''}`, color: soft ? SOFT : INK },
    // Digits around the fraction slash are shaped as a real fraction.
    { text: fraction.replace('/', '⁄'), color: soft ? SOFT : INK },
  ].filter(({ text }) => text !== '');
  const width = parts.reduce((sum, { text }) => sum + font.widthOfTextAtSize(text, high), 0);
  let x = place.x - (anchor === 'middle' ? width / 2 : anchor === 'end' ? width : 0);
  if (patched)
    page.drawRectangle({ x: x - 1, y: place.y - high * 0.2, width: width + 2, height: high * 1.05, color: PAPER });
  for (const { text, color } of parts) {
    page.drawText(text, { x, y: place.y, size: high, font, color });
    x += font.widthOfTextAtSize(text, high);
  }
}
