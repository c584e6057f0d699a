import { dotted } from '../plan/index.ts';
import { inches, type LengthFormat } from '../units/index.ts';
import type { CutLine, MarkSheet } from './marks.ts';
import { figureOfLine } from './marked-lines.ts';
import { isOnDonor, lineItems, placeOfThing, placeOfWork, thingItems, workItems } from './rail-items.ts';
import { type Fit, frontOf, onPaper, rearOf, sizeAt, steelItems, tallest } from './rail-on-paper.ts';
import type { SheetDrawing, SheetItem } from './sheet-drawing.ts';
import {
  BIG,
  datumFlag,
  frontArrow,
  LANE,
  labelItems,
  lanesFor,
  plainText,
  SMALL,
  type Wanted,
} from './sheet-labels.ts';
import type { OnRail, UnfoldedRail } from './unfolded-rail.ts';

/** Lines nearer to each other than this are drawn together, and so much of the rail is drawn beyond them, mm. */
const TOGETHER = inches(10);
const BEYOND = inches(6);
/** The most of the paper that the rail takes up across, mm. */
const MOST_ACROSS = 38;
/** Room for the names of the flanges and the web, mm on paper. */
const NAMES = 20;

/**
 * Lines of one rail that are drawn together, front to rear.
 *
 * @param lines Lines of one rail, in any order.
 */
export function groupsOfLines(lines: readonly CutLine[]): readonly (readonly CutLine[])[] {
  const inOrder = lines.toSorted((a, b) => figureOfLine(a) - figureOfLine(b));
  return inOrder.reduce<readonly (readonly CutLine[])[]>((groups, line) => {
    const last = groups.at(-1);
    const before = last?.at(-1);
    return last && before && figureOfLine(line) - figureOfLine(before) < TOGETHER
      ? [...groups.slice(0, -1), [...last, line]]
      : [...groups, [line]];
  }, []);
}

/** Figures of one line on each edge that it crosses, beside it on the paper. */
function figuresOf(line: CutLine, rail: UnfoldedRail, fit: Fit): SheetItem[] {
  const { x, edge, down } = onPaper(fit);
  const { from, part, height } = line;
  const isSawnBehind = line.kerf === 'behind';
  const place = sizeAt(rail, figureOfLine(line));
  const beside = (right: number, at: number, words: string, mm: number): SheetItem => ({
    kind: 'text',
    // On the side that stays: the saw's side is hatched.
    at: [right + (isSawnBehind ? -1.4 : 1.4), at],
    anchor: isSawnBehind ? 'end' : 'start',
    size: SMALL,
    tag: '',
    words,
    mm,
    soft: false,
    patched: false,
  });
  const middle = (a: number, b: number) => (a + b) / 2 + SMALL / 3;
  const onEdges = [
    ...(from.top === null ? [] : [beside(x(from.top), middle(edge(place, 0), edge(place, 1)), 'top ', from.top)]),
    ...(from.web === null || part !== 'across'
      ? []
      : [beside(x(from.web), middle(edge(place, 1), edge(place, 2)), 'web ', from.web)]),
    ...(from.bottom === null
      ? []
      : [beside(x(from.bottom), middle(edge(place, 2), edge(place, 3)), 'bottom ', from.bottom)]),
  ];
  if (part !== 'horizontal' || height === null) return onEdges;
  const right = (x(from.web ?? 0) + x(line.to ?? 0)) / 2;
  return [
    {
      kind: 'text',
      at: [right, down(place, place.depth - height) - 1],
      anchor: 'middle',
      size: SMALL,
      tag: '',
      words: 'up ',
      mm: height,
      soft: false,
      patched: false,
    },
  ];
}

/** What is near a group of lines, with how far it is from the datum hole. */
const thingLabel = (thing: OnRail, rail: UnfoldedRail, fit: Fit): Wanted => ({
  tag: '',
  words: `${thing.name}${thing.assumed ? ', assumed' : ''}: `,
  mm: thing.along,
  size: SMALL,
  soft: true,
  to: placeOfThing(thing, rail, fit),
});

