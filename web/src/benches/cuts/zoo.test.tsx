// @vitest-environment jsdom
import type { Job } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { jobOf, operationsFor, UNREAL, ZOO } from '../../../../core/test/zoo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { cleanup, screen } from '../../../test/page.ts';
import { MarksBench } from '../marks/marks-bench.tsx';
import { FloorMarks } from '../marks/floor-marks.tsx';
import { TrueUpBench } from '../true-up/true-up-bench.tsx';
import { DonorBench } from '../donor/donor-bench.tsx';
import { CutsBench } from './cuts-bench.tsx';

describe.each(ZOO.map((animal) => [animal.name, animal] as const))('on a frame that is %s', (_, animal) => {
  const jobs = operationsFor(animal).map(([name, operation]): [string, Job] => [name, jobOf(animal, operation)]);

  it.each(jobs)('%s: its sketch, its sheet and its cards say only figures', (_name, job) => {
    for (const Bench of [CutsBench, MarksBench, FloorMarks]) {
      openBench(Bench, job, { selected: 'op1' });
      expect(document.body.textContent).not.toMatch(UNREAL);
      for (const drawn of document.querySelectorAll('svg path, svg rect, svg circle'))
        for (const at of ['d', 'x', 'y', 'width', 'height', 'cx', 'cy'])
          expect(drawn.getAttribute(at) ?? '').not.toMatch(/NaN|undefined/);
      cleanup();
    }
  });

  it('its donor and its readings say only figures', () => {
    const [, job] = jobs[0]!;
    for (const { id } of [...job.donor.features, ...job.donor.crossmembers]) {
      openBench(DonorBench, job, { selected: id });
      expect(document.body.textContent).not.toMatch(UNREAL);
      cleanup();
    }
    openBench(TrueUpBench, job);
    expect(document.body.textContent).not.toMatch(UNREAL);
  });
});

it('a card says where a thing ends up from where the datum hole then is', () => {
  const animal = ZOO.find(({ name }) => name === 'datum at the tail')!;
  const [, stretch] = operationsFor(animal)[0]!;
  const job = jobOf(animal, stretch);
  // The datum lies behind the stretch: what lies ahead of it comes 280 farther from it, what lies with it does not.
  openBench(DonorBench, job, { selected: 'mount-3' });
  const card = screen.getByRole('region', { name: 'mount-3' });
  expect(card.textContent).toContain('ends up −18 1⁄8');
  cleanup();
  openBench(DonorBench, job, { selected: 'mount-1' });
  expect(screen.getByRole('region', { name: 'mount-1' }).textContent).toContain('ends up −133 1⁄16');
});
