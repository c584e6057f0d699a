// The built application on a database that is removed afterward, for tests and benchmarks in Chromium.
import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { prepareDatabase, serve, work } from './app.mjs';
import { freePort, ownDatabase, startPostgres } from './postgres.mjs';
import { root } from './run.mjs';

/** Serves the built application with the demo shop while `use` runs; gives what that gives. */
export async function withThrowAwayApp(use) {
  const folder = mkdtempSync(join(root, '.splay-test-'));
  let cluster;
  let server;
  let worker;
  try {
    cluster = await startPostgres(folder);
    const env = {
      ...(await ownDatabase(cluster, 'splay')),
      BETTER_AUTH_SECRET: randomBytes(32).toString('hex'),
      SPLAY_DEMO: '1',
      SPLAY_SIGN_IN_LIMIT: 'off',
      SPLAY_WORKERS: '1',
    };
    await prepareDatabase(env, true);
    const port = await freePort();
    server = await serve(env, { port, quiet: true, data: folder });
    worker = await work(env, { quiet: true });
    return await use(`http://127.0.0.1:${port}`);
  } finally {
    server?.kill('SIGTERM');
    worker?.kill('SIGTERM');
    cluster?.stop();
    cluster?.remove();
    rmSync(folder, { recursive: true, force: true });
  }
}
