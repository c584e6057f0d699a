import { readFileSync } from 'node:fs';
import { parseJobFile } from '@splay/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { fakeBrowser, fakeServer, pass } from '../../test/fake-browser.ts';
import { forgetConnection, leftDraft } from './device.ts';
import { change, createJobStore, type JobStore, undo } from './job-store.ts';
import { startSaving } from './save-loop.ts';

const { job } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
let browser: ReturnType<typeof fakeBrowser>;
let store: JobStore;
let stop: () => void;

beforeEach(() => {
  browser = fakeBrowser();
  store = createJobStore({
    saved: { id: 'job', revision: 1, job, savedBy: 'owner', savedAt: '' },
    records: [],
    bench: 'cuts',
    canWrite: true,
    canRecord: true,
    memberName: 'owner',
    shopName: 'Shop',
    me: 'me',
    asOf: null,
  });
  stop = startSaving(store);
});
afterEach(async () => {
  stop();
  await forgetConnection();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const rename = (name: string) => change(store, `Renamed ${name}`, (old) => ({ ...old, name }));
const saved = (revision: number) => ({
  status: 200,
  body: { id: 'job', revision, job, savedBy: 'owner', savedAt: 'now' },
});
const state = () => store.getState();

describe('saving', () => {
  it('waits for a quiet moment and sends the newest job once, with what it was based on', async () => {
    const asked = fakeServer(() => saved(2));
    rename('a');
    await pass(400);
    rename('b');
    expect(state().saveState).toBe('changed');
    await pass(600);
    expect(asked).toEqual([]);
    await pass(200);
    expect(asked).toMatchObject([
      {
        method: 'PUT',
        path: '/api/jobs/job',
        body: { basedOn: 1, label: 'Renamed a · Renamed b', job: { name: 'b' } },
      },
    ]);
    expect(state()).toMatchObject({ saveState: 'saved', revision: 2, labels: [] });
    expect(await leftDraft('job', 'me')).toBeNull();
  });

  it('what changes while a save is under way goes into the next one, based on the new revision', async () => {
    let answer: (given: ReturnType<typeof saved>) => void = () => undefined;
    const asked = fakeServer(() => (asked.length === 1 ? new Promise((resolve) => (answer = resolve)) : saved(3)));
    rename('a');
    await pass(700);
    rename('b');
    await pass(5000);
    expect(asked).toHaveLength(1);
    answer(saved(2));
    await pass(1000);
    expect(asked.map(({ body }) => body)).toMatchObject([
      { basedOn: 1, job: { name: 'a' } },
      { basedOn: 2, label: 'Renamed b', job: { name: 'b' } },
    ]);
    expect(state()).toMatchObject({ saveState: 'saved', revision: 3 });
  });

  it('without a connection keeps the job on the device and tries again, more and more slowly', async () => {
    let down = true;
    const asked = fakeServer(() => (down ? 'no connection' : saved(2)));
    rename('a');
    await pass(700);
    expect(state().saveState).toBe('offline');
    expect(await leftDraft('job', 'me')).toMatchObject({ basedOn: 1, job: { name: 'a' } });
    await pass(1000 + 2000 + 5000);
    expect(asked).toHaveLength(4);
    await pass(9000);
    expect(asked).toHaveLength(4);
    down = false;
    browser.online();
    await pass(10);
    expect(state()).toMatchObject({ saveState: 'saved', revision: 2 });
    expect(await leftDraft('job', 'me')).toBeNull();
  });

  it('a server that cannot just now is a connection that is down', async () => {
    fakeServer(() => ({ status: 503, body: {} }));
    rename('a');
    await pass(700);
    expect(state().saveState).toBe('offline');
  });

  it('a save that comes too late is brought together with what was saved meanwhile, and sent again', async () => {
    const theirs = { id: 'job', revision: 5, job: { ...job, done: [] }, savedBy: 'other', savedAt: '' };
    let first = true;
    const asked = fakeServer(() => {
      if (!first) return saved(6);
      first = false;
      return { status: 409, body: { detail: 'stale', theirs } };
    });
    rename('mine');
    await pass(700);
    await vi.dynamicImportSettled();
    await pass(700);
    expect(asked).toMatchObject([{ body: { basedOn: 1 } }, { body: { basedOn: 5, job: { name: 'mine', done: [] } } }]);
    expect(state()).toMatchObject({ saveState: 'saved', revision: 6, job: { name: 'mine', done: [] } });
  });

  it('where both changed the same field nothing is sent until somebody chooses', async () => {
    const theirs = { id: 'job', revision: 5, job: { ...job, name: 'theirs' }, savedBy: 'other', savedAt: '' };
    const asked = fakeServer(() => ({ status: 409, body: { detail: 'stale', theirs } }));
    rename('mine');
    await pass(700);
    await vi.dynamicImportSettled();
    expect(state()).toMatchObject({ saveState: 'stale', theirs: { revision: 5 }, job: { name: 'mine' } });
    expect(state().conflicts).toMatchObject([{ path: ['name'], mine: 'mine', theirs: 'theirs' }]);
    rename('mine, later');
    await pass(60_000);
    expect(asked).toHaveLength(1);
    expect(await leftDraft('job', 'me')).toMatchObject({ job: { name: 'mine, later' } });
  });

  it.each([
    [401, 'signed-out', { detail: 'Sign in first.' }, 'Sign in first.'],
    [
      422,
      'refused',
      { detail: 'no', problems: [{ code: 'x', path: 'job.name', message: 'must not be empty' }] },
      'job.name: must not be empty',
    ],
  ])(
    'an answer of %s is said to be %s, with its reason, and is not tried for ever',
    async (status, expected, body, detail) => {
      const asked = fakeServer(() => ({ status, body }));
      rename('a');
      await pass(60_000);
      expect(state()).toMatchObject({ saveState: expected, saveDetail: detail, job: { name: 'a' } });
      expect(asked).toHaveLength(1);
      expect(await leftDraft('job', 'me')).toMatchObject({ job: { name: 'a' } });
    },
  );

  it('what is undone before it was sent is not sent, and nothing waits for it', async () => {
    const asked = fakeServer(() => saved(2));
    rename('a');
    expect(state().saveState).toBe('changed');
    undo(store);
    expect(state()).toMatchObject({ saveState: 'saved', labels: [] });
    await pass(60_000);
    expect(await leftDraft('job', 'me')).toBeNull();
    expect(asked).toEqual([]);
  });

  it('what is undone while its save is under way is saved again as it was', async () => {
    let answer: (given: ReturnType<typeof saved>) => void = () => undefined;
    const asked = fakeServer(() => (asked.length === 1 ? new Promise((resolve) => (answer = resolve)) : saved(3)));
    rename('a');
    await pass(700);
    undo(store);
    answer(saved(2));
    await pass(2000);
    expect(asked.map(({ body }) => body)).toMatchObject([
      { job: { name: 'a' } },
      { basedOn: 2, job: { name: job.name } },
    ]);
    expect(state()).toMatchObject({ saveState: 'saved', revision: 3 });
  });

  it('stops when the page goes', async () => {
    const asked = fakeServer(() => saved(2));
    rename('a');
    stop();
    await pass(60_000);
    expect(asked).toEqual([]);
  });
});
