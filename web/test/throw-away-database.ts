import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ownDatabase, startPostgres } from '../../scripts/lib/postgres.mjs';
import { root } from '../../scripts/lib/run.mjs';

/** A PostgreSQL of its own for one run of the tests, gone afterward. */
export default async function setup() {
  const folder = mkdtempSync(join(root, '.splay-test-'));
  const cluster = await startPostgres(folder);
  Object.assign(process.env, await ownDatabase(cluster, 'splay'));
  process.env.SUPERUSER_URL = cluster.superuserUrl.replace(/postgres$/, 'splay');
  process.env.BETTER_AUTH_SECRET = 'a secret for tests only, nothing else';
  process.env.SPLAY_SIGN_IN_LIMIT = 'off';
  const { migrateDatabase } = await import('../src/server/db/migrate.ts');
  const { closeDatabase } = await import('../src/server/db/database.ts');
  await migrateDatabase();
  await closeDatabase();
  return () => {
    cluster.stop();
    cluster.remove();
    rmSync(folder, { recursive: true, force: true });
  };
}
