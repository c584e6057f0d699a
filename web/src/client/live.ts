import type { ShopRecord } from '@splay/core';
import { api } from './api.ts';
import type { JobStore } from './job-store.ts';
import { withRecords } from './record-queue.ts';

/**
 * Records that others add to the open job arrive here while the page is open. The browser connects again by itself when
 * the stream breaks; what was missed meanwhile is asked for then.
 */
export function hearRecords(store: JobStore): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  const source = new EventSource(`/api/jobs/${store.getState().id}/live`);
  const take = (more: readonly ShopRecord[]) => {
    const { records } = store.getState();
    const all = withRecords(records, more);
    if (all !== records) store.setState({ records: all });
  };
  let opened = 0;
  source.addEventListener('open', () => {
    opened += 1;
    if (opened > 1) void api.records(store.getState().id).then((answer) => answer.ok && take(answer.value));
  });
  source.addEventListener('records', (event) =>
    take(JSON.parse((event as MessageEvent<string>).data) as readonly ShopRecord[]),
  );
  return () => source.close();
}
