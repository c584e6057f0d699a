// `npm start`: everything from a fresh clone to a running application with demo data.
import { randomBytes } from 'node:crypto';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { build, prepareDatabase, secretOf, serve } from './lib/app.mjs';
import { modules } from './lib/install.mjs';
import { ownDatabase, startPostgres } from './lib/postgres.mjs';
import { root, say, stop } from './lib/run.mjs';

const folder = join(root, '.splay');
const port = Number(process.env.PORT ?? 4321);
const demo = process.env.SPLAY_DEMO !== '0';

await new Promise((resolve) => {
  const probe = createServer();
  probe.once('error', () =>
    stop(`Port ${port} is taken. Stop what runs there, or choose another: PORT=4400 npm start`),
  );
  probe.listen(port, '127.0.0.1', () => probe.close(resolve));
});

await modules();
const secret = secretOf(folder, () => randomBytes(32).toString('hex'));
const cluster = process.env.DATABASE_URL ? undefined : await startPostgres(folder);

let server;
let ending = false;
function end(code) {
  if (ending) return;
  ending = true;
  server?.kill('SIGTERM');
  cluster?.stop();
  process.exit(code);
}
process.on('SIGINT', () => end(0));
process.on('SIGTERM', () => end(0));

try {
  const DATABASE_URL = process.env.DATABASE_URL ?? (await ownDatabase(cluster, 'splay'));
  const env = { DATABASE_URL, BETTER_AUTH_SECRET: secret, SPLAY_DEMO: demo ? '1' : '0' };
  await prepareDatabase(env, demo);
  await build();
  server = await serve(env, { port });
  server.on('exit', (code) => end(code ?? 1));
} catch (error) {
  console.error(error.message);
  end(1);
}

say(`Splay runs at http://localhost:${port}`);
if (demo)
  say('sign in with one press on “Open the demo shop”, or as owner@windrow-lane.example, password windrow-lane');
say('Ctrl-C stops it');
