import { type Gate, isOpen, isPassed } from '@splay/core';
import { type BenchId, PHASES } from '../shared/phases.ts';
import { still } from '../ui/still.ts';

interface PhaseRailProps {
  readonly jobId: string;
  readonly bench: BenchId;
  readonly done: ReadonlySet<BenchId>;
  /** How many operations the plan has. */
  readonly cuts: number;
  readonly gates: readonly Gate[];
  readonly onBench: (bench: BenchId) => void;
  readonly onGate: (gate: Gate['id']) => void;
}

/** The order of work down the left edge, with its hold points as gates. */
export const PhaseRail = still(function PhaseRail({
  jobId,
  bench,
  done,
  cuts,
  gates,
  onBench,
  onGate,
}: PhaseRailProps) {
  return (
    <nav
      aria-label="Order of work"
      className="pane flex w-44 shrink-0 [scrollbar-width:none] flex-col overflow-y-auto border-r border-graphite bg-bench"
    >
      <a href="/" className="flex h-12 shrink-0 items-center gap-2.5 px-4 no-underline" aria-label="Splay: all jobs">
        <Mark />
        <span className="heading text-2xl">Splay</span>
      </a>
      <ol className="pb-4">
        {PHASES.map((phase, index) => {
          const gate = gates.find((candidate) => candidate.id === phase.gate);
          return (
            <li key={phase.name} className="pt-3">
              <h2 className="label px-4">
                {index + 1} {phase.name}
              </h2>
              <ul>
                {phase.benches.map(({ id, name }) => {
                  const current = id === bench;
                  return (
                    <li key={id}>
                      <a
                        href={`/jobs/${jobId}/${id}`}
                        aria-current={current ? 'page' : undefined}
                        className={`relative flex items-center gap-2.5 px-4 py-1.5 ${current ? '-mr-px border-y border-graphite bg-paper font-semibold' : 'hover:bg-paper/60'}`}
                        onClick={(event) => {
                          if (event.metaKey || event.ctrlKey) return;
                          event.preventDefault();
                          onBench(id);
                        }}
                      >
                        <span
                          aria-hidden="true"
                          className={`h-3 w-3 rounded-full border-2 ${done.has(id) ? 'border-passed bg-passed' : current ? 'border-layout bg-layout' : 'border-pencil'}`}
                        />
                        <span>{name}</span>
                        {done.has(id) && <span className="sr-only">, done</span>}
                        {id === 'cuts' && <span className="ml-auto text-pencil">{cuts}</span>}
                      </a>
                    </li>
                  );
                })}
              </ul>
              {gate && <GateBar gate={gate} onGate={onGate} />}
            </li>
          );
        })}
      </ol>
      <p className="mt-auto px-4 pt-3 pb-4 text-xs text-pencil">
        Planning aid. Local codes, a licensed engineer and a qualified welder decide.
      </p>
    </nav>
  );
});

function GateBar({ gate, onGate }: { readonly gate: Gate; readonly onGate: PhaseRailProps['onGate'] }) {
  const passed = gate.checks.filter((check) => !isOpen(check)).length;
  const open = isPassed(gate);
  return (
    <div className={`mx-4 mt-3 border-t-2 pt-1 ${open ? 'border-passed text-passed' : 'border-oxide text-oxide'}`}>
      <button
        type="button"
        className={`flex w-full justify-between border-t pt-1 text-left text-sm font-semibold hover:underline ${open ? 'border-passed' : 'border-oxide'}`}
        onClick={() => onGate(gate.id)}
      >
        <span className="heading">{gate.name}</span>
        <span>
          {passed} of {gate.checks.length}
        </span>
      </button>
    </div>
  );
}

/** Two rails that part. */
function Mark() {
  return (
    <svg width="26" height="24" viewBox="0 0 26 24" fill="none" aria-hidden="true">
      <path d="M3 22L10 3h6l7 19" stroke="var(--color-graphite)" strokeWidth="3.2" strokeLinejoin="miter" />
      <path d="M7.5 14.5h11" stroke="var(--color-layout)" strokeWidth="3.2" />
    </svg>
  );
}
