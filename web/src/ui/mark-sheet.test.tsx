import { evaluatePlan, type Job, markBlocks, markSheet } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { render, screen, within } from '../../test/page.ts';
import { MarkSheetBlocks } from './mark-sheet.tsx';
import { ReleaseNotice } from './release-notice.tsx';

const { job: van } = demoJob('parcel-van');
const show = (job: Job) => {
  const sheet = markSheet(job, evaluatePlan(job));
  return render(
    <>
      <ReleaseNotice sheet={sheet} />
      <MarkSheetBlocks blocks={markBlocks(job, sheet, 180)} display={job.display} />
    </>,
  );
};
const cells = (table: RegExp, row: RegExp) => {
  const [header] = screen
    .getAllByRole('table', { name: table })
    .flatMap((one) => within(one).queryAllByRole('rowheader', { name: row }));
  return within(header!.closest('tr')!)
    .getAllByRole('cell')
    .map(({ textContent }) => textContent);
};

it.each([/^Left rail/, /^Right rail/])('gives every line of the %s on three edges, level and hooked', (rail) => {
  show(van);
  const rows = within(screen.getByRole('table', { name: rail }))
    .getAllByRole('row')
    .slice(1)
    .map((row) => [row.querySelector('th')!, ...row.querySelectorAll('td')].map(({ textContent }) => textContent));
  const height = ['3 11⁄16', '1⁄4'];
  expect(rows).toEqual([
    [
      'A·B',
      'lengthen, step, upper line and top flange',
      'on the line',
      '54 1⁄2',
      '54 1⁄2',
      '–',
      '–',
      ...height,
      '54 1⁄2',
      '54 5⁄8',
    ],
    [
      'A·B',
      'lengthen, step, level line in the web',
      'on the line',
      '–',
      '54 1⁄2',
      '–',
      '57 1⁄2',
      ...height,
      '54 1⁄2',
      '–',
    ],
    [
      'A·B',
      'lengthen, step, lower line and bottom flange',
      'on the line',
      '–',
      '57 1⁄2',
      '57 1⁄2',
      '–',
      ...height,
      '57 1⁄2',
      '–',
    ],
    [
      'C',
      'trim the rear, leaning',
      'behind the line',
      '164 3⁄4',
      '161 1⁄16',
      '157 3⁄8',
      '–',
      '–',
      '–',
      '163 1⁄2',
      '163 9⁄16 scant',
    ],
  ]);
});

it('adds the kerf to a new piece where both sides of the cut are kept, and takes the gaps of its joints off', () => {
  show(van);
  const { rows } = screen.getByRole<HTMLTableElement>('table', { name: /^New rail to cut/ });
  expect([...rows].slice(1).map((row) => row.textContent)).toEqual([
    'A·Bleftrailsquare, stepped to match: upper half forwardsquare, stepped to match: upper half forward14 3⁄414 3⁄41⁄161⁄8 full14 11⁄16 scant',
    'A·Brightrailsquare, stepped to match: upper half forwardsquare, stepped to match: upper half forward14 3⁄414 3⁄41⁄161⁄8 full14 11⁄16 scant',
  ]);
});

it('proves the marks by diagonals that agree', () => {
  show(van);
  const check = /^Check the marks before cutting/;
  // The last column is for one's own reading.
  const [left, right] = [/right to C left/, /left to C right/].map((row) => cells(check, row).slice(-2));
  expect(left).toEqual(right);
  expect(left).toEqual([expect.stringMatching(/\d/), '']);
  expect(screen.getByText(/Marks left and right must agree before any cut/)).toBeTruthy();
});

it('says that there is nothing to mark, and what to do', () => {
  show({ ...van, plan: { ...van.plan, operations: [], mountings: [] } });
  expect(screen.getByText(/Nothing to mark yet.*Add an operation on the Cuts bench/)).toBeTruthy();
});

it('says over the marks that a plan which something stops is not released, and what was accepted', () => {
  const cut = van.plan.operations.find(({ kind }) => kind === 'lengthen')!;
  const stopped = {
    ...van,
    plan: { ...van.plan, operations: [{ ...cut, at: { x: 1e5, on: 'donor' } } as typeof cut] },
  };
  show(stopped);
  expect(screen.getByRole('alert').textContent).toMatch(/^NOT RELEASED.*not on the frame/);
});
