import { dotted, type Job, planOf, type PlanResult } from '@splay/core';
import type { ComponentType } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { type JobStore, useJobState } from '../../client/job-store.ts';

/** Jobs of which only the first operations are done, by the whole job: evaluated once for all who ask. */
const partly = new WeakMap<Job, Map<string, PlanResult>>();

/** What the plan gives once the operations up to one are done. */
function planUpTo(job: Job, operation: string): PlanResult {
  const known = partly.get(job) ?? new Map<string, PlanResult>();
  partly.set(job, known);
  const last = job.plan.operations.findIndex(({ id }) => id === operation);
  const found =
    known.get(operation) ??
    planOf({ ...job, plan: { ...job.plan, operations: job.plan.operations.slice(0, last + 1) } });
  known.set(operation, found);
  return found;
}

interface Step {
  readonly id: string;
  readonly name: string;
}

/** The operations after which the frame is measured: those that part its rails, but the last of all. */
const stepsOn = ({ plan: { operations } }: Job, result: PlanResult): readonly Step[] => {
  const cutting = operations.flatMap(({ id }): Step[] => {
    const letters = result.operations.find(({ operation }) => operation.id === id)?.letters ?? [];
    return letters.length > 0 ? [{ id, name: dotted(letters) }] : [];
  });
  return cutting.slice(0, -1);
};

/** The operation up to which the frame is done, where that is not the last; null: all of them. */
function useAsFar({ store, job, result }: { readonly store: JobStore } & Pick<BenchProps, 'job' | 'result'>) {
  const asked = useJobState(store, (state) => state.asFar);
  return stepsOn(job, result).find(({ id }) => id === asked)?.id ?? null;
}

/** A part of the bench that looks at the frame as far as it is done. */
export function asFar<Props extends BenchProps>(Part: ComponentType<Props>): ComponentType<Props> {
  return function AsFar(props: Props) {
    const upTo = useAsFar(props);
    return <Part {...props} result={upTo === null ? props.result : planUpTo(props.job, upTo)} />;
  };
}

/** How far the frame is done: what its readings are held against. Not asked where there is one cut. */
export function AsFarChoice({ store, job, whole }: Pick<BenchProps, 'store' | 'job' | 'whole'>) {
  const steps = stepsOn(job, whole.plan);
  const upTo = useAsFar({ store, job, result: whole.plan });
  if (steps.length === 0) return null;
  return (
    <label className="mb-2 block text-sm text-pencil">
      Compared with the frame
      <select
        className="field mt-1 min-h-8 text-graphite"
        value={upTo ?? ''}
        onChange={(event) => store.setState({ asFar: event.target.value === '' ? null : event.target.value })}
      >
        <option value="">with everything done</option>
        {steps.map(({ id, name }) => (
          <option key={id} value={id}>
            with {name} done, the rest to come
          </option>
        ))}
      </select>
    </label>
  );
}
