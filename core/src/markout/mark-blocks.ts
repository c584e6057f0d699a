import { type Side, SIDES } from '../frame/index.ts';
import { dotted, type PlanInput } from '../plan/index.ts';
import { markDrawings } from './mark-drawings.ts';
import { MARKS_RULES, markTables } from './mark-tables.ts';
import type { MarkSheet, SheetNote } from './marks.ts';
import type { SheetDrawing } from './sheet-drawing.ts';
import type { SheetTable } from './sheet-table.ts';

/** A part of a sheet, in the order it is read; screen, printed page and PDF each set it in their own way. */
export type SheetBlock =
  /** What follows begins on a page of its own. */
  | { readonly kind: 'page' }
  | { readonly kind: 'heading'; readonly text: string }
  | { readonly kind: 'note'; readonly text: string }
  /** Drawings beside each other, each with its title. */
  | { readonly kind: 'drawings'; readonly drawings: readonly SheetDrawing[]; readonly titled: boolean }
  /** `yours` adds an empty column for one's own reading. */
  | { readonly kind: 'table'; readonly table: SheetTable; readonly yours: boolean }
  | { readonly kind: 'notes'; readonly title: string; readonly notes: readonly SheetNote[] }
  /** Lines to sign on with a pen. */
  | { readonly kind: 'sign'; readonly what: readonly string[] };

/** Which part of the marks a sheet is for: all of it, one rail, or one cut as a card. */
export type SheetPart =
  | { readonly of: 'all' }
  | { readonly of: 'rail'; readonly side: Side }
  /** Letters as on the drawing, `A·B`. */
  | { readonly of: 'cut'; readonly letters: string };

/** Who scribed, who checked, and when. */
const SIGNED = ['Scribed by', 'Checked by', 'Date'];

const OF_SIDE = (side: Side): readonly string[] => [`lines-${side}`, `brackets-${side}`];

/** Drawings in rows of two. */
const inRows = (drawings: readonly SheetDrawing[]): SheetBlock[] =>
  Array.from({ length: Math.ceil(drawings.length / 2) }, (_, row) => ({
    kind: 'drawings',
    drawings: drawings.slice(2 * row, 2 * row + 2),
    titled: true,
  }));

const table = (of: SheetTable): SheetBlock => ({ kind: 'table', table: of, yours: of.id === 'checks' });

/** The rows of a table that are about some letters or about one rail; null where none is. */
function withRows(of: SheetTable, isKept: (mark: string) => boolean): SheetTable[] {
  const rows = of.rows.filter(({ mark }) => isKept(mark));
  return rows.length > 0 ? [{ ...of, rows }] : [];
}

/**
 * The marks as they are printed: one rail after the other, each with its drawing, its tables, the checks that prove it and who
 * signs for it; then what is for both.
 *
 * @param input The donor and how lengths are written.
 * @param sheet Its marks.
 * @param width Of a drawing on paper, mm.
 * @param part Which part is printed.
 */
export function markBlocks(
  input: Pick<PlanInput, 'donor' | 'display'>,
  sheet: MarkSheet,
  width: number,
  part: SheetPart = { of: 'all' },
): readonly SheetBlock[] {
  const tables = markTables(sheet);
  if (tables.length === 0)
    return [{ kind: 'note', text: 'Nothing to mark yet: the plan cuts nothing. Add an operation on the Cuts bench.' }];
  const drawings = markDrawings(input, sheet, width);
  const checks = tables.filter(({ id }) => id === 'checks');
  if (part.of === 'cut')
    return cutCard(
      part.letters,
      tables,
      drawings.flatMap(({ cuts }) => cuts),
    );
  const sides = part.of === 'rail' ? [part.side] : SIDES;
  const rails = sides.flatMap((side, at): SheetBlock[] => {
    const rail = drawings.find((each) => each.side === side);
    const other = side === 'left' ? 'right' : 'left';
    return [
      ...(at > 0 ? [{ kind: 'page' } as const] : []),
      { kind: 'heading', text: `${side === 'left' ? 'Left' : 'Right'} rail, laid flat, front to the left` },
      ...(rail ? [{ kind: 'drawings', drawings: [rail.whole], titled: false } as const] : []),
      ...inRows(rail?.cuts ?? []),
      ...tables.filter(({ id }) => OF_SIDE(side).includes(id)).map(table),
      // Checks name the rail that they end on.
      ...checks.flatMap((all) => withRows(all, (mark) => !mark.endsWith(other))).map(table),
      { kind: 'sign', what: SIGNED },
    ];
  });
  const ofBoth = tables.filter(({ id }) => id !== 'checks' && !SIDES.some((side) => OF_SIDE(side).includes(id)));
  if (part.of === 'rail') return rails;
  return [
    ...rails,
    { kind: 'page' },
    ...ofBoth.map(table),
    ...(sheet.notes.length > 0 ? [{ kind: 'notes', title: 'Notes', notes: sheet.notes } as const] : []),
    ...(sheet.welds.length > 0 ? [{ kind: 'notes', title: 'Welds', notes: sheet.welds } as const] : []),
    { kind: 'note', text: MARKS_RULES },
    ...(sheet.assumptions.length > 0
      ? [
          {
            kind: 'note',
            text: `The strength of the joints rests on: ${sheet.assumptions
              .map(
                ({ what, value, source, changed }) =>
                  `${what.toLowerCase()} ${value} (${changed ? 'set by the shop' : source})`,
              )
              .join('; ')}.`,
          } as const,
        ]
      : []),
  ];
}

/** One cut on both rails, to take to the frame. */
function cutCard(letters: string, tables: readonly SheetTable[], cuts: readonly SheetDrawing[]): readonly SheetBlock[] {
  const isAbout = (mark: string) => dotted(mark) === letters || mark.split(' ').includes(letters);
  const lines = tables.filter(({ id }) => id.startsWith('lines-')).flatMap((all) => withRows(all, isAbout));
  const checks = tables
    .filter(({ id }) => id === 'checks')
    .flatMap((all) => withRows(all, (mark) => mark.includes(letters)));
  if (lines.length === 0) return [{ kind: 'note', text: `No line is lettered ${letters} in this plan.` }];
  return [
    { kind: 'heading', text: `Cut ${letters}, front to the left` },
    ...inRows(cuts.filter(({ title }) => title.split(',').some((name) => name.trim() === letters))),
    ...lines.map(table),
    ...checks.map(table),
    { kind: 'sign', what: SIGNED },
  ];
}
