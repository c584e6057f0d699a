import { type LengthFormat, formatLength, parseLength, parseQuantity, quantityFigure, quantityUnit } from '@splay/core';

/** A column that holds figures: set to the right. */
export const isFigure = ({ kind }: { readonly kind: string }): boolean =>
  kind === 'length' || kind === 'number' || kind === 'mass' || kind === 'rate';

/** A column of an editable table. Lengths are mm; `offset` is added to what is shown (stations count from the datum hole). */
export type Column<Row> = {
  readonly key: string;
  readonly title: string;
  readonly width?: string;
} & (
  | {
      readonly kind: 'length';
      readonly get: (row: Row) => number | undefined;
      readonly set: (row: Row, mm: number | undefined) => Row;
      readonly offset?: number;
      /** May be left empty. */
      readonly optional?: boolean;
    }
  | {
      readonly kind: 'number';
      readonly get: (row: Row) => number | undefined;
      readonly set: (row: Row, value: number | undefined) => Row;
      /** Shown = stored × factor: degrees of radians, say. */
      readonly factor?: number;
      /** May be left empty. */
      readonly optional?: boolean;
    }
  | {
      /** Kilograms or N/mm, shown and typed in what the shop calls them. */
      readonly kind: 'mass' | 'rate';
      readonly get: (row: Row) => number | undefined;
      readonly set: (row: Row, kg: number | undefined) => Row;
      /** May be left empty. */
      readonly optional: boolean;
    }
  | { readonly kind: 'text'; readonly get: (row: Row) => string; readonly set: (row: Row, text: string) => Row }
  | {
      readonly kind: 'choice';
      readonly get: (row: Row) => string;
      readonly set: (row: Row, choice: string) => Row;
      readonly choices: readonly Choice[];
    }
);

export type Choice = readonly [value: string, name: string];

export const lengthColumn = <Row>(key: keyof Row & string, title: string, width: string, offset = 0): Column<Row> => ({
  key,
  title,
  width,
  kind: 'length',
  offset,
  get: (row) => row[key] as number,
  set: (row, mm) => ({ ...row, [key]: mm }),
});

/** A length that may be left empty where nobody has measured it. */
export const optionalLengthColumn = <Row>(key: keyof Row & string, title: string, width: string): Column<Row> => ({
  key,
  title,
  width,
  kind: 'length',
  optional: true,
  get: (row) => row[key] as number | undefined,
  set: (row, mm) => without(row, key, mm),
});

export const numberColumn = <Row>(
  key: keyof Row & string,
  title: string,
  width: string,
  { factor = 1, optional = false }: { readonly factor?: number; readonly optional?: boolean } = {},
): Column<Row> => ({
  key,
  title,
  width,
  kind: 'number',
  factor,
  optional,
  get: (row) => row[key] as number | undefined,
  set: (row, value) => without(row, key, value),
});

/** A mass or a rate, in what the shop calls it. */
export const quantityColumn = <Row>(
  kind: 'mass' | 'rate',
  key: keyof Row & string,
  title: string,
  width: string,
  { unit }: LengthFormat,
  { optional = true }: { readonly optional?: boolean } = {},
): Column<Row> => ({
  key,
  title: `${title}, ${quantityUnit(kind, unit)}`,
  width,
  kind,
  optional,
  get: (row) => row[key] as number | undefined,
  set: (row, value) => without(row, key, value),
});

export const massColumn = <Row>(
  key: keyof Row & string,
  title: string,
  width: string,
  format: LengthFormat,
  { optional = false }: { readonly optional?: boolean } = {},
): Column<Row> => quantityColumn('mass', key, title, width, format, { optional });

export const textColumn = <Row>(key: keyof Row & string, title: string, width: string): Column<Row> => ({
  key,
  title,
  width,
  kind: 'text',
  get: (row) => row[key] as string,
  set: (row, text) => ({ ...row, [key]: text }),
});

export const choiceColumn = <Row>(
  key: keyof Row & string,
  title: string,
  width: string,
  choices: readonly Choice[],
): Column<Row> => ({
  key,
  title,
  width,
  kind: 'choice',
  choices,
  get: (row) => String(row[key] ?? ''),
  set: (row, choice) => without(row, key, choice === '' ? undefined : choice),
});

