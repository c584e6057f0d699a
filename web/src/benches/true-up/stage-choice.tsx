import { type Stage, STAGE_NAMES, stageCount, STAGES } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { useJobState } from '../../client/job-store.ts';

/** The stage that is looked at: the one asked for, else the one at hand. */
export const useStage = ({ store, whole }: Pick<BenchProps, 'store' | 'whole'>): Stage =>
  useJobState(store, (state) => state.stage) ?? whole.stage;

/** When readings are taken, one of four, and how those of that stage stand. */
export function StageChoice(props: BenchProps) {
  const { store, job, result, readings } = props;
  const stage = useStage(props);
  const count = stageCount(job, result, readings, stage);
  return (
    <div className="mb-2 flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
      <div
        role="group"
        aria-label="Stage of the job"
        className="grid flex-1 grid-cols-[auto_auto] border border-graphite [&>*:nth-child(n+3)]:border-t [&>*:nth-child(odd)]:border-r"
      >
        {STAGES.map((candidate) => (
          <button
            key={candidate}
            type="button"
            aria-pressed={candidate === stage}
            className={`min-h-8 border-graphite px-2 text-sm ${candidate === stage ? 'bg-graphite font-semibold text-paper' : ''}`}
            onClick={() => store.setState({ stage: candidate })}
          >
            {STAGE_NAMES[candidate]}
          </button>
        ))}
      </div>
      <p className="text-sm whitespace-nowrap" role="status">
        <b className="text-passed">{count.right}</b> right
        {count.wrong > 0 && (
          <>
            {', '}
            <b className="text-oxide">{count.wrong}</b> not
          </>
        )}
        {count.missing > 0 && `, ${count.missing} to take`}
      </p>
    </div>
  );
}
