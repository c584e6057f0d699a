import type { Reading } from '@splay/core';
import { api } from './api.ts';
import type { JobStore } from './job-store.ts';

const key = (id: string) => `splay/readings/${id}`;
const RETRY_MS = 3000;

function stored(id: string): Reading[] {
  try {
    return JSON.parse(localStorage.getItem(key(id)) ?? '[]') as Reading[];
  } catch {
    return [];
  }
}

/**
 * Readings go into a queue on this device first and leave it when the server has them: a dropped connection, a
 * reload or a dead battery loses none. Sending twice stores once, since each carries its own id.
 */
export function startReadingQueue(store: JobStore): {
  readonly add: (reading: Reading) => void;
  readonly stop: () => void;
} {
  const { id } = store.getState();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;

  const keep = (queue: readonly Reading[]) => {
    if (queue.length > 0) localStorage.setItem(key(id), JSON.stringify(queue));
    else localStorage.removeItem(key(id));
    store.setState({ unsent: queue.map((reading) => reading.id) });
  };

  async function send(): Promise<void> {
    clearTimeout(timer);
    const queue = stored(id);
    if (busy || queue.length === 0) return;
    busy = true;
    const answer = await api.sendReadings(id, queue.slice(0, 200));
    busy = false;
    if (answer.ok) {
      const here = new Set(answer.value.map((reading) => reading.id));
      const left = stored(id).filter((reading) => !here.has(reading.id));
      store.setState({ readings: [...answer.value, ...left] });
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
    stop: () => {
      clearTimeout(timer);
      window.removeEventListener('online', online);
    },
  };
}
