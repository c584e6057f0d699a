import type { LengthFormat } from '@splay/core';
import { Trash2 } from 'lucide-react';
import { type ClipboardEvent, type KeyboardEvent, useEffect, useId, useRef, useState } from 'react';
import { cellText, type Column, isFigure, readCell } from './table-columns.ts';

export interface CellProblem {
  readonly row: number;
  readonly column: string;
  readonly message: string;
}

export interface EditTableProps<Row> {
  readonly caption: string;
  readonly columns: readonly Column<Row>[];
  readonly rows: readonly Row[];
  readonly format: LengthFormat;
  /** A new row after the last, when pasting runs past the end or a row is asked for. */
  readonly newRow: (after: Row | undefined, index: number) => Row;
  /** Takes the rows when they are right, or says what is wrong with which cell. */
  readonly onChange: (rows: readonly Row[]) => readonly CellProblem[];
  readonly addLabel: string;
  readonly disabled?: boolean;
  readonly selectedRow?: number;
  readonly onSelectRow?: (index: number) => void;
}

type Drafts = ReadonlyMap<string, string>;
const cell = (row: number, column: string) => `${row}/${column}`;

/**
 * The cells of a block as a spreadsheet has it on the clipboard: without lines of nothing, and without the headings over
 * it where its first line is those of the columns.
 */
function blockOf<Row>(text: string, columns: readonly Column<Row>[]): readonly (readonly string[])[] {
  const lines = text
    .split('\n')
    .map((line) => line.split('\t').map((value) => value.trim()))
    .filter((line) => line.some((value) => value !== ''));
  const plain = (title: string) => title.toLowerCase().replace(/,.*$/, '');
  const isHeading = (value: string, at: number) => plain(value) === plain(columns[at]?.title ?? '');
  return lines[0]?.every(isHeading) ? lines.slice(1) : lines;
}

/**
 * A table to type in. What is typed is taken at once when it is right; what is not stays in its cell with the reason
 * under it, and nothing else changes. A block copied from a spreadsheet can be pasted into any cell.
 */
