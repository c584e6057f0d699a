import type { Page } from '@playwright/test';

/** Whether times are asserted: only under `npm run bench`, on a machine that does nothing else. */
export const BENCH = process.env.SPLAY_BENCH === '1';

/**
 * How long `pieceOfWork` takes on the machine of docs/benchmarks.md in one moment of five, ms: what the goals are calculated
 * against, because the machine is shared, and twice as slow in the next moment.
 */
const REFERENCE = 37;

/** So many ms for work of the kind that a page does. */
function pieceOfWork(): number {
  const started = performance.now();
  let seed = 7;
  const next = () => (seed = (seed * 16807) % 2147483647);
  const rows = Array.from({ length: 20_000 }, (_, at) => ({ id: `n${next() % 1000}`, x: next(), at: [next(), at] }));
  rows.sort((a, b) => a.x - b.x);
  const sums = new Map<string, number>();
  for (const { id, at } of rows) sums.set(id, (sums.get(id) ?? 0) + (at[0] ?? 0));
  JSON.parse(JSON.stringify([rows.slice(0, 6000), [...sums]]));
  return performance.now() - started;
}

/**
 * How many times slower than the reference a page is just now.
 *
 * @param page Any page.
 * @param turns How often it is looked at: the middle of them counts.
 */
export async function paceOf(page: Page, turns = 3): Promise<number> {
  const times: number[] = [];
  for (let turn = 0; turn < turns; turn += 1) times.push(await page.evaluate(pieceOfWork));
  return (times.toSorted((a, b) => a - b)[Math.floor(turns / 2)] ?? REFERENCE) / REFERENCE;
}