/**
 * The part of a rail about some lines, laid flat and large: each line with its figure on every edge, the saw side hatched, steps
 * and angles as they are cut, holes and brackets with their distances.
 *
 * @param sheet The marks.
 * @param rail The rail.
 * @param lines Lines of that rail, front to rear (`groupsOfLines`).
 * @param width Of the drawing on paper, mm.
 * @param format How lengths are written.
 */
export function cutDrawing(
  sheet: MarkSheet,
  rail: UnfoldedRail,
  lines: readonly CutLine[],
  width: number,
  format: LengthFormat,
): SheetDrawing {
  const reach = lines.flatMap(({ from, to }) => [from.top, from.web, from.bottom, to].filter((mm) => mm !== null));
  const from = Math.max(frontOf(rail), Math.min(...reach) - BEYOND);
  const to = Math.min(rearOf(rail), Math.max(...reach) + BEYOND);
  const scale = Math.max((to - from) / (width - NAMES - 2), tallest(rail) / MOST_ACROSS);
  const bare: Fit = { from, to, scale, left: NAMES, top: 0 };
  const isIn = (along: number) => along >= from && along <= to;
  const work = sheet.brackets.filter((mark) => mark.side === rail.side && isOnDonor(mark) && isIn(mark.web));
  const worked = new Set(work.map(({ name }) => name));
  const things = rail.things.filter(({ along, name }) => isIn(along) && !worked.has(name));
  const tags = tagsOf(lines);
  const over = (fit: Fit): Wanted[] =>
    tags.map(({ letters, along }) => ({
      tag: letters,
      words: '',
      mm: along,
      size: BIG,
      soft: false,
      to: [onPaper(fit).x(along), fit.top],
    }));
  const above = lanesFor(over(bare), width, format, 3);
  const fit: Fit = { ...bare, top: SMALL + 2 + above * LANE + 2 };
  const foot = fit.top + tallest(rail) / scale;
  const under = [
    ...things.map((thing) => thingLabel(thing, rail, fit)),
    ...work.map((mark): Wanted => ({
      tag: '',
      words: `${mark.name}, ${mark.what === 'off' ? 'comes off' : mark.what}: `,
      mm: mark.web,
      size: SMALL,
      soft: false,
      to: placeOfWork(mark, rail, fit),
    })),
  ];
  const below = under.length === 0 ? 0 : lanesFor(under, width, format, 8);
  const { x, edge } = onPaper(fit);
  const place = sizeAt(rail, from);
  const names: readonly (readonly [string, 0 | 1 | 2])[] = [
    ['top flange', 0],
    ['web', 1],
    ['bottom flange', 2],
  ];
  const letters = [...new Set(tags.map((tag) => tag.letters))].join(', ');
  return {
    title: `${letters}, ${rail.side} rail`,
    says: `The ${rail.side} rail laid flat about ${letters}, front to the left.`,
    width,
    height: foot + 2 + below * LANE,
    items: [
      ...steelItems(rail, fit),
      ...things.flatMap((thing) => thingItems(thing, rail, fit)),
      ...work.flatMap((mark) => workItems(mark, rail, fit)),
      ...lines.flatMap((line) => lineItems(line, rail, fit)),
      ...lines.flatMap((line) => figuresOf(line, rail, fit)),
      ...names.map(([words, at]) =>
        plainText(words, [0, (edge(place, at) + edge(place, (at + 1) as 1)) / 2 + SMALL / 3], 'start'),
      ),
      ...frontArrow(0, SMALL),
      plainText(`1 : ${Math.round(scale)}`, [width, SMALL], 'end'),
      ...(isIn(0) ? datumFlag(x(0), edge(place, 0), edge(place, 3)) : []),
      ...labelItems(over(fit), SMALL + 2 + above * LANE - 1, -1, width, format, above),
      ...labelItems(under, foot + LANE, 1, width, format, below),
    ],
  };
}

/** A tag for each place that is cut: the parts of a step, which share their letters, at its upper line. */
function tagsOf(lines: readonly CutLine[]): readonly { readonly letters: string; readonly along: number }[] {
  return lines
    .filter(({ part }) => part === 'across' || part === 'upper vertical')
    .map((line) => ({ letters: dotted(line.letters), along: figureOfLine(line) }));
}
