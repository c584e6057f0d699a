// Where the data of this installation is, for what is done to it besides serving it.
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { modules } from './install.mjs';
import { ownDatabase, programs, startPostgres } from './postgres.mjs';
import { root, stop } from './run.mjs';

/** The folder that the data of this installation lies in. */
export const dataFolder = () => resolve(process.env.SPLAY_DATA ?? join(root, '.splay'));

/**
 * The database as a role that sees everything: of our own, started for as long as this takes where it is down; of
 * somebody else, as `SPLAY_BACKUP_URL` or its owner.
 */
export async function place() {
  await modules();
  const folder = dataFolder();
  const given = process.env.SPLAY_BACKUP_URL ?? process.env.SPLAY_OWNER_URL ?? process.env.DATABASE_URL;
  if (given !== undefined) return { bin: programs() ?? '', url: given, addresses: null, end: () => undefined };
  if (!existsSync(folder)) stop(`There is no data in ${folder} yet: start the program first, or set SPLAY_DATA.`);
  const cluster = await startPostgres(folder);
  const addresses = await ownDatabase(cluster, 'splay');
  return {
    bin: cluster.bin,
    url: cluster.superuserUrl.replace(/postgres$/, 'splay'),
    addresses,
    end: () => (cluster.found ? undefined : cluster.stop()),
  };
}
