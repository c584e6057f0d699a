import Papa from 'papaparse';
import { InputError, type InputProblem } from '../input-error.ts';
import { type LengthUnit, MM_PER_INCH, parseLength } from '../units/index.ts';

/** A column of a CSV table. `length` is mm in the record and carries its unit in the header. */
export interface TableColumn {
  readonly key: string;
  readonly kind: 'length' | 'number' | 'text';
  /** May be left out or empty. */
  readonly optional?: boolean;
}

export type TableRow = Readonly<Record<string, string | number>>;

const headerOf = (column: TableColumn, unit: LengthUnit): string =>
  column.kind === 'length' ? `${column.key} [${unit}]` : column.key;

/** Ten decimals of an inch hold a millimetre to 1e-9: what is written comes back as it was. */
const written = (mm: number, unit: LengthUnit): string =>
  unit === 'mm' ? String(Number(mm.toFixed(9))) : String(Number((mm / MM_PER_INCH).toFixed(11)));

/** Rows as CSV with a header, lengths in `unit`. */
export function writeTable(columns: readonly TableColumn[], rows: readonly TableRow[], unit: LengthUnit): string {
  const data = rows.map((row) =>
    columns.map((column) => {
      const value = row[column.key];
      return column.kind === 'length' && typeof value === 'number' ? written(value, unit) : String(value ?? '');
    }),
  );
  const fields = columns.map((column) => headerOf(column, unit));
  return `${Papa.unparse({ fields, data }, { newline: '\n' })}\n`;
}

interface Header {
  readonly column: TableColumn;
  readonly unit: LengthUnit;
}

function readHeader(
  cells: readonly string[],
  columns: readonly TableColumn[],
  problems: InputProblem[],
): (Header | undefined)[] {
  const found = cells.map((cell, index): Header | undefined => {
    const match = /^\s*([^[]+?)\s*(?:\[(mm|in)\])?\s*$/i.exec(cell);
    const column = columns.find((candidate) => candidate.key === match?.[1]);
    if (!column) {
      const known = columns.map((candidate) => candidate.key).join(', ');
      problems.push({
        code: 'table/unknown-column',
        path: `line 1, column ${index + 1}`,
        message: `There is no column “${cell.trim()}”; known are ${known}.`,
      });
      return undefined;
    }
    const unit = match?.[2]?.toLowerCase() as LengthUnit | undefined;
    if (column.kind === 'length' && !unit)
      problems.push({
        code: 'table/no-unit',
        path: `line 1, column ${index + 1}`,
        message: `“${column.key}” is a length: say its unit in the header, like “${column.key} [mm]”.`,
      });
    return { column, unit: unit ?? 'mm' };
  });
  for (const column of columns)
    if (!column.optional && !found.some((header) => header?.column === column))
      problems.push({
        code: 'table/missing-column',
        path: 'line 1',
        message: `The column “${headerOf(column, 'mm')}” is missing.`,
      });
  return found;
}

function readCell(text: string, { column, unit }: Header, path: string, problems: InputProblem[]): string | number {
  if (column.kind === 'text') return text;
  if (column.kind === 'length') {
    const read = parseLength(text, unit);
    if (read.ok) return read.value;
    problems.push({ ...read.problem, path });
    return 0;
  }
  const value = Number(text);
  if (text === '' || !Number.isFinite(value))
    problems.push({ code: 'table/not-a-number', path, message: `“${text}” is not a number.` });
  return value;
}

/** What parts the cells, read off the header, whose names hold none of these: comma, semicolon or tab. */
function delimiterOf(text: string): string {
  const header = /^\s*([^\r\n]*)/.exec(text)?.[1] ?? '';
  return ['\t', ';'].find((mark) => header.includes(mark)) ?? ',';
}

/**
 * The rows of a CSV table, lengths in mm. Cells are parted by commas, or by semicolons or tabs as spreadsheets give.
 * @throws InputError with every problem, each with its line.
 */
export function readTable(columns: readonly TableColumn[], text: string): TableRow[] {
  const plain = text.replace(/^\uFEFF/, '');
  const parsed = Papa.parse<string[]>(plain, { skipEmptyLines: 'greedy', delimiter: delimiterOf(plain) });
  const [first, ...lines] = parsed.data;
  if (!first)
    throw new InputError([
      { code: 'table/empty', path: 'line 1', message: 'The table is empty: it needs a header row.' },
    ]);
  const problems: InputProblem[] = [];
  const headers = readHeader(first, columns, problems);
  if (problems.length > 0) throw new InputError(problems);
  const rows = lines.map((cells, index): TableRow => {
    const line = `line ${index + 2}`;
    if (cells.length > headers.length)
      problems.push({
        code: 'table/too-many-cells',
        path: line,
        message: `There are ${cells.length} cells for ${headers.length} columns: quote cells that hold a comma.`,
      });
    return Object.fromEntries(
      headers.flatMap((header, place) => {
        const cell = (cells[place] ?? '').trim();
        if (!header || (header.column.optional && cell === '')) return [];
        return [[header.column.key, readCell(cell, header, `${line}, ${header.column.key}`, problems)]];
      }),
    );
  });
  if (problems.length > 0) throw new InputError(problems);
  return rows;
}
