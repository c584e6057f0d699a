import { type Job, withPlanNamed } from '@splay/core';
import { change, type JobStore } from '../../client/job-store.ts';
import { PlanName } from './plan-name.tsx';

interface PlanHeadProps {
  readonly store: JobStore;
  readonly job: Job;
  readonly canWrite: boolean;
  readonly onCompare: () => void;
}

/** The plan in hand, and the way to the others. */
export function PlanHead({ store, job, canWrite, onCompare }: PlanHeadProps) {
  const others = job.variants.length;
  return (
    <div className="mb-2">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="label">Current plan</h2>
        <button type="button" className="text-sm text-layout underline underline-offset-2" onClick={onCompare}>
          {others === 0
            ? canWrite
              ? 'Try another way'
              : 'Summary'
            : `Compare with ${others} other${others > 1 ? 's' : ''}`}
        </button>
      </div>
      <PlanName
        job={job}
        name={job.plan.name}
        disabled={!canWrite}
        onRename={(name) => change(store, 'Renamed the plan', (old) => withPlanNamed(old, old.plan.name, { name }))}
      />
    </div>
  );
}
