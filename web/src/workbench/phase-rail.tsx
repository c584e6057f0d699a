import { type HoldPoint, isOpen, isPassed } from '@splay/core';
import { memoized } from '../ui/memoized.ts';
import { phases } from './benches.ts';

/** How far the work has come, and ways to go elsewhere in it. */
export interface Order {
  readonly jobId: string;
  readonly bench: string;
  /** Benches whose work stands. */
  readonly done: readonly string[];
  readonly holdPoints: readonly HoldPoint[];
  readonly onBench: (bench: string) => void;
  readonly onHoldPoint: (holdPoint: HoldPoint['id']) => void;
}

/** The order of work down the left edge, with its hold points between the phases. */
export const PhaseRail = memoized(function PhaseRail({
  jobId,
  bench,
  done,
  cuts,
  holdPoints,
  onBench,
  onHoldPoint,
}: Order & { /** How many operations the plan has. */ readonly cuts: number }) {
  return (
    <nav
      aria-label="Order of work"
      className="pane flex w-34 shrink-0 [scrollbar-width:none] flex-col overflow-y-auto border-r border-graphite bg-bench min-[1180px]:w-38"
    >
      <a
        href="/"
        className="flex h-12 shrink-0 items-center gap-2.5 px-3.5 no-underline pointer-coarse:h-15"
        aria-label="Splay: all jobs"
      >
        <Mark />
        <span className="heading text-2xl">Splay</span>
      </a>
      <ol className="pb-3">
        {phases().map(({ name: phase, benches, holdPoint: holdPointId }) => {
          const holdPoint = holdPoints.find((candidate) => candidate.id === holdPointId);
          return (
            <li key={phase} className="pt-2.5">
              <h2 className="label px-3.5">{phase}</h2>
              <ul>
                {benches.map(([id, { name }]) => {
                  const current = id === bench;
                  const isDone = done.includes(id);
                  return (
                    <li key={id}>
                      <a
                        href={`/jobs/${jobId}/${id}`}
                        aria-current={current ? 'page' : undefined}
                        className={`relative flex min-h-8 items-center gap-2.5 px-3.5 ${current ? '-mr-px border-y border-graphite bg-paper font-semibold' : 'hover:bg-paper/60'}`}
                        onClick={(event) => {
                          if (event.metaKey || event.ctrlKey) return;
                          event.preventDefault();
                          onBench(id);
                        }}
                      >
                        <span
                          aria-hidden="true"
                          className={`h-3 w-3 rounded-full border-2 ${isDone ? 'border-passed bg-passed' : current ? 'border-layout bg-layout' : 'border-pencil'}`}
                        />
                        <span>{name}</span>
                        {isDone && <span className="sr-only">, done</span>}
                        {id === 'cuts' && <span className="ml-auto text-pencil">{cuts}</span>}
                      </a>
                    </li>
                  );
                })}
              </ul>
              {holdPoint && <HoldPointBar holdPoint={holdPoint} onHoldPoint={onHoldPoint} />}
            </li>
          );
        })}
      </ol>
      <p className="mt-auto px-3.5 pt-3 pb-4 text-xs text-pencil">
        Planning aid. Local codes, a licensed engineer and a qualified welder decide.
      </p>
    </nav>
  );
});

export function HoldPointBar({
  holdPoint,
  onHoldPoint,
}: {
  readonly holdPoint: HoldPoint;
  readonly onHoldPoint: Order['onHoldPoint'];
}) {
  const passed = holdPoint.checks.filter((check) => !isOpen(check)).length;
  const open = isPassed(holdPoint);
  const stopped = holdPoint.checks.some((check) => isOpen(check) && !check.signable);
  return (
    <div className={`mx-3.5 mt-2 border-t-2 pt-1 ${open ? 'border-passed text-passed' : 'border-oxide text-oxide'}`}>
      <button
        type="button"
        className={`flex min-h-7 w-full items-baseline justify-between gap-2 border-t pt-1 text-left font-semibold hover:underline ${open ? 'border-passed' : 'border-oxide'}`}
        onClick={() => onHoldPoint(holdPoint.id)}
      >
        <span className="heading">{holdPoint.name}</span>
        <span className="whitespace-nowrap">{stopped ? 'stop' : `${passed} of ${holdPoint.checks.length}`}</span>
      </button>
    </div>
  );
}

/** Two rails that part. */
function Mark() {
  return (
    <svg width="28" height="22" viewBox="0 0 28 22" fill="none" aria-hidden="true" strokeWidth="3">
      <path d="M1 8.5H11L17 4H27" stroke="var(--color-graphite)" />
      <path d="M1 13.5H11L17 18H27" stroke="var(--color-layout)" />
    </svg>
  );
}
