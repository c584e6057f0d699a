import { eq, like, sql } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { closeDatabase, database } from '../../src/server/db/database.ts';
import { attempts, shops } from '../../src/server/db/schema.ts';
import { noShopYet } from '../../src/server/services/shops.ts';
import { waitAfter } from '../../src/server/sign-in-limit.ts';
import { flagshipText, newShop } from '../shops.ts';
import { signInAt } from '../sign-in.ts';
import { served, type Served } from './served.ts';

let plain: Served;
let second: Served;
let proxied: Served;

beforeAll(async () => {
  plain = await served({ SPLAY_SIGN_IN_LIMIT: 'on' });
  second = await served({ SPLAY_SIGN_IN_LIMIT: 'on' });
  proxied = await served({ SPLAY_SIGN_IN_LIMIT: 'on', SPLAY_PROXIES: '127.0.0.0/8' });
});
beforeEach(async () => {
  await database().delete(attempts);
});
afterAll(async () => {
  for (const server of [plain, second, proxied]) server.stop();
  await closeDatabase();
});

const signIn = (server: Served, email: string, password: string, from?: string) =>
  server.call(
    'POST',
    '/api/auth/sign-in/email',
    '',
    JSON.stringify({ email, password }),
    from === undefined ? {} : { 'x-forwarded-for': from },
  );
const statuses = async (count: number, one: (at: number) => Promise<Response>) => {
  const found: number[] = [];
  for (let at = 0; at < count; at += 1) found.push((await one(at)).status);
  return found;
};

describe('wrong passwords', () => {
  it('cost nothing at first, then each a longer wait, which is told', async () => {
    const { email, password } = await newShop();
    expect(await statuses(6, () => signIn(plain, email, 'wrong password'))).toEqual([401, 401, 401, 401, 401, 401]);
    const answer = await signIn(plain, email, password);
    expect(answer.status).toBe(429);
    expect(Number(answer.headers.get('retry-after'))).toBeGreaterThan(0);
    expect(((await answer.json()) as { detail: string }).detail).toMatch(/try again in \d+ s/);
    expect([1, 2, 3, 4].map(waitAfter)).toEqual([10, 20, 40, 80]);
    expect(waitAfter(50)).toBe(15 * 60);
  });

  it('hold over all processes', async () => {
    const { email, password } = await newShop();
    await statuses(6, (at) => signIn(at % 2 === 0 ? plain : second, email, 'wrong password'));
    expect((await signIn(second, email, password)).status).toBe(429);
  });

  it('of many at once no more get through than one after another', async () => {
    const { email } = await newShop();
    const all = await Promise.all(Array.from({ length: 20 }, () => signIn(plain, email, 'wrong password')));
    expect(all.filter(({ status }) => status === 401).length).toBeLessThanOrEqual(6);
  });

  it('for one account lock out no other, and from one address nobody at another', async () => {
    const [attacked, other] = [await newShop(), await newShop()];
    await statuses(7, () => signIn(proxied, attacked.email, 'wrong password', '203.0.113.9'));
    expect((await signIn(proxied, attacked.email, attacked.password, '203.0.113.9')).status).toBe(429);
    expect((await signIn(proxied, attacked.email, attacked.password, '203.0.113.10')).status).toBe(200);
    expect((await signIn(proxied, other.email, other.password, '203.0.113.9')).status).toBe(200);
  });

  it('from one address for many accounts come to a wait', async () => {
    const { email } = await newShop();
    const all = await statuses(34, (at) => signIn(proxied, `nobody-${at}-${email}`, 'wrong password', '203.0.113.77'));
    expect(all.slice(0, 30).every((status) => status === 401)).toBe(true);
    expect(all.slice(31)).toContain(429);
  });

  it('are counted however a client says that it was forwarded, where no proxy is ours', async () => {
    const { email, password } = await newShop();
    await statuses(6, (at) => signIn(plain, email, 'wrong password', `198.51.100.${at}`));
    expect((await signIn(plain, email, password, '198.51.100.99')).status).toBe(429);
  });

  it('are forgotten when the right one comes', async () => {
    const { email, password } = await newShop();
    await statuses(4, () => signIn(plain, email, 'wrong password'));
    expect((await signIn(plain, email, password)).status).toBe(200);
    expect(await statuses(5, () => signIn(plain, email, 'wrong password'))).toEqual([401, 401, 401, 401, 401]);
  });

  it('cost nobody else at the same address anything who has the right one; what was wrong there stays counted', async () => {
    const people = await Promise.all(Array.from({ length: 4 }, newShop));
    const all = await statuses(36, (at) => {
      const { email, password } = people[at % 4]!;
      return signIn(proxied, email, password, '203.0.113.50');
    });
    expect(new Set(all)).toEqual(new Set([200]));
    const { email, password } = people[0]!;
    await statuses(33, (at) => signIn(proxied, `nobody-${at}-${email}`, 'wrong password', '203.0.113.50'));
    expect((await signIn(proxied, email, password, '203.0.113.50')).status).toBe(429);
  });

  it('never wait longer than the longest wait, also where the clock was set back', async () => {
    const { email, password } = await newShop();
    await statuses(6, () => signIn(plain, email, 'wrong password'));
    // The clock was ahead by a year when the wait began.
    await database()
      .update(attempts)
      .set({ expire: sql`${attempts.expire} + interval '1 year'` })
      .where(like(attempts.key, 'waits:%'));
    const answer = await signIn(plain, email, password);
    expect(answer.status).toBe(429);
    expect(Number(answer.headers.get('retry-after'))).toBeLessThanOrEqual(15 * 60);
  });

  it('and accounts are kept as hashes', async () => {
    const { email } = await newShop();
    await signIn(plain, email, 'wrong password');
    const rows = await database().select().from(attempts);
    expect(rows.length).toBeGreaterThan(0);
    expect(JSON.stringify(rows)).not.toContain(email.split('@')[0]);
    expect(JSON.stringify(rows)).not.toContain('127.0.0.1');
  });
});

