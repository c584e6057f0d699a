import { datumStation, evaluatePlan, IN_LINE, inches, type Operation } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { snapShift } from './snap.ts';

const { job } = demoJob('parcel-van');
const result = evaluatePlan(job);
const stretch = job.plan.operations[0] as Extract<Operation, { kind: 'lengthen' }>;
const landsAt = (operation: typeof stretch, mm: number) =>
  (operation.at.x + snapShift(job, result, operation, mm) - datumStation(job.donor)) / inches(1);

it('a dragged cut lands on a whole sixteenth from the datum hole', () => {
  for (const mm of [0.3, 7.77, -123.456])
    expect(landsAt(stretch, mm) * 16).toBeCloseTo(Math.round(landsAt(stretch, mm) * 16), 6);
  expect(landsAt(stretch, 0)).toBeCloseTo(56, 9);
});

it('a cut that stood between two divisions is brought onto one', () => {
  const between = { ...stretch, at: { ...stretch.at, x: stretch.at.x + 0.4 } };
  expect(landsAt(between, 0)).toBeCloseTo(56, 9);
});

it('an operation without a place is not moved', () => {
  expect(
    snapShift(
      job,
      result,
      {
        id: 'x',
        note: '',
        off: false,
        kind: 'extend',
        end: 'rear',
        cut: null,
        length: 100,
        section: null,
        align: IN_LINE,
      },
      50,
    ),
  ).toBe(0);
});

it('a place on the built frame lands on a division from where the datum hole is built', () => {
  const built = { ...stretch, at: { x: result.datum.built + inches(20) + 0.3, on: 'built' as const } };
  const moved = { datum: { donor: result.datum.donor, built: result.datum.built + 7.3 } };
  const at = (of: typeof moved) => (built.at.x + snapShift(job, of, built, 5) - of.datum.built) / inches(1 / 16);
  for (const of of [result, moved]) expect(at(of)).toBeCloseTo(Math.round(at(of)), 6);
});

it('what comes off an end is dragged to a whole division, less when the rear cut goes back', () => {
  const trim = {
    id: 't',
    note: '',
    off: false,
    kind: 'trim',
    end: 'rear',
    at: { x: inches(6), on: 'end' },
    angle: 0,
    lean: 'top-longer',
  } as const;
  expect(snapShift(job, result, trim, inches(1) + 0.2)).toBeCloseTo(inches(1), 9);
  expect(snapShift(job, result, { ...trim, end: 'front' }, inches(1) + 0.2)).toBeCloseTo(inches(1), 9);
  // Never past the end: a division at least comes off.
  expect(snapShift(job, result, trim, inches(9))).toBeCloseTo(inches(6 - 1 / 16), 9);
});
