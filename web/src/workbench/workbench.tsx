import {
  builtOf,
  type Conflict,
  type ControlPrediction,
  evaluatePlan,
  type Gate,
  gatesOf,
  isPassed,
  type Job,
  shiftOperation,
  withOperation,
} from '@splay/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Board, type Look } from '../board/board.tsx';
import { CutsBench } from '../benches/cuts/cuts-bench.tsx';
import { DonorBench } from '../benches/donor/donor-bench.tsx';
import { MarksBench } from '../benches/marks/marks-bench.tsx';
import { TrueUpBench } from '../benches/true-up/true-up-bench.tsx';
import type { BenchProps } from '../client/bench-props.ts';
import { change, createJobStore, type JobStart, type JobStore, preview, useJobState } from '../client/job-store.ts';
import { startReadingQueue } from '../client/reading-queue.ts';
import { startSaving } from '../client/save-loop.ts';
import { type BenchId, BENCHES, isBench } from '../shared/phases.ts';
import { nudgeStep } from '../ui/length-field.tsx';
import { Dialogs, type OpenDialog } from './dialogs.tsx';
import { Header } from './header.tsx';
import { Ledger } from './ledger.tsx';
import { PhaseRail } from './phase-rail.tsx';
import { snapShift } from './snap.ts';
import { useKeys } from './use-keys.ts';

const PANELS: Readonly<
  Record<BenchId, { readonly Bench: (props: BenchProps) => React.ReactNode; readonly width: string }>
> = {
  donor: { Bench: DonorBench, width: 'w-[38rem]' },
  cuts: { Bench: CutsBench, width: 'w-[19.5rem]' },
  marks: { Bench: MarksBench, width: 'w-[37rem]' },
  'true-up': { Bench: TrueUpBench, width: 'w-[41rem]' },
};

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

/** One open job: the order of work, the board, the bench at hand, and the figures that matter. */
export default function Workbench(start: JobStart) {
  const [store] = useState<JobStore>(() => createJobStore(start));
  const state = useJobState(store, ({ job, preview: shown, readings, bench, selected, showBefore, canWrite, id }) => ({
    job: shown ?? job,
    stored: job,
    readings,
    bench,
    selected,
    showBefore,
    canWrite,
    id,
  }));
  const [measurement, setMeasurement] = useState<ControlPrediction | null>(null);
  const [look, setLook] = useState<Look | null>(null);
  const [dialog, setDialog] = useState<OpenDialog | null>(null);
  const queue = useRef<ReturnType<typeof startReadingQueue> | null>(null);

  useEffect(() => {
    const stopSaving = startSaving(store);
    queue.current = startReadingQueue(store);
    const onPop = () => {
      const last = location.pathname.split('/').at(-1) ?? '';
      if (isBench(last)) store.setState({ bench: last, selected: null });
    };
    window.addEventListener('popstate', onPop);
    return () => {
      stopSaving();
      queue.current?.stop();
      window.removeEventListener('popstate', onPop);
    };
  }, [store]);

  const result = useMemo(() => evaluatePlan(state.job), [state.job]);
  const donor = useMemo(
    () =>
      evaluatePlan({
        donor: state.job.donor,
        plan: { name: '', accepted: [], operations: [] },
        rules: state.job.rules,
        display: state.job.display,
      }),
    [state.job.donor, state.job.rules, state.job.display],
  );
  const gates = useMemo(() => gatesOf(state.job, result, state.readings), [state.job, result, state.readings]);

  const go = (bench: BenchId) => {
    if (bench === state.bench) return;
    history.pushState(null, '', `/jobs/${state.id}/${bench}`);
    store.setState({ bench, selected: null });
    setMeasurement(null);
    setLook(null);
  };
  const hold = (showBefore: boolean) => store.setState({ showBefore });
  const select = (selected: string | null) => store.setState({ selected });
  const lookAt = (builtX: number, about: string | null = null) => setLook({ builtX, about });
  /** Goes to the place of a conflict: the operation it comes from, with what it is about pointed out. */
  const pickConflict = ({ operation, about, builtX, donorX }: Conflict) => {
    const at = builtX ?? (donorX === null ? null : (builtOf(result.tape, donorX) ?? donorX));
    if (at !== null) lookAt(at, about);
    select(operation ?? about);
  };

  const shiftCut = (id: string, mm: number) => (job: Job) => {
    const operation = job.plan.operations.find((candidate) => candidate.id === id);
    if (!operation) return job;
    const by = snapShift(job, operation, mm);
    return by === 0 ? job : { ...job, plan: withOperation(job.plan, shiftOperation(operation, by)) };
  };
  useKeys({ store, result, onHold: hold, onDialog: setDialog, onBench: go });

  const { Bench, width } = PANELS[state.bench];
  const props: BenchProps = {
    store,
    job: state.job,
    result,
    donor,
    readings: state.readings,
    canWrite: state.canWrite,
    selected: state.selected,
    onSelect: select,
    onShowMeasurement: setMeasurement,
    onLook: lookAt,
    onPickConflict: pickConflict,
    onReading: (reading) => queue.current?.add(reading),
  };
  const done = benchesDone(state.job, gates);
  const counts = { cuts: state.job.plan.operations.length };
  return (
    <div className="flex h-dvh overflow-hidden">
      <PhaseRail jobId={state.id} bench={state.bench} done={done} counts={counts} gates={gates} onBench={go} />
      <div className="flex min-w-0 flex-1 flex-col">
        <Header store={store} onHistory={() => setDialog('history')} onHold={hold} />
        <main className="flex min-h-0 flex-1">
          <Board
            job={state.job}
            result={result}
            donor={donor}
            showBefore={state.showBefore}
            selected={state.selected}
            measurement={measurement}
            look={look}
            onSelect={select}
            onPickConflict={pickConflict}
            onDragCut={(id, mm) => preview(store, shiftCut(id, mm))}
            onDropCut={() => {
              const shown = store.getState().preview;
              if (shown) change(store, 'Moved a cut', () => shown);
            }}
            onNudgeCut={(id, event) => {
              if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
              event.preventDefault();
              const by = nudgeStep(event, state.job.display) * (event.key === 'ArrowRight' ? 1 : -1);
              change(store, 'Nudged a cut', (job) => {
                const operation = job.plan.operations.find((candidate) => candidate.id === id);
                return operation ? { ...job, plan: withOperation(job.plan, shiftOperation(operation, by)) } : job;
              });
            }}
          />
          <aside
            aria-label={BENCHES.find((bench) => bench.id === state.bench)?.name}
            className={`${width} shrink-0 overflow-y-auto border-l border-graphite bg-sheet px-4 py-3`}
          >
            <Bench {...props} key={state.bench} />
          </aside>
        </main>
        <Ledger job={state.job} result={result} readings={state.readings} gates={gates} onBench={go} />
      </div>
      <Dialogs store={store} open={dialog} result={result} onLook={lookAt} onClose={() => setDialog(null)} />
    </div>
  );
}
