import {
  type LaidStitch,
  type NextStitch,
  nextStitches,
  type RunToTime,
  wallsNow,
  type WarmWall,
  weldRun,
  type WeldRun,
} from '@splay/core';
import type { Progress } from './tasks.ts';

/** How warm a wall is along its seam from one end to the other, °C, in even steps. */
export type SeamHeat = readonly number[];

/** The times of a welding, and after each stitch how warm every wall is along its seam, by its key. */
export interface TimedWelding extends WeldRun {
  readonly heats: readonly Readonly<Record<string, SeamHeat>>[];
  /** The same by the shop’s rule of the clock: how long it takes, and the hottest start, °C. */
  readonly byClock: { readonly seconds: number; readonly hottest: number };
}

/** How warm the steel is now, and when each joint's next stitch may start. */
export interface SteelNow {
  readonly heat: Readonly<Record<string, SeamHeat>>;
  readonly next: readonly NextStitch[];
}

const heatOf = (walls: ReadonlyMap<string, WarmWall>, lines: RunToTime['lines']): Readonly<Record<string, SeamHeat>> =>
  Object.fromEntries(
    [...walls].map(([key, wall]) => [key, (lines[key] ?? []).map(({ x, s }) => Math.round(wall.at(x, s)))]),
  );

/** Times a welding. */
export function timedWelding({ walls, joints, lines, rules, byClock }: RunToTime, onProgress: Progress): TimedWelding {
  const total = joints.reduce((sum, { length }) => sum + length, 0);
  const heats: Readonly<Record<string, SeamHeat>>[] = [];
  const run = weldRun(walls, joints, rules, undefined, (_, warm) => {
    heats.push(heatOf(warm, lines));
    onProgress((0.7 * heats.length) / total);
  });
  const fixed = weldRun(walls, joints, { ...rules, clock: byClock });
  onProgress(1);
  const hottest = Math.max(...fixed.stitches.map(({ temperature }) => temperature));
  return { ...run, heats, byClock: { seconds: fixed.seconds, hottest } };
}

/** How the steel stands after the stitches that were laid. */
export const steelAt = ({ walls, joints, lines, rules }: RunToTime, laid: readonly LaidStitch[]): SteelNow => ({
  heat: heatOf(wallsNow(walls, joints.flat(), laid), lines),
  next: nextStitches(walls, joints, laid, rules.limit),
});
