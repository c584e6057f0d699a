import { evaluatePlan, inches, itemOf, type JobFile, parseJobFile } from '@splay/core';
import { beforeEach, expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { fireEvent, render, screen, waitFor } from '../../test/page.ts';
import { NewJob } from './new-job.tsx';

const importJob = vi.hoisted(() => vi.fn<(text: string) => Promise<unknown>>());
const items = vi.hoisted(() => vi.fn<() => Promise<unknown>>());
const item = vi.hoisted(() => vi.fn<(id: string) => Promise<unknown>>());
vi.mock('../client/api.ts', () => ({ api: { importJob, libraryItems: items, libraryItem: item } }));

const sent = async (): Promise<JobFile> => {
  await waitFor(() => expect(importJob).toHaveBeenCalled());
  return parseJobFile(importJob.mock.lastCall?.[0] ?? '');
};
const type = (name: string, text: string) => {
  const box = screen.getByRole('textbox', { name });
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const begin = () => fireEvent.click(screen.getByRole('button', { name: 'Begin' }));

beforeEach(() => {
  importJob.mockReset();
  importJob.mockResolvedValue({ ok: false, reason: 'refused', detail: 'The shop may not write.', problems: [] });
  items.mockResolvedValue({ ok: true, value: [{ id: 'kept', kind: 'donor', name: 'Ostler 35', from: 'Parcel van' }] });
  item.mockResolvedValue({ ok: true, value: itemOf(demoJob('parcel-van').job) });
  render(<NewJob />);
  fireEvent.click(screen.getByRole('button', { name: 'New job' }));
});

it('begins with the measures that were typed', async () => {
  type('Job', ' Bakery van ');
  type('Donor', 'Old chassis');
  type('Wheelbase', '133 1/2');
  type('Frame ahead of the front axle', '0');
  begin();
  const { job } = await sent();
  expect([job.name, job.donor.name]).toEqual(['Bakery van', 'Old chassis']);
  const { after } = evaluatePlan(job).measures;
  expect(after.wheelbase).toBeCloseTo(inches(133.5), 6);
  expect(after.frontOverhang).toBeCloseTo(0, 6);
});

it('asks for names before it sends anything', () => {
  begin();
  expect(screen.getByRole('alert').textContent).toMatch(/Name the job and the donor/);
  expect(importJob).not.toHaveBeenCalled();
});

it('does not take a measure that cannot be', () => {
  type('Wheelbase', '-3');
  expect(screen.getByRole('alert').textContent).toBe('Wheelbase must be more than 0.');
  expect(screen.getByRole('textbox', { name: 'Wheelbase' })).toHaveProperty('value', '-3');
  type('Job', 'Bakery van');
  type('Donor', 'Old chassis');
  begin();
  expect(screen.getAllByRole('alert').at(-1)?.textContent).toBe('Fix the marked fields first.');
  expect(importJob).not.toHaveBeenCalled();
});

it('says why the server would not have it, and keeps what was typed', async () => {
  type('Job', 'Bakery van');
  type('Donor', 'Old chassis');
  begin();
  expect((await screen.findByRole('alert')).textContent).toBe('The shop may not write.');
  expect(screen.getByRole('textbox', { name: 'Job' })).toHaveProperty('value', 'Bakery van');
});

it('works in millimeters where the shop does', async () => {
  fireEvent.click(screen.getByRole('button', { name: 'millimeters' }));
  type('Job', 'Bakery van');
  type('Donor', 'Old chassis');
  type('Wheelbase', '3400');
  begin();
  expect((await sent()).job.display.unit).toBe('mm');
  expect(evaluatePlan((await sent()).job).measures.after.wheelbase).toBeCloseTo(3400, 6);
});

it('puts the cab on its mounts, and what was left as it stood counts as assumed', async () => {
  type('Job', 'Bakery van');
  type('Donor', 'Old chassis');
  type('Back of cab', '60');
  begin();
  const { donor } = (await sent()).job;
  expect(donor.units).toMatchObject([{ kind: 'cab', mounts: [{ id: 'cab-mount-1' }, { id: 'cab-mount-2' }] }]);
  expect(evaluatePlan((await sent()).job).measures.after.cabToAxle).toBeCloseTo(inches(70), 6);
  expect(donor.points[0]!.origin).toBe('assumed');
  await screen.findByRole('alert');
  type('Front cab mount', '-10');
  type('Rear cab mount', '48');
  begin();
  expect((await sent()).job.donor.points[0]!.origin).toBeUndefined();
  expect((await sent()).job.donor.features.filter(({ kind }) => kind === 'cab-mount').map(({ x }) => x)).toEqual([
    inches(-10),
    inches(48),
  ]);
});

it('does without a cab, and refuses one that cannot stand there', async () => {
  type('Job', 'Bakery van');
  type('Donor', 'Old chassis');
  type('Rear cab mount', '-20');
  begin();
  expect(screen.getByRole('alert').textContent).toMatch(/must be behind the front one/);
  expect(importJob).not.toHaveBeenCalled();
  fireEvent.click(screen.getByRole('checkbox', { name: /A cab stands on it/ }));
  begin();
  expect((await sent()).job.donor.units).toEqual([]);
  expect((await sent()).job.donor.points).toEqual([]);
});

it('begins with a donor out of the library, a copy that says where it is from', async () => {
  fireEvent.change(await screen.findByRole('combobox', { name: 'Or a donor from the library' }), {
    target: { value: 'kept' },
  });
  expect(await screen.findByText(/The donor is a copy of/)).toBeTruthy();
  type('Job', 'The next one');
  begin();
  const { job } = await sent();
  const { donor } = demoJob('parcel-van').job;
  expect(job.donor).toEqual({ ...donor, copiedFrom: demoJob('parcel-van').job.name });
  expect([job.name, job.plan.operations, job.bodies]).toEqual(['The next one', [], []]);
});
