import { type CautionStep, type ControlPrediction, readingProblem, type ReadingVerdict, type Stage } from '@splay/core';
import type { VerdictKind } from '../../ui/verdict.tsx';

export const LOOKS: Readonly<Record<ReadingVerdict['verdict'], VerdictKind>> = {
  right: 'good',
  off: 'stop',
  misread: 'warn',
  'no-target': 'note',
};

/** How far the two ends of a measurement lie apart along the level, mm; null for a height. */
export function levelApart({ ends }: ControlPrediction, stage: Stage): number | null {
  const [a, b] = (stage === 'before-cut' ? ends.donor : ends.built) ?? [];
  return a && b ? Math.hypot(b.x - a.x, b.y - a.y) : null;
}

/** What is done next at a stage, and can hurt: what was read before the cut is followed by the saw. */
export const cautionStepOf = (stage: Stage): CautionStep => (stage === 'before-cut' ? 'cutting' : 'welding');

/** What is wrong with a reading that can be read as a length, or nothing. */
export const readingProblemOf = ({ measurement }: ControlPrediction, mm: number): string =>
  readingProblem(measurement.kind, mm) ?? '';
