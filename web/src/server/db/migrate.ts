import { fileURLToPath } from 'node:url';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { closeDatabase, database } from './database.ts';
import { WALLED_ROLE } from './shop.ts';

/** Brings the database up to date, and makes the walled role where the connecting one would pass the walls. */
export async function migrateDatabase(): Promise<void> {
  await migrate(database(), { migrationsFolder: fileURLToPath(new URL('../../../drizzle', import.meta.url)) });
  await database().execute(
    sql.raw(`
    DO $$ BEGIN
      IF (SELECT rolsuper OR rolbypassrls FROM pg_roles WHERE rolname = current_user) THEN
        IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = '${WALLED_ROLE}') THEN CREATE ROLE ${WALLED_ROLE} NOLOGIN; END IF;
        GRANT USAGE ON SCHEMA public TO ${WALLED_ROLE};
        GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO ${WALLED_ROLE};
      END IF;
    END $$`),
  );
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await migrateDatabase();
  await closeDatabase();
}
