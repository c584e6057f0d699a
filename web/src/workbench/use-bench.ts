import { evaluateJob } from '@splay/core';
import { useEffect, useMemo } from 'react';
import type { BenchProps } from '../client/bench-props.ts';
import { jobRested, type JobStore, noteRests, useJobState } from '../client/job-store.ts';
import type { WorkbenchActions } from './actions.ts';
import { useDonor } from './drawn.ts';

/**
 * The open job with what is shown of it, evaluated: for all but the board, which catches up with the hand that drags.
 *
 * @param store The open job.
 * @param server What goes to the server.
 * @param actions What can be done at the workbench.
 */
export function useBench(
  store: JobStore,
  server: Pick<BenchProps, 'onRecord' | 'onDropRecord'>,
  actions: WorkbenchActions,
) {
  useEffect(() => noteRests(store), [store]);
  const state = useJobState(store, (now) => ({
    job: jobRested(now),
    made: now.job,
    records: now.records,
    bench: now.bench,
    selected: now.selected,
    drawer: now.drawer,
    thread: now.thread,
    measuring: now.measuring,
    showBefore: now.showBefore,
    pinned: now.pinned,
    measurement: now.measurement,
    look: now.look,
    canWrite: now.canWrite,
    canRecord: now.canRecord,
    lookingAround: now.lookingAround,
    id: now.id,
  }));
  const { job, records, canWrite, canRecord, selected } = state;
  const donor = useDonor(job);
  const whole = useMemo(() => evaluateJob(job, records), [job, records]);
  const { plan: result, readings } = whole;
  const bench: BenchProps = useMemo(
    () => ({
      store,
      job,
      whole,
      result,
      donor,
      records,
      readings,
      canWrite,
      canRecord,
      selected,
      onSelect: actions.onSelect,
      onShowMeasurement: actions.onShowMeasurement,
      onLook: actions.onLook,
      onPickConflict: actions.onPickConflict,
      ...server,
    }),
    [store, job, whole, result, donor, records, readings, canWrite, canRecord, selected, actions, server],
  );
  return { state, bench };
}
