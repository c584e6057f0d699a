import { layLabels } from '../lay-labels.ts';
import { dotted } from '../plan/index.ts';
import { formatLength, type LengthFormat } from '../units/index.ts';
import type { CutLine } from './marks.ts';
import { figureOfLine } from './marked-lines.ts';
import { scribePath } from './rail-items.ts';
import type { Fit } from './rail-on-paper.ts';
import { type SheetItem, type SheetPoint, type SheetText, textWidth } from './sheet-drawing.ts';
import type { UnfoldedRail } from './unfolded-rail.ts';

/** Heights of letters, mm on paper: a tag and its figure are read at arm's length. */
export const [BIG, SMALL] = [4.4, 3.2] as const;
/** Height of a lane of labels, mm. */
export const LANE = 5.6;

/** A label before it has its place: what it says, and what it is about. */
export interface Wanted extends Pick<SheetText, 'tag' | 'words' | 'mm' | 'size' | 'soft'> {
  /** What it points at, on the paper. */
  readonly to: SheetPoint;
}

/**
 * Labels in lanes over or under something, each with a line to what it is about, none over another.
 *
 * @param wanted Labels, in any order.
 * @param start Where the first lane is, mm down; further lanes go `away` from it.
 * @param away −1: the lanes go up; 1: down.
 * @param width Of the paper, mm: no label runs out of it.
 * @param format How lengths are written.
 * @param lanes How many lanes there are.
 */
export function labelItems(
  wanted: readonly Wanted[],
  start: number,
  away: -1 | 1,
  width: number,
  format: LengthFormat,
  lanes: number,
): SheetItem[] {
  const inOrder = wanted.toSorted((a, b) => a.to[0] - b.to[0]);
  const wide = inOrder.map((label) => textWidth(label, label.mm === null ? '' : formatLength(label.mm, format).text));
  const places = layLabels(
    inOrder.map(({ to }, at) => ({
      middle: Math.min(Math.max(to[0], (wide[at] ?? 0) / 2), width - (wide[at] ?? 0) / 2),
      width: wide[at] ?? 0,
    })),
    lanes,
    4,
    2,
  );
  const placed = inOrder.map((label, at) => {
    const { x, lane } = places[at] as { x: number; lane: number };
    const place: SheetPoint = [Math.min(x, width - (wide[at] ?? 0) / 2), start + away * lane * LANE];
    return { ...label, at: place };
  });
  return [
    // Lines first: no label is crossed out by another's.
    ...placed.map(({ to, at: [x, base], size }): SheetItem => ({
      kind: 'path',
      ink: 'leader',
      closed: false,
      points: [[x, base + (away < 0 ? 1.2 : -size)], to],
    })),
    ...placed.map(({ tag, words, mm, size, soft, at }): SheetItem => ({
      kind: 'text',
      at,
      anchor: 'middle',
      size,
      tag,
      words,
      mm,
      soft,
      patched: true,
    })),
  ];
}

/**
 * How many lanes some labels take on a paper, from 1 to `most`.
 *
 * @param wanted The labels, in any order.
 * @param width Of the paper, mm.
 * @param format How lengths are written.
 * @param most The most lanes.
 */
export function lanesFor(wanted: readonly Wanted[], width: number, format: LengthFormat, most: number): number {
  const all = wanted.reduce(
    (sum, label) => sum + 2 + textWidth(label, label.mm === null ? '' : formatLength(label.mm, format).text),
    0,
  );
  return Math.min(most, Math.max(1, Math.ceil((1.6 * all) / width)));
}

/**
 * One label for each line; the parts of a step share their letters.
 *
 * @param line A line to scribe.
 * @param rail The rail that it is on, laid flat.
 * @param fit How that rail lies on the paper.
 */
export const lineLabel = (line: CutLine, rail: UnfoldedRail, fit: Fit): Wanted => ({
  tag: dotted(line.letters),
  words: '',
  mm: figureOfLine(line),
  size: BIG,
  soft: false,
  to: scribePath(line, rail, fit)[0] ?? [0, 0],
});

/**
 * An arrow to the left: the front of the vehicle.
 *
 * @param left Its left end, mm on paper.
 * @param down Its line, mm down the paper.
 */
export const frontArrow = (left: number, down: number): SheetItem[] => [
  {
    kind: 'path',
    ink: 'datum',
    closed: false,
    points: [
      [left + 7, down - 1],
      [left, down - 1],
      [left + 2, down - 2.2],
      [left, down - 1],
      [left + 2, down + 0.2],
    ],
  },
  plainText('front', [left + 8, down], 'start'),
];

/**
 * Small soft words.
 *
 * @param words What it says.
 * @param at Where it begins, ends or has its middle, mm on paper.
 * @param anchor Which of these.
 */
export const plainText = (words: string, at: SheetPoint, anchor: SheetText['anchor']): SheetText => ({
  kind: 'text',
  at,
  anchor,
  size: SMALL,
  tag: '',
  words,
  mm: null,
  soft: true,
  patched: false,
});

/**
 * The datum hole: a chain line over the rail, and a flag under it.
 *
 * @param x Of the datum hole, mm on paper.
 * @param top Of the rail, mm down the paper.
 * @param foot Of the rail, mm down the paper.
 */
export const datumFlag = (x: number, top: number, foot: number): SheetItem[] => [
  {
    kind: 'path',
    ink: 'datum',
    closed: false,
    points: [
      [x, top - 1.5],
      [x, foot + 1.5],
    ],
  },
  {
    kind: 'path',
    ink: 'datum',
    closed: true,
    points: [
      [x, top - 1.5],
      [x + 3.4, top - 2.9],
      [x, top - 4.3],
    ],
  },
  plainText('datum 0', [x + 4.2, top - 1.8], 'start'),
];
