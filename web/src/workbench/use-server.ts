import type { ShopRecord } from '@splay/core';
import { useEffect, useMemo, useRef } from 'react';
import { sendAs } from '../client/api.ts';
import type { BenchProps } from '../client/bench-props.ts';
import type { JobStore } from '../client/job-store.ts';
import { hearJob } from '../client/live.ts';
import { takeUpDraft } from '../client/meet.ts';
import { catchUp, keepOpenJob } from '../client/open-job.ts';
import { startRecordQueue } from '../client/record-queue.ts';
import { startSaving } from '../client/save-loop.ts';
import { isBench } from './benches.ts';

/** Saving, sending records and hearing of others', for as long as the page is open. Gives what takes one and drops one. */
export function useServer(store: JobStore): Pick<BenchProps, 'onRecord' | 'onDropRecord'> {
  const queue = useRef<ReturnType<typeof startRecordQueue> | null>(null);
  useEffect(() => {
    sendAs(store.getState().me);
    queue.current = startRecordQueue(store);
    const stops = [startSaving(store), hearJob(store), keepOpenJob(store), catchUp(store), queue.current.stop];
    void takeUpDraft(store);
    return () => stops.forEach((stop) => stop());
  }, [store]);
  return useMemo(
    () => ({
      onRecord: (record: ShopRecord) => queue.current?.add(record),
      onDropRecord: (record: string) => queue.current?.drop(record),
    }),
    [],
  );
}

/** The bench in the address, also when somebody goes back to it. */
export function useAddress(store: JobStore): void {
  useEffect(() => {
    const onPop = () => {
      const last = location.pathname.split('/').at(-1) ?? '';
      if (isBench(last)) store.setState({ bench: last, selected: null, look: null, drawer: null });
    };
    window.addEventListener('popstate', onPop);
    // What is open over the tray is part of the address, so that a reload or a link opens it again.
    const unsubscribe = store.subscribe(({ drawer }, before) => {
      if (drawer !== before.drawer)
        history.replaceState(null, '', drawer ? `#${drawer}` : `${location.pathname}${location.search}`);
    });
    return () => {
      window.removeEventListener('popstate', onPop);
      unsubscribe();
    };
  }, [store]);
}
