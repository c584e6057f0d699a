import { request } from 'node:http';
import { itemOf, JOB_VERSION, newRecord, parseJobFile, writeItem } from '@splay/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { closeDatabase } from '../src/server/db/database.ts';
import { importJob } from '../src/server/services/job-files.ts';
import { closeThreads } from '../src/server/threads/pool.ts';
import { served, type Served } from './attack/served.ts';
import { flagshipText, newShop } from './shops.ts';
import { signInAt } from './sign-in.ts';

let server: Served;
let jobId = '';
let mine = '';
let theirs = '';
let looking = '';

const call: Served['call'] = (...asked) => server.call(...asked);

beforeAll(async () => {
  const [first, second] = [await newShop(), await newShop()];
  jobId = (await importJob(first.owner, flagshipText)).id;
  server = await served();
  mine = await signInAt(server.base, first.email, first.password);
  theirs = await signInAt(server.base, second.email, second.password);
  looking = await signInAt(server.base, first.email.replace('owner', 'reviewer'), first.password);
});
afterAll(async () => {
  server.stop();
  await closeThreads();
  await closeDatabase();
});

/** Every endpoint and page of a job, with a body that is right. */
const doors = (): [method: string, path: string, body?: string][] => {
  const { job } = JSON.parse(flagshipText) as { job: unknown };
  const reading = newRecord(
    'reading',
    { measurement: 'p1-width', stage: 'fit-up', value: 755 },
    { id: 'r1', taken: '2026-05-02T10:00:00Z', by: 'x' },
  );
  return [
    ['GET', `/api/jobs/${jobId}`],
    ['PUT', `/api/jobs/${jobId}`, JSON.stringify({ basedOn: 1, label: 'x', version: JOB_VERSION, job })],
    ['PATCH', `/api/jobs/${jobId}`, JSON.stringify({ place: 'listed' })],
    ['POST', `/api/jobs/${jobId}/copy`],
    ['GET', `/api/jobs/${jobId}/revisions`],
    ['GET', `/api/jobs/${jobId}/revisions/1`],
    ['POST', `/api/jobs/${jobId}/revisions/1`, JSON.stringify({ basedOn: 1 })],
    ['GET', `/api/jobs/${jobId}/records`],
    ['POST', `/api/jobs/${jobId}/records`, JSON.stringify([reading])],
    ['GET', `/api/jobs/${jobId}/live`],
    ['GET', `/api/jobs/${jobId}/export`],
    ['GET', `/api/jobs/${jobId}/marks.pdf`],
    ['GET', `/api/jobs/${jobId}/stands.pdf`],
    ['GET', `/api/jobs/${jobId}/parts?as=dxf`],
    ['GET', `/api/jobs/${jobId}/table?what=stations`],
    ['GET', `/api/jobs/${jobId}/drawing?what=side&as=dxf`],
    ['GET', `/jobs/${jobId}`],
    ['GET', `/jobs/${jobId}/cuts`],
    ['GET', `/print/${jobId}/marks`],
    ['GET', `/print/${jobId}/survey`],
    ['GET', `/print/${jobId}/body`],
    ['GET', `/print/${jobId}/mounts`],
    ['GET', `/api/jobs/${jobId}/frame.glb`],
    ['GET', `/api/jobs/${jobId}/parts?of=mounts&as=svg`],
  ];
};

