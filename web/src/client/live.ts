import type { ShopRecord } from '@splay/core';
import { api, type RevisionNote } from './api.ts';
import type { JobStore } from './job-store.ts';
import { meet } from './meet.ts';
import { withRecords } from './record-queue.ts';

/**
 * What others do in the open job arrives here while the page is open: records that they add, revisions that they save, and who has the
 * job open. The browser connects again by itself when the stream breaks; each stream begins with how many records there are and which
 * revision is the newest, and what was missed is asked for then.
 */
export function hearJob(store: JobStore): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  const source = new EventSource(`/api/jobs/${store.getState().id}/live`);
  const on = <T>(event: string, hear: (data: T) => void) =>
    source.addEventListener(event, (message) => hear(JSON.parse((message as MessageEvent<string>).data) as T));
  const take = (more: readonly ShopRecord[]) => {
    const { records } = store.getState();
    const all = withRecords(records, more);
    if (all !== records) store.setState({ records: all });
  };
  on<number>('count', (count) => {
    const { id, records, unsent } = store.getState();
    if (count === records.length - unsent.length) return;
    void api.records(id).then((answer) => answer.ok && take(answer.value));
  });
  on<readonly ShopRecord[]>('records', take);
  on<readonly string[]>('here', (here) => store.setState({ here }));
  const stopRevisions = hearRevisions(store, (hear) => on<RevisionNote>('revision', ({ number }) => hear(number)));
  return () => {
    stopRevisions();
    source.close();
  };
}

/** Asks for the newest version when there is one that this page does not have; what it saves itself is none. */
function hearRevisions(store: JobStore, listen: (hear: (revision: number) => void) => void): () => void {
  let newest = 0;
  let asking = false;
  const ask = async (): Promise<void> => {
    const { id, revision, saveState } = store.getState();
    // A save that is under way may be what was heard of; a page that asks for a choice has its answer coming.
    if (asking || newest <= revision || saveState === 'saving' || saveState === 'stale') return;
    asking = true;
    const answer = await api.job(id);
    if (answer.ok && store.getState().saveState !== 'saving') await meet(store, answer.value);
    asking = false;
    // Another may have come while this one was asked for.
    if (answer.ok) await ask();
  };
  listen((revision) => {
    newest = Math.max(newest, revision);
    void ask();
  });
  return store.subscribe(({ saveState }, before) => {
    if (saveState !== before.saveState) void ask();
  });
}
