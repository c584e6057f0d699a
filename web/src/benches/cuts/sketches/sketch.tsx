import { type Job, type Operation, operationFigures, type PlanResult } from '@splay/core';
import { useMemo } from 'react';
import { viewOf } from '../kinds/index.ts';
import type { SketchOf } from './sketch-figure.tsx';

interface SketchProps {
  readonly operation: Operation;
  readonly job: Job;
  readonly result: PlanResult;
}

/** The geometry of an operation with the figures that the evaluation gives for it; nothing where it cannot be done. */
export function Sketch({ operation, job, result }: SketchProps) {
  const figures = useMemo(() => operationFigures(job, result, operation.id), [job, result, operation.id]);
  // While a drag catches up the figures may be of another kind than the operation for a moment.
  if (!figures || figures.kind !== operation.kind) return null;
  const Draw = viewOf(operation).Sketch as (props: SketchOf<Operation['kind']>) => React.ReactNode;
  return <Draw {...({ operation, figures, job } as SketchOf<Operation['kind']>)} />;
}
