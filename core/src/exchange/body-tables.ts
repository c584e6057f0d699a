import type { Body } from '../body/index.ts';
import { InputError } from '../input-error.ts';
import type { TableColumn, TableRow } from './table.ts';

export const BODY_TABLES = ['openings', 'mounts', 'boxes', 'weights'] as const;
export type BodyTable = (typeof BODY_TABLES)[number];

const text = (key: string): TableColumn => ({ key, kind: 'text' });
const length = (key: string, optional = false): TableColumn => ({ key, kind: 'length', optional });

/** The columns of the tables of bodies: the id of the body first, then what one of its lists holds. */
export const BODY_COLUMNS: Readonly<Record<BodyTable, readonly TableColumn[]>> = {
  openings: [
    text('body'),
    text('id'),
    text('name'),
    text('over'),
    length('x'),
    length('z', true),
    length('radius', true),
  ],
  mounts: [
    text('body'),
    text('id'),
    text('name'),
    length('x'),
    length('y'),
    length('z'),
    length('hole', true),
    length('thickness', true),
    length('bushing', true),
    { key: 'bushingRate', kind: 'rate', optional: true },
    { key: 'load', kind: 'mass', optional: true },
  ],
  boxes: [
    text('body'),
    text('id'),
    text('name'),
    text('kind'),
    ...['front', 'rear', 'left', 'right', 'low', 'high'].map((key) => length(key)),
  ],
  weights: [
    text('body'),
    text('id'),
    text('name'),
    { key: 'mass', kind: 'mass' },
    length('x'),
    length('y'),
    length('z'),
  ],
};

const LISTS = { openings: 'openings', mounts: 'mounts', boxes: 'boxes', weights: 'masses' } as const;

/**
 * The rows of a table of all bodies.
 *
 * @param table Which table.
 * @param bodies The bodies; validated.
 */
export const bodyRows = (table: BodyTable, bodies: readonly Body[]): readonly object[] =>
  bodies.flatMap((body) => body[LISTS[table]].map((row) => ({ body: body.id, ...row })));

/**
 * The bodies with one of their lists replaced by the rows of a table; a body that no row names has none then.
 *
 * @param table Which table.
 * @param rows The rows.
 * @param bodies The bodies.
 * @throws InputError for a row of a body that is not there.
 */
export function withBodyRows(table: BodyTable, rows: readonly TableRow[], bodies: readonly Body[]): readonly object[] {
  const wrong = rows.findIndex(({ body }) => bodies.every(({ id }) => id !== body));
  if (wrong >= 0)
    throw new InputError([
      {
        code: 'table/body',
        path: `line ${wrong + 2}, body`,
        message: `There is no body “${String(rows[wrong]?.body)}”: add it on the bench Body first. There are: ${bodies.map(({ id }) => id).join(', ') || 'none'}.`,
      },
    ]);
  const known = new Set(BODY_COLUMNS[table].map(({ key }) => key));
  return bodies.map((body) => {
    // What the table has no column for stays with what has the same id.
    const kept = new Map(
      body[LISTS[table]].map((old) => [old.id as unknown, Object.entries(old).filter(([key]) => !known.has(key))]),
    );
    return {
      ...body,
      [LISTS[table]]: rows
        .filter((row) => row.body === body.id)
        .map(({ body: _, ...row }) => ({ ...Object.fromEntries(kept.get(row.id) ?? []), ...row })),
    };
  });
}
