import {
  type ControlPrediction,
  judgeReading,
  latestReadings,
  type Reading,
  type ReadingVerdict,
  type Stage,
  targetOf,
  type Vec3,
} from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';

/** A measurement as it stands at a stage. */
export interface ReadLine {
  readonly control: ControlPrediction;
  readonly reading: Reading | undefined;
  readonly judged: ReadingVerdict | null;
  readonly target: number | null;
  /** Where its ends are at that stage: on the donor before the cut, else as built; null where they are not there. */
  readonly ends: readonly Vec3[] | null;
}

/** Every control measurement with its reading and verdict at a stage. */
export function readLines({ job, result, readings }: Pick<BenchProps, 'job' | 'result' | 'readings'>, stage: Stage) {
  const latest = latestReadings(readings, stage);
  return result.controls.map((control): ReadLine => {
    const reading = latest.get(control.measurement.id);
    return {
      control,
      reading,
      judged: reading ? judgeReading(control, reading, job.rules, job.display) : null,
      target: targetOf(control, stage),
      ends: stage === 'before-cut' ? control.ends.donor : control.ends.built,
    };
  });
}

/** The measurement at hand: the one that is picked, else the first that is still to be taken, else the first wrong. */
export const selectedLine = (lines: readonly ReadLine[], selected: string | null): ReadLine | undefined =>
  lines.find(({ control }) => control.measurement.id === selected) ??
  lines.find(({ reading, target }) => !reading && target !== null) ??
  lines.find((line) => lookOf(line) === 'wrong' || lookOf(line) === 'misread') ??
  lines[0];

/** How the line of a measurement is drawn: what it means by its ink, its dash and its width. */
export type LineLook = 'right' | 'wrong' | 'misread' | 'missing';

export const lookOf = ({ judged }: ReadLine): LineLook =>
  judged === null || judged.verdict === 'no-target' ? 'missing' : judged.verdict === 'off' ? 'wrong' : judged.verdict;

export const INKS: Readonly<Record<LineLook, string>> = {
  right: 'var(--color-passed)',
  wrong: 'var(--color-oxide)',
  misread: 'var(--color-ochre)',
  missing: 'var(--color-pencil)',
};
