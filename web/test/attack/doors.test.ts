import { createHash } from 'node:crypto';
import { itemOf, parseJobFile, writeItem } from '@splay/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { closeDatabase } from '../../src/server/db/database.ts';
import { addAttachment } from '../../src/server/services/attachments.ts';
import { importJob } from '../../src/server/services/job-files.ts';
import { keepItem } from '../../src/server/services/library.ts';
import { invite, listPeople, openLinks } from '../../src/server/services/people.ts';
import { closeThreads } from '../../src/server/threads/pool.ts';
import { flagshipText, newShop } from '../shops.ts';
import { signInAt } from '../sign-in.ts';
import { METHODS, type Route, routes } from './routes.ts';
import { served, type Served } from './served.ts';

/** Open to whoever comes: each looks after itself. */
const OPEN = [
  '/404',
  '/sign-in',
  '/offline',
  '/trust',
  '/authority.crt',
  '/unavailable',
  '/join/[token]',
  '/api/join/[token]',
  '/api/auth/[...all]',
  '/api/health',
  '/api/ready',
  '/api/set-up',
];
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
);

let server: Served;
let cookies: { readonly owner: string; readonly welder: string; readonly reviewer: string; readonly stranger: string };
let ours: Readonly<Record<string, string>>;

beforeAll(async () => {
  server = await served();
  const [shop, other] = [await newShop(), await newShop()];
  const { owner } = shop;
  const { job } = parseJobFile(flagshipText);
  const people = await (async () => {
    await invite(owner, 'fabricator');
    return listPeople(owner);
  })();
  const [link] = await openLinks(owner);
  ours = {
    job: (await importJob(owner, flagshipText)).id,
    item: (await keepItem(owner, new TextEncoder().encode(writeItem(itemOf(job))))).id,
    hash: await addAttachment(owner, 'image/png', PIXEL),
    person: people.find(({ role }) => role === 'reviewer')!.id,
    link: link!.id,
    number: '1',
    bench: 'cuts',
    token: 'x',
    '...all': 'get-session',
  };
  const signIn = (role: string, { email, password }: typeof shop) =>
    signInAt(server.base, email.replace('owner', role), password);
  cookies = {
    owner: await signIn('owner', shop),
    welder: await signIn('welder', shop),
    reviewer: await signIn('reviewer', shop),
    stranger: await signIn('owner', other),
  };
});
afterAll(async () => {
  server.stop();
  await closeThreads();
  await closeDatabase();
});

const pathOf = ({ path }: Route, ids: Readonly<Record<string, string>> = ours): string =>
  path.replace(/\[([^\]]+)\]/g, (_, name: string) => ids[name] ?? 'x');
const guarded = () => routes().filter(({ path }) => !OPEN.includes(path));
const ofShop = ({ path }: Route) => /\[(job|item|hash|person|link)\]/.test(path);

describe('every door that there is', () => {
  it('is found by walking the pages', () => {
    const all = routes();
    expect(all.length).toBeGreaterThan(35);
    for (const path of OPEN) expect(all.map((route) => route.path)).toContain(path);
    expect(all.filter(({ methods }) => methods.length === 0)).toEqual([]);
  });

  it('is shut to whoever is not signed in', async () => {
    for (const route of guarded())
      for (const method of route.methods) {
        const { status } = await server.call(method, pathOf(route), '', method === 'GET' ? undefined : '{}');
        expect([method, route.path, status]).toEqual([method, route.path, route.api ? 401 : 302]);
      }
  });

  it('leads a member of another shop nowhere', async () => {
    let tried = 0;
    for (const route of guarded().filter(ofShop))
      for (const method of route.methods) {
        const { status } = await server.call(
          method,
          pathOf(route),
          cookies.stranger,
          method === 'GET' ? undefined : '{"role":"owner"}',
        );
        expect([method, route.path, status]).toEqual([method, route.path, 404]);
        tried += 1;
      }
    expect(tried).toBeGreaterThan(25);
  });

  it('takes its own methods and no other', async () => {
    for (const route of routes())
      for (const method of METHODS.filter((one) => !route.methods.includes(one))) {
        const answer = await server.call(method, pathOf(route), cookies.owner, method === 'GET' ? undefined : '{}');
        // An open page sends a member on before anything else.
        expect([method, route.path, answer.status]).toEqual([method, route.path, 405]);
        expect(answer.headers.get('allow')).toContain(route.methods[0]);
      }
  });

  it('answers an id that is none as one that is not there', async () => {
    const bad = [
      'x',
      '%00',
      '..%2f..%2fetc',
      "1'%20or%201=1",
      '00000000-0000-4000-8000-00000000000g',
      'a'.repeat(3000),
    ];
    for (const route of guarded().filter(ofShop))
      for (const id of bad) {
        const ids = Object.fromEntries(
          Object.keys(ours).map((name) => [
            name,
            ['job', 'item', 'hash', 'person', 'link'].includes(name) ? id : (ours[name] ?? ''),
          ]),
        );
        for (const method of route.methods) {
          const { status } = await server.call(
            method,
            pathOf(route, ids),
            cookies.owner,
            method === 'GET' ? undefined : '{"role":"welder"}',
          );
          expect([method, route.path, id, status]).toEqual([method, route.path, id, 404]);
        }
      }
  });
});

