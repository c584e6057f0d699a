import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseJobFile, planOf } from '../job/index.ts';
import { inches } from '../units/index.ts';
import { frameSurvey, observationOf } from './frame-survey.ts';
import { halvesOf } from './halves.ts';
import { type Holds, movesFor, type Target } from './moves.ts';
import { readOf } from './observation.ts';
import {
  movePractice,
  PRACTICE_LEVELS,
  practiceFrame,
  type PracticeFrame,
  type PracticeLevel,
  readPractice,
  scorePractice,
} from './practice.ts';
import { type Reading, toleranceOf } from './reading.ts';

const { job } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
const plan = planOf(job);
const { controls } = plan;
const looseFrom = plan.joints[0]!.builtX;
const exact = controls.map((control): Reading => ({
  id: control.measurement.id,
  measurement: control.measurement.id,
  stage: 'fit-up',
  value: control.predicted!,
  taken: '2026-05-02T10:00:00Z',
  by: 'owner',
}));
const known = frameSurvey(controls, exact, 'fit-up', job.rules);
const nominal = known.state === 'held' ? known.nominal : {};
const holds: Holds = { front: 2900, rear: 4700, out: 390, z: -180 };
const targets: Target[] = controls.map((control) => ({
  observation: observationOf(control, control.predicted!, job.rules),
  target: control.predicted!,
  tolerance: toleranceOf(control.kind, job.rules),
}));
const begin = (level: PracticeLevel, seed: number) => practiceFrame(nominal, looseFrom, holds, level, seed);

/** Reads everything once. */
function readAll(frame: PracticeFrame): { readonly readings: Reading[]; readonly frame: PracticeFrame } {
  let now = frame;
  const readings = exact.map((reading, at) => {
    const read = readPractice(now, controls[at]!, job.rules);
    now = read.frame;
    return { ...reading, value: read.value };
  });
  return { readings, frame: now };
}

describe('a practice frame', () => {
  it.each([1, 2, 3] as const)(
    'of level %i is crooked, the same for the same seed, and another for another',
    (level) => {
      const frame = begin(level, 42);
      expect(scorePractice(frame, controls, job.rules).true).toBe(false);
      expect(begin(level, 42)).toEqual(frame);
      expect(begin(level, 43).truth).not.toEqual(frame.truth);
      // The front half stands.
      for (const [id, at] of Object.entries(nominal)) if (at.x < looseFrom) expect(frame.truth[id]).toEqual(at);
    },
  );

  it('reads with the noise of its level, and counts every reading', () => {
    const { readings, frame } = readAll(begin(1, 7));
    expect(frame.readings).toBe(controls.length);
    for (const [at, { value }] of readings.entries()) {
      const truth = readOf(frame.truth, observationOf(controls[at]!, 0, job.rules));
      expect(Math.abs(value - truth)).toBeLessThan(6 * PRACTICE_LEVELS[1].noise + inches(1 / 64));
    }
    // Where tapes lie, now and then one is an inch off.
    const lies = Array.from({ length: 20 }, (_, seed) => readAll(begin(3, seed + 1))).flatMap(
      ({ readings: some, frame: of }) =>
        some.filter(
          ({ value }, at) =>
            Math.abs(value - readOf(of.truth, observationOf(controls[at]!, 0, job.rules))) > inches(3 / 4),
        ),
    );
    expect(lies.length).toBeGreaterThan(5);
    expect(lies.length).toBeLessThan(80);
  });

  it.each([1, 2, 3] as const)('of level %i is brought true by measuring and doing what the list says', (level) => {
    for (let seed = 1; seed <= 25; seed += 1) {
      let frame = begin(level, seed * 991);
      for (let round = 0; round < 4 && !scorePractice(frame, controls, job.rules).true; round += 1) {
        const read = readAll(frame);
        frame = read.frame;
        const survey = frameSurvey(controls, read.readings, 'fit-up', job.rules);
        if (survey.state !== 'held') throw new Error(survey.state);
        const halves = halvesOf(survey.nominal, survey.points, looseFrom, true)!;
        for (const line of movesFor(halves, holds, targets, inches(1 / 32)).moves.flatMap(({ lines }) => lines))
          frame = movePractice(frame, line);
      }
      const score = scorePractice(frame, controls, job.rules);
      expect(score.worst).toBeLessThan(1.6);
    }
  });

  it('is scored by what is left, by readings more than one of each, and by moves more than five', () => {
    const true_: PracticeFrame = { ...begin(1, 5), truth: nominal };
    expect(scorePractice(true_, controls, job.rules)).toEqual({
      worst: expect.closeTo(0, 6) as number,
      wrong: 0,
      true: true,
      points: 100,
    });
    const read = { ...true_, readings: controls.length + 12, moves: 7 };
    expect(scorePractice(read, controls, job.rules).points).toBe(100 - 12 - 6);
    const left = scorePractice(begin(3, 5), controls, job.rules);
    expect(left.points).toBe(Math.max(0, 100 - 10 * left.wrong));
  });
});
