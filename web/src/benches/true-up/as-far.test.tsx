import { evaluatePlan, lengthText } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { act, fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job: tour } = demoJob('tour-carrier');
const { job: sprayer } = demoJob('orchard-sprayer');

it('readings are held against the frame as far as it is done', () => {
  const { store } = openBench(parts, tour, { drawer: 'readings' });
  act(() => store.setState({ stage: 'tacked' }));
  const whole = evaluatePlan(tour);
  const first = tour.plan.operations.findIndex(({ kind }) => kind === 'lengthen');
  const partly = evaluatePlan({
    ...tour,
    plan: { ...tour.plan, operations: tour.plan.operations.slice(0, first + 1) },
  });
  // A measurement that the later pie cut changes.
  const at = whole.controls.findIndex(
    ({ predicted }, index) => Math.abs((predicted ?? 0) - (partly.controls[index]!.predicted ?? 0)) > 2,
  );
  const { name } = whole.controls[at]!;
  const predicted = () =>
    within(screen.getByRole('region', { name: 'Drawer' }))
      .getAllByRole('row')
      .find((row) => row.textContent.startsWith(name))!.textContent;
  const show = (mm: number | null) =>
    lengthText(mm ?? 0, tour.display)
      .replace('/', '⁄')
      .replace(/ /g, '');
  expect(predicted().replace(/\s/g, '')).toContain(show(whole.controls[at]!.predicted));
  fireEvent.change(screen.getByRole('combobox', { name: 'Compared with the frame' }), {
    target: { value: tour.plan.operations[first]!.id },
  });
  expect(predicted().replace(/\s/g, '')).toContain(show(partly.controls[at]!.predicted));
});

it('is not asked where the plan makes one cut', () => {
  openBench(parts, sprayer);
  expect(screen.queryByRole('combobox', { name: 'Compared with the frame' })).toBeNull();
});
