import { type Operation, operationFigures, planOf } from '@splay/core';
import { memo, useMemo } from 'react';
import { jobRested, type JobStore, useJobState } from '../../../client/job-store.ts';
import { viewOf } from '../kinds/index.ts';
import type { SketchOf } from './sketch-figure.tsx';

interface SketchProps {
  readonly store: JobStore;
  /** The operation, by id. */
  readonly of: string;
}

/**
 * The geometry of an operation with the figures that the evaluation gives for it; nothing where it cannot be done. Figures
 * are told of when the hand that drags it last rested: faster they cannot be read.
 */
export const Sketch = memo(function Sketch({ store, of }: SketchProps) {
  const job = useJobState(store, jobRested);
  const figures = useMemo(() => operationFigures(job, planOf(job), of), [job, of]);
  const operation = job.plan.operations.find(({ id }) => id === of);
  if (!figures || figures.kind !== operation?.kind) return null;
  const Draw = viewOf(operation).Sketch as (props: SketchOf<Operation['kind']>) => React.ReactNode;
  return <Draw {...({ operation, figures, job } as SketchOf<Operation['kind']>)} />;
});
