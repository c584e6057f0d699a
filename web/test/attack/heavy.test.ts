import { readFileSync } from 'node:fs';
import { JOB_VERSION } from '@splay/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { closeDatabase } from '../../src/server/db/database.ts';
import { ATTACHMENT_LIMIT } from '@splay/core';
import { JOB_LIMIT, SMALL_LIMIT } from '../../src/server/http/body.ts';
import { JOB_FILE_LIMIT } from '../../src/shared/archive-names.ts';
import { importJob } from '../../src/server/services/job-files.ts';
import { closeThreads } from '../../src/server/threads/pool.ts';
import { flagshipText, newShop } from '../shops.ts';
import { signInAt } from '../sign-in.ts';
import { served, type Served } from './served.ts';

/** How much the server may grow, MB, whatever one client sends. */
const MOST_MEMORY = 150;

let server: Served;
let cookie = '';
let job = '';

beforeAll(async () => {
  server = await served();
  const shop = await newShop();
  job = (await importJob(shop.owner, flagshipText)).id;
  cookie = await signInAt(server.base, shop.email, shop.password);
  // Warm: what is loaded at the first use of a thread is not what a request costs.
  await server.call('POST', '/api/jobs', cookie, flagshipText);
  await server.call('GET', `/api/jobs/${job}/marks.pdf`, cookie);
});
afterAll(async () => {
  server.stop();
  await closeThreads();
  await closeDatabase();
});

const encoder = new TextEncoder();
/** A text of exactly so many bytes: as often `part` as fits between what is before and behind it. */
const filled = (size: number, before: string, part: string, behind: string): Uint8Array<ArrayBuffer> => {
  const count = Math.floor((size - before.length - behind.length) / part.length);
  return encoder.encode(before + part.repeat(count).replace(/,$/, '') + behind);
};
const memory = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]) / 1024;

/** A server that works on a request in its own thread answers nobody else until it is done. */
interface Sent {
  readonly status: number;
  /** Other requests answered while it was under way. */
  readonly answered: number;
  /** Longest time another request waited, as a share of the whole time; both on this machine, as busy as it is. */
  readonly share: number;
  /** How many times as long as an idle server's answer it took. */
  readonly times: number;
  readonly grown: number;
}

const answerTime = async () => {
  const began = performance.now();
  await (await server.call('GET', '/api/health')).text();
  return performance.now() - began;
};

