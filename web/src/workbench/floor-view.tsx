import { sectionLookup } from '@splay/core';
import { Expand, Undo2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { FrameStrip } from '../board/frame-strip.tsx';
import type { BenchProps } from '../client/bench-props.ts';
import { undo, useHistory, useJobState } from '../client/job-store.ts';
import { HoldPointNotice } from './hold-point-notice.tsx';
import { PhaseBar } from './phase-bar.tsx';
import type { Order } from './phase-rail.tsx';
import { Renewed } from './renewed.tsx';
import { apartWords, SAVE_WORDS, waitingWords } from './save-words.ts';

interface FloorViewProps extends BenchProps {
  readonly order: Order;
  /** What somebody else changed, if anything. */
  readonly news: ReactNode;
  /** Lays the whole drawing over the bench. */
  readonly onDrawing: () => void;
  /** The bench at the frame. */
  readonly children: ReactNode;
}

/** A phone at the frame: one task at a time, large targets, one hand. */
export function FloorView({ order, news, onDrawing, children, ...props }: FloorViewProps) {
  const { store, job, result, donor } = props;
  const { saveState, unsent, look, measurement, asOf, keepsNothing } = useJobState(store, (state) => ({
    saveState: state.saveState,
    unsent: state.unsent,
    look: state.look,
    asOf: state.asOf,
    keepsNothing: state.keepsNothing,
    measurement: state.measurement,
  }));
  const onDonor = order.bench === 'donor' || order.bench === 'marks';
  const { past } = useHistory(store);
  return (
    <div className="flex h-dvh flex-col">
      <header className="flex min-h-12 shrink-0 items-stretch gap-3 border-b border-graphite bg-bench pl-3">
        <h1 className="heading flex min-w-0 flex-1 items-center text-lg">
          <span className="truncate">{job.name}</span>
        </h1>
        <p role="status" className="flex max-w-3/5 shrink-0 items-center text-right text-sm leading-tight text-pencil">
          {waitingWords(unsent.length) || apartWords({ asOf, keepsNothing }) || SAVE_WORDS[saveState]}
        </p>
        <Renewed />
        <button
          type="button"
          className="flex min-w-12 items-center justify-center border-l border-graphite"
          aria-label="The whole drawing"
          onClick={onDrawing}
        >
          <Expand size={20} aria-hidden="true" />
        </button>
        <button
          type="button"
          className="flex min-w-12 items-center justify-center border-l border-graphite disabled:text-rule"
          aria-label="Undo"
          disabled={past === 0 || !props.canWrite}
          onClick={() => undo(store)}
        >
          <Undo2 size={20} aria-hidden="true" />
        </button>
      </header>
      {news}
      <HoldPointNotice holdPoints={order.holdPoints} onHoldPoint={order.onHoldPoint} />
      <FrameStrip
        frame={onDonor ? donor : result}
        section={sectionLookup(job.donor)}
        at={look?.builtX ?? null}
        ends={measurement && (onDonor ? measurement.ends.donor : measurement.ends.built)}
      />
      <main className="min-h-0 flex-1 overflow-y-auto" aria-label="The bench">
        {children}
      </main>
      <PhaseBar {...order} />
    </div>
  );
}