describe('what a role may', () => {
  const statusOf = async (who: keyof typeof cookies, method: string, path: string, body?: string) =>
    (await server.call(method, path, cookies[who], body)).status;

  it('a reviewer changes nothing anywhere, and manages nobody', async () => {
    for (const route of guarded().filter(({ path }) => path.startsWith('/api/') && !path.startsWith('/api/me')))
      for (const method of route.methods.filter((one) => one !== 'GET')) {
        const answer = await server.call(method, pathOf(route), cookies.reviewer, '{"role":"owner"}', {
          'content-type': 'image/png',
        });
        expect([method, route.path, answer.status]).toEqual([method, route.path, 403]);
      }
  });

  it('a welder adds records and pictures, and changes nothing else', async () => {
    // Printing a sheet is a record, and keeps the letters that are on it.
    const allowed = ['/api/jobs/[job]/records', '/api/attachments', '/api/jobs/[job]/sheets'];
    for (const route of guarded().filter(({ path }) => path.startsWith('/api/') && !path.startsWith('/api/me')))
      for (const method of route.methods.filter((one) => one !== 'GET')) {
        const answer = await server.call(method, pathOf(route), cookies.welder, '[]', { 'content-type': 'image/png' });
        const refused = answer.status === 403;
        expect([method, route.path, refused]).toEqual([method, route.path, !allowed.includes(route.path)]);
      }
    const signed = {
      id: 's1',
      kind: 'gate-signed',
      version: 1,
      body: { holdPoint: 'cutting', checks: ['plan'], reason: 'go' },
      taken: '2026-05-02T10:00:00Z',
      by: 'x',
    };
    const answer = await server.call('POST', `/api/jobs/${ours.job}/records`, cookies.welder, JSON.stringify([signed]));
    expect(await answer.json()).toMatchObject({ refused: [{ id: 's1' }] });
  });

  it('nobody but owners sees addresses, links and sessions', async () => {
    const seen = (await (await server.call('GET', '/api/people', cookies.welder)).json()) as {
      name: string;
      email?: string;
    }[];
    expect(seen.length).toBe(3);
    expect(seen.filter(({ email }) => email).map(({ name }) => name)).toEqual(['welder']);
    expect(await statusOf('welder', 'POST', '/api/people', '{"role":"owner"}')).toBe(403);
    expect(await (await server.call('GET', '/people', cookies.welder)).text()).not.toContain('Make a link');
  });
});

