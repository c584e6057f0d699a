import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import { env } from '../env.ts';
import { logError } from '../log.ts';
import * as schema from './schema.ts';

export type Database = NodePgDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

let opened: { readonly pool: Pool; readonly database: Database } | undefined;

function open() {
  const pool = new Pool({ connectionString: env.databaseUrl, max: 10, connectionTimeoutMillis: 5000 });
  // A connection that dies while idle (the database was restarted) is replaced at the next query.
  pool.on('error', (error) => logError(error, 'database'));
  // One that dies inside a transaction fails its query, which answers for it; without a listener it would end the process.
  pool.on('connect', (client) => client.on('error', (error) => logError(error, 'database connection')));
  return { pool, database: drizzle(pool, { schema }) };
}

/** The database without walls: only sign-in, memberships and migrations use it. A shop's rows go by `withShop`. */
export function database(): Database {
  opened ??= open();
  return opened.database;
}

/**
 * Runs queries in one transaction, on a connection of its own that goes back to the pool whatever happens: also when
 * the server went away before BEGIN, which Drizzle's transaction on a pool never gives back.
 */
export async function inTransaction<T>(run: (tx: Transaction) => Promise<T>): Promise<T> {
  opened ??= open();
  const client = await opened.pool.connect();
  try {
    return await drizzle(client, { schema }).transaction(run);
  } finally {
    client.release();
  }
}

export async function closeDatabase(): Promise<void> {
  await opened?.pool.end();
  opened = undefined;
}
