import { evaluatePlan, readingOrder } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job } = demoJob('parcel-van');
const pull = (name: string, value: string) =>
  fireEvent.change(screen.getByRole('combobox', { name }), { target: { value } });

it('a width plumbed down, a rise and a height are put on the list, each with what it reads on the donor', () => {
  const { now } = openBench(parts, job, { drawer: 'controls' });
  const before = job.donor.controlMeasurements.length;
  pull('To', 'p4/right');
  fireEvent.click(screen.getByRole('button', { name: 'Add it' }));
  pull('One more', 'rise');
  pull('From', 'p3/left');
  fireEvent.click(screen.getByRole('button', { name: 'Add it' }));
  const added = now().donor.controlMeasurements.slice(before);
  expect(added.map(({ kind }) => kind)).toEqual(['plumb', 'rise']);
  const [plumb, rise] = evaluatePlan(now()).controls.slice(before);
  const [a, b] = plumb!.ends.donor;
  expect(plumb!.before).toBeCloseTo(Math.hypot(b!.x - a!.x, b!.y - a!.y), 9);
  expect(rise!.before).toBeCloseTo(rise!.ends.donor[1]!.z - rise!.ends.donor[0]!.z, 9);
  expect(screen.getByRole('rowheader', { name: /Back of cab left to Kick-up right, rise/ })).toBeTruthy();
  pull('From', 'p4/right');
  expect(screen.getByRole('button', { name: 'Two different ends' })).toHaveProperty('disabled', true);
  pull('One more', 'height');
  fireEvent.click(screen.getByRole('button', { name: 'Add it' }));
  expect(now().donor.controlMeasurements.at(-1)).toMatchObject({ kind: 'height', at: { point: 'p4', side: 'right' } });
});

it('every measurement has its place in the order in which they tell most', () => {
  openBench(parts, job, { drawer: 'controls' });
  const { order } = readingOrder(evaluatePlan(job).controls, 'before-cut', job.rules);
  const row = screen.getByRole('rowheader', { name: order[4]!.name }).closest('tr')!;
  expect(Array.from(row.querySelectorAll('td'), ({ textContent }) => textContent)[1]).toBe('5');
});
