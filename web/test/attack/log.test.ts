import { spawn } from 'node:child_process';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { SERVER } from '../../../scripts/lib/app.mjs';
import { freePort } from '../../../scripts/lib/postgres.mjs';
import { root } from '../../../scripts/lib/run.mjs';
import { closeDatabase } from '../../src/server/db/database.ts';
import { invite } from '../../src/server/services/people.ts';
import { flagshipText, newShop } from '../shops.ts';
import { signInAt } from '../sign-in.ts';
import { until } from '../until.ts';

let server: ReturnType<typeof spawn>;
let base = '';
let said = '';

beforeAll(async () => {
  const port = await freePort();
  base = `http://127.0.0.1:${port}`;
  server = spawn(process.execPath, [SERVER], {
    cwd: root,
    env: { ...process.env, PORT: String(port), HOST: '127.0.0.1', LOG_LEVEL: 'trace', SPLAY_SIGN_IN_LIMIT: 'on' },
  });
  for (const stream of [server.stdout, server.stderr])
    stream?.on('data', (bytes: Buffer) => (said += bytes.toString()));
  await until(async () => expect((await fetch(`${base}/api/ready`)).ok).toBe(true));
});
afterAll(async () => {
  server.kill('SIGKILL');
  await closeDatabase();
});

it('neither sessions, addresses, passwords nor links ever stand in a log, at its most talkative, whatever goes wrong', async () => {
  const shop = await newShop();
  const token = await invite(shop.owner, 'welder');
  const cookie = await signInAt(base, shop.email, shop.password);
  const send = (method: string, path: string, body?: string, headers: Record<string, string> = {}) =>
    fetch(base + path, {
      method,
      redirect: 'manual',
      headers: { origin: base, cookie, ...(body ? { 'content-type': 'application/json' } : {}), ...headers },
      ...(body ? { body } : {}),
    });
  const wrong = JSON.stringify({ email: shop.email, password: 'a wrong password 4711' });
  for (let at = 0; at < 8; at += 1) await send('POST', '/api/auth/sign-in/email', wrong);
  await send(
    'POST',
    '/api/auth/sign-in/email',
    JSON.stringify({ email: `no-such-${shop.email}`, password: shop.password }),
  );
  await send('GET', `/join/${token}`);
  await send(
    'POST',
    `/api/join/${token}`,
    JSON.stringify({ name: 'x', email: shop.email, password: 'a new password 4712' }),
  );
  await send('POST', '/api/jobs', flagshipText.slice(0, 5000));
  await send('POST', '/api/jobs', flagshipText);
  await send('GET', '/api/jobs', undefined, { cookie: `${cookie.slice(0, -6)}forged` });
  await send('POST', '/api/auth/sign-out', '{}');
  expect(said).toContain('listening');
  const secrets = [
    shop.email,
    shop.password,
    'a wrong password 4711',
    'a new password 4712',
    token,
    ...cookie.split(/[;=]/).filter((part) => part.length > 20),
  ];
  expect(secrets.length).toBeGreaterThan(5);
  expect(secrets.filter((secret) => said.includes(secret))).toEqual([]);
});
