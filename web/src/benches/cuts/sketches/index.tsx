import {
  type Job,
  type Operation,
  placeOfOperation,
  type PlanResult,
  railAt,
  railOf,
  sectionLookup,
} from '@splay/core';
import { BoxSketch } from './box-sketch.tsx';
import { BracketSketch } from './bracket-sketch.tsx';
import { CrossmemberSketch } from './crossmember-sketch.tsx';
import { LengthSketch } from './length-sketch.tsx';
import { NotchSketch } from './notch-sketch.tsx';
import { PieSketch } from './pie-sketch.tsx';
import { StepSketch } from './step-sketch.tsx';
import { TrimSketch } from './trim-sketch.tsx';
import { WidenSketch } from './widen-sketch.tsx';

interface SketchProps {
  readonly operation: Operation;
  readonly job: Job;
  readonly result: PlanResult;
}

/** The geometry of an operation with the figures to scribe and what they do to the rail. */
export function Sketch({ operation, job, result }: SketchProps) {
  const at = placeOfOperation(operation)?.x ?? 0;
  const depth = sectionLookup(job.donor)(railAt(railOf(job.donor.rails, 'left'), at).section).depth;
  const common = { job, result, depth };
  switch (operation.kind) {
    case 'pie-cut':
      return <PieSketch operation={operation} {...common} />;
    case 'trim':
      return <TrimSketch operation={operation} {...common} />;
    case 'notch':
      return <NotchSketch operation={operation} {...common} />;
    case 'step':
      return <StepSketch operation={operation} {...common} />;
    case 'widen':
      return <WidenSketch operation={operation} {...common} />;
    case 'box':
      return <BoxSketch operation={operation} {...common} />;
    case 'crossmember':
      return <CrossmemberSketch operation={operation} {...common} />;
    case 'bracket':
      return <BracketSketch operation={operation} {...common} />;
    case 'shorten':
    case 'lengthen':
    case 'extend':
      return <LengthSketch operation={operation} {...common} />;
  }
}
