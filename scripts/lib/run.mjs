// Running programs from the scripts: plain Node, nothing installed.
import { spawn, spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const root = fileURLToPath(new URL('../../', import.meta.url)).replace(/\/$/, '');

export const say = (text) => console.log(`· ${text}`);

/** Ends the script with a message that says what to do. */
export function stop(message) {
  console.error(`\n${message}\n`);
  process.exit(1);
}

/** True when a program can be found. */
export const has = (program) => spawnSync('sh', ['-c', `command -v ${program}`], { stdio: 'ignore' }).status === 0;

/** Runs a program to its end; gives its exit code. Output goes to ours unless `quiet`. */
export function run(program, args, { env = {}, cwd = root, quiet = false } = {}) {
  return new Promise((resolve) => {
    const child = spawn(program, args, { cwd, env: { ...process.env, ...env }, stdio: quiet ? 'ignore' : 'inherit' });
    child.on('error', () => resolve(127));
    child.on('exit', (code, signal) => resolve(code ?? (signal ? 130 : 1)));
  });
}

/** Runs a program to its end and stops everything when it fails. */
export async function must(program, args, options = {}) {
  const code = await run(program, args, options);
  if (code !== 0) stop(`\`${[program, ...args].join(' ')}\` failed (exit code ${code}). Its messages are above.`);
}
