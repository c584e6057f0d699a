import type { ShopRecord } from '@splay/core';

/** So many records are stored by one statement. */
const A_BATCH = 1000;

/**
 * Records as the texts that `insertBatches` stores. Made in a thread where there are many: the server's own thread then only
 * hands them on.
 */
export function batchesOf(all: readonly ShopRecord[]): readonly string[] {
  const count = Math.ceil(all.length / A_BATCH);
  return Array.from({ length: count }, (_, at) => JSON.stringify(all.slice(at * A_BATCH, (at + 1) * A_BATCH)));
}
