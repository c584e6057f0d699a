import type { Side } from '../frame/index.ts';
import { dotted } from '../plan/index.ts';
import { isAt } from '../units/index.ts';
import type { CutLine, KerfSide, LinePart, MarkSheet } from './marks.ts';

/** A line as it was printed or scribed: what it is called, and how far it is from the datum hole, mm along the rail. */
export interface MarkedLine {
  /** Letters of the joints or ends that it makes, `A` or `A B`. */
  readonly letters: string;
  readonly side: Side;
  readonly part: LinePart;
  readonly kerf: KerfSide;
  /** Along the top edge where it crosses that, else along the web or the bottom edge. */
  readonly mm: number;
}

/** What became of a line since: it moved, it is cut no more, or it is new. */
export interface LineChange extends Omit<MarkedLine, 'mm'> {
  /** Null where it was not there then, or is not there now. */
  readonly was: number | null;
  readonly now: number | null;
}

/**
 * The figure that a line is marked by, mm: along the top edge where it crosses that, else along the web or the bottom edge.
 *
 * @param line A line to scribe.
 */
export const figureOfLine = ({ from }: Pick<CutLine, 'from'>): number =>
  from.top ?? from.web ?? from.bottom ?? from.level;

/**
 * A line as it is kept with a sheet, or once it is scribed.
 *
 * @param line A line to scribe.
 */
export const markedLine = (line: CutLine): MarkedLine => ({
  letters: line.letters,
  side: line.side,
  part: line.part,
  kerf: line.kerf,
  mm: figureOfLine(line),
});

/**
 * Every line of a sheet as it is kept with it.
 *
 * @param sheet The marks.
 */
export const markedLines = ({ lines }: Pick<MarkSheet, 'lines'>): readonly MarkedLine[] => lines.map(markedLine);

/** Letters stay once a sheet is printed, so that a line is known by them, its rail, and which of its lines it is. */
const keyOf = ({ letters, side, part, kerf }: Omit<MarkedLine, 'mm'>): string => `${letters}/${side}/${part}/${kerf}`;

/**
 * What changed between two sets of lines: of lines that are the same nothing.
 *
 * @param then Lines as they were printed or scribed.
 * @param now Lines as the plan has them.
 */
export function lineChanges(then: readonly MarkedLine[], now: readonly MarkedLine[]): readonly LineChange[] {
  const [before, after] = [
    new Map(then.map((line) => [keyOf(line), line])),
    new Map(now.map((line) => [keyOf(line), line])),
  ];
  const changed = ({ mm: was, ...line }: MarkedLine): LineChange[] => {
    const mm = after.get(keyOf(line))?.mm ?? null;
    return mm !== null && isAt(mm, was) ? [] : [{ ...line, was, now: mm }];
  };
  const added = ({ mm, ...line }: MarkedLine): LineChange[] =>
    before.has(keyOf(line)) ? [] : [{ ...line, was: null, now: mm }];
  return [...then.flatMap(changed), ...now.flatMap(added)];
}

const PARTS: Readonly<Record<LinePart, string>> = {
  across: '',
  'upper vertical': ' upper line',
  horizontal: ' level line',
  'lower vertical': ' lower line',
};

/**
 * A change in words: `A·B, left: moved 7 in rearward`.
 *
 * @param change What became of a line.
 * @param show Writes a length, mm.
 */
export function changeText({ letters, side, part, was, now }: LineChange, show: (mm: number) => string): string {
  const name = `${dotted(letters)}${PARTS[part]}, ${side}`;
  if (now === null) return `${name}: not cut any more`;
  if (was === null) return `${name}: new, at ${show(now)}`;
  return `${name}: moved ${show(Math.abs(now - was))} ${now > was ? 'rearward' : 'forward'}, ${show(was)} → ${show(now)}`;
}