describe('who may come in', () => {
  it('an item of the library is the shop’s own, and only what is an item is kept', async () => {
    const { job } = parseJobFile(flagshipText);
    const kept = await call('POST', '/api/library', mine, writeItem(itemOf(job, job.bodies[0])));
    expect(kept.status).toBe(201);
    const { id } = (await kept.json()) as { id: string };
    expect((await call('GET', `/api/library/${id}`, mine)).status).toBe(200);
    for (const method of ['GET', 'DELETE']) {
      expect((await call(method, `/api/library/${id}`, theirs)).status).toBe(404);
      expect((await call(method, '/api/library/not-an-id', mine)).status).toBe(404);
    }
    expect((await call('POST', '/api/library', mine, flagshipText)).status).toBe(422);
    expect((await call('DELETE', `/api/library/${id}`, mine)).status).toBe(200);
  });

  it('and the shop’s own people get in', async () => {
    for (const [method, path, body] of doors()) {
      const { status } = await call(method, path, mine, body);
      expect([200, 201, 302, 409], path).toContain(status);
    }
  });

  it('and is told so before anything that was sent is looked at, as for a job that is not there', async () => {
    // Whoever reads it answers 400: it is not JSON.
    const broken = `{"job":${'['.repeat(200_000)}`;
    const nowhere = '/api/jobs/00000000-0000-4000-8000-000000000000';
    expect((await call('PUT', `/api/jobs/${jobId}`, looking, broken)).status).toBe(403);
    expect((await call('PUT', nowhere, mine, broken)).status).toBe(404);
  });

  it('refuses a wrong password without saying which half is wrong', async () => {
    const answer = await call(
      'POST',
      '/api/auth/sign-in/email',
      '',
      JSON.stringify({ email: 'nobody@test.example', password: 'wrong password' }),
    );
    expect(answer.status).toBe(401);
  });

  it('the first set-up is closed once there is a shop', async () => {
    const form = JSON.stringify({
      shop: 'Second shop',
      name: 'me',
      email: 'me@test.example',
      password: 'long enough to use',
    });
    const answer = await call('POST', '/api/set-up', '', form);
    expect(answer.status).toBe(403);
    expect(await answer.json()).toMatchObject({ code: 'set-up/done' });
  });

  it('an id that is none is not found', async () => {
    expect((await call('GET', '/api/jobs/1%27%20or%201=1', mine)).status).toBe(404);
    expect((await call('GET', `/api/jobs/${jobId}/revisions/9999`, mine)).status).toBe(404);
    expect((await call('GET', `/api/jobs/${jobId}/revisions/-1`, mine)).status).toBe(404);
  });
});

