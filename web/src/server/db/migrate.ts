import { fileURLToPath } from 'node:url';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import PgBoss from 'pg-boss';
import { env } from '../env.ts';
import { QUEUE } from '../queue/queue-name.ts';
import { WALLED_ROLE } from './shop.ts';

/** Rows of these are only ever added. */
const APPEND_ONLY = ['job_revisions', 'records', 'rule_set_versions'];

/**
 * Brings the database up to date as its owner, one process at a time, and lets the server's role read and write rows and
 * nothing else. Where that role passes the walls (a superuser, as a hosted address may give), makes the walled role that
 * the server then puts on.
 */
export async function migrateDatabase(): Promise<void> {
  const client = new pg.Client({ connectionString: env.ownerUrl });
  await client.connect();
  try {
    await client.query("select pg_advisory_lock(hashtext('splay set-up'))");
    await migrate(drizzle(client), { migrationsFolder: fileURLToPath(new URL('../../../drizzle', import.meta.url)) });
    await makeQueue(client);
    const serving = decodeURIComponent(new URL(env.databaseUrl).username);
    const { rows } = await client.query<{ passes: boolean; owns: boolean }>(
      'select rolsuper or rolbypassrls as passes, rolname = current_user as owns from pg_roles where rolname = $1',
      [serving],
    );
    if (rows[0]?.passes) {
      await client.query(
        `DO $$ BEGIN IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = '${WALLED_ROLE}') THEN CREATE ROLE ${WALLED_ROLE} NOLOGIN; END IF; END $$`,
      );
      await grant(client, WALLED_ROLE);
    } else if (!rows[0]?.owns) await grant(client, serving);
  } finally {
    await client.end();
  }
}

/** The tables of the queue, and the queue in them: only their owner may make them. */
async function makeQueue(client: pg.Client): Promise<void> {
  const boss = new PgBoss({
    db: { executeSql: (text: string, values: unknown[]) => client.query(text, values) },
    schedule: false,
    supervise: false,
  });
  await boss.start();
  await boss.createQueue(QUEUE);
  await boss.stop({ graceful: false });
}

/** Rows, and no more: no ownership, no TRUNCATE, and of what is only ever added to no change. */
async function grant(client: pg.Client, role: string): Promise<void> {
  const to = pg.escapeIdentifier(role);
  for (const schema of ['public', 'pgboss']) {
    await client.query(`GRANT USAGE ON SCHEMA ${schema} TO ${to}`);
    await client.query(`GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA ${schema} TO ${to}`);
  }
  for (const table of APPEND_ONLY) await client.query(`REVOKE UPDATE, DELETE ON ${table} FROM ${to}`);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await migrateDatabase();
