/** A lead smaller than this share of the largest figure is none: what hangs on it is free, and left at 0. */
const NONE = 1e-12;

/**
 * Solves a small square set of equations by elimination with the largest lead; a figure that nothing says anything of comes
 * out as 0.
 *
 * @param rows Coefficients, row by row.
 * @param right What each row comes to.
 */
export function solve(rows: readonly (readonly number[])[], right: readonly number[]): readonly number[] {
  const size = rows.length;
  const a = rows.map((row, index) => [...row, right[index] ?? 0]);
  const scale = Math.max(...rows.flatMap((row) => row.map(Math.abs)), 1);
  const leads = new Map<number, number>();
  let next = 0;
  for (let column = 0; column < size && next < size; column += 1) {
    const left = a.slice(next).map((row) => Math.abs(row[column] ?? 0));
    const most = Math.max(...left);
    if (most <= NONE * scale) continue;
    const pivot = next + left.indexOf(most);
    [a[next], a[pivot]] = [a[pivot] as number[], a[next] as number[]];
    const head = a[next] as number[];
    for (let row = 0; row < size; row += 1) {
      const by = row === next ? 0 : ((a[row] as number[])[column] ?? 0) / (head[column] as number);
      if (by !== 0) a[row] = (a[row] as number[]).map((value, at) => value - by * (head[at] ?? 0));
    }
    leads.set(column, next);
    next += 1;
  }
  return Array.from({ length: size }, (_, column) => {
    const row = leads.get(column);
    return row === undefined ? 0 : ((a[row] as number[])[size] as number) / ((a[row] as number[])[column] as number);
  });
}
