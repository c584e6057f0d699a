// Preparing and running the web application.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { must, root, say } from './run.mjs';

/** One number for the state of all sources, so that a second start need not build again. */
export function sourcesHash() {
  const hash = createHash('sha256');
  const add = (path) => {
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort())
        if (!['node_modules', 'dist', '.astro', 'test'].includes(name)) add(join(path, name));
    } else if (!/\.(test|bench)\.tsx?$/.test(path)) hash.update(path).update(readFileSync(path));
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

/** Serves the built application; gives the child process once it answers. */
export async function serve(env, { port, quiet = false }) {
  const child = spawn(process.execPath, [SERVER], {
    cwd: root,
    env: {
      ...process.env,
      ...env,
      HOST: process.env.HOST ?? '127.0.0.1',
      PORT: String(port),
      // Only migrations are the owner's.
      SPLAY_OWNER_URL: undefined,
      NODE_ENV: 'production',
      ASTRO_TELEMETRY_DISABLED: '1',
    },
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'],
  });
  for (let attempt = 0; attempt < 150; attempt += 1) {
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
  throw new Error('the server did not answer within 30 seconds');
}
