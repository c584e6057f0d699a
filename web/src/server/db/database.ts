import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool, type PoolClient } from 'pg';
import { env } from '../env.ts';
import { logError } from '../log.ts';
import * as schema from './schema.ts';

export type Database = NodePgDatabase<typeof schema> & { readonly $client: Pool };
/** The same within a transaction that `inTransaction` began and ends. */
export type Transaction = NodePgDatabase<typeof schema> & { readonly $client: PoolClient };

/** Connections of one web process. */
const MOST_CONNECTIONS = 10;

let opened: { readonly pool: Pool; readonly database: Database } | undefined;

function open() {
  const pool = new Pool({
    connectionString: env.databaseUrl,
    max: MOST_CONNECTIONS,
    connectionTimeoutMillis: 5000,
    // Queries that do not wait for each other are sent together.
    pipeline: true,
  });
  // A connection that dies while idle (the database was restarted) is replaced at the next query.
  pool.on('error', (error) => logError(error, 'database'));
  // One that dies inside a transaction fails its query, which answers for it; without a listener it would end the process.
  pool.on('connect', (client) => client.on('error', (error) => logError(error, 'database connection')));
  return { pool, database: drizzle(pool, { schema }) };
}

/** Each connection's queries, made once: what they know of the tables takes a while to put together. */
const overClient = new WeakMap<PoolClient, Transaction>();
function over(client: PoolClient): Transaction {
  const made = overClient.get(client) ?? drizzle(client, { schema });
  overClient.set(client, made);
  return made;
}

/** The database without walls: only sign-in, memberships and migrations use it. A shop's rows go by `withShop`. */
export function database(): Database {
  opened ??= open();
  return opened.database;
}

/**
 * Runs queries in one transaction, on a connection of its own that goes back to the pool whatever happens. The first of
 * them are sent along with BEGIN. A connection that the server dropped while it lay in the pool (it was restarted) shows
 * there, before anything was done: it is thrown away and the next one tried, so that nobody sees it.
 *
 * @param run What is done in it; begun again where the connection was dropped.
 * @param settings What holds for it alone, as SQL: sent along with BEGIN, so that it costs no way of its own.
 */
export async function inTransaction<T>(run: (tx: Transaction) => Promise<T>, settings = ''): Promise<T> {
  opened ??= open();
  for (let left = MOST_CONNECTIONS; ; left -= 1) {
    const client = await opened.pool.connect();
    const begun = client.query(`begin; ${settings}`).then(
      () => true,
      () => false,
    );
    let usable = false;
    try {
      const value = await run(over(client));
      const { command } = await client.query('commit');
      // A query that failed and was overlooked has undone all of it.
      if (command !== 'COMMIT') throw new Error('the transaction was not stored');
      usable = true;
      return value;
    } catch (error) {
      const mayBeTriedAgain = !(await begun) && left > 0;
      if (await begun)
        usable = await client.query('rollback').then(
          () => true,
          () => false,
        );
      if (!mayBeTriedAgain) throw error;
      logError(error, 'database connection before a transaction');
    } finally {
      client.release(!usable);
    }
  }
}

export async function closeDatabase(): Promise<void> {
  await opened?.pool.end();
  opened = undefined;
}