async function whileSending(send: () => Promise<Response>): Promise<Sent> {
  const idle = Math.max(await answerTime(), await answerTime());
  const before = memory();
  let [worst, answered, most, done] = [0, 0, before, false];
  const watch = (async () => {
    while (!done) {
      worst = Math.max(worst, await answerTime());
      answered += 1;
      most = Math.max(most, memory());
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  })();
  const began = performance.now();
  const { status } = await send();
  const total = performance.now() - began;
  done = true;
  await watch;
  return { status, answered, share: worst / total, times: total / idle, grown: most - before };
}

/** Whether others were held up: a request that takes no longer than a few idle answers holds up nobody. */
const heldUp = ({ share, times, answered }: Sent): boolean => times > 40 && (share > 0.8 || answered < 3);

/** The same, at the best of three turns: a busy machine delays a turn now and then, a server at fault delays each. */
async function bestOfThree(send: () => Promise<Response>): Promise<Sent> {
  let best = await whileSending(send);
  for (let turn = 1; turn < 3 && heldUp(best); turn += 1) best = await whileSending(send);
  return best;
}

const flagship = JSON.parse(flagshipText) as { job: { donor: object }; records: unknown[] };
const features = (count: number) =>
  Array.from({ length: count }, (_, at) => ({
    id: `f${at}`,
    name: `Feature ${at}`,
    kind: 'hole',
    side: 'both',
    x: at,
    ahead: 0,
    behind: 0,
    face: 'web-outside',
    down: 10,
    diameter: 12,
    attachment: 'hole',
    movable: 'no',
    mass: 0,
  }));
const save = (of: unknown) => JSON.stringify({ basedOn: 1, label: 'x', version: JOB_VERSION, job: of });
const picture = `{"hash":"${'a'.repeat(64)}","type":"image/png","data":"${'iVBORw0KGgo'.repeat(40_000)}"},`;

const jobs = '/api/jobs';
const worst: readonly (readonly [
  name: string,
  method: string,
  path: () => string,
  body: () => Uint8Array<ArrayBuffer>,
])[] = [
  ['empty lists', 'POST', () => jobs, () => filled(JOB_FILE_LIMIT, '{"format":[', '[],', ']}')],
  ['empty objects', 'POST', () => jobs, () => filled(JOB_FILE_LIMIT, '{"job":[', '{},', ']}')],
  ['figures', 'POST', () => jobs, () => filled(JOB_FILE_LIMIT, '{"job":[', '1,', ']}')],
  ['lists in lists', 'POST', () => jobs, () => encoder.encode('['.repeat(JOB_FILE_LIMIT))],
  ['one long text', 'POST', () => jobs, () => filled(JOB_FILE_LIMIT, '{"format":"', 'x', '"}')],
  [
    'long texts of two bytes',
    'POST',
    () => jobs,
    () => filled(JOB_FILE_LIMIT - 100, '{"format":"', 'Ж', '"}').subarray(0, JOB_FILE_LIMIT),
  ],
  ['keys that nobody knows', 'POST', () => jobs, () => filled(JOB_FILE_LIMIT, '{', `"${'k'.repeat(60)}":1,`, '}')],
  [
    'pictures that are none',
    'POST',
    () => jobs,
    () => filled(JOB_FILE_LIMIT, `${flagshipText.trimEnd().slice(0, -1)},"attachments":[`, picture, ']}'),
  ],
  ['zeros', 'POST', () => jobs, () => new Uint8Array(JOB_FILE_LIMIT)],
  [
    'a donor of 2000 features',
    'PUT',
    () => `${jobs}/${job}`,
    () => encoder.encode(save({ ...flagship.job, donor: { ...flagship.job.donor, features: features(2000) } })),
  ],
  [
    'a job of lists',
    'PUT',
    () => `${jobs}/${job}`,
    () => filled(JOB_LIMIT, '{"basedOn":1,"label":"x","version":7,"job":[', '[],', ']}'),
  ],
  ['an item of lists', 'POST', () => '/api/library', () => filled(JOB_LIMIT, '{"format":[', '[],', ']}')],
  ['records of nothing', 'POST', () => `${jobs}/${job}/records`, () => filled(256 * 1024, '[', '{},', ']')],
  ['a picture of nothing', 'POST', () => '/api/attachments', () => new Uint8Array(ATTACHMENT_LIMIT)],
  ['rules of lists', 'POST', () => '/api/rule-sets', () => filled(SMALL_LIMIT, '{"rules":[', '[],', ']}')],
  ['a name of lists', 'PATCH', () => '/api/me', () => filled(SMALL_LIMIT, '{"name":[', '[],', ']}')],
];

describe('one request of the worst kind', () => {
  it.each(worst)('%s: holds up nobody and takes little', async (_name, method, path, body) => {
    const sent = body();
    const send = () => server.call(method, path(), cookie, sent);
    const sending = await bestOfThree(send);
    expect([sending.status >= 400 && sending.status < 500, sending.status]).toEqual([true, sending.status]);
    expect(heldUp(sending)).toBe(false);
    expect(sending.grown).toBeLessThan(MOST_MEMORY);
  });

  it('more than is taken is refused before it is read to its end, told or not', async () => {
    const large = new Uint8Array(JOB_FILE_LIMIT + 1);
    const sending = await bestOfThree(() => server.call('POST', jobs, cookie, large));
    expect(sending.status).toBe(413);
    expect(heldUp(sending)).toBe(false);
    expect(sending.grown).toBeLessThan(MOST_MEMORY);
  });

  it('many at once wait for one another, and others are answered meanwhile', async () => {
    const sent = filled(JOB_FILE_LIMIT, '{"job":[', '1,', ']}');
    const sending = await bestOfThree(async () => {
      const answers = await Promise.all(Array.from({ length: 6 }, () => server.call('POST', jobs, cookie, sent)));
      expect(answers.map(({ status }) => [422, 503].includes(status))).not.toContain(false);
      return answers[0]!;
    });
    expect(heldUp(sending)).toBe(false);
  });
});

it('a plan with as many operations as there may be is laid out in a thread: others are answered', async () => {
  const operations = Array.from({ length: 60 }, (_, at) => ({
    id: `o${at}`,
    kind: 'lengthen',
    at: { x: 1000 + at * 20, on: 'donor' },
    length: 20,
    section: null,
    align: { kind: 'in-line' },
    note: '',
    off: false,
  }));
  const job2 = {
    ...flagship.job,
    plan: {
      ...(flagship.job as unknown as { plan: object }).plan,
      operations,
      splices: [],
      fittings: [],
      accepted: [],
    },
  };
  const head = (await (await server.call('GET', `/api/jobs/${job}`, cookie)).json()) as { revision: number };
  await server.call(
    'PUT',
    `/api/jobs/${job}`,
    cookie,
    JSON.stringify({ basedOn: head.revision, label: 'x', version: JOB_VERSION, job: job2 }),
  );
  expect(heldUp(await bestOfThree(() => server.call('GET', `/api/jobs/${job}/marks.pdf?paper=letter`, cookie)))).toBe(
    false,
  );
});
