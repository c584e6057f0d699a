// Preparing and running the web application.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { must, root, say } from './run.mjs';

/** One number for the state of all sources, so that a second start need not build again. */
export function sourcesHash() {
  const hash = createHash('sha256');
  const add = (path) => {
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort())
        if (!['node_modules', 'dist', '.astro', 'test'].includes(name)) add(join(path, name));
    } else if (!/\.(test|bench)\.tsx?$/.test(path)) hash.update(relative(root, path)).update(readFileSync(path));
  };
  for (const name of ['core/src', 'core/package.json', 'web', 'package-lock.json']) add(join(root, name));
  return hash.digest('hex');
}

/** Builds the web application when its sources changed since the last build. */
export async function build() {
  const stamp = join(root, 'web/dist/.sources');
  const now = sourcesHash();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  say('building (only when sources changed) …');
  await must('npm', ['run', '--silent', 'build'], { env: { ASTRO_TELEMETRY_DISABLED: '1' } });
  writeFileSync(stamp, now);
}

const typescript = (file, env) => must(process.execPath, ['--import', 'tsx', join(root, file)], { env });

/** Brings the database up to date and, when it is empty, fills it with the demo shop. */
export async function prepareDatabase(env, demo) {
  await typescript('web/src/server/db/migrate.ts', env);
  if (demo) await typescript('web/src/server/load-demo.ts', env);
}

/** A secret of this installation, made once. */
export function secretOf(folder, random) {
  mkdirSync(folder, { recursive: true });
  const file = join(folder, 'secret');
  if (!existsSync(file)) writeFileSync(file, random(), { mode: 0o600 });
  return readFileSync(file, 'utf8');
}

/** The program that serves the built application. */
export const SERVER = join(root, 'web/dist/server/main.mjs');

/** The program that does what takes long. */
const WORKER = join(root, 'web/dist/server/work.mjs');

/** The environment that every program of the built application gets. */
const environment = (env) => ({
  ...process.env,
  ...env,
  // Only migrations are the owner's.
  SPLAY_OWNER_URL: undefined,
  NODE_ENV: 'production',
  ASTRO_TELEMETRY_DISABLED: '1',
});

/** Starts a worker; gives the child process once it works. It ends with this process, however that ends. */
export function work(env, { quiet = false } = {}) {
  const child = spawn(process.execPath, [WORKER], {
    cwd: root,
    env: environment(env),
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit', 'ipc'],
  });
  return new Promise((works, fails) => {
    child.once('message', () => works(child));
    child.once('exit', (code) => fails(new Error(`the worker ended with exit code ${code}`)));
  });
}

/** Serves the built application; gives the child process once it answers. */
export async function serve(env, { port, quiet = false, data }) {
  const child = spawn(process.execPath, [SERVER], {
    cwd: root,
    env: {
      ...environment(env),
      HOST: process.env.HOST ?? '127.0.0.1',
      PORT: String(port),
      SPLAY_BACKS_UP: data === undefined ? undefined : '1',
    },
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit', 'ipc'],
  });
  answerBackups(child, data);
  for (let attempt = 0; attempt < 900; attempt += 1) {
    if (child.exitCode !== null) throw new Error(`the server ended with exit code ${child.exitCode}`);
    try {
      const answer = await fetch(`http://127.0.0.1:${port}/api/ready`, { signal: AbortSignal.timeout(2000) });
      if (answer.ok) return child;
    } catch {
      // Not up yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  child.kill();
  throw new Error('the server did not answer within three minutes');
}

/**
 * Makes a backup when the server asks for one: only what started it may read all of the database. The answer says how that went.
 *
 * @param child The server.
 * @param data The folder that the data lies in.
 */
function answerBackups(child, data) {
  child.on('message', (message) => {
    if (message?.ask !== 'backup') return;
    const said = [];
    const run = spawn(process.execPath, [join(root, 'scripts/backup.mjs')], {
      cwd: root,
      env: { ...process.env, SPLAY_DATA: data },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    for (const stream of [run.stdout, run.stderr]) stream.on('data', (chunk) => said.push(String(chunk)));
    run.once('exit', (code) => {
      if (child.connected) child.send({ answer: 'backup', ok: code === 0, detail: said.join('').trim().slice(-600) });
    });
  });
}