it('the answer to a sign-in holds nothing that a script could take the session from', async () => {
  const { email, password } = await newShop();
  const answer = await signIn(plain, email, password);
  expect(await answer.text()).toBe('{"ok":true}');
  expect(answer.headers.getSetCookie().join()).toMatch(/HttpOnly/i);
});

describe('the demo shop', () => {
  it('is closed where the program runs without it: no sign-in, no session that was open before', async () => {
    const { owner, email, password } = await newShop();
    const opened = await served({ SPLAY_DEMO: '1' });
    await database().update(shops).set({ demo: true }).where(eq(shops.id, owner.shopId));
    const cookie = await signInAt(opened.base, email, password);
    expect((await opened.call('GET', '/api/jobs', cookie)).status).toBe(200);
    expect((await plain.call('GET', '/api/jobs', cookie)).status).toBe(401);
    const refused = await signIn(plain, email, password);
    expect(refused.status).toBe(403);
    expect(((await refused.json()) as { detail: string }).detail).toMatch(/demo shop is closed/);
    opened.stop();
  });

  it('does not count as set up: a shop of one’s own begins in the same data folder', async () => {
    const all = await database().select({ id: shops.id, demo: shops.demo }).from(shops);
    await database().update(shops).set({ demo: true });
    try {
      expect(await noShopYet()).toBe(true);
    } finally {
      for (const { id, demo } of all) await database().update(shops).set({ demo }).where(eq(shops.id, id));
    }
    expect(await noShopYet()).toBe(false);
  });
});

it('what a page sends for one person is not stored as another who signed in meanwhile', async () => {
  const { email, password } = await newShop();
  const cookie = await signInAt(plain.base, email, password);
  const send = (person: string) => plain.call('POST', '/api/jobs', cookie, flagshipText, { 'splay-person': person });
  const answer = await send('somebody-else');
  expect([answer.status, ((await answer.json()) as { code: string }).code]).toEqual([401, 'other-person']);
  const jobs = await (await plain.call('GET', '/api/jobs', cookie)).json();
  expect(jobs).toEqual([]);
});

it('of the sign-in library no more is served than is used', async () => {
  for (const path of [
    'sign-up/email',
    'update-user',
    'change-password',
    'list-sessions',
    'forget-password',
    'delete-user',
    'ok',
  ])
    expect([path, (await plain.call('POST', `/api/auth/${path}`, '', '{}')).status]).toEqual([path, 404]);
});
