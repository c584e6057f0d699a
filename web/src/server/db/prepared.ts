import type { Transaction } from './database.ts';

/**
 * A query that is put together once for each connection, and that PostgreSQL plans once: for what is asked with every
 * request.
 *
 * @param make Makes it, ending in `.prepare(name)`; values that differ are `sql.placeholder`s.
 */
export function prepared<Query>(make: (tx: Transaction) => Query): (tx: Transaction) => Query {
  const made = new WeakMap<Transaction, Query>();
  return (tx) => {
    const query = made.get(tx) ?? make(tx);
    made.set(tx, query);
    return query;
  };
}
