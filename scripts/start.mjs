// `npm start`: everything from a fresh clone to a running application with demo data.
import { randomBytes } from 'node:crypto';
import { createServer } from 'node:net';
import { networkInterfaces } from 'node:os';
import { clearInterval, setInterval } from 'node:timers';
import { join, resolve } from 'node:path';
import { certificates, fingerprint, isPrivate } from './lib/certificates.mjs';
import { build, prepareDatabase, secretOf, serve, SERVER, work } from './lib/app.mjs';
import { modules } from './lib/install.mjs';
import { keepRunning } from './lib/keep.mjs';
import { whenParentEnds } from './lib/parent.mjs';
import { ownDatabase, startPostgres } from './lib/postgres.mjs';
import { root, say, stop } from './lib/run.mjs';
import { endOrphan, hold, noteServer } from './lib/single.mjs';

const folder = resolve(process.env.SPLAY_DATA ?? join(root, '.splay'));
const port = Number(process.env.PORT ?? 4321);
const demo = process.env.SPLAY_DEMO !== '0';
const address = `http://localhost:${port}`;
// In the shop's own network: encrypted for devices that trust this installation, and plainly for others.
if (process.argv.includes('--lan')) process.env.HOST ??= '0.0.0.0';
const lan = !['127.0.0.1', 'localhost', '::1', undefined].includes(process.env.HOST);
const securePort = Number(process.env.SPLAY_TLS_PORT ?? port + 1);
const secret = secretOf(folder, () => randomBytes(32).toString('hex'));

const other = await hold(folder, 'start.mjs', { address });
if (other) {
  say(`Splay runs already from this data folder, at ${other.address} (process ${other.pid}).`);
  process.exit(0);
}
if (await endOrphan(folder, SERVER)) say('ended a server that had outlived its start');

await mustBeFree(port, 'PORT=4400 npm start');
if (lan) await mustBeFree(securePort, 'SPLAY_TLS_PORT=4443 npm start -- --lan');

await modules();
const own = process.env.DATABASE_URL === undefined;
let cluster = own ? await startPostgres(folder) : undefined;

let server;
let worker;
const keepers = [];
let ending = false;
function end(code) {
  if (ending) return;
  ending = true;
  for (const endKeeping of keepers) endKeeping();
  server?.kill('SIGTERM');
  worker?.kill('SIGTERM');
  cluster?.stop();
  process.exit(code);
}
process.on('SIGINT', () => end(0));
process.on('SIGTERM', () => end(0));
// Ending or killing npm ends the server and the database too.
if (process.env.npm_lifecycle_event === 'start') whenParentEnds(() => end(0));

try {
  const addresses = own
    ? await ownDatabase(cluster, 'splay')
    : { DATABASE_URL: process.env.DATABASE_URL, SPLAY_OWNER_URL: process.env.SPLAY_OWNER_URL ?? '' };
  const env = { ...addresses, BETTER_AUTH_SECRET: secret, SPLAY_DEMO: demo ? '1' : '0', SPLAY_WORKERS: '1' };
  await prepareDatabase(env, demo);
  await build();
  const { SPLAY_OWNER_URL: _, ...given } = env;
  const serving = { ...given, ...(lan ? await encrypted() : {}) };
  const startServer = async () => {
    server = await serve(serving, { port, data: folder });
    noteServer(folder, server.pid);
    return { died: new Promise((died) => server.once('exit', died)) };
  };
  const startWorker = async () => {
    worker = await work(given);
    return { died: new Promise((died) => worker.once('exit', died)) };
  };
  keepers.push(keepRunning('server', startServer, (await startServer()).died));
  keepers.push(keepRunning('worker', startWorker, (await startWorker()).died));
  if (own) keepers.push(keepRunning('database', startDatabase, databaseDied()));
} catch (error) {
  console.error(error.message);
  end(1);
}

/** What a certificate of our own needs; one that somebody else made for this server (`SPLAY_TLS_CERT`) goes before. */
async function encrypted() {
  if (process.env.SPLAY_TLS_CERT) return {};
  const { authority, cert, key } = await certificates(folder);
  // Another address, or a certificate that will end: made again, and taken up without a pause.
  const renewing = setInterval(() => {
    certificates(folder)
      .then(({ made }) => made && server?.kill('SIGHUP'))
      .catch((error) => console.error(`the certificate was not renewed: ${error.message}`));
  }, 60_000);
  keepers.push(() => clearInterval(renewing));
  return {
    SPLAY_TLS_CERT: cert,
    SPLAY_TLS_KEY: key,
    SPLAY_TLS_AUTHORITY: authority,
    SPLAY_TLS_PORT: String(securePort),
  };
}

function mustBeFree(wanted, otherwise) {
  return new Promise((free) => {
    const probe = createServer();
    probe.once('error', () => stop(`Port ${wanted} is taken. Stop what runs there, or choose another: ${otherwise}`));
    probe.listen(wanted, '127.0.0.1', () => probe.close(free));
  });
}

async function startDatabase() {
  cluster = await startPostgres(folder);
  return { died: databaseDied() };
}

function databaseDied() {
  return new Promise((died) => {
    const look = setInterval(() => {
      if (cluster.alive()) return;
      clearInterval(look);
      died();
    }, 1000);
  });
}

say(`Splay runs at ${address}`);
if (lan) await showAddresses();
if (cluster) say(`its data lies in ${cluster.data}`);
if (demo)
  say('sign in with one press on “Open the demo shop”, or as owner@windrow-lane.example, password windrow-lane');
if (demo && lan)
  say(
    'CAUTION: everybody in this network can open the demo shop, whose passwords are in the open. Keep no work of your own in it: for that start with SPLAY_DEMO=0',
  );
say('Ctrl-C stops it');

/** Where phones reach it, as text and as codes to scan. */
async function showAddresses() {
  const { default: qrcode } = await import('qrcode');
  const own = process.env.SPLAY_TLS_CERT === undefined;
  for (const { address: ip, family, internal } of Object.values(networkInterfaces()).flat()) {
    if (family !== 'IPv4' || internal) continue;
    const spoken = !own || isPrivate(ip);
    const first = !spoken ? `http://${ip}:${port}` : own ? `http://${ip}:${port}/trust` : `https://${ip}:${securePort}`;
    say(`from phones in the same network: ${first}`);
    if (own && spoken) say(`  then https://${ip}:${securePort}, or not encrypted http://${ip}:${port}`);
    console.log(await qrcode.toString(first, { type: 'terminal', small: true }));
  }
  if (own) say(`the fingerprint of this server’s authority: ${await fingerprint(folder)}`);
}
