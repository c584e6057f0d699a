/** A row that says where its figures come from; rows without an id are known by their place in the table. */
interface Told {
  readonly id?: string;
  readonly origin?: unknown;
}

/**
 * Rows of a table in which a figure that was assumed, and is typed now, counts as measured. `keys` are the figures that
 * an origin speaks of.
 */
export function markMeasured<Row extends Told>(
  rows: readonly Row[],
  before: readonly Row[],
  keys: readonly (keyof Row)[],
): readonly Row[] {
  const was = new Map(before.map((row, index) => [row.id ?? index, row]));
  return rows.map((row, index) => {
    const old = was.get(row.id ?? index);
    if (row.origin !== 'assumed' || !old || keys.every((key) => row[key] === old[key])) return row;
    const { origin: _, ...measured } = row;
    return measured as Row;
  });
}
