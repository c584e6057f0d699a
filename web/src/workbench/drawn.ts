import { emptyPlan, evaluatePlan, type Job, planOf, type PlanResult } from '@splay/core';
import { type ReactNode, useMemo } from 'react';
import type { BenchProps } from '../client/bench-props.ts';
import { jobNow, useJobState } from '../client/job-store.ts';

/** The donor of a job alone, as it stands, evaluated. */
export function useDonor({ donor, rules, display }: Job): PlanResult {
  return useMemo(
    () => evaluatePlan({ donor, bodies: [], plan: emptyPlan(''), rules, display }),
    [donor, rules, display],
  );
}

interface DrawnProps {
  /** The bench as everything beside the drawing has it. */
  readonly bench: BenchProps;
  /** Whether anything that is drawn is of the plan; if not, it is not worked out for every move. */
  readonly plan: boolean;
  /** Picks what is pressed on the drawing. */
  readonly onPick: BenchProps['onSelect'];
  readonly children: (bench: BenchProps) => ReactNode;
}

/** The bench as it is drawn: up with the hand that drags something. Nothing else is drawn for every move. */
export function Drawn({ bench, plan, onPick, children }: DrawnProps) {
  const job = useJobState(bench.store, jobNow);
  const donor = useDonor(job);
  const drawn = useMemo(
    () => ({ ...bench, job, result: plan ? planOf(job) : bench.result, donor, onSelect: onPick }),
    [bench, plan, job, donor, onPick],
  );
  return children(drawn);
}
