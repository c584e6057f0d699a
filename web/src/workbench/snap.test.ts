import { datumStation, inches, type Operation } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { snapShift } from './snap.ts';

const { job } = demoJob('parcel-van');
const stretch = job.plan.operations[0] as Extract<Operation, { kind: 'lengthen' }>;
const landsAt = (operation: typeof stretch, mm: number) =>
  (operation.at.x + snapShift(job, operation, mm) - datumStation(job.donor)) / inches(1);

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
    snapShift(job, { id: 'x', note: '', off: false, kind: 'extend', end: 'rear', length: 100, section: null }, 50),
  ).toBe(0);
});
