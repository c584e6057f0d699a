import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool, type PoolClient } from 'pg';
import { env } from '../env.ts';
import { logError } from '../log.ts';
import * as schema from './schema.ts';

export type Database = NodePgDatabase<typeof schema>;
/** The same within a transaction that `inTransaction` began and ends. */
export type Transaction = NodePgDatabase<typeof schema>;

/** Connections of one web process. */
const MOST_CONNECTIONS = 10;

let opened: { readonly pool: Pool; readonly database: Database } | undefined;

function open() {
  const pool = new Pool({ connectionString: env.databaseUrl, max: MOST_CONNECTIONS, connectionTimeoutMillis: 5000 });
  // A connection that dies while idle (the database was restarted) is replaced at the next query.
  pool.on('error', (error) => logError(error, 'database'));
  // One that dies inside a transaction fails its query, which answers for it; without a listener it would end the process.
  pool.on('connect', (client) => client.on('error', (error) => logError(error, 'database connection')));
  return { pool, database: drizzle(pool, { schema }) };
}

/** Each connection's queries, made once: what they know of the tables takes a while to put together. */
const overClient = new WeakMap<PoolClient, NodePgDatabase<typeof schema>>();
function over(client: PoolClient): NodePgDatabase<typeof schema> {
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
 * Runs queries in one transaction, on a connection of its own that goes back to the pool whatever happens. A connection
 * that the server dropped while it lay in the pool (it was restarted) shows at BEGIN, before anything was done: it is
 * thrown away and the next one tried, so that nobody sees it.
 *
 * @param run What is done in it.
 * @param settings What holds for it alone, as SQL: sent along with BEGIN, so that it costs no way of its own.
 */
export async function inTransaction<T>(run: (tx: Transaction) => Promise<T>, settings = ''): Promise<T> {
  opened ??= open();
  for (let left = MOST_CONNECTIONS; ; left -= 1) {
    const client = await opened.pool.connect();
    let begun = false;
    let usable = false;
    try {
      await client.query(`begin; ${settings}`);
      begun = true;
      const value = await run(over(client));
      const { command } = await client.query('commit');
      // A query that failed and was overlooked has undone all of it.
      if (command !== 'COMMIT') throw new Error('the transaction was not stored');
      usable = true;
      return value;
    } catch (error) {
      if (begun)
        usable = await client.query('rollback').then(
          () => true,
          () => false,
        );
      if (begun || left === 0) throw error;
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
