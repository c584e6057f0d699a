import Papa from 'papaparse';
import { InputError, type InputProblem } from '../input-error.ts';
import {
  type LengthUnit,
  MM_PER_INCH,
  parseLength,
  parseQuantity,
  quantitySize,
  quantityUnit,
} from '../units/index.ts';

/** A column of a CSV table. `length` (mm in the record), `mass` (kg) and `rate` (N/mm) carry their unit in the header. */
export interface TableColumn {
  readonly key: string;
  readonly kind: 'length' | 'mass' | 'rate' | 'text';
  /** May be left out or empty. */
  readonly optional?: boolean;
}

export type TableRow = Readonly<Record<string, string | number>>;

/** What a column's figures are in, where it has a unit: masses in pounds beside lengths in inches. */
function unitName({ kind }: TableColumn, unit: LengthUnit): string | null {
  if (kind === 'text') return null;
  return kind === 'length' ? unit : quantityUnit(kind, unit);
}

function headerOf(column: TableColumn, unit: LengthUnit): string {
  const name = unitName(column, unit);
  return name === null ? column.key : `${column.key} [${name}]`;
}

/** Eleven decimals of an inch or a pound hold a millimeter or a kilogram to 1e-9: what is written comes back as it was. */
function written(value: number, { kind }: TableColumn, unit: LengthUnit): string {
  const size = unit === 'mm' ? 1 : kind === 'mass' || kind === 'rate' ? quantitySize(kind, unit) : MM_PER_INCH;
  return String(Number((value / size).toFixed(unit === 'mm' ? 9 : 11)));
}

/** How a cell begins that a spreadsheet would take for a formula, behind any apostrophes; also in full-width signs. */
const FORMULA = /^'*[=+\-@\t\r＝＋－＠]/;

/** A text that no spreadsheet carries out: behind an apostrophe where it begins like a formula. */
const asText = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

/** What `asText` wrote, as it was. */
const plainText = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell);

/**
 * Rows as CSV with a header, lengths in `unit`, masses in what goes with it.
 *
 * @param columns The columns, in order.
 * @param rows Lengths in mm, masses in kg.
 * @param unit What lengths are written in.
 */
export function writeTable(columns: readonly TableColumn[], rows: readonly TableRow[], unit: LengthUnit): string {
  const data = rows.map((row) =>
    columns.map((column) => {
      const value = row[column.key];
      return typeof value === 'number' ? written(value, column, unit) : asText(String(value ?? ''));
    }),
  );
  const fields = columns.map((column) => headerOf(column, unit));
  return `${Papa.unparse({ fields, data }, { newline: '\n' }).trimEnd()}\n`;
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
    const match = /^\s*([^[]+?)\s*(?:\[([^\]]+)\])?\s*$/i.exec(cell);
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
    const named = match?.[2]?.toLowerCase();
    const unit = (['mm', 'in'] as const).find((candidate) => unitName(column, candidate)?.toLowerCase() === named);
    if (column.kind !== 'text' && !unit)
      problems.push({
        code: 'table/no-unit',
        path: `line 1, column ${index + 1}`,
        message: `“${column.key}” is a ${column.kind}: say its unit in the header, like “${headerOf(column, 'mm')}” or “${headerOf(column, 'in')}”.`,
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
  if (column.kind === 'text') return plainText(text);
  const read = column.kind === 'length' ? parseLength(text, unit) : parseQuantity(column.kind, text, unit);
  if (read.ok) return read.value;
  problems.push({ ...read.problem, path });
  return 0;
}

/** What parts the cells, read off the header, whose names hold none of these: comma, semicolon or tab. */
function delimiterOf(text: string): string {
  const header = /^\s*([^\r\n]*)/.exec(text)?.[1] ?? '';
  return ['\t', ';'].find((mark) => header.includes(mark)) ?? ',';
}

/**
 * The rows of a CSV table, lengths in mm, masses in kg. Cells are parted by commas, or by semicolons or tabs as
 * spreadsheets give.
 *
 * @param columns The columns, in order.
 * @param text What was typed or read.
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
