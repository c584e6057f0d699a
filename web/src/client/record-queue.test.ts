import { readFileSync } from 'node:fs';
import { newRecord, parseJobFile, type ShopRecord } from '@splay/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { atRest, fakeBrowser, fakeServer, pass } from '../../test/fake-browser.ts';
import { forgetConnection, keepRecord, keptRecords, leftDraft } from './device.ts';
import { createJobStore, type JobStore } from './job-store.ts';
import { startRecordQueue } from './record-queue.ts';

const { job } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
const reading = (id: string, value = 100): ShopRecord<'reading'> =>
  newRecord(
    'reading',
    { measurement: 'p1-width', stage: 'tacked', value },
    { id, taken: '2026-01-01T00:00:00Z', by: 'owner' },
  );
const newStore = (): JobStore =>
  createJobStore({
    saved: { id: 'job', revision: 1, job, savedBy: 'owner', savedAt: '' },
    records: [reading('before')],
    bench: 'true-up',
    canWrite: true,
    canRecord: true,
    memberName: 'owner',
    shopName: 'Shop',
    me: 'me',
    asOf: null,
  });
let browser: ReturnType<typeof fakeBrowser>;
const queued = async () => (await keptRecords('job')).filter(({ refused }) => refused === null);
const idsOf = (store: JobStore) => store.getState().records.map(({ id }) => id);

/** A server that keeps what it is sent, as the real one does: an id that it has is not stored twice. */
function keeping(reach: () => boolean = () => true) {
  const kept = [reading('before')];
  const asked = fakeServer((_, __, body) => {
    if (!reach()) return 'no connection';
    const sent = body as ShopRecord<'reading'>[];
    for (const one of sent) if (!kept.some(({ id }) => id === one.id)) kept.push(one);
    return { status: 200, body: { records: sent.map(({ id }) => kept.find((one) => one.id === id)), refused: [] } };
  });
  return { kept, asked };
}

