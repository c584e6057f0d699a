import { builtOf, type Conflict, planOf, type FigureId, type Job, shiftOperation, withOperation } from '@splay/core';
import type { KeyboardEvent } from 'react';
import { goToBench } from '../client/go-to-bench.ts';
import { change, type JobStore, preview, type ShownMeasurement } from '../client/job-store.ts';
import { nudgeStep } from '../ui/length-field.tsx';
import { endsBetween } from './measuring.ts';
import { snapShift } from './snap.ts';

const operationOf = (job: Job, id: string) => job.plan.operations.find((operation) => operation.id === id);

export type WorkbenchActions = ReturnType<typeof workbenchActions>;

/** What the board and the benches can ask of an open job. Made once for a store, so that nothing redraws for it. */
export function workbenchActions(store: JobStore) {
  const onLook = (builtX: number, about: string | null = null) => store.setState({ look: { builtX, about } });
  const onSelect = (selected: string | null) => store.setState({ selected });
  return {
    onLook,
    onSelect,

    /** Something pressed on the board: an end of the tape while measuring, else picked. */
    onPick: (id: string | null) => {
      const { measuring, job } = store.getState();
      if (measuring === null || id === null) return onSelect(id);
      if (measuring === '') store.setState({ measuring: id, measurement: null });
      else store.setState({ measurement: endsBetween(planOf(job), measuring, id), measuring: '' });
    },
    /** Turns the board into a view in space, and back. */
    onLookAround: () => store.setState(({ lookingAround }) => ({ lookingAround: !lookingAround })),
    onMeasure: () =>
      store.setState(({ measuring }) => ({ measuring: measuring === null ? '' : null, measurement: null })),
    onThread: (thread: FigureId | null) =>
      store.setState((state) => ({ thread: state.thread === thread ? null : thread })),
    /** Keeps the layer of a bench in sight on others, or puts it away. */
    onPin: (bench: string, keep: boolean) =>
      store.setState(({ pinned }) => ({
        pinned: keep ? [...pinned, bench] : pinned.filter((each) => each !== bench),
      })),
    onDrawer: (drawer: string | null) => store.setState({ drawer }),
    onCenter: (center: number) => store.setState({ center }),
    onHold: (showBefore: boolean) => store.setState({ showBefore }),
    onShowMeasurement: (measurement: ShownMeasurement | null) => store.setState({ measurement }),

    onBench: (bench: string) => goToBench(store, bench),

    /** Goes to the place of a conflict: the operation it comes from, with what it is about pointed out. */
    onPickConflict: ({ operation, about, builtX, donorX }: Conflict) => {
      const { tape } = planOf(store.getState().job);
      const at = builtX ?? (donorX === null ? null : (builtOf(tape, donorX) ?? donorX));
      if (at !== null) onLook(at, about);
      onSelect(operation ?? about);
    },

    /** Shows a cut moved by mm from where it was when the drag began. */
    onDragCut: (id: string, mm: number) =>
      preview(store, (job) => {
        const operation = operationOf(job, id);
        const by = operation ? snapShift(job, planOf(job), operation, mm) : 0;
        return operation && by !== 0 ? { ...job, plan: withOperation(job.plan, shiftOperation(operation, by)) } : job;
      }),

    /** Makes the move that was shown last. */
    onDropCut: () => {
      const shown = store.getState().preview;
      if (shown) change(store, 'Moved a cut', () => shown);
    },

    onNudgeCut: (id: string, event: KeyboardEvent) => {
      if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
      event.preventDefault();
      const by = nudgeStep(event, store.getState().job.display) * (event.key === 'ArrowRight' ? 1 : -1);
      change(store, 'Nudged a cut', (job) => {
        const operation = operationOf(job, id);
        return operation ? { ...job, plan: withOperation(job.plan, shiftOperation(operation, by)) } : job;
      });
    },
  };
}
