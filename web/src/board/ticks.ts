import { inches, type LengthFormat } from '@splay/core';

/** Spacing of the tape's marks, mm: numbered ones, and the small ones between. */
export interface TickStep {
  readonly major: number;
  readonly minor: number;
}

const INCH_STEPS = [
  [1, 1 / 16],
  [1, 1 / 8],
  [2, 1 / 2],
  [3, 1 / 2],
  [6, 1],
  [12, 2],
  [24, 6],
  [48, 12],
  [120, 24],
].map(([major, minor]) => ({ major: inches(major ?? 1), minor: inches(minor ?? 1) }));

const MM_STEPS = [
  [10, 1],
  [20, 2],
  [50, 5],
  [100, 10],
  [200, 50],
  [500, 100],
  [1000, 200],
  [2000, 500],
].map(([major, minor]) => ({ major: major ?? 1, minor: minor ?? 1 }));

/** The closest marks whose figures stay apart and whose small marks stay distinct at `scale` px per mm. */
export function tickStep(scale: number, format: LengthFormat): TickStep {
  const steps = format.unit === 'in' ? INCH_STEPS : MM_STEPS;
  return (
    steps.find(({ major, minor }) => major * scale >= 40 && minor * scale >= 5) ?? (steps[steps.length - 1] as TickStep)
  );
}

/** The first and the last multiple of `step` from `from` to `to`, mm; the last before the first where there is none. */
export function outermost(from: number, to: number, step: number): readonly [first: number, last: number] {
  return [Math.ceil(from / step - 1e-9) * step, Math.floor(to / step + 1e-9) * step];
}

/** Multiples of `step` from `from` to `to`, mm. */
export function multiples(from: number, to: number, step: number): number[] {
  const [first, last] = outermost(from, to, step);
  const count = Math.round((last - first) / step) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, index) => first + index * step);
}
