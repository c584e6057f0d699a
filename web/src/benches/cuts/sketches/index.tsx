import { type Job, type Operation, operationFigures, type PlanResult } from '@splay/core';
import { useMemo } from 'react';
import { BoxSketch } from './box-sketch.tsx';
import { BracketSketch } from './bracket-sketch.tsx';
import { CrossmemberSketch } from './crossmember-sketch.tsx';
import { LengthSketch } from './length-sketch.tsx';
import { NotchSketch } from './notch-sketch.tsx';
import { PieSketch } from './pie-sketch.tsx';
import type { SketchOf } from './sketch-figure.tsx';
import { StepSketch } from './step-sketch.tsx';
import { TrimSketch } from './trim-sketch.tsx';
import { WidenSketch } from './widen-sketch.tsx';

interface SketchProps {
  readonly operation: Operation;
  readonly job: Job;
  readonly result: PlanResult;
}

/** What draws each kind of operation. */
const SKETCHES: { readonly [K in Operation['kind']]: (props: SketchOf<K>) => React.ReactNode } = {
  'pie-cut': PieSketch,
  trim: TrimSketch,
  notch: NotchSketch,
  step: StepSketch,
  widen: WidenSketch,
  box: BoxSketch,
  crossmember: CrossmemberSketch,
  bracket: BracketSketch,
  shorten: LengthSketch,
  lengthen: LengthSketch,
  extend: LengthSketch,
};

/** The geometry of an operation with the figures that the evaluation gives for it; nothing where it cannot be done. */
export function Sketch({ operation, job, result }: SketchProps) {
  const figures = useMemo(() => operationFigures(job, result, operation.id), [job, result, operation.id]);
  // While a drag catches up the figures may be of another kind than the operation for a moment.
  if (!figures || figures.kind !== operation.kind) return null;
  const Draw = SKETCHES[operation.kind] as (props: SketchOf<Operation['kind']>) => React.ReactNode;
  return <Draw {...({ operation, figures, job } as SketchOf<Operation['kind']>)} />;
}
