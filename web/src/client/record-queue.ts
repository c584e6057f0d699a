import type { ShopRecord } from '@splay/core';
import { api } from './api.ts';
import { forgetRecords, keepRecord, type KeptRecord, keptRecords, takeEarlier } from './device.ts';
import type { JobStore } from './job-store.ts';

const RETRY_MS = 3000;
/** So many are sent at once. */
const MOST_AT_ONCE = 200;

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
  /** When what this device kept has been taken up. */
  readonly ready: Promise<void>;
} {
  const { id: job, me, memberName } = store.getState();
  let waiting: readonly ShopRecord[] = [];
  /** Records that others took on this device: shown as waiting, and sent as nobody else. */
  let ofOthers: readonly ShopRecord[] = [];
  /** Records that were taken on this page: they are not what was left by an earlier one. */
  const taken = new Set<string>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;
  let stopped = false;

  const wait = (queue: readonly ShopRecord[]) => {
    waiting = queue;
    store.setState({ unsent: [...queue, ...ofOthers].map((record) => record.id) });
  };

  /** Keeps a record on the device, and says so where the device cannot. */
  const keep = async (kept: KeptRecord) => {
    if (!(await keepRecord(kept))) store.setState({ keepsNothing: true });
  };

  async function send(): Promise<void> {
    clearTimeout(timer);
    if (busy || stopped || waiting.length === 0) return;
    busy = true;
    const answer = await api.sendRecords(job, waiting.slice(0, MOST_AT_ONCE));
    busy = false;
    if (answer.ok) {
      const { records, refused } = answer.value;
      const why = new Map(refused.map((one) => [one.id, one.message]));
      const there = new Set(records.map((record) => record.id));
      // What the server will not take steps aside with its reason: it holds up nothing, and is not lost.
      const aside = waiting.flatMap((record) => {
        const message = why.get(record.id);
        return message === undefined ? [] : [{ record, message }];
      });
      const { records: known, refusedRecords } = store.getState();
      // A record is as the server has it: by whom it was taken is whoever is signed in.
      const shown = known.filter((record) => !there.has(record.id) && !why.has(record.id));
      store.setState({ records: [...shown, ...records], refusedRecords: [...refusedRecords, ...aside] });
      wait(waiting.filter((record) => !there.has(record.id) && !why.has(record.id)));
      void forgetRecords([...there]);
      for (const { record, message } of aside) void keep({ job, record, person: me, refused: message });
      void send();
    } else if (answer.reason === 'offline') {
      timer = setTimeout(() => void send(), RETRY_MS);
    } else {
      // Trying again would not help; the records stay on this device and the header says why.
      const detail = answer.problems[0]?.message ?? answer.detail;
      store.setState({ saveState: answer.reason === 'signed-out' ? 'signed-out' : 'refused', saveDetail: detail });
    }
  }

  async function takeUp(): Promise<void> {
    await takeEarlier(job);
    const kept = (await keptRecords(job)).filter(({ record }) => !taken.has(record.id));
    // An earlier version of the program kept the name alone.
    const isMine = ({ person, record }: KeptRecord) => (person === null ? record.by === memberName : person === me);
    const left = kept.flatMap((one) => (one.refused === null && isMine(one) ? [one.record] : []));
    ofOthers = kept.flatMap((one) => (one.refused === null && !isMine(one) ? [one.record] : []));
    const refusedRecords = kept.flatMap((one) =>
      one.refused !== null && isMine(one) ? [{ record: one.record, message: one.refused }] : [],
    );
    if (refusedRecords.length > 0)
      store.setState({ refusedRecords: [...refusedRecords, ...store.getState().refusedRecords] });
    if (left.length + ofOthers.length === 0) return;
    store.setState({ records: withRecords(store.getState().records, [...left, ...ofOthers]) });
    wait([...left, ...waiting]);
    void send();
  }

  const online = () => void send();
  window.addEventListener('online', online);
  // Whoever signed in again in another window comes back to this one.
  window.addEventListener('focus', online);
  return {
    ready: takeUp(),
    add: (record) => {
      taken.add(record.id);
      wait([...waiting, record]);
      store.setState({ records: [...store.getState().records, record] });
      void keep({ job, record, person: me, refused: null });
      void send();
    },
    drop: (id) => {
      store.setState({ refusedRecords: store.getState().refusedRecords.filter(({ record }) => record.id !== id) });
      void forgetRecords([id]);
    },
    stop: () => {
      stopped = true;
      clearTimeout(timer);
      window.removeEventListener('online', online);
      window.removeEventListener('focus', online);
    },
  };
}
