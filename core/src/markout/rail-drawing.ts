import type { LengthFormat } from '../units/index.ts';
import type { CutLine, MarkSheet } from './marks.ts';
import { isOnDonor, lineItems, thingItems, workItems } from './rail-items.ts';
import { type Fit, frontOf, onPaper, rearOf, sizeAt, steelItems, tallest } from './rail-on-paper.ts';
import type { SheetDrawing, SheetPoint } from './sheet-drawing.ts';
import {
  datumFlag,
  frontArrow,
  LANE,
  labelItems,
  lanesFor,
  lineLabel,
  plainText,
  SMALL,
  type Wanted,
} from './sheet-labels.ts';
import type { UnfoldedRail } from './unfolded-rail.ts';

const MARGIN = 2;

/**
 * A whole rail laid flat, to one scale, front to the left: every line that is cut with its letters and its distance from the datum
 * hole, the saw side hatched, and what is fixed, moved or taken off.
 *
 * @param sheet The marks.
 * @param rail The rail.
 * @param width Of the drawing on paper, mm.
 * @param format How lengths are written.
 */
export function railDrawing(sheet: MarkSheet, rail: UnfoldedRail, width: number, format: LengthFormat): SheetDrawing {
  const lines = sheet.lines.filter(({ side }) => side === rail.side);
  const work = sheet.brackets.filter((mark) => mark.side === rail.side && isOnDonor(mark));
  const [from, to] = [frontOf(rail), rearOf(rail)];
  const scale = Math.max(1, (to - from) / (width - 2 * MARGIN));
  const bare: Fit = { from, to, scale, left: MARGIN, top: 0 };
  const tagged = lines.filter(({ part }) => part === 'across' || part === 'upper vertical');
  const over = tagged.map((line) => lineLabel(line, rail, bare));
  const under = work.map((mark): Wanted => ({
    tag: '',
    words: `${mark.name}${mark.what === 'off' ? ', off' : ''}: `,
    mm: mark.web,
    size: SMALL,
    soft: true,
    to: [onPaper(bare).x(mark.web), 0],
  }));
  const [above, below] = [lanesFor(over, width, format, 6), under.length === 0 ? 0 : lanesFor(under, width, format, 8)];
  // Over the labels is the line with the arrow to the front and the flag of the datum.
  const head = SMALL + 2;
  const fit: Fit = { ...bare, top: head + above * LANE + 2 };
  const foot = fit.top + tallest(rail) / scale;
  const { x, edge } = onPaper(fit);
  const datum = sizeAt(rail, 0);
  const isOnRail = from <= 0 && to >= 0;
  const shift = ([right]: SheetPoint, down: number): SheetPoint => [right, down];
  return {
    title: `${rail.side === 'left' ? 'Left' : 'Right'} rail`,
    says: `The ${rail.side} rail laid flat, front to the left, with ${lines.length} lines to scribe.`,
    width,
    height: foot + 3 + below * LANE,
    items: [
      ...steelItems(rail, fit),
      ...rail.things.flatMap((thing) => thingItems(thing, rail, fit)),
      ...work.flatMap((mark) => workItems(mark, rail, fit)),
      ...lines.flatMap((line) => lineItems(line, rail, fit)),
      ...frontArrow(MARGIN, SMALL),
      plainText(`1 : ${Math.round(scale)}`, [width - MARGIN, SMALL], 'end'),
      ...(isOnRail ? datumFlag(x(0), edge(datum, 0), edge(datum, 3)) : []),
      ...labelItems(
        over.map((label, at) => ({
          ...label,
          to: lineLabel(tagged[at] as CutLine, rail, fit).to,
        })),
        head + above * LANE - 1,
        -1,
        width,
        format,
        above,
      ),
      ...labelItems(
        under.map((label) => ({ ...label, to: shift(label.to, foot) })),
        foot + LANE,
        1,
        width,
        format,
        below,
      ),
    ],
  };
}
