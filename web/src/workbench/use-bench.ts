import { emptyPlan, evaluateJob, evaluatePlan, planOf } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../client/bench-props.ts';
import { type JobStore, useJobState } from '../client/job-store.ts';
import { useCatchUp } from '../ui/use-catch-up.ts';
import type { WorkbenchActions } from './actions.ts';

/**
 * The open job with what is shown of it, evaluated: for the board, which keeps up with the hand that drags, and for the bench
 * and everything else beside it, which catches up.
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
  const state = useJobState(store, ({ job, preview, records, bench, selected, ...rest }) => ({
    job: preview ?? job,
    dragging: preview !== null,
    records,
    bench,
    selected,
    drawer: rest.drawer,
    thread: rest.thread,
    measuring: rest.measuring,
    showBefore: rest.showBefore,
    pinned: rest.pinned,
    measurement: rest.measurement,
    look: rest.look,
    canWrite: rest.canWrite,
    canRecord: rest.canRecord,
    lookingAround: rest.lookingAround,
    id: rest.id,
  }));
  const standing = useMemo(
    () =>
      evaluatePlan({
        donor: state.job.donor,
        bodies: [],
        plan: emptyPlan(''),
        rules: state.job.rules,
        display: state.job.display,
      }),
    [state.job.donor, state.job.rules, state.job.display],
  );
  const shown = useMemo(() => ({ job: state.job, result: planOf(state.job), donor: standing }), [state.job, standing]);
  const { job, donor } = useCatchUp(shown, state.dragging);
  const whole = useMemo(() => evaluateJob(job, state.records), [job, state.records]);
  const { plan: result, readings } = whole;
  const bench: BenchProps = useMemo(
    () => ({
      store,
      job,
      whole,
      result,
      donor,
      records: state.records,
      readings,
      canWrite: state.canWrite,
      canRecord: state.canRecord,
      selected: state.selected,
      onSelect: actions.onSelect,
      onShowMeasurement: actions.onShowMeasurement,
      onLook: actions.onLook,
      onPickConflict: actions.onPickConflict,
      ...server,
    }),
    [
      store,
      job,
      whole,
      result,
      donor,
      state.records,
      readings,
      state.canWrite,
      state.canRecord,
      state.selected,
      actions,
      server,
    ],
  );
  const drawn = useMemo(() => ({ ...bench, ...shown, onSelect: actions.onPick }), [bench, shown, actions]);
  return { state, bench, drawn };
}
