import { expect, it } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { editProblems } from './check-edit.ts';

const { job } = demoJob('parcel-van');
const withFeature = (index: number, changes: object) => ({
  ...job,
  donor: {
    ...job.donor,
    features: job.donor.features.map((feature, at) => (at === index ? { ...feature, ...changes } : feature)),
  },
});

it('a job that is right has no problems', () => {
  expect(editProblems(job, 'donor.features', job)).toBeNull();
});

it('a problem in the edited table is told at its cell', () => {
  const told = editProblems(withFeature(2, { x: 90_000 }), 'donor.features', job)!;
  expect(told.cells).toEqual([{ row: 2, column: 'x', message: expect.stringContaining('above 50 000 mm') as string }]);
  expect(told.elsewhere).toBe('');
});

it('a problem that the edit makes in another table is told apart', () => {
  const told = editProblems({ ...job, donor: { ...job.donor, units: [] } }, 'donor.units', job)!;
  expect(told.cells).toEqual([]);
  expect(told.elsewhere).not.toBe('');
});

it('tables of the body are known as well', () => {
  const [body] = job.bodies;
  const masses = body!.masses.map((item, index) => (index === 1 ? { ...item, mass: -5 } : item));
  const told = editProblems({ ...job, bodies: [{ ...body!, masses }] }, 'bodies[0].masses', job)!;
  expect(told.cells.map(({ row, column }) => [row, column])).toEqual([[1, 'mass']]);
});

it('what an edit takes away and something else rests on is told by the name that it had', () => {
  const without = (id: string) => ({
    ...job,
    donor: {
      ...job.donor,
      features: job.donor.features.filter((feature) => feature.id !== id),
      crossmembers: job.donor.crossmembers.filter((crossmember) => crossmember.id !== id),
    },
  });
  const moved = editProblems(without('cm-10'), 'donor.crossmembers', job)!;
  expect(moved.elsewhere).toContain('“Crossmember 10, end”');
  expect(moved.elsewhere).not.toContain('cm-10');
  const datum = editProblems(without('datum'), 'donor.features', job)!;
  expect(datum.elsewhere).toContain('The datum hole “Datum hole” is not in the list');
});
