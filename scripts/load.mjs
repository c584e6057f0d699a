// `npm run load`: as many people as a large shop reading and writing at once, and what the server takes for it. Writes the
// table for docs/benchmarks.md; a shop that has been open for a while: cards made, the program warm. Bounded: a throw-away database, a few minutes, nothing left behind.
import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { setTimeout as wait } from 'node:timers/promises';
import { build, prepareDatabase, serve, work } from './lib/app.mjs';
import { modules } from './lib/install.mjs';
import { freePort, ownDatabase, startPostgres } from './lib/postgres.mjs';
import { root, say } from './lib/run.mjs';

const CROWDS = (process.env.PEOPLE ?? '50,200').split(',').map(Number);
const PEOPLE = Math.max(...CROWDS);
const SECONDS = Number(process.env.SECONDS ?? 30);
const JOBS = 200;

const reading = (person, turn) =>
  JSON.stringify([
    {
      id: `load-${person}-${turn}`,
      kind: 'reading',
      version: 1,
      body: { measurement: 'p1-width', stage: 'fit-up', value: 755 + (turn % 7) },
      taken: '2026-05-02T10:00:00Z',
      by: 'x',
    },
  ]);

await modules();
await build();
const folder = mkdtempSync(join(root, '.splay-test-'));
const cluster = await startPostgres(folder);
const servers = [];
try {
  const env = {
    ...(await ownDatabase(cluster, 'splay')),
    BETTER_AUTH_SECRET: randomBytes(32).toString('hex'),
    SPLAY_DEMO: '1',
    SPLAY_SIGN_IN_LIMIT: 'off',
    LOG_LEVEL: 'silent',
    SPLAY_WORKERS: '1',
  };
  await prepareDatabase(env, true);
  const worker = await work(env, { quiet: true });
  servers.push(worker);
  const started = async () => {
    const port = await freePort();
    const child = await serve(env, { port, quiet: true });
    servers.push(child);
    return { base: `http://127.0.0.1:${port}`, pid: child.pid };
  };
  const one = await started();
  // Whoever writes is one of two: what a person may do at once is limited.
  const cookies = [await signIn(one.base, 'owner'), await signIn(one.base, 'fabricator')];
  const [cookie] = cookies;
  const call = (base, method, path, body, headers = {}, person = 0) =>
    fetch(base + path, {
      method,
      headers: {
        origin: base,
        cookie: cookies[person % 2],
        ...(body ? { 'content-type': 'application/json' } : {}),
        ...headers,
      },
      body,
    });
  say(`${JOBS} jobs …`);
  const text = readFileSync(join(root, 'demo/parcel-van.json'), 'utf8');
  const { version, job: saved } = JSON.parse(text);
  /** The revision that whoever saves a job knows. */
  const heads = new Map();
  const ids = [];
  for (let at = 0; at < JOBS; at += 1) ids.push((await (await call(one.base, 'POST', '/api/jobs', text)).json()).id);
  const cardsMade = async () => {
    for (let at = 1; at <= Math.ceil(JOBS / 20); at += 1)
      while (/calculated/.test(await (await call(one.base, 'GET', `/?page=${at}`)).text())) await wait(500);
  };
  say('cards of the list …');
  await cardsMade();
  say('warming up …');
  await many([one.base], PEOPLE, 20);

  const rows = [];
  const tell = (what, figure, goal) => {
    rows.push(`| ${what} | ${figure} | ${goal} |`);
    say(`${what}: ${figure} (goal: ${goal})`);
  };
  const goals = { 50: 'p95 under 150 ms', 200: 'p95 under 500 ms' };
  for (const people of CROWDS) {
    const before = spentBy([one.pid, worker.pid]);
    const { p50, p95, p99, calls, errors } = await many([one.base], people, SECONDS);
    const cpu = (spentBy([one.pid, worker.pid]) - before) / calls;
    tell(
      `${people} people, a call about every second, one process`,
      `p50 ${p50}, p95 ${p95}, p99 ${p99} ms; ${Math.round(calls / SECONDS)} calls a second, ${cpu.toFixed(1)} ms of CPU each; ${errors} errors of ${calls}; ${memoryOf(one.pid)} MB`,
      `${goals[people] ?? ''}; under 6 ms; no errors`,
    );
  }
  await cardsMade();
  const list = await timed(20, async () => (await call(one.base, 'GET', '/')).text());
  tell(`a page of the list of ${JOBS} jobs, kept cards: median`, `${list} ms`, '');
  const marks = await cpuOf([one.pid, worker.pid], 30, (at) => call(one.base, 'GET', `/api/jobs/${ids[at]}/marks.pdf`));
  tell('a marks PDF of a revision not made yet: CPU', `${marks} ms`, 'under 150 ms');
  const again = await cpuOf([one.pid, worker.pid], 30, () => call(one.base, 'GET', `/api/jobs/${ids[0]}/marks.pdf`));
  tell('the same again: CPU', `${again} ms`, '');
  const single = await flatOut([one.base]);
  const two = await started();
  const both = await flatOut([one.base, two.base]);
  tell(
    'two processes against one, flat out',
    `${(both / single).toFixed(2)} × (${single} and ${both} a second)`,
    '1.6 ×',
  );
  console.log(`\nOn ${availableParallelism()} cores, generator and database included:\n`);
  console.log(['| What | Figure | Goal |', '| --- | --- | --- |', ...rows].join('\n'));

  /** What somebody at a bench calls, of twenty: seven saves, five readings, four pages, and reads; now and then a sheet. */
  function callOf(base, person, turn) {
    const id = ids[person % ids.length];
    if ((person + 7 * turn) % 200 === 0) return call(base, 'GET', `/api/jobs/${id}/marks.pdf`);
    const which = (person + 7 * turn) % 20;
    if (which < 7) return save(base, id, person, turn);
    if (which < 12) return call(base, 'POST', `/api/jobs/${id}/records`, reading(person, turn), {}, person);
    if (which === 12) return call(base, 'GET', '/', undefined, {}, person);
    if (which < 16) return call(base, 'GET', `/jobs/${id}/cuts`);
    return call(base, 'GET', `/api/jobs/${id}${['', '/open', '/records', '/revisions'][which - 16]}`);
  }

  /** Saves somebody's own job, on what they saved last; where another process was told so, on what is there. */
  async function save(base, id, person, turn) {
    const basedOn = heads.get(id) ?? 1;
    const job = { ...saved, name: `${saved.name.slice(0, 40)} ${turn % 10}` };
    const answer = await call(
      base,
      'PUT',
      `/api/jobs/${id}`,
      JSON.stringify({ basedOn, label: 'Load', version, job }),
      {},
      person,
    );
    const body = await answer.json();
    heads.set(id, answer.status === 409 ? body.theirs.revision : body.revision);
    return { ok: answer.ok, status: answer.status, arrayBuffer: () => Promise.resolve() };
  }

  async function many(bases, people, seconds) {
    const took = [];
    let errors = 0;
    const until = performance.now() + seconds * 1000;
    await Promise.all(
      Array.from({ length: people }, async (_, person) => {
        await wait((1000 * person) / people);
        for (let turn = 0; performance.now() < until; turn += 1) {
          const began = performance.now();
          try {
            const answer = await callOf(bases[person % bases.length], person, turn);
            await answer.arrayBuffer();
            // Somebody else saved first: as it should be.
            if (!answer.ok && answer.status !== 409) errors += 1;
          } catch {
            errors += 1;
          }
          took.push(performance.now() - began);
          await wait(Math.max(0, 1000 - (performance.now() - began)));
        }
      }),
    );
    const sorted = took.toSorted((a, b) => a - b);
    const at = (share) => Math.round(sorted[Math.floor(share * (sorted.length - 1))]);
    return { p50: at(0.5), p95: at(0.95), p99: at(0.99), calls: sorted.length, errors };
  }

  /** Calls a second, with nobody waiting in between. */
  async function flatOut(bases) {
    const { default: autocannon } = await import('autocannon');
    const runs = bases.map((base) =>
      autocannon({
        url: `${base}/api/jobs/${ids[0]}`,
        connections: 16,
        duration: 8,
        headers: { cookie },
        workers: 1,
      }),
    );
    const results = await Promise.all(runs);
    return Math.round(results.reduce((sum, { requests }) => sum + requests.average, 0));
  }
} finally {
  for (const child of servers) child.kill('SIGKILL');
  cluster.stop();
  cluster.remove();
  rmSync(folder, { recursive: true, force: true });
}

