import type { ShopRecord } from '@splay/core';
import { api } from './api.ts';
import type { JobStore } from './job-store.ts';
import { withRecords } from './record-queue.ts';

/**
 * Records that others add to the open job arrive here while the page is open. The browser connects again by itself when
 * the stream breaks; each stream begins with how many records there are, and what was missed is asked for then.
 */
export function hearRecords(store: JobStore): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  const source = new EventSource(`/api/jobs/${store.getState().id}/live`);
  const take = (more: readonly ShopRecord[]) => {
    const { records } = store.getState();
    const all = withRecords(records, more);
    if (all !== records) store.setState({ records: all });
  };
  source.addEventListener('count', (event) => {
    const { id, records, unsent } = store.getState();
    if (Number((event as MessageEvent<string>).data) === records.length - unsent.length) return;
    void api.records(id).then((answer) => answer.ok && take(answer.value));
  });
  source.addEventListener('records', (event) =>
    take(JSON.parse((event as MessageEvent<string>).data) as readonly ShopRecord[]),
  );
  return () => source.close();
}