beforeEach(() => {
  browser = fakeBrowser();
});
afterEach(async () => {
  await forgetConnection();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('records', () => {
  it('are shown at once, sent, and leave the device when the server has them', async () => {
    const { kept } = keeping();
    const store = newStore();
    const queue = startRecordQueue(store);
    queue.add(reading('a'));
    expect(idsOf(store)).toEqual(['before', 'a']);
    expect(store.getState().unsent).toEqual(['a']);
    await pass(10);
    expect(kept.map(({ id }) => id)).toEqual(['before', 'a']);
    expect(store.getState().unsent).toEqual([]);
    expect(await queued()).toEqual([]);
  });

  it('wait on the device while the connection is down, and go when it is back', async () => {
    let up = false;
    const { kept } = keeping(() => up);
    const store = newStore();
    const queue = startRecordQueue(store);
    for (const id of ['a', 'b', 'c']) queue.add(reading(id));
    await pass(10_000);
    expect(kept).toHaveLength(1);
    expect(store.getState().unsent).toEqual(['a', 'b', 'c']);
    up = true;
    browser.online();
    await pass(10);
    expect(kept.map(({ id }) => id)).toEqual(['before', 'a', 'b', 'c']);
    expect(idsOf(store)).toEqual(['before', 'a', 'b', 'c']);
  });

  it('outlive the page: the next one sends what was left', async () => {
    let up = false;
    const { kept } = keeping(() => up);
    const first = startRecordQueue(newStore());
    first.add(reading('a'));
    await pass(10);
    first.stop();
    up = true;
    const store = newStore();
    await startRecordQueue(store).ready;
    expect(idsOf(store)).toEqual(['before', 'a']);
    await pass(10);
    expect(kept.map(({ id }) => id)).toEqual(['before', 'a']);
    expect(await queued()).toEqual([]);
  });

  it('an answer that got lost stores nothing twice', async () => {
    let lose = true;
    const kept: ShopRecord<'reading'>[] = [];
    fakeServer((_, __, body) => {
      for (const sent of body as ShopRecord<'reading'>[]) if (!kept.some(({ id }) => id === sent.id)) kept.push(sent);
      if (!lose) return { status: 200, body: { records: [...kept], refused: [] } };
      lose = false;
      return 'no connection';
    });
    const store = newStore();
    startRecordQueue(store).add(reading('a'));
    await pass(4000);
    expect(kept).toHaveLength(1);
    expect(store.getState().unsent).toEqual([]);
  });

  it('go in batches that the server takes', async () => {
    let up = false;
    const { kept, asked } = keeping(() => up);
    const queue = startRecordQueue(newStore());
    for (let count = 0; count < 450; count += 1) queue.add(reading(`r${count}`));
    up = true;
    browser.online();
    await pass(5000);
    expect(kept).toHaveLength(451);
    for (const { body } of asked) expect((body as ShopRecord<'reading'>[]).length).toBeLessThanOrEqual(200);
  });

  it('one that is refused steps aside with its reason, holds up no other, and outlives the page', async () => {
    const kept: ShopRecord<'reading'>[] = [];
    fakeServer((_, __, body) => {
      const sent = body as ShopRecord<'reading'>[];
      kept.push(...sent.filter(({ body: { value } }) => value > 0));
      const refused = sent
        .filter(({ body: { value } }) => value <= 0)
        .map(({ id }) => ({ id, message: 'A tape reads more.' }));
      return { status: 200, body: { records: kept, refused } };
    });
    const store = newStore();
    const queue = startRecordQueue(store);
    queue.add(reading('bad', -5));
    queue.add(reading('good'));
    await pass(60);
    expect(kept.map(({ id }) => id)).toEqual(['good']);
    expect(await queued()).toEqual([]);
    const aside = [{ record: reading('bad', -5), message: 'A tape reads more.' }];
    expect(store.getState()).toMatchObject({ unsent: [], refusedRecords: aside });
    const next = newStore();
    const again = startRecordQueue(next);
    await again.ready;
    expect(next.getState().refusedRecords).toEqual(aside);
    again.drop('bad');
    await atRest();
    expect(next.getState().refusedRecords).toEqual([]);
    expect(await keptRecords('job')).toEqual([]);
  });

  it('a request that is refused whole stays on the device and the reason is said', async () => {
    const problems = [{ code: 'reading', path: '[0].value', message: 'is above 50 000 mm' }];
    const asked = fakeServer(() => ({ status: 422, body: { detail: 'no', problems } }));
    const store = newStore();
    startRecordQueue(store).add(reading('a', 1e9));
    await pass(60_000);
    expect(asked).toHaveLength(1);
    expect(store.getState()).toMatchObject({ saveState: 'refused', saveDetail: 'is above 50 000 mm', unsent: ['a'] });
    expect(await queued()).toHaveLength(1);
  });

  it('take along what an earlier version of the program left in local storage', async () => {
    const { kept } = keeping();
    browser.stored.set('splay/records/job', JSON.stringify([reading('earlier')]));
    browser.stored.set('splay/records-refused/job', JSON.stringify([{ record: reading('bad'), message: 'Why.' }]));
    browser.stored.set('splay/draft/job', JSON.stringify({ basedOn: 3, version: 7, job: { name: 'left' } }));
    const store = newStore();
    await startRecordQueue(store).ready;
    expect(idsOf(store)).toEqual(['before', 'earlier']);
    await pass(10);
    expect(kept.at(-1)).toEqual(reading('earlier'));
    expect(store.getState().refusedRecords).toEqual([{ record: reading('bad'), message: 'Why.' }]);
    expect(await leftDraft('job', 'me')).toEqual({ basedOn: 3, version: 7, job: { name: 'left' } });
    expect(browser.stored.size).toBe(0);
  });

  it('that somebody else took on this device are shown as waiting, and not sent as mine', async () => {
    const { kept } = keeping();
    const theirs = { ...reading('theirs'), by: 'welder' };
    await keepRecord({ job: 'job', record: theirs, person: 'another', refused: null });
    const store = newStore();
    const queue = startRecordQueue(store);
    await queue.ready;
    queue.add(reading('mine'));
    await pass(4000);
    expect(kept.map(({ id }) => id)).toEqual(['before', 'mine']);
    expect(store.getState().unsent).toEqual(['theirs']);
    expect(idsOf(store)).toEqual(['before', 'theirs', 'mine']);
    expect((await queued()).map(({ record }) => record.id)).toEqual(['theirs']);
  });

  it('are tried again when whoever signed in elsewhere comes back to the page', async () => {
    let isIn = false;
    const asked = fakeServer((_, __, body) =>
      isIn
        ? { status: 200, body: { records: body, refused: [] } }
        : { status: 401, body: { detail: 'Somebody else is signed in.' } },
    );
    const store = newStore();
    startRecordQueue(store).add(reading('a'));
    await pass(10_000);
    expect([asked.length, store.getState().saveState, store.getState().unsent]).toEqual([1, 'signed-out', ['a']]);
    isIn = true;
    browser.focus();
    await pass(10);
    expect(store.getState().unsent).toEqual([]);
  });

  it('a store that holds nonsense is empty', async () => {
    keeping();
    browser.stored.set('splay/records/job', 'not json');
    const store = newStore();
    await startRecordQueue(store).ready;
    expect(store.getState().unsent).toEqual([]);
  });

  it('where the browser keeps nothing they are sent all the same, and the page says so', async () => {
    const { kept } = keeping();
    vi.stubGlobal('indexedDB', {
      open: () => {
        throw new Error('not in a private window');
      },
    });
    const store = newStore();
    startRecordQueue(store).add(reading('a'));
    await pass(10);
    expect(kept.at(-1)?.id).toBe('a');
    expect(store.getState()).toMatchObject({ keepsNothing: true, unsent: [] });
  });

  it('two pages of one job lose none of each other’s', async () => {
    let up = false;
    const { kept } = keeping(() => up);
    const [one, other] = [startRecordQueue(newStore()), startRecordQueue(newStore())];
    for (let turn = 0; turn < 5; turn += 1) {
      one.add(reading(`one-${turn}`));
      other.add(reading(`other-${turn}`));
    }
    await pass(10);
    expect(await queued()).toHaveLength(10);
    one.stop();
    other.stop();
    up = true;
    const store = newStore();
    startRecordQueue(store);
    await pass(10);
    expect(kept).toHaveLength(11);
    expect(await queued()).toEqual([]);
  });
});
