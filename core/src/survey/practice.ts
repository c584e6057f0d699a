import type { Vec3 } from '../frame/index.ts';
import type { ControlPrediction } from '../plan/index.ts';
import { type Rulebook } from '../rules/index.ts';
import { inches } from '../units/index.ts';
import { observationOf } from './frame-survey.ts';
import { withRearMoved } from './halves.ts';
import { type Holds, type MoveLine, rigidOfLine } from './moves.ts';
import { type Points, readOf } from './observation.ts';
import { toleranceOf } from './reading.ts';
import { movedBy } from './rigid-move.ts';

/** How hard a practice frame is. */
export const PRACTICE_LEVELS = {
  1: { name: 'One thing wrong', kinds: 1, noise: 0.2, misreads: 0 },
  2: { name: 'Length, height and square', kinds: 3, noise: 0.5, misreads: 0.02 },
  3: { name: 'Everything, and a tape that lies', kinds: 6, noise: 0.8, misreads: 0.06 },
} as const;
export type PracticeLevel = keyof typeof PRACTICE_LEVELS;

/** A frame in two halves of which nobody sees the truth: only what an instrument reads of it. */
export interface PracticeFrame {
  readonly level: PracticeLevel;
  /** Ids of the points of the loose half. */
  readonly rear: readonly string[];
  readonly holds: Holds;
  /** Where the points really are, mm. Never shown until it is over. */
  readonly truth: Points;
  /** What the next number is drawn from. */
  readonly seed: number;
  readonly readings: number;
  readonly moves: number;
}

/** A stream of numbers between 0 and 1 that is drawn from until it is left (Park and Miller, minimal standard). */
function streamOf(seed: number) {
  let state = Math.max(1, Math.floor(seed) % 2147483647);
  const next = (): number => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
  return {
    next,
    within: (most: number) => (2 * next() - 1) * most,
    normal: () => Math.sqrt(-2 * Math.log(Math.max(1e-12, next()))) * Math.cos(2 * Math.PI * next()),
    seed: () => state,
  };
}

/** How far a practice frame is out at the most: mm, and mm over the length or width of the loose half. */
const MOST = inches(3 / 8);

/**
 * A crooked frame to practice on: its loose half lies where a seed says.
 *
 * @param nominal Where each point should be, mm.
 * @param looseFrom Station behind which it is loose, mm.
 * @param holds Where the loose half is held.
 * @param level How hard it is.
 * @param seed A whole number above 0.
 */
export function practiceFrame(
  nominal: Points,
  looseFrom: number,
  holds: Holds,
  level: PracticeLevel,
  seed: number,
): PracticeFrame {
  const stream = streamOf(seed);
  const rear = Object.keys(nominal).filter((id) => (nominal[id] as Vec3).x >= looseFrom);
  const kinds = PRACTICE_LEVELS[level].kinds;
  const all = ['back', 'rear-right', 'rear-up', 'front-right', 'right-up', 'front-up'] as const;
  // The first is drawn, the others follow in order: every level has its own mixture.
  const first = Math.floor(stream.next() * all.length);
  const wrong = all.map((_, at) => all[(first + at) % all.length] as (typeof all)[number]).slice(0, kinds);
  const amount = (way: (typeof all)[number]): number => {
    if (!wrong.includes(way)) return 0;
    const by = stream.within(MOST);
    // So much that it is worth moving.
    return Math.abs(by) < MOST / 3 ? Math.sign(by || 1) * (MOST / 3 + Math.abs(by)) : by;
  };
  const long = holds.rear - holds.front;
  const by = {
    back: amount('back'),
    frontRight: amount('front-right'),
    rearRight: amount('rear-right'),
    frontUp: amount('front-up'),
    rearUp: amount('rear-up'),
    rightUp: amount('right-up'),
  };
  const move = {
    about: { x: holds.front, y: 0, z: holds.z },
    shift: { x: by.back, y: by.frontRight, z: by.frontUp },
    turn: {
      x: by.rightUp / holds.out / 2,
      y: -(by.rearUp - by.frontUp) / long,
      z: (by.rearRight - by.frontRight) / long,
    },
  };
  const truth = {
    ...nominal,
    ...Object.fromEntries(rear.map((id) => [id, movedBy(nominal[id] as Vec3, move)])),
  };
  return { level, rear, holds, truth, seed: stream.seed(), readings: 0, moves: 0 };
}

/**
 * What the instrument reads of a practice frame, and the frame after it was read: with the noise of its level, now and then an
 * inch off, to the nearest 1/64 in.
 *
 * @param frame The frame.
 * @param control What is measured.
 * @param rules The shop's rules.
 */
export function readPractice(
  frame: PracticeFrame,
  control: ControlPrediction,
  rules: Rulebook,
): { readonly value: number; readonly frame: PracticeFrame } {
  const stream = streamOf(frame.seed);
  const { noise, misreads } = PRACTICE_LEVELS[frame.level];
  const true_ = readOf(frame.truth, observationOf(control, 0, rules));
  const lies = control.kind !== 'height' && control.kind !== 'rise' && stream.next() < misreads;
  const value = true_ + noise * stream.normal() + (lies ? inches(1) : 0);
  const step = inches(1 / 64);
  return {
    value: Math.round(value / step) * step,
    frame: { ...frame, seed: stream.seed(), readings: frame.readings + 1 },
  };
}

/**
 * A practice frame after one thing was done to its loose half, as exactly as hands do it.
 *
 * @param frame The frame.
 * @param line What is done.
 */
export function movePractice(frame: PracticeFrame, line: MoveLine): PracticeFrame {
  const stream = streamOf(frame.seed);
  const by = line.by * (1 + stream.within(0.04)) + stream.within(0.25);
  const truth = withRearMoved({ points: frame.truth, rear: frame.rear }, rigidOfLine({ ...line, by }, frame.holds));
  return { ...frame, truth, seed: stream.seed(), moves: frame.moves + 1 };
}

/** How well a practice frame was brought true. */
export interface PracticeScore {
  /** The farthest of all measurements from what it should be, in what is allowed; up to 1 it is true. */
  readonly worst: number;
  readonly wrong: number;
  readonly true: boolean;
  /** 0 to 100: less for every reading more than one of each, and for every move more than a hand has fingers. */
  readonly points: number;
}

/** Moves that cost nothing. */
const FREE_MOVES = 5;

/**
 * How true a practice frame is by now: known only here.
 *
 * @param frame The frame.
 * @param controls Everything that can be measured.
 * @param rules The shop's rules: what is allowed.
 */
export function scorePractice(
  frame: PracticeFrame,
  controls: readonly ControlPrediction[],
  rules: Rulebook,
): PracticeScore {
  const offs = controls.flatMap((control) =>
    control.predicted === null
      ? []
      : [
          Math.abs(readOf(frame.truth, observationOf(control, 0, rules)) - control.predicted) /
            toleranceOf(control.kind, rules),
        ],
  );
  const worst = Math.max(0, ...offs);
  const wrong = offs.filter((off) => off > 1 + 1e-9).length;
  const cost = Math.max(0, frame.readings - offs.length) + 3 * Math.max(0, frame.moves - FREE_MOVES) + 10 * wrong;
  return { worst, wrong, true: wrong === 0, points: Math.max(0, 100 - cost) };
}
