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
  expect(editProblems(job, 'donor.features')).toBeNull();
});

it('a problem in the edited table is told at its cell', () => {
  const told = editProblems(withFeature(2, { x: 90_000 }), 'donor.features')!;
  expect(told.cells).toEqual([{ row: 2, column: 'x', message: expect.stringContaining('above 50 000 mm') as string }]);
  expect(told.elsewhere).toBe('');
});

it('a problem that the edit makes in another table is told apart', () => {
  const told = editProblems({ ...job, donor: { ...job.donor, units: [] } }, 'donor.units')!;
  expect(told.cells).toEqual([]);
  expect(told.elsewhere).not.toBe('');
});

it('tables of the body are known as well', () => {
  const [body] = job.bodies;
  const masses = body!.masses.map((item, index) => (index === 1 ? { ...item, mass: -5 } : item));
  const told = editProblems({ ...job, bodies: [{ ...body!, masses }] }, 'bodies[0].masses')!;
  expect(told.cells.map(({ row, column }) => [row, column])).toEqual([[1, 'mass']]);
});
