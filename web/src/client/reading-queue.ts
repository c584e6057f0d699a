import type { Reading } from '@splay/core';
import { api } from './api.ts';
import type { JobStore, RefusedReading } from './job-store.ts';

const key = (id: string) => `splay/readings/${id}`;
const refusedKey = (id: string) => `splay/readings-refused/${id}`;
const RETRY_MS = 3000;

function listAt<T>(at: string): T[] {
  try {
    return JSON.parse(localStorage.getItem(at) ?? '[]') as T[];
  } catch {
    return [];
  }
}
const stored = (id: string) => listAt<Reading>(key(id));
const storeAt = (at: string, list: readonly unknown[]): void =>
  list.length > 0 ? localStorage.setItem(at, JSON.stringify(list)) : localStorage.removeItem(at);

/**
 * Readings go into a queue on this device first and leave it when the server has them: a dropped connection, a
 * reload or a dead battery loses none. Sending twice stores once, since each carries its own id.
 */
export function startReadingQueue(store: JobStore): {
  readonly add: (reading: Reading) => void;
  /** Forgets a reading that the server refused. */
  readonly drop: (reading: string) => void;
  readonly stop: () => void;
} {
  const { id } = store.getState();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;

  const keep = (queue: readonly Reading[]) => {
    storeAt(key(id), queue);
    store.setState({ unsent: queue.map((reading) => reading.id) });
  };

  const setAside = (refusedReadings: readonly RefusedReading[]) => {
    storeAt(refusedKey(id), refusedReadings);
    store.setState({ refusedReadings });
  };

  async function send(): Promise<void> {
    clearTimeout(timer);
    const queue = stored(id);
    if (busy || queue.length === 0) return;
    busy = true;
    const answer = await api.sendReadings(id, queue.slice(0, 200));
    busy = false;
    if (answer.ok) {
      const { readings, refused } = answer.value;
      const why = new Map(refused.map((one) => [one.id, one.message]));
      const here = new Set([...readings.map((reading) => reading.id), ...why.keys()]);
      const sent = stored(id);
      const left = sent.filter((reading) => !here.has(reading.id));
      // What the server will not take steps aside with its reason: it holds up nothing, and is not lost.
      const aside = sent.flatMap((reading): RefusedReading[] => {
        const message = why.get(reading.id);
        return message === undefined ? [] : [{ reading, message }];
      });
      if (aside.length > 0) setAside([...store.getState().refusedReadings, ...aside]);
      store.setState({ readings: [...readings, ...left] });
      keep(left);
      if (left.length > 0) void send();
    } else if (answer.reason === 'offline') {
      timer = setTimeout(() => void send(), RETRY_MS);
    } else {
      // Trying again would not help; the readings stay on this device and the header says why.
      const detail = answer.problems[0]?.message ?? answer.detail;
      store.setState({ saveState: answer.reason === 'signed-out' ? 'signed-out' : 'refused', saveDetail: detail });
    }
  }

  store.setState({ refusedReadings: listAt<RefusedReading>(refusedKey(id)) });
  const waiting = stored(id);
  if (waiting.length > 0) {
    const known = new Set(store.getState().readings.map((reading) => reading.id));
    store.setState({
      readings: [...store.getState().readings, ...waiting.filter((reading) => !known.has(reading.id))],
      unsent: waiting.map((reading) => reading.id),
    });
    void send();
  }
  const online = () => void send();
  window.addEventListener('online', online);
  return {
    add: (reading) => {
      keep([...stored(id), reading]);
      store.setState({ readings: [...store.getState().readings, reading] });
      void send();
    },
    drop: (reading) => setAside(store.getState().refusedReadings.filter((refused) => refused.reading.id !== reading)),
    stop: () => {
      clearTimeout(timer);
      window.removeEventListener('online', online);
    },
  };
}
