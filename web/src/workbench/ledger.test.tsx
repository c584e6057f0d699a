import { evaluateJob, type FigureId, type Job, progressOf, type ShopRecord, takeUp } from '@splay/core';
import { expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { fireEvent, render, screen } from '../../test/page.ts';
import { BENCHES } from './benches.ts';
import { Ledger } from './ledger.tsx';

const van = demoJob('parcel-van');
const sprayer = demoJob('orchard-sprayer');
const [onThread, onHoldPoint] = [vi.fn(), vi.fn()];
const ALL: readonly FigureId[] = ['wheelbase', 'cab-to-axle', 'worst-joint', 'worst-reading', 'measured'];

const show = (job: Job, records: readonly ShopRecord[], showBefore = false) =>
  render(
    <Ledger
      {...{ job, onThread, onHoldPoint, showBefore }}
      figures={ALL}
      thread={null}
      whole={evaluateJob(job, records)}
      holdPoints={progressOf(job, records).holdPoints}
    />,
  );
/** What a tile says, thin spaces and all. */
const tile = (name: string) => screen.getByRole('button', { name: new RegExp(`^${name}`) }).textContent;

it('gives the figures that matter, before and after', () => {
  show(van.job, van.records);
  expect(tile('Wheelbase')).toBe('Wheelbase155 3⁄4was 141');
  expect(tile('Cab to axle')).toBe('Cab to axle98 1⁄4was 83 1⁄2');
  expect(tile('Worst joint')).toBe('Worst jointmeetsjoint A');
  expect(tile('Worst reading')).toBe('Worst reading+1Back of cab left to Kick-up right');
});

it('swaps them while the donor is held for', () => {
  show(van.job, van.records, true);
  expect(tile('Wheelbase')).toBe('Wheelbase141will be 155 3⁄4');
});

it('pulls the thread of a figure, and opens the hold point', () => {
  show(van.job, van.records);
  fireEvent.click(screen.getByRole('button', { name: /^Wheelbase/ }));
  expect(onThread).toHaveBeenLastCalledWith('wheelbase');
  fireEvent.click(screen.getByRole('button', { name: /^Next hold point/ }));
  expect(onHoldPoint).toHaveBeenLastCalledWith('before-welding-out');
});

it('names the joint whose ends are apart', () => {
  show(takeUp(sprayer.job, 'Behind the cab'), []);
  expect(tile('Worst joint')).toBe('Worst jointapartjoint A');
  expect(tile('Worst reading')).toBe('Worst reading–none taken yet');
});

it('has a dash for what a frame lacks', () => {
  const { donor } = van.job;
  show({ ...van.job, donor: { ...donor, points: donor.points.filter(({ kind }) => kind !== 'cab-back') } }, []);
  expect(tile('Cab to axle')).toBe('Cab to axle–');
});

it('says on the hold point what stops a plan', () => {
  const operations = van.job.plan.operations.map((each) =>
    each.kind === 'lengthen' ? { ...each, at: { x: 112 * 25.4 + 558.8, on: 'donor' as const } } : each,
  );
  const stopped = { ...van.job, plan: { ...van.job.plan, operations } };
  const stops = evaluateJob(stopped, []).conflicts.filter(({ severity }) => severity === 'stop').length;
  show(stopped, []);
  expect(stops).toBeGreaterThan(0);
  expect(tile('Next hold point')).toMatch(/things? stops? this plan/);
});

it('has five figures for each bench', () => {
  for (const { figures } of Object.values(BENCHES)) expect(new Set(figures).size).toBe(5);
});