describe('what comes from elsewhere', () => {
  it('a path to go to after signing in stays here, however it is written', async () => {
    for (const to of [
      '//evil.example',
      '/\\evil.example',
      '/%09/evil.example',
      '/%0a/evil.example',
      '/\t/evil.example',
      'https://evil.example',
      'javascript:alert(1)',
      '/%5cevil.example',
      '/.//evil.example',
    ]) {
      const answer = await server.call(
        'GET',
        `/sign-in?to=${to.includes('%') ? to : encodeURIComponent(to)}`,
        cookies.owner,
      );
      expect([to, answer.status]).toEqual([to, 302]);
      const location = new URL(answer.headers.get('location') ?? '', server.base);
      expect([to, location.origin]).toEqual([to, server.base]);
    }
    const good = await server.call(
      'GET',
      `/sign-in?to=${encodeURIComponent(`/jobs/${ours.job}/cuts?x=1`)}`,
      cookies.owner,
    );
    expect(good.headers.get('location')).toBe(`/jobs/${ours.job}/cuts?x=1`);
  });

  it('a name that is not ours is not answered, whatever it asks for', async () => {
    const { request } = await import('node:http');
    const statusFor = (host: string) =>
      new Promise<number>((resolve, reject) => {
        const { port } = new URL(server.base);
        request({ host: '127.0.0.1', port, path: '/api/health', headers: { host } }, (answer) => {
          answer.resume();
          resolve(answer.statusCode ?? 0);
        })
          .on('error', reject)
          .end();
      });
    for (const host of [
      'evil.example',
      'localhost.evil.example',
      '127.0.0.1.evil.example',
      'localhost@evil.example',
      'evil.example:80',
    ])
      expect([host, await statusFor(host)]).toEqual([host, 421]);
    for (const host of ['localhost', 'localhost:99', '127.0.0.1:1', '[::1]:4321'])
      expect([host, await statusFor(host)]).toEqual([host, 200]);
  });

  it('control characters are refused by name in every text that people send', async () => {
    const refused = async (method: string, path: string, body: unknown) => {
      const answer = await server.call(method, path, cookies.owner, JSON.stringify(body));
      return [answer.status, ((await answer.json()) as { problems?: { path: string }[] }).problems?.[0]?.path];
    };
    expect(await refused('PATCH', '/api/me', { name: 'a\u0000b' })).toEqual([422, 'name']);
    const head = (await (await server.call('GET', `/api/jobs/${ours.job}`, cookies.owner)).json()) as {
      revision: number;
      job: { name: string };
    };
    const { version } = JSON.parse(flagshipText) as { version: number };
    const save = { basedOn: head.revision, label: 'x', version, job: head.job };
    expect(await refused('PUT', `/api/jobs/${ours.job}`, { ...save, label: 'a\u0000b' })).toEqual([422, 'label']);
    expect(await refused('PUT', `/api/jobs/${ours.job}`, { ...save, job: { ...head.job, name: 'a\u0007' } })).toEqual([
      422,
      'name',
    ]);
    const record = {
      id: 'c1',
      kind: 'note',
      version: 1,
      body: { text: 'x\u0000' },
      taken: '2026-05-02T10:00:00Z',
      by: 'x',
    };
    const answer = await server.call('POST', `/api/jobs/${ours.job}/records`, cookies.owner, JSON.stringify([record]));
    expect([answer.status, ((await answer.json()) as { refused: unknown[] }).refused.length]).toEqual([200, 1]);
    expect((await server.call('GET', `/api/jobs/${ours.job}/parts?as=dxf&part=%00`, cookies.owner)).status).toBe(404);
  });
});

describe('what is sent twice', () => {
  it('a job file under one key is one job; under another it is another', async () => {
    const post = async (key: string) => {
      const answer = await server.call('POST', '/api/jobs', cookies.owner, flagshipText, { 'idempotency-key': key });
      return [answer.status, ((await answer.json()) as { id: string }).id] as const;
    };
    const all = await Promise.all(Array.from({ length: 6 }, () => post('import-key-1')));
    expect(new Set(all.map(([, id]) => id)).size).toBe(1);
    expect((await post('import-key-2'))[1]).not.toBe(all[0]![1]);
    expect(
      (await server.call('POST', '/api/jobs', cookies.owner, flagshipText, { 'idempotency-key': 'x' })).status,
    ).toBe(422);
  });

  it('a record of another value under the same id is a conflict that shows both; the same again is none', async () => {
    const reading = (value: number) => ({
      id: 'twice',
      kind: 'reading',
      version: 1,
      body: { measurement: 'p1-width', stage: 'fit-up', value },
      taken: '2026-05-02T10:00:00Z',
      by: 'x',
    });
    const post = (value: number) =>
      server.call(
        'POST',
        `/api/jobs/${ours.job}/records`,
        cookies.owner,
        JSON.stringify([reading(value), { ...reading(value), id: `other-${value}` }]),
      );
    expect((await post(755)).status).toBe(200);
    expect((await post(755)).status).toBe(200);
    const answer = await post(756);
    expect(answer.status).toBe(409);
    const { records, refused } = (await answer.json()) as {
      records: { id: string; body: { value: number } }[];
      refused: { id: string; theirs: { body: { value: number } } }[];
    };
    expect(refused).toMatchObject([{ id: 'twice', theirs: { body: { value: 755 } } }]);
    // Each stands for itself: the other was stored.
    expect(records.map(({ id }) => id)).toContain('other-756');
  });
});

it('files are kept by the browser, packed beside themselves, and pages on the way', async () => {
  const page = await server.call('GET', `/jobs/${ours.job}/cuts`, cookies.owner, undefined, {
    'accept-encoding': 'br',
  });
  expect([page.status, page.headers.get('content-encoding')]).toEqual([200, 'br']);
  const sheet = /\/_astro\/[\w.-]+\.css/.exec(await page.text())![0];
  const file = await server.call('GET', sheet, '', undefined, { 'accept-encoding': 'br, gzip' });
  expect([file.headers.get('content-encoding'), file.headers.get('cache-control')]).toEqual([
    'br',
    expect.stringContaining('immutable'),
  ]);
  const plain = await server.call('GET', sheet, '', undefined, { 'accept-encoding': 'identity' });
  const hash = async (answer: Response) =>
    createHash('sha256')
      .update(new Uint8Array(await answer.arrayBuffer()))
      .digest('hex');
  expect(await hash(file)).toBe(await hash(plain));
});