/** Yes or no, or what a row is called where it is on and where it is off. */
export const flagColumn = <Row>(
  key: keyof Row & string,
  title: string,
  width: string,
  [on, off]: readonly [on: string, off: string] = ['yes', 'no'],
): Column<Row> => ({
  key,
  title,
  width,
  kind: 'choice',
  choices: [
    ['on', on],
    ['off', off],
  ],
  get: (row) => (row[key] ? 'on' : 'off'),
  set: (row, choice) => ({ ...row, [key]: choice === 'on' }),
});

/** Where a row's figures come from: measured where nothing is said. */
export const originColumn = <Row>(width: string): Column<Row> =>
  choiceColumn<Row>('origin' as keyof Row & string, 'Comes from', width, ORIGIN_CHOICES);

/** What figures can come from, as choices. */
export const ORIGIN_CHOICES: readonly Choice[] = [
  ['', 'measured'],
  ['assumed', 'assumed'],
  ['paper', 'a paper'],
];

/** The row with a key set, or without it where there is no value. */
function without<Row>(row: Row, key: keyof Row & string, value: unknown): Row {
  const kept = Object.entries(row as object).filter(([name]) => name !== key);
  return Object.fromEntries(value === undefined ? kept : [...kept, [key, value]]) as Row;
}

/** Values as choices, dashes read as spaces. */
export const words = <T extends string>(values: readonly T[]): (readonly [value: T, name: string])[] =>
  values.map((value) => [value, value.replaceAll('-', ' ')] as const);

/** What stands in a cell before anybody types. */
export function cellText<Row>(column: Column<Row>, row: Row, format: LengthFormat): string {
  switch (column.kind) {
    case 'length': {
      const mm = column.get(row);
      return mm === undefined ? '' : formatLength(mm - (column.offset ?? 0), format).text;
    }
    case 'number': {
      const value = column.get(row);
      return value === undefined ? '' : String(Number((value * (column.factor ?? 1)).toFixed(3)));
    }
    case 'mass':
    case 'rate': {
      const kg = column.get(row);
      return kg === undefined ? '' : quantityFigure(column.kind, kg, format.unit);
    }
    default:
      return column.get(row);
  }
}

export type ReadCell<Row> = { readonly ok: true; readonly row: Row } | { readonly ok: false; readonly message: string };

/** The row with what was typed into one of its cells, or what is wrong with that. */
export function readCell<Row>(column: Column<Row>, row: Row, text: string, format: LengthFormat): ReadCell<Row> {
  switch (column.kind) {
    case 'length': {
      if (text.trim() === '' && column.optional) return { ok: true, row: column.set(row, undefined) };
      const read = parseLength(text, format.unit);
      if (!read.ok) return { ok: false, message: read.problem.message };
      return { ok: true, row: column.set(row, read.value + (column.offset ?? 0)) };
    }
    case 'number': {
      const plain = text.trim().replace(/°$/, '');
      if (plain === '' && column.optional) return { ok: true, row: column.set(row, undefined) };
      const value = Number(plain);
      if (plain === '' || !Number.isFinite(value)) return { ok: false, message: `“${text}” is not a number.` };
      return { ok: true, row: column.set(row, value / (column.factor ?? 1)) };
    }
    case 'mass':
    case 'rate': {
      if (text.trim() === '' && column.optional) return { ok: true, row: column.set(row, undefined) };
      const read = parseQuantity(column.kind, text, format.unit);
      return read.ok ? { ok: true, row: column.set(row, read.value) } : { ok: false, message: read.problem.message };
    }
    case 'text':
      return { ok: true, row: column.set(row, text) };
    case 'choice': {
      const asked = text.trim().toLowerCase();
      const found = column.choices.find((choice) => choice.some((word) => word.toLowerCase() === asked));
      if (found) return { ok: true, row: column.set(row, found[0]) };
      const known = column.choices.map(([, name]) => name).join(', ');
      return { ok: false, message: `“${text}” is none of: ${known}.` };
    }
  }
}
