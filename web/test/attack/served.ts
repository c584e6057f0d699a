import type { ChildProcess } from 'node:child_process';
import { serve, work } from '../../../scripts/lib/app.mjs';
import { freePort } from '../../../scripts/lib/postgres.mjs';

/** The built application on a port of its own. */
export interface Served {
  readonly base: string;
  readonly pid: number;
  readonly call: (method: string, path: string, cookie?: string, body?: Sent, headers?: Headers) => Promise<Response>;
  readonly stop: () => void;
}
type Sent = string | Uint8Array<ArrayBuffer> | undefined;
type Headers = Readonly<Record<string, string>>;

const settingsOf = (settings: Readonly<Record<string, string>>) => ({
  DATABASE_URL: process.env.DATABASE_URL ?? '',
  BETTER_AUTH_SECRET: process.env.BETTER_AUTH_SECRET ?? '',
  SPLAY_SIGN_IN_LIMIT: 'off',
  LOG_LEVEL: 'silent',
  ...settings,
});

/** A worker of the built application on the throw-away database. */
export async function worker(): Promise<{ readonly pid: number; readonly stop: () => void }> {
  const child = await work(settingsOf({ SPLAY_WORKERS: '1' }), { quiet: true });
  return { pid: child.pid ?? 0, stop: () => void child.kill('SIGKILL') };
}

/** Serves the built application on the throw-away database. */
export async function served(settings: Readonly<Record<string, string>> = {}): Promise<Served> {
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const server: ChildProcess = await serve(settingsOf(settings), { port, quiet: true });
  return {
    base,
    pid: server.pid ?? 0,
    call: (method, path, cookie = '', body, headers = {}) =>
      fetch(base + path, {
        method,
        redirect: 'manual',
        headers: {
          origin: base,
          ...(cookie ? { cookie } : {}),
          ...(body ? { 'content-type': 'application/json' } : {}),
          ...headers,
        },
        ...(body ? { body } : {}),
      }),
    stop: () => void server.kill('SIGKILL'),
  };
}