async function signIn(base, name) {
  const answer = await fetch(`${base}/api/auth/sign-in/email`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: base },
    body: JSON.stringify({ email: `${name}@windrow-lane.example`, password: 'windrow-lane' }),
  });
  return answer.headers
    .getSetCookie()
    .map((one) => one.split(';')[0])
    .join('; ');
}

async function timed(count, run) {
  const took = [];
  for (let at = 0; at < count; at += 1) {
    const began = performance.now();
    await run();
    took.push(performance.now() - began);
  }
  return Math.round(took.toSorted((a, b) => a - b)[Math.floor(count / 2)]);
}

/** CPU that some processes have spent, their threads included, ms. */
function spentBy(pids) {
  return pids.reduce((sum, pid) => sum + spent(pid), 0);
}

/** CPU that a process has spent, its threads included, ms. */
function spent(pid) {
  const ticks = Number(spawnSync('getconf', ['CLK_TCK'], { encoding: 'utf8' }).stdout);
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');
  return ((Number(fields[11]) + Number(fields[12])) * 1000) / ticks;
}

/** Memory that a process takes, MB. */
function memoryOf(pid) {
  const [, size] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
  return Math.round(Number(size) / 1024);
}

/** CPU that some processes spent for each of some calls, their threads included, ms. */
async function cpuOf(pids, count, run) {
  for (let at = 0; at < 5; at += 1) await (await run(count + at)).arrayBuffer();
  const before = spentBy(pids);
  for (let at = 0; at < count; at += 1) await (await run(at)).arrayBuffer();
  return Math.round((spentBy(pids) - before) / count);
}
