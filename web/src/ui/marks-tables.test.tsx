// @vitest-environment jsdom
import { evaluatePlan, type Job, markSheet } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { render, screen, within } from '../../test/page.ts';
import { MarksTables } from './marks-tables.tsx';

const { job: van } = demoJob('parcel-van');
const show = (job: Job) => render(<MarksTables sheet={markSheet(job, evaluatePlan(job))} display={job.display} />);
const cells = (table: string, row: RegExp) => {
  const header = within(screen.getByRole('table', { name: table })).getByRole('rowheader', { name: row });
  return within(header.closest('tr')!)
    .getAllByRole('cell')
    .map(({ textContent }) => textContent);
};

it.each(['Left rail', 'Right rail'])('gives every line of the %s on three edges and level', (rail) => {
  show(van);
  expect(cells(rail, /^A·B/)).toEqual(['on the line', '56', '56', '56', '56']);
  expect(cells(rail, /^C/)).toEqual(['behind the line', '1643/4', '1611/16', '1573/8', '1631/2']);
});

it('adds the kerf to a new piece where both sides of the cut are kept', () => {
  show(van);
  const { rows } = screen.getByRole<HTMLTableElement>('table', { name: 'New rail to cut' });
  expect([...rows].slice(1).map((row) => row.textContent)).toEqual([
    'A·Bleft143/41/161413/16',
    'A·Bright143/41/161413/16',
  ]);
});

it('proves the marks by diagonals that agree', () => {
  show(van);
  const check = 'Check the marks before cutting';
  expect(cells(check, /^datum right to C left/).at(-1)).toBe(cells(check, /^datum left to C right/).at(-1));
  expect(screen.getByText(/Marks left and right must agree before any cut/)).toBeTruthy();
});

it('says that there is nothing to mark, and what to do', () => {
  show({ ...van, plan: { ...van.plan, operations: [] } });
  expect(screen.getByText(/Nothing to mark yet.*Add an operation on the Cuts bench/)).toBeTruthy();
});
