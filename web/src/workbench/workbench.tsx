import { emptyPlan, evaluateJob, evaluatePlan, type GateId, type ShopRecord } from '@splay/core';
import { memo, type ReactNode, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Board } from '../board/board.tsx';
import { Hatches } from '../board/hatches.tsx';
import { CutsBench } from '../benches/cuts/cuts-bench.tsx';
import { DonorBench } from '../benches/donor/donor-bench.tsx';
import { MarksBench } from '../benches/marks/marks-bench.tsx';
import { TrueUpBench } from '../benches/true-up/true-up-bench.tsx';
import type { BenchProps } from '../client/bench-props.ts';
import { createJobStore, type JobStart, type JobStore, useJobState } from '../client/job-store.ts';
import { hearRecords } from '../client/live.ts';
import { startRecordQueue } from '../client/record-queue.ts';
import { startSaving } from '../client/save-loop.ts';
import { type BenchId, BENCHES, isBench } from '../shared/phases.ts';
import { workbenchActions } from './actions.ts';
import { Dialogs, type OpenDialog } from './dialogs.tsx';
import { FloorView } from './floor-view.tsx';
import { GateDialog } from './gate-dialog.tsx';
import { Header } from './header.tsx';
import { Ledger } from './ledger.tsx';
import { PhaseRail } from './phase-rail.tsx';
import { useCatchUp } from './use-catch-up.ts';
import { useKeys } from './use-keys.ts';
import { useNarrow } from './use-narrow.ts';

const PANELS: Readonly<Record<BenchId, { readonly Bench: (props: BenchProps) => ReactNode; readonly width: string }>> =
  {
    donor: { Bench: DonorBench, width: 'w-[38rem]' },
    cuts: { Bench: CutsBench, width: 'w-[19.5rem]' },
    marks: { Bench: MarksBench, width: 'w-[37rem]' },
    'true-up': { Bench: TrueUpBench, width: 'w-[41rem]' },
  };

/** The bench at hand. Redrawn only when what it shows has changed. */
const Panel = memo(function Panel({ bench, ...props }: BenchProps & { readonly bench: BenchId }) {
  const { Bench } = PANELS[bench];
  return <Bench {...props} key={bench} />;
});

/** Saving, sending records and hearing of others', for as long as the page is open. Gives what takes one and drops one. */
function useServer(store: JobStore): Pick<BenchProps, 'onRecord' | 'onDropRecord'> {
  const queue = useRef<ReturnType<typeof startRecordQueue> | null>(null);
  useEffect(() => {
    const stopSaving = startSaving(store);
    const stopHearing = hearRecords(store);
    queue.current = startRecordQueue(store);
    return () => {
      stopSaving();
      stopHearing();
      queue.current?.stop();
    };
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
function useAddress(store: JobStore): void {
  useEffect(() => {
    const onPop = () => {
      const last = location.pathname.split('/').at(-1) ?? '';
      if (isBench(last)) store.setState({ bench: last, selected: null, look: null });
    };
    window.addEventListener('popstate', onPop);
    return () => window.removeEventListener('popstate', onPop);
  }, [store]);
}

/** One open job: the order of work, the board, the bench at hand, and the figures that matter. */
export default function Workbench(start: JobStart) {
  const [store] = useState<JobStore>(() => createJobStore(start));
  const actions = useMemo(() => workbenchActions(store), [store]);
  const server = useServer(store);
  useAddress(store);
  const state = useJobState(store, ({ job, preview, records, bench, selected, ...rest }) => ({
    job: preview ?? job,
    dragging: preview !== null,
    records,
    bench,
    selected,
    showBefore: rest.showBefore,
    measurement: rest.measurement,
    look: rest.look,
    canWrite: rest.canWrite,
    id: rest.id,
  }));
  const narrow = useNarrow();
  const [dialog, setDialog] = useState<OpenDialog | null>(null);
  const [gateId, setGateId] = useState<GateId | null>(null);

  const shown = useMemo(() => ({ job: state.job, result: evaluatePlan(state.job) }), [state.job]);
  // While a cut is dragged the board keeps up with the hand, and everything else catches up.
  const { job } = useCatchUp(shown, state.dragging);
  const whole = useMemo(() => evaluateJob(job, state.records), [job, state.records]);
  const { plan: result, gates, readings } = whole;
  const done = useMemo(() => new Set<BenchId>(whole.done), [whole.done]);
  const donor = useMemo(
    () =>
      evaluatePlan({
        donor: state.job.donor,
        body: null,
        plan: emptyPlan(''),
        rules: state.job.rules,
        display: state.job.display,
      }),
    [state.job.donor, state.job.rules, state.job.display],
  );
  useKeys({ store, result, onHold: actions.onHold, onDialog: setDialog, onBench: actions.onBench });

  const closeDialog = useCallback(() => setDialog(null), []);
  const dialogs = (
    <Dialogs
      store={store}
      open={dialog}
      result={result}
      onLook={actions.onLook}
      onShowMeasurement={actions.onShowMeasurement}
      onClose={closeDialog}
    />
  );
  const bench: BenchProps = {
    store,
    job,
    whole,
    result,
    donor,
    records: state.records,
    readings,
    canWrite: state.canWrite,
    selected: state.selected,
    onSelect: actions.onSelect,
    onShowMeasurement: actions.onShowMeasurement,
    onLook: actions.onLook,
    onPickConflict: actions.onPickConflict,
    ...server,
  };
  const gate = gates.find(({ id }) => id === gateId);
  const panel = <Panel bench={state.bench} {...bench} />;
  if (narrow)
    return (
      <>
        <Hatches />
        <FloorView bench={state.bench} gates={gates} onBench={actions.onBench} {...bench}>
          {panel}
        </FloorView>
        {dialogs}
      </>
    );
  return (
    <div className="flex h-dvh overflow-hidden">
      <Hatches />
      <PhaseRail
        jobId={state.id}
        bench={state.bench}
        done={done}
        cuts={job.plan.operations.length}
        gates={gates}
        onBench={actions.onBench}
        onGate={setGateId}
      />
      <div className="flex min-w-0 flex-1 flex-col">
        <Header store={store} onDialog={setDialog} onHold={actions.onHold} />
        <main className="flex min-h-0 flex-1">
          <Board
            job={shown.job}
            result={shown.result}
            donor={donor}
            showBefore={state.showBefore}
            selected={state.selected}
            measurement={state.measurement}
            look={state.look}
            onSelect={actions.onSelect}
            onPickConflict={actions.onPickConflict}
            onDragCut={actions.onDragCut}
            onDropCut={actions.onDropCut}
            onNudgeCut={actions.onNudgeCut}
            onCentre={actions.onCentre}
          />
          <aside
            aria-label={BENCHES.find(({ id }) => id === state.bench)?.name}
            className={`pane ${PANELS[state.bench].width} shrink-0 overflow-y-auto border-l border-graphite bg-sheet px-4 py-3`}
          >
            {panel}
          </aside>
        </main>
        <Ledger job={job} whole={whole} onBench={actions.onBench} />
      </div>
      {dialogs}
      {gate && <GateDialog {...bench} gate={gate} onBench={actions.onBench} onClose={() => setGateId(null)} />}
    </div>
  );
}
