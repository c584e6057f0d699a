import { rgb } from '@cantoo/pdf-lib';
import {
  formatLength,
  type LengthFormat,
  type SheetDrawing,
  type SheetInk,
  type SheetPoint,
  type SheetText,
} from '@splay/core';
import type { Fonts } from './faces.ts';
import { type Pen, rectangle, type Stroke } from './pen.ts';

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
function hatchLines(points: readonly SheetPoint[]): readonly (readonly [SheetPoint, SheetPoint])[] {
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
 * Draws a drawing of a sheet.
 *
 * @param left Left edge, and `top` its upper edge, pt from the lower left corner of the page.
 */
export function drawDrawing(
  pen: Pen,
  fonts: Fonts,
  { items }: SheetDrawing,
  format: LengthFormat,
  left: number,
  top: number,
): void {
  const at = ([x, y]: SheetPoint) => ({ x: left + x * PT, y: top - y * PT });
  for (const item of items) {
    if (item.kind === 'text') drawText(pen, fonts, item, format, at(item.at));
    else if (item.kind === 'circle') pen.circle(at(item.at), item.radius * PT, strokeOf(item.ink));
    else if (item.ink === 'waste')
      pen.lines(
        hatchLines(item.points).map((line) => line.map(at)),
        strokeOf('waste'),
      );
    else {
      const points = item.points.map(at);
      if (item.ink === 'steel') pen.fill([points], STEEL);
      pen.lines([points], strokeOf(item.ink), item.closed);
    }
  }
}

const strokeOf = (ink: SheetInk): Stroke => {
  const { color, width, dash } = LOOKS[ink];
  return { color, width: width * PT, ...(dash && { dash: dash.map((mm) => mm * PT) }) };
};

/** Letters in the color of the lines, then words and a length with a real fraction. */
function drawText(
  pen: Pen,
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
  if (patched) pen.fill([rectangle(x - 1, place.y - high * 0.2, width + 2, high * 1.05)], PAPER);
  for (const { text, color } of parts) {
    pen.text(text, { x, y: place.y, size: high, font, color });
    x += font.widthOfTextAtSize(text, high);
  }
}
