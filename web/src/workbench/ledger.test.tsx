// @vitest-environment jsdom
import { evaluateJob, type Job, type ShopRecord, takeUp } from '@splay/core';
import { expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { fireEvent, render, screen } from '../../test/page.ts';
import { Ledger } from './ledger.tsx';

const van = demoJob('parcel-van');
const sprayer = demoJob('orchard-sprayer');
const onBench = vi.fn();

const show = (job: Job, records: readonly ShopRecord[]) =>
  render(<Ledger {...{ job, onBench }} whole={evaluateJob(job, records)} />);
/** What a tile says, thin spaces and all. */
const tile = (name: string) => screen.getByRole('button', { name: new RegExp(`^${name}`) }).textContent;

it('gives the figures that matter, before and after', () => {
  show(van.job, van.records);
  expect(tile('Wheelbase')).toBe('Wheelbase155 3⁄4was 141');
  expect(tile('Cab to axle')).toBe('Cab to axle98 1⁄4was 83 1⁄2');
  expect(tile('Worst joint')).toBe('Worst jointmeetsjoint A');
  expect(tile('Worst reading')).toBe('Worst reading+1Cab back left to Kick-up right');
  expect(tile('Next gate')).toBe('Next gateBefore welding outReadings after tacking');
});

it('opens the bench that each belongs to', () => {
  show(van.job, van.records);
  for (const [name, bench] of [
    ['Wheelbase', 'cuts'],
    ['Lowest', 'donor'],
    ['Worst reading', 'true-up'],
    ['Next gate', 'true-up'],
  ] as const) {
    fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${name}`) }));
    expect(onBench).toHaveBeenLastCalledWith(bench);
  }
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
