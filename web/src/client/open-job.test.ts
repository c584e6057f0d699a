import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { JOB_VERSION } from '@splay/core';
import { demoJob } from '../../test/demo.ts';
import { atRest, fakeBrowser, fakeServer, pass } from '../../test/fake-browser.ts';
import {
  forgetConnection,
  hereIs,
  keepDraft,
  keepDraftNow,
  keepJob,
  keepRecord,
  keptJob,
  keptJobs,
  leftDraft,
  nobodyIsHere,
  onlyHere,
} from './device.ts';
import { createJobStore, type JobStart } from './job-store.ts';
import { catchUp, keepOpenJob, openJob } from './open-job.ts';

const { job, records } = demoJob('parcel-van');
const opened = (revision = 1, name = job.name, me = 'me') => ({
  saved: { id: 'job', revision, job: { ...job, name }, savedBy: 'owner', savedAt: '2026-05-01T08:00:00Z' },
  records,
  canWrite: true,
  canRecord: true,
  memberName: 'owner',
  shopName: 'Shop',
  me,
});
const KEPT_AT = '2026-05-01T09:00:00.000Z';
let browser: ReturnType<typeof fakeBrowser>;

beforeEach(async () => {
  browser = fakeBrowser();
  await hereIs('me');
});
afterEach(async () => {
  await forgetConnection();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

it('a job opens as the server has it', async () => {
  const asked = fakeServer(() => ({ status: 200, body: opened(4) }));
  expect(await openJob('job', 'marks')).toMatchObject({ saved: { revision: 4 }, bench: 'marks', asOf: null });
  expect(asked).toMatchObject([{ method: 'GET', path: '/api/jobs/job/open' }]);
});

it('without a connection it opens as this device kept it, at the bench where it was left, and says of when', async () => {
  fakeServer(() => 'no connection');
  await keepJob({ ...opened(3), bench: 'true-up', version: JOB_VERSION, keptAt: KEPT_AT });
  expect(await openJob('job')).toMatchObject({ saved: { revision: 3 }, bench: 'true-up', asOf: KEPT_AT });
});

it('what an earlier version of the program kept is brought up; what cannot be is not opened, and not lost', async () => {
  fakeServer(() => 'no connection');
  const before = opened(3);
  const { job: old } = JSON.parse(
    readFileSync(new URL('../../../core/test/job-files/version-7.json', import.meta.url), 'utf8'),
  ) as { job: object };
  // Kept before versions were kept with jobs.
  await keepJob({ ...before, saved: { ...before.saved, job: old }, bench: 'cuts', keptAt: KEPT_AT } as never);
  const found = await openJob('job');
  expect(found).toMatchObject({ asOf: KEPT_AT });
  expect((found as JobStart).saved.job.plan.shoring.shores).toEqual([]);
  await keepJob({
    ...before,
    saved: { ...before.saved, job: {} },
    bench: 'cuts',
    version: 7,
    keptAt: KEPT_AT,
  } as never);
  expect(await openJob('job')).toMatchObject({ title: 'This job is here in an older form' });
  expect(await keptJob('job')).not.toBeNull();
});

it('one that is not here says so, and that it is about the connection', async () => {
  fakeServer(() => 'no connection');
  expect(await openJob('other')).toMatchObject({ title: 'This job is not on this device' });
});

it.each([
  [401, 'You are signed out'],
  [404, 'This job does not open'],
])('an answer of %s is not a lost connection: what was kept of it is forgotten', async (status, title) => {
  fakeServer(() => ({ status, body: { detail: 'There is nothing here.' } }));
  await keepJob({ ...opened(), bench: 'cuts', version: JOB_VERSION, keptAt: KEPT_AT });
  expect(await openJob('job')).toMatchObject({ title });
  expect(await keptJob('job')).toBeNull();
});

it('what is kept is the person’s who is signed in: another one finds none of it', async () => {
  fakeServer(() => ({ status: 200, body: opened(1, 'Theirs', 'another') }));
  await keepJob({
    ...opened(),
    saved: { ...opened().saved, id: 'mine' },
    bench: 'cuts',
    version: JOB_VERSION,
    keptAt: KEPT_AT,
  });
  await openJob('job');
  expect(await keptJob('mine')).toBeNull();
});

const start = (more: Partial<JobStart> = {}): JobStart => ({ ...opened(), bench: 'cuts', asOf: null, ...more });

it('an open job is kept as the server has it, without what waits to be sent', async () => {
  const store = createJobStore(start());
  const stop = keepOpenJob(store);
  const unsent = { ...records[0]!, id: 'unsent' };
  store.setState({ records: [...records, unsent], unsent: ['unsent'] });
  await pass(1000);
  expect((await keptJob('job'))?.records).toHaveLength(records.length);
  const savedJob = { ...job, name: 'Saved later' };
  store.setState({ job: savedJob, savedJob, revision: 2, bench: 'marks' });
  await pass(1000);
  expect(await keptJob('job')).toMatchObject({ saved: { revision: 2, job: { name: 'Saved later' } }, bench: 'marks' });
  // Left before it was kept.
  store.setState({ bench: 'mounts' });
  stop();
  await atRest();
  expect(await keptJob('job')).toMatchObject({ bench: 'mounts' });
});

it('a device keeps the jobs that were open last, and forgets all of them when somebody signs out', async () => {
  for (let at = 10; at < 25; at += 1)
    await keepJob({
      ...opened(),
      saved: { ...opened().saved, id: `job-${at}` },
      bench: 'cuts',
      version: JOB_VERSION,
      keptAt: `2026-05-${at}T00:00:00.000Z`,
    });
  const ids = (await keptJobs()).map(({ saved }) => saved.id);
  expect(ids).toHaveLength(12);
  expect(ids[0]).toBe('job-24');
  await nobodyIsHere(true);
  expect(await keptJobs()).toEqual([]);
});

const kept = (id: string, me = 'me') => ({
  ...opened(1, 'Kept', me),
  saved: { ...opened().saved, id },
  bench: 'cuts',
  version: JOB_VERSION,
  keptAt: KEPT_AT,
});
const draft = (person: string) => ({ person, basedOn: 1, version: JOB_VERSION, job });
const waiting = (id: string, person: string, by: string) => ({
  job: 'job',
  record: { ...records[0]!, id, by },
  person,
  refused: null,
});

it('a session that ended by itself closes the jobs on the device; what was not saved waits for who changed it', async () => {
  await keepJob(kept('job'));
  await keepDraft('job', draft('me'));
  await keepRecord(waiting('r1', 'me', 'owner'));
  fakeServer(() => ({ status: 401, body: { detail: 'Sign in first.' } }));
  expect(await openJob('job')).toMatchObject({ title: 'You are signed out' });
  expect([await keptJobs(), await keptJob('job')]).toEqual([[], null]);
  fakeServer(() => 'no connection');
  expect(await openJob('job')).toMatchObject({ title: 'This job is not on this device' });
  expect(await onlyHere()).toEqual({ records: new Map([['owner', 1]]), drafts: 1 });
  await hereIs('me');
  expect(await leftDraft('job', 'me')).toMatchObject({ basedOn: 1 });
});

it('somebody else who signs in finds neither jobs nor drafts of the other; records wait for who took them', async () => {
  await keepJob(kept('job'));
  await keepDraft('job', draft('me'));
  browser.stored.set('splay/draft/broken', '{');
  keepDraftNow('left', draft('me'));
  await keepRecord(waiting('r1', 'me', 'owner'));
  await hereIs('another');
  expect([await keptJobs(), await leftDraft('job', 'another'), await leftDraft('job', 'me')]).toEqual([[], null, null]);
  expect(browser.stored.has('splay/draft/left')).toBe(false);
  expect(await onlyHere()).toEqual({ records: new Map([['owner', 1]]), drafts: 1 });
  // What nobody can read goes with the next sign-out.
  await nobodyIsHere(true);
  expect((await onlyHere()).drafts).toBe(0);
});

it('a job that another person kept does not open, wherever it came from', async () => {
  await keepJob(kept('theirs', 'another'));
  expect([await keptJobs(), await keptJob('theirs')]).toEqual([[], null]);
});

it('a draft is gone on with by who made it alone', async () => {
  await keepDraft('job', draft('another'));
  expect(await leftDraft('job', 'me')).toBeNull();
  expect(await leftDraft('job', 'another')).not.toBeNull();
});

it('a sign-out names unsaved changes like waiting records, and leaves none behind', async () => {
  await keepDraft('job', draft('me'));
  keepDraftNow('other', draft('me'));
  expect((await onlyHere()).drafts).toBe(2);
  await nobodyIsHere(true);
  expect((await onlyHere()).drafts).toBe(0);
});

it('where somebody else signed in meanwhile, a page that was offline stays with who opened it', async () => {
  fakeServer(() => ({ status: 200, body: opened(9, 'Newer', 'another') }));
  const store = createJobStore(start({ asOf: KEPT_AT }));
  const stop = catchUp(store);
  await pass(6000);
  expect(store.getState()).toMatchObject({ asOf: KEPT_AT, revision: 1, me: 'me', saveState: 'signed-out' });
  stop();
});

it('a job from this device takes the server’s state up when the connection is back', async () => {
  let up = false;
  fakeServer(() => (up ? { status: 200, body: opened(9, 'Newer') } : 'no connection'));
  const store = createJobStore(start({ asOf: KEPT_AT, records: [] }));
  const stop = catchUp(store);
  await pass(6000);
  expect(store.getState()).toMatchObject({ asOf: KEPT_AT, revision: 1 });
  up = true;
  browser.online();
  await atRest();
  await vi.dynamicImportSettled();
  await atRest();
  expect(store.getState()).toMatchObject({ asOf: null, revision: 9, job: { name: 'Newer' } });
  expect(store.getState().records).toEqual(records);
  stop();
});

it('what was changed on it meanwhile is not thrown away for that', async () => {
  fakeServer(() => ({ status: 200, body: opened(9, 'Newer') }));
  const store = createJobStore(start({ asOf: KEPT_AT }));
  store.setState({ job: { ...job, name: 'Changed here' } });
  const stop = catchUp(store);
  await pass(6000);
  await vi.dynamicImportSettled();
  await atRest();
  // Both gave it another name: that is asked for.
  expect(store.getState()).toMatchObject({ asOf: null, saveState: 'stale', job: { name: 'Changed here' } });
  expect(store.getState().conflicts).toMatchObject([{ path: ['name'], theirs: 'Newer' }]);
  stop();
});
