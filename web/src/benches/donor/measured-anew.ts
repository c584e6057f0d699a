/**
 * Rows of a table in which a figure that was assumed, and is typed now, counts as measured. `keys` are the figures that
 * an origin speaks of.
 */
export function measuredAnew<Row extends { readonly id: string; readonly origin?: unknown }>(
  rows: readonly Row[],
  before: readonly Row[],
  keys: readonly (keyof Row)[],
): readonly Row[] {
  const was = new Map(before.map((row) => [row.id, row]));
  return rows.map((row) => {
    const old = was.get(row.id);
    if (row.origin !== 'assumed' || !old || keys.every((key) => row[key] === old[key])) return row;
    const { origin: _, ...measured } = row;
    return measured as Row;
  });
}