export function EditTable<Row>({
  caption,
  columns,
  rows,
  format,
  newRow,
  onChange,
  addLabel,
  disabled = false,
  selectedRow,
  onSelectRow,
}: EditTableProps<Row>) {
  const id = useId();
  const table = useRef<HTMLTableElement>(null);
  const [drafts, setDrafts] = useState<Drafts>(new Map());
  const [problems, setProblems] = useState<ReadonlyMap<string, string>>(new Map());

  // Something picked on the drawing is brought into sight here.
  useEffect(() => {
    if (selectedRow === undefined || selectedRow < 0) return;
    table.current?.querySelector(`[data-row="${selectedRow}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [selectedRow]);

  /** The cell of a problem: what has no column of its own is said at the first cell of its row. */
  const place = ({ row, column }: CellProblem): string =>
    cell(row, columns.some(({ key }) => key === column) ? column : (columns[0]?.key ?? ''));

  /** Tries to make rows of what stands in all drafts; keeps every draft when any of them is not right. */
  const settle = (all: Drafts) => {
    const next = [...rows];
    const wrong = new Map<string, string>();
    for (const [key, text] of all) {
      const [row, name] = [Number(key.split('/')[0]), key.split('/')[1]];
      const column = columns.find((candidate) => candidate.key === name);
      if (!column) continue;
      while (next.length <= row) next.push(newRow(next.at(-1), next.length));
      const read = readCell(column, next[row] as Row, text, format);
      if (read.ok) next[row] = read.row;
      else wrong.set(key, read.message);
    }
    if (wrong.size === 0) for (const problem of onChange(next)) wrong.set(place(problem), problem.message);
    setProblems(wrong);
    setDrafts(wrong.size === 0 ? new Map() : all);
  };

  const paste = (event: ClipboardEvent, row: number, column: number) => {
    const text = event.clipboardData.getData('text/plain').replace(/\r/g, '').replace(/\n+$/, '');
    if (!/[\n\t]/.test(text)) return;
    event.preventDefault();
    const all = new Map(drafts);
    blockOf(text, columns.slice(column)).forEach((line, down) =>
      line.forEach((value, right) => {
        const target = columns[column + right];
        if (target) all.set(cell(row + down, target.key), value);
      }),
    );
    settle(all);
  };

  const move = (event: KeyboardEvent, row: number, column: number) => {
    const down = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (event.key === 'Escape') {
      const left = new Map(drafts);
      left.delete(cell(row, columns[column]?.key ?? ''));
      settle(left);
    }
    if (down === 0) return;
    event.preventDefault();
    table.current?.querySelector<HTMLElement>(`[data-cell="${row + down}/${column}"]`)?.focus();
    if (event.key === 'Enter') (event.target as HTMLElement).blur();
  };

  /** Adds a row; one that cannot be as it begins stands there with the reason, to be typed over. */
  const add = () => {
    const row = newRow(rows.at(-1), rows.length);
    const wrong = onChange([...rows, row]);
    if (wrong.length === 0) return;
    const next = new Map(drafts);
    for (const column of columns) next.set(cell(rows.length, column.key), cellText(column, row, format));
    setDrafts(next);
    setProblems(new Map(wrong.map((problem) => [place(problem), problem.message])));
  };

  const rowCount = Math.max(rows.length, ...[...drafts.keys()].map((key) => Number(key.split('/')[0]) + 1));
  /** Takes a row off; what is typed or pasted into others, and not right yet, stays in them. */
  const forget = (index: number) => {
    const others = <T,>(of: ReadonlyMap<string, T>) =>
      new Map(
        [...of].flatMap(([key, value]): [string, T][] => {
          const [row, name = ''] = [Number(key.split('/')[0]), key.split('/')[1]];
          return row === index ? [] : [[cell(row > index ? row - 1 : row, name), value]];
        }),
      );
    // A row that only stands here, and was never taken, is simply dropped.
    if (index >= rows.length) return settle(others(drafts));
    const wrong = onChange(rows.filter((_, other) => other !== index));
    if (wrong.length === 0) {
      setDrafts(others(drafts));
      setProblems(others(problems));
    } else {
      const said = new Map(problems);
      for (const problem of wrong)
        said.set(cell(Math.min(problem.row, rows.length - 1), problem.column), problem.message);
      setProblems(said);
    }
  };

  return (
    <div>
      <table ref={table} className="w-full border-collapse text-sm">
        <caption className="sr-only">{caption}</caption>
        <thead className="sticky top-0 z-10 bg-sheet">
          <tr>
            {columns.map((column) => (
              <th
                key={column.key}
                scope="col"
                style={{ width: column.width }}
                className={`label border-b border-graphite px-1.5 py-1 font-semibold ${isFigure(column) ? 'text-right' : 'text-left'}`}
              >
                {column.title}
              </th>
            ))}
            <th className="w-7 border-b border-graphite">
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: rowCount }, (_, rowIndex) => {
            const row = rows[rowIndex];
            return (
              <tr
                key={rowIndex}
                data-row={rowIndex}
                className={selectedRow === rowIndex ? 'bg-layout-wash' : ''}
                onPointerDown={() => onSelectRow?.(rowIndex)}
                // Tabbing in from beside the table keeps what is picked: what is open there may not be settled yet.
                onFocus={({ relatedTarget }) => table.current?.contains(relatedTarget) && onSelectRow?.(rowIndex)}
              >
                {columns.map((column, columnIndex) => {
                  const key = cell(rowIndex, column.key);
                  const problem = problems.get(key);
                  const stored = row === undefined ? '' : cellText(column, row, format);
                  const figure = isFigure(column);
                  const common = {
                    'data-cell': `${rowIndex}/${columnIndex}`,
                    'aria-label': `${column.title}, row ${rowIndex + 1}`,
                    'aria-invalid': problem !== undefined,
                    'aria-describedby': problem ? `${id}${key}` : undefined,
                    disabled,
                    className: `w-full min-w-0 border bg-transparent px-1 py-0.5 ${problem ? 'border-oxide bg-oxide-wash' : 'border-transparent hover:border-rule'} ${figure ? 'text-right' : ''}`,
                  };
                  return (
                    <td
                      key={column.key}
                      className="border-b border-rule/60 p-0 align-top"
                      onPaste={(event) => !disabled && paste(event, rowIndex, columnIndex)}
                    >
                      {column.kind === 'choice' ? (
                        <select
                          {...common}
                          value={problem ? '' : (drafts.get(key) ?? stored)}
                          onChange={(event) => settle(new Map(drafts).set(key, event.target.value))}
                        >
                          {problem && <option value="">{drafts.get(key)}</option>}
                          {column.choices.map(([value, name]) => (
                            <option key={value} value={value}>
                              {name}
                            </option>
                          ))}
                        </select>
                      ) : (
                        <input
                          {...common}
                          autoComplete="off"
                          value={drafts.get(key) ?? stored}
                          onChange={(event) => setDrafts(new Map(drafts).set(key, event.target.value))}
                          onBlur={() => drafts.has(key) && settle(drafts)}
                          onKeyDown={(event) => move(event, rowIndex, columnIndex)}
                        />
                      )}
                      {problem && (
                        <p id={`${id}${key}`} role="alert" className="px-1 pb-1 text-xs text-oxide">
                          {problem}
                        </p>
                      )}
                    </td>
                  );
                })}
                <td className="border-b border-rule/60 p-0 text-center align-top">
                  {!disabled && (
                    <button
                      type="button"
                      className="p-1 text-pencil hover:text-oxide"
                      aria-label={`Remove row ${rowIndex + 1}`}
                      onClick={() => forget(rowIndex)}
                    >
                      <Trash2 size={14} />
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {!disabled && (
        <button type="button" className="button mt-2" onClick={add}>
          {addLabel}
        </button>
      )}
    </div>
  );
}
