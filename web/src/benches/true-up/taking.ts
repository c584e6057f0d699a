import {
  type CautionStep,
  type ControlPrediction,
  type Reading,
  readingProblem,
  type ReadingVerdict,
  type Stage,
  stageCount,
  STAGES,
} from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import type { VerdictKind } from '../../ui/verdict.tsx';

export const LOOKS: Readonly<Record<ReadingVerdict['verdict'], VerdictKind>> = {
  right: 'good',
  off: 'stop',
  misread: 'warn',
  'no-target': 'note',
};

/** The stage a shop is at: the last one begun, or the next where all its readings are right. */
export function stageNow({ job, result, readings }: Pick<BenchProps, 'job' | 'result' | 'readings'>): Stage {
  const begun = STAGES.findLastIndex((stage) => readings.some((reading) => reading.stage === stage));
  const open = STAGES.slice(Math.max(0, begun)).find((stage) => {
    const count = stageCount(job, result, readings, stage);
    return count.right < count.total;
  });
  return open ?? 'welded';
}

/** What is done next at a stage, and can hurt: what was read before the cut is followed by the saw. */
export const cautionStepOf = (stage: Stage): CautionStep => (stage === 'before-cut' ? 'cutting' : 'welding');

/** A reading taken now, with an id of this device's making. */
export const newReading = (control: ControlPrediction, stage: Stage, value: number, by: string): Reading => ({
  id: crypto.randomUUID(),
  measurement: control.measurement.id,
  stage,
  value,
  taken: new Date().toISOString(),
  by,
});

/** What is wrong with a reading that can be read as a length, or nothing. */
export const readingProblemOf = ({ measurement }: ControlPrediction, mm: number): string =>
  readingProblem(measurement.kind, mm) ?? '';