describe('files of the parts', () => {
  const parts = (query: string) => call('GET', `/api/jobs/${jobId}/parts?${query}`, mine);

  it.each([
    ['dxf', 'image/vnd.dxf', /^0\r?\nSECTION/],
    ['svg', 'image/svg+xml', /^<svg|^<\?xml/],
    ['pdf', 'application/pdf', /^%PDF-/],
  ])('all of them as %s, named after the job', async (as, type, begins) => {
    const answer = await parts(`as=${as}`);
    expect(answer.status).toBe(200);
    expect(answer.headers.get('content-type')).toContain(type);
    expect(answer.headers.get('content-disposition')).toMatch(new RegExp(`attachment; .*parts.*\\.${as}`));
    const text = await answer.text();
    expect(text.trimStart()).toMatch(begins);
    expect(text).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('one of them by its mark, without the others', async () => {
    const text = await (await parts('as=svg&part=A1L')).text();
    expect(text).toContain('A1L');
    expect(text).not.toContain('A1R');
    expect((await parts('as=svg&part=Z9L')).status).toBe(404);
  });

  it.each([
    ['as=dwg', 'as', /dxf, svg or pdf/],
    ['', 'as', /dxf, svg or pdf/],
    ['as=pdf&paper=a9', 'paper', /a4 or letter/],
    ['as=pdf&paper=constructor', 'paper', /a4 or letter/],
  ])('what is asked for wrongly is refused with what to ask for: %s', async (query, path, words) => {
    const answer = await parts(query);
    expect(answer.status).toBe(422);
    const { problems } = (await answer.json()) as { problems: { path: string; message: string }[] };
    expect(problems).toEqual([expect.objectContaining({ path, message: expect.stringMatching(words) as string })]);
  });

  it('a job whose joints nobody has decided on has none, and says so', async () => {
    const file = JSON.parse(flagshipText) as { job: { plan: object } };
    const bare = { ...file, job: { ...file.job, plan: { ...file.job.plan, splices: [], fittings: [] } } };
    const made = await call('POST', '/api/jobs', mine, JSON.stringify(bare));
    const { id } = (await made.json()) as { id: string };
    const answer = await call('GET', `/api/jobs/${id}/parts?as=dxf`, mine);
    expect([made.status, answer.status]).toEqual([201, 422]);
    expect(await answer.text()).toMatch(/No joint that is decided has a part yet/);
  });
});

describe('what may come in', () => {
  it('nothing from a page of somebody else', async () => {
    const body = JSON.stringify({ basedOn: 1 });
    for (const headers of [
      { origin: 'http://evil.example' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
    ] as Record<string, string>[]) {
      const answer = await call('POST', `/api/jobs/${jobId}/revisions/1`, mine, body, headers);
      expect(answer.status).toBe(403);
      expect(await answer.json()).toMatchObject({ code: 'origin' });
    }
  });

  it('nothing too large, also when its length is not told', async () => {
    const large = 'x'.repeat(17 * 1024 * 1024);
    expect((await call('POST', '/api/jobs', mine, large)).status).toBe(413);
    const stream = new ReadableStream({
      start: (controller) => {
        controller.enqueue(new TextEncoder().encode(large));
        controller.close();
      },
    });
    const streamed = await fetch(`${server.base}/api/jobs`, {
      method: 'POST',
      headers: { origin: server.base, cookie: mine },
      body: stream,
      duplex: 'half',
    } as RequestInit);
    expect(streamed.status).toBe(413);
  });

  it('names what is wrong, with its path', async () => {
    const answer = await call('PUT', `/api/jobs/${jobId}`, mine, JSON.stringify({ basedOn: 'one', label: 'x' }));
    expect(answer.status).toBe(422);
    expect(answer.headers.get('content-type')).toBe('application/problem+json');
    const told = (await answer.json()) as { problems: { path: string }[] };
    expect(told.problems.map(({ path }) => path).sort()).toEqual(['basedOn', 'job', 'version']);
    const reading = await call('POST', `/api/jobs/${jobId}/records`, mine, JSON.stringify([{ id: 'x' }]));
    expect(reading.status).toBe(200);
    expect(await reading.json()).toMatchObject({
      refused: [{ id: 'x', message: expect.stringContaining('is missing') }],
    });
    expect((await call('PUT', `/api/jobs/${jobId}`, mine, 'not json')).status).toBe(422);
  });

  it('a stale save is answered with the version that is there', async () => {
    const head = (await (await call('GET', `/api/jobs/${jobId}`, mine)).json()) as {
      revision: number;
      job: { name: string };
    };
    const save = (name: string) =>
      call(
        'PUT',
        `/api/jobs/${jobId}`,
        mine,
        JSON.stringify({ basedOn: head.revision, label: 'x', version: JOB_VERSION, job: { ...head.job, name } }),
      );
    expect((await save('First in')).status).toBe(200);
    const late = await save('Too late');
    expect(late.status).toBe(409);
    expect(await late.json()).toMatchObject({
      code: 'save/stale',
      theirs: { revision: head.revision + 1, job: { name: 'First in' } },
    });
  });
});

it('every answer carries the headers that keep other pages out, early ones and files too', async () => {
  const asked = await Promise.all([
    call('GET', '/api/jobs'),
    call('GET', '/'),
    call('POST', '/api/jobs', mine, '{}', { origin: 'https://elsewhere.example' }),
    call('GET', '/nothing-here'),
    call('GET', '/offline'),
    call('DELETE', '/offline'),
    call('GET', '/_image?href=x'),
    call('GET', '/service-worker.js'),
  ]);
  expect(asked.map(({ status }) => status)).toEqual([401, 302, 403, 404, 200, 405, 404, 200]);
  for (const { headers } of asked)
    expect([headers.get('x-frame-options'), headers.get('x-content-type-options')]).toEqual(['DENY', 'nosniff']);
});

it('what is not done here is refused before it gets anywhere', async () => {
  const status = await new Promise((heard) => {
    request(`${server.base}/`, { method: 'TRACE' }, (answer) => heard(answer.statusCode)).end();
  });
  expect(status).toBe(405);
});

it('pages carry a policy that runs only our own scripts', async () => {
  const answer = await call('GET', `/jobs/${jobId}/cuts`, mine);
  const policy = answer.headers.get('content-security-policy') ?? '';
  expect(policy).toContain("default-src 'self'");
  expect(policy).toMatch(/script-src 'self'[^;]*sha256-/);
  expect(policy).not.toContain('unsafe-inline');
  expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
});
