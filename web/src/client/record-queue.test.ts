import { readFileSync } from 'node:fs';
import { newRecord, parseJobFile, type Reading, readingOf, type ShopRecord } from '@splay/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { fakeBrowser, fakeServer } from '../../test/fake-browser.ts';
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
  });
let browser: ReturnType<typeof fakeBrowser>;
const queued = () => JSON.parse(browser.stored.get('splay/records/job') ?? '[]') as ShopRecord<'reading'>[];
const idsOf = (store: JobStore) => store.getState().records.map(({ id }) => id);

/** A server that keeps what it is sent, as the real one does: an id that it has is not stored twice. */
function keeping(reach: () => boolean = () => true) {
  const kept = [reading('before')];
  const asked = fakeServer((_, __, body) => {
    if (!reach()) return 'no connection';
    for (const sent of body as ShopRecord<'reading'>[]) if (!kept.some(({ id }) => id === sent.id)) kept.push(sent);
    return { status: 200, body: { records: [...kept], refused: [] } };
  });
  return { kept, asked };
}

beforeEach(() => {
  vi.useFakeTimers();
  browser = fakeBrowser();
});
afterEach(() => {
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
    expect(queued()).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(10);
    expect(kept.map(({ id }) => id)).toEqual(['before', 'a']);
    expect(store.getState().unsent).toEqual([]);
    expect(queued()).toEqual([]);
  });

  it('wait on the device while the connection is down, and go when it is back', async () => {
    let up = false;
    const { kept } = keeping(() => up);
    const store = newStore();
    const queue = startRecordQueue(store);
    for (const id of ['a', 'b', 'c']) queue.add(reading(id));
    await vi.advanceTimersByTimeAsync(10_000);
    expect(kept).toHaveLength(1);
    expect(store.getState().unsent).toEqual(['a', 'b', 'c']);
    up = true;
    browser.online();
    await vi.advanceTimersByTimeAsync(10);
    expect(kept.map(({ id }) => id)).toEqual(['before', 'a', 'b', 'c']);
    expect(idsOf(store)).toEqual(['before', 'a', 'b', 'c']);
  });

  it('outlive the page: the next one sends what was left', async () => {
    let up = false;
    const { kept } = keeping(() => up);
    const first = startRecordQueue(newStore());
    first.add(reading('a'));
    await vi.advanceTimersByTimeAsync(10);
    first.stop();
    up = true;
    const store = newStore();
    startRecordQueue(store);
    expect(idsOf(store)).toEqual(['before', 'a']);
    await vi.advanceTimersByTimeAsync(10);
    expect(kept.map(({ id }) => id)).toEqual(['before', 'a']);
    expect(queued()).toEqual([]);
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
    await vi.advanceTimersByTimeAsync(4000);
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
    await vi.advanceTimersByTimeAsync(5000);
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
    await vi.advanceTimersByTimeAsync(60);
    expect(kept.map(({ id }) => id)).toEqual(['good']);
    expect(queued()).toEqual([]);
    const aside = [{ record: reading('bad', -5), message: 'A tape reads more.' }];
    expect(store.getState()).toMatchObject({ unsent: [], refusedRecords: aside });
    const next = newStore();
    const again = startRecordQueue(next);
    expect(next.getState().refusedRecords).toEqual(aside);
    again.drop('bad');
    expect(next.getState().refusedRecords).toEqual([]);
    expect(browser.stored.get('splay/records-refused/job')).toBeUndefined();
  });

  it('a request that is refused whole stays on the device and the reason is said', async () => {
    const problems = [{ code: 'reading', path: '[0].value', message: 'is above 50 000 mm' }];
    const asked = fakeServer(() => ({ status: 422, body: { detail: 'no', problems } }));
    const store = newStore();
    startRecordQueue(store).add(reading('a', 1e9));
    await vi.advanceTimersByTimeAsync(60_000);
    expect(asked).toHaveLength(1);
    expect(store.getState()).toMatchObject({ saveState: 'refused', saveDetail: 'is above 50 000 mm', unsent: ['a'] });
    expect(queued()).toHaveLength(1);
  });

  it('take along readings that an earlier version of the program left on the device', async () => {
    const { kept } = keeping();
    const earlier: Reading = readingOf(reading('earlier'));
    browser.stored.set('splay/readings/job', JSON.stringify([earlier]));
    const store = newStore();
    startRecordQueue(store);
    expect(idsOf(store)).toEqual(['before', 'earlier']);
    await vi.advanceTimersByTimeAsync(10);
    expect(kept.at(-1)).toEqual(reading('earlier'));
    expect(browser.stored.get('splay/readings/job')).toBeUndefined();
  });

  it('a store that holds nonsense is empty', () => {
    keeping();
    browser.stored.set('splay/records/job', 'not json');
    const store = newStore();
    startRecordQueue(store);
    expect(store.getState().unsent).toEqual([]);
  });
});
