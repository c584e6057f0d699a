import { type Gate, isOpen, isPassed, sectionLookup } from '@splay/core';
import type { ReactNode } from 'react';
import { PlanStrip } from '../benches/cuts/plan-strip.tsx';
import { FloorSurvey } from '../benches/donor/floor-survey.tsx';
import { FloorMarks } from '../benches/marks/floor-marks.tsx';
import { FloorReadings } from '../benches/true-up/floor-readings.tsx';
import { reachOfAll } from '../board/view.ts';
import type { BenchProps } from '../client/bench-props.ts';
import { useJobState } from '../client/job-store.ts';
import { type BenchId, BENCHES } from '../shared/phases.ts';
import { SAVE_WORDS, waitingWords } from './save-words.ts';

interface FloorViewProps extends BenchProps {
  readonly bench: BenchId;
  readonly gates: readonly Gate[];
  readonly onBench: (bench: BenchId) => void;
  /** The bench as it is on a large screen, for those without a floor view of their own. */
  readonly children: ReactNode;
}

/** A phone or small tablet at the frame: one task at a time, large targets, one hand. */
export function FloorView({ bench, gates, onBench, children, ...props }: FloorViewProps) {
  const { saveState, unsent } = useJobState(props.store, (state) => ({
    saveState: state.saveState,
    unsent: state.unsent,
  }));
  const gate = gates.find((candidate) => !isPassed(candidate));
  const missing = gate?.checks.find(isOpen);
  return (
    <div className="flex h-dvh flex-col">
      <header className="flex min-h-12 shrink-0 items-center justify-between gap-3 border-b border-graphite bg-bench px-3">
        <a href="/" className="heading flex min-h-12 min-w-0 items-center text-lg">
          <span className="truncate">{props.job.name}</span>
        </a>
        <p role="status" className="text-right text-sm text-pencil">
          {waitingWords(unsent.length) || SAVE_WORDS[saveState]}
        </p>
      </header>
      {gate && (
        <p className="shrink-0 bg-[#86301f] px-3 py-1 text-sm text-on-night">
          {gate.name}: {missing?.name.toLowerCase()}, {missing?.detail}
        </p>
      )}
      <main className="min-h-0 flex-1 overflow-y-auto" tabIndex={0}>
        {bench === 'true-up' ? (
          <FloorReadings {...props} />
        ) : bench === 'marks' ? (
          <FloorMarks {...props} />
        ) : bench === 'donor' ? (
          <FloorSurvey {...props} />
        ) : (
          <>
            <p className="border-b border-rule bg-ochre-wash px-3 py-2 text-sm">
              At a glance: what goes, and the frame as built. The full drawing needs a larger screen.
            </p>
            <div className="px-3 pt-3">
              <PlanStrip
                result={props.result}
                section={sectionLookup(props.job.donor)}
                reach={reachOfAll([props.donor, props.result])}
                width={350}
              />
            </div>
            <div className="overflow-x-auto p-3">{children}</div>
          </>
        )}
      </main>
      <nav aria-label="Order of work" className="flex shrink-0 border-t border-graphite bg-bench">
        {BENCHES.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            aria-current={id === bench ? 'page' : undefined}
            className={`min-h-14 flex-1 border-r border-rule last:border-r-0 ${id === bench ? 'bg-paper font-semibold' : ''}`}
            onClick={() => onBench(id)}
          >
            {name}
          </button>
        ))}
      </nav>
    </div>
  );
}
