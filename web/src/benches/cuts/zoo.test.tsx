import type { Job } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { jobOf, operationsFor, UNREAL, ZOO } from '../../../../core/test/zoo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { cleanup, screen } from '../../../test/page.ts';
import { parts as donor } from '../donor/parts.tsx';
import { parts as marks } from '../marks/parts.tsx';
import { parts as trueUp } from '../true-up/parts.tsx';
import { parts as cuts } from './parts.tsx';

/** Each frame is shown under every third operation, and each operation on every third frame: the figures themselves are tried in core. */
const EVERY = 3;

describe.each(ZOO.map((animal, index) => [animal.name, animal, index] as const))(
  'on a frame that is %s',
  (_, animal, index) => {
    const jobs = operationsFor(animal).map(([name, operation]): [string, Job] => [name, jobOf(animal, operation)]);

    it.each(jobs.filter((__, at) => (at + index) % EVERY === 0))(
      '%s: its sketch, its sheet and its cards say only figures',
      (_name, job) => {
        for (const [bench, drawer, shown] of [
          [cuts, '', 'desk'],
          [marks, 'sheet', 'desk'],
          [marks, '', 'hand'],
          [trueUp, 'readings', 'desk'],
        ] as const) {
          openBench(bench, job, { selected: 'op1', drawer }, shown);
          expect(document.body.textContent).not.toMatch(UNREAL);
          for (const drawn of document.querySelectorAll('svg path, svg rect, svg circle'))
            for (const at of ['d', 'x', 'y', 'width', 'height', 'cx', 'cy'])
              expect(drawn.getAttribute(at) ?? '').not.toMatch(/NaN|undefined/);
          cleanup();
        }
      },
    );

    it('its donor and its readings say only figures', () => {
      const [, job] = jobs[0]!;
      for (const { id } of [...job.donor.features, ...job.donor.crossmembers]) {
        openBench(donor, job, { selected: id });
        for (const drawn of document.querySelectorAll('svg path, svg rect, svg circle'))
          expect(drawn.outerHTML).not.toMatch(/NaN|undefined/);
        expect(document.body.textContent).not.toMatch(UNREAL);
        cleanup();
      }
      openBench(trueUp, job);
      expect(document.body.textContent).not.toMatch(UNREAL);
    });
  },
);

it('a card says where a thing ends up from where the datum hole then is', () => {
  const animal = ZOO.find(({ name }) => name === 'datum at the tail')!;
  const [, stretch] = operationsFor(animal)[0]!;
  const job = jobOf(animal, stretch);
  // The datum lies behind the stretch: what lies ahead of it comes 280 farther from it, what lies with it does not.
  openBench(donor, job, { selected: 'mount-3' });
  const card = screen.getByRole('region', { name: 'mount-3' });
  expect(card.textContent).toContain('ends up −18 1⁄8');
  cleanup();
  openBench(donor, job, { selected: 'mount-1' });
  expect(screen.getByRole('region', { name: 'mount-1' }).textContent).toContain('ends up −133 1⁄16');
});
