import { cautionsOf, evaluatePlan, newRecord } from '@splay/core';
import { expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { fireEvent, render, screen, within } from '../../test/page.ts';
import { CautionList } from './caution-list.tsx';

const { job } = demoJob('orchard-sprayer');
const cautions = cautionsOf(job, evaluatePlan(job), 'cutting');
const read = newRecord(
  'caution-read',
  { step: 'cutting', caution: 'fuel' },
  { id: 'r', by: 'owner', taken: '2026-03-14T09:30:00Z' },
);
const onRead = vi.fn();
const show = (all: boolean, write = true) =>
  render(
    <CautionList
      step="cutting"
      cautions={cautions}
      readOf={(id) => (all || id === 'fuel' ? read : undefined)}
      {...(write ? { onRead } : {})}
    />,
  );
const item = (title: string) => screen.getByText(title, { selector: 'li b' }).closest('li')!;

it('names every caution before it is opened, and how many are still to be read', () => {
  show(false);
  const summary = screen.getByText('Before the saw').closest('summary')!;
  for (const { title } of cautions) expect(summary.textContent).toContain(title);
  expect(summary.textContent).toContain(`${cautions.length - 1} to read`);
});

it('gives each with what it is about here, who read it, or a way to mark it', () => {
  show(false);
  expect(item('Fuel out of the vehicle').textContent).toMatch(/Cut A runs past Fuel line.*read by owner, 2026-03-14/);
  expect(within(item('Fuel out of the vehicle')).queryByRole('button', { hidden: true })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Mark as read: Fire watch', hidden: true }));
  expect(onRead).toHaveBeenCalledExactlyOnceWith('fire-watch');
});

it('still shows them when all are read, and nothing to press to who may only look', () => {
  show(true);
  expect(screen.getByText('all read')).toBeTruthy();
  expect(screen.getAllByRole('listitem', { hidden: true })).toHaveLength(cautions.length);
});

it('lets nobody mark one who may only look', () => {
  show(false, false);
  expect(screen.queryAllByRole('button', { hidden: true })).toEqual([]);
});
