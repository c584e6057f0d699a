import { emptyPlan, evaluatePlan, type Gate, gatesOf, isPassed, type Job, type Reading } from '@splay/core';
import { memo, type ReactNode, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Board } from '../board/board.tsx';
import { Hatches } from '../board/hatches.tsx';
import { CutsBench } from '../benches/cuts/cuts-bench.tsx';
import { DonorBench } from '../benches/donor/donor-bench.tsx';
import { MarksBench } from '../benches/marks/marks-bench.tsx';
import { TrueUpBench } from '../benches/true-up/true-up-bench.tsx';
import type { BenchProps } from '../client/bench-props.ts';
import { createJobStore, type JobStart, type JobStore, useJobState } from '../client/job-store.ts';
import { startReadingQueue } from '../client/reading-queue.ts';
import { startSaving } from '../client/save-loop.ts';
import { type BenchId, BENCHES, isBench } from '../shared/phases.ts';
import { workbenchActions } from './actions.ts';
import { Dialogs, type OpenDialog } from './dialogs.tsx';
import { FloorView } from './floor-view.tsx';
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

/** The benches whose work stands: said so by the shop (donor), or proven by the checks of the hold points. */
function benchesDone(job: Job, gates: readonly Gate[]): ReadonlySet<BenchId> {
  const [cutting, welding] = [
    gates.find((gate) => gate.id === 'before-cutting'),
    gates.find((gate) => gate.id === 'before-welding-out'),
  ];
  const planned = cutting?.checks.filter((check) => check.bench === 'cuts').every((check) => check.passed) ?? false;
  return new Set<BenchId>([
    ...job.done.filter(isBench),
    ...(planned ? (['cuts'] as const) : []),
    ...(cutting && isPassed(cutting) ? (['marks'] as const) : []),
    ...(welding && isPassed(welding) ? (['true-up'] as const) : []),
  ]);
}

/** Saving, and sending readings, for as long as the page is open. Gives what takes a reading and what drops one. */
function useServer(store: JobStore): Pick<BenchProps, 'onReading' | 'onDropReading'> {
  const queue = useRef<ReturnType<typeof startReadingQueue> | null>(null);
  useEffect(() => {
    const stopSaving = startSaving(store);
    queue.current = startReadingQueue(store);
    return () => {
      stopSaving();
      queue.current?.stop();
    };
  }, [store]);
  return useMemo(
    () => ({
      onReading: (reading: Reading) => queue.current?.add(reading),
      onDropReading: (reading: string) => queue.current?.drop(reading),
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
  const state = useJobState(store, ({ job, preview, readings, bench, selected, ...rest }) => ({
    job: preview ?? job,
    dragging: preview !== null,
    readings,
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

  const shown = useMemo(() => ({ job: state.job, result: evaluatePlan(state.job) }), [state.job]);
  // While a cut is dragged the board keeps up with the hand, and everything else catches up.
  const { job, result } = useCatchUp(shown, state.dragging);
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
  const gates = useMemo(() => gatesOf(job, result, state.readings), [job, result, state.readings]);
  const done = useMemo(() => benchesDone(job, gates), [job, gates]);
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
    result,
    donor,
    readings: state.readings,
    canWrite: state.canWrite,
    selected: state.selected,
    onSelect: actions.onSelect,
    onShowMeasurement: actions.onShowMeasurement,
    onLook: actions.onLook,
    onPickConflict: actions.onPickConflict,
    ...server,
  };
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
        <Ledger job={job} result={result} readings={state.readings} gates={gates} onBench={actions.onBench} />
      </div>
      {dialogs}
    </div>
  );
}
