import { type Reading, recordOfReading, type ShopRecord } from '@splay/core';
import { api } from './api.ts';
import type { JobStore, RefusedRecord } from './job-store.ts';

const key = (id: string) => `splay/records/${id}`;
const refusedKey = (id: string) => `splay/records-refused/${id}`;
/** Where an earlier version of this program queued readings, which were not records yet. */
const earlierKey = (id: string) => `splay/readings/${id}`;
const RETRY_MS = 3000;

function listAt<T>(at: string): T[] {
  try {
    return JSON.parse(localStorage.getItem(at) ?? '[]') as T[];
  } catch {
    return [];
  }
}
const stored = (id: string) => listAt<ShopRecord>(key(id));
const storeAt = (at: string, list: readonly unknown[]): void =>
  list.length > 0 ? localStorage.setItem(at, JSON.stringify(list)) : localStorage.removeItem(at);

/** Takes what an earlier version left in its own queue into this one. */
function takeEarlier(id: string): void {
  const earlier = listAt<Reading>(earlierKey(id));
  if (earlier.length === 0) return;
  storeAt(key(id), [...stored(id), ...earlier.map(recordOfReading)]);
  localStorage.removeItem(earlierKey(id));
}

/** The records with others added that they do not have yet. */
export function withRecords(known: readonly ShopRecord[], more: readonly ShopRecord[]): readonly ShopRecord[] {
  const ids = new Set(known.map((record) => record.id));
  const fresh = more.filter((record) => !ids.has(record.id));
  return fresh.length === 0 ? known : [...known, ...fresh];
}

/**
 * Records go into a queue on this device first and leave it when the server has them: a dropped connection, a reload
 * or a dead battery loses none. Sending twice stores once, since each carries its own id.
 */
export function startRecordQueue(store: JobStore): {
  readonly add: (record: ShopRecord) => void;
  /** Forgets a record that the server refused. */
  readonly drop: (record: string) => void;
  readonly stop: () => void;
} {
  const { id } = store.getState();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;

  const keep = (queue: readonly ShopRecord[]) => {
    storeAt(key(id), queue);
    store.setState({ unsent: queue.map((record) => record.id) });
  };

  const setAside = (refusedRecords: readonly RefusedRecord[]) => {
    storeAt(refusedKey(id), refusedRecords);
    store.setState({ refusedRecords });
  };

  async function send(): Promise<void> {
    clearTimeout(timer);
    const queue = stored(id);
    if (busy || queue.length === 0) return;
    busy = true;
    const answer = await api.sendRecords(id, queue.slice(0, 200));
    busy = false;
    if (answer.ok) {
      const { records, refused } = answer.value;
      const why = new Map(refused.map((one) => [one.id, one.message]));
      const here = new Set([...records.map((record) => record.id), ...why.keys()]);
      const sent = stored(id);
      const left = sent.filter((record) => !here.has(record.id));
      // What the server will not take steps aside with its reason: it holds up nothing, and is not lost.
      const aside = sent.flatMap((record): RefusedRecord[] => {
        const message = why.get(record.id);
        return message === undefined ? [] : [{ record, message }];
      });
      if (aside.length > 0) setAside([...store.getState().refusedRecords, ...aside]);
      store.setState({ records: [...records, ...left] });
      keep(left);
      if (left.length > 0) void send();
    } else if (answer.reason === 'offline') {
      timer = setTimeout(() => void send(), RETRY_MS);
    } else {
      // Trying again would not help; the records stay on this device and the header says why.
      const detail = answer.problems[0]?.message ?? answer.detail;
      store.setState({ saveState: answer.reason === 'signed-out' ? 'signed-out' : 'refused', saveDetail: detail });
    }
  }

  takeEarlier(id);
  store.setState({ refusedRecords: listAt<RefusedRecord>(refusedKey(id)) });
  const waiting = stored(id);
  if (waiting.length > 0) {
    store.setState({
      records: withRecords(store.getState().records, waiting),
      unsent: waiting.map((record) => record.id),
    });
    void send();
  }
  const online = () => void send();
  window.addEventListener('online', online);
  return {
    add: (record) => {
      keep([...stored(id), record]);
      store.setState({ records: [...store.getState().records, record] });
      void send();
    },
    drop: (record) => setAside(store.getState().refusedRecords.filter((refused) => refused.record.id !== record)),
    stop: () => {
      clearTimeout(timer);
      window.removeEventListener('online', online);
    },
  };
}
