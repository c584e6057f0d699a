import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll } from 'vitest';
import { type Cluster, ownDatabase, startPostgres } from '../../scripts/lib/postgres.mjs';
import { root } from '../../scripts/lib/run.mjs';
import { closeDatabase } from '../src/server/db/database.ts';
import { migrateDatabase } from '../src/server/db/migrate.ts';
import { closeThreads } from '../src/server/threads/pool.ts';

/** A PostgreSQL of its own for one file of tests, that it may kill and start again. */
export interface OwnCluster {
  readonly folder: string;
  readonly cluster: () => Cluster;
  /** The database as a role that sees everything. */
  readonly url: () => string;
  readonly startAgain: () => Promise<void>;
}

/** Makes it before the tests of a file, with a database as ours is, and takes it away after them. */
export function ownCluster(name: string): OwnCluster {
  const folder = mkdtempSync(join(root, `.splay-test-${name}-`));
  const usual = { DATABASE_URL: process.env.DATABASE_URL, SPLAY_OWNER_URL: process.env.SPLAY_OWNER_URL };
  let cluster: Cluster;
  const startAgain = async () => {
    cluster = await startPostgres(folder);
  };
  beforeAll(async () => {
    await startAgain();
    Object.assign(process.env, await ownDatabase(cluster, 'splay'));
    await migrateDatabase();
  });
  afterAll(async () => {
    await closeThreads();
    await closeDatabase();
    Object.assign(process.env, usual);
    cluster.stop();
    cluster.remove();
    rmSync(folder, { recursive: true, force: true });
  });
  return {
    folder,
    cluster: () => cluster,
    url: () => cluster.superuserUrl.replace(/postgres$/, 'splay'),
    startAgain,
  };
}
