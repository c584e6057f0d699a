// What a fresh machine lacks: Debian packages and npm modules.
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { has, must, root, run, say, stop } from './run.mjs';

/** Installs Debian packages when we may, or says the one line that does. */
export async function debian(packages, why) {
  const line = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (process.getuid?.() !== 0 || !has('apt-get'))
    stop(`${why}\nInstall it with this line, then start again:\n\n    sudo ${line}`);
  say(`installing ${packages.join(', ')} from Debian's packages …`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  if ((await run('apt-get', line.split(' ').slice(1), { env, quiet: true })) === 0) return;
  await run('apt-get', ['update'], { env, quiet: true });
  if ((await run('apt-get', line.split(' ').slice(1), { env })) !== 0)
    stop(`${why}\nInstalling it failed; try by hand:\n\n    ${line}`);
}

/** Runs `npm ci` unless the modules are those of the lock file. */
export async function modules() {
  const [lock, done] = [join(root, 'package-lock.json'), join(root, 'node_modules', '.package-lock.json')];
  const fresh = existsSync(done) && statSync(done).mtimeMs >= statSync(lock).mtimeMs;
  if (fresh && existsSync(join(root, 'node_modules', 'astro'))) return;
  const [major] = process.versions.node.split('.').map(Number);
  if (major < 20) stop(`Node.js 20 or newer is needed; this is ${process.versions.node}.`);
  say('installing npm modules (once) …');
  await must('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error']);
}

/** Chromium for browser tests and screenshots. */
export async function chromium() {
  if (!has('chromium')) await debian(['chromium'], 'Browser tests need Chromium.');
}

/** openssl, which says whether certificates are what they should be. */
export async function openssl() {
  if (!has('openssl')) await debian(['openssl'], 'Tests of certificates need openssl.');
}
