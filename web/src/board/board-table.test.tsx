import { evaluatePlan, type Job, takeUp } from '@splay/core';
import { describe, expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { fireEvent, render, screen, within } from '../../test/page.ts';
import { BoardTable } from './board-table.tsx';

const { job: van } = demoJob('parcel-van');
const { job: sprayer } = demoJob('orchard-sprayer');
const onSelect = vi.fn();

function show(job: Job, selected: string | null = null) {
  const result = evaluatePlan(job);
  render(<BoardTable {...{ job, result, selected, onSelect }} />);
  return result;
}
const table = (name: string | RegExp) => screen.getByRole('table', { name });
const plain = (text: string | null) => text?.replaceAll(/[\u00a0\u202f]/g, ' ');
const line = (of: HTMLElement, head: string | RegExp) => {
  const header = within(of).getByRole('rowheader', { name: head });
  return within(header.closest('tr')!)
    .getAllByRole('cell')
    .map(({ textContent }) => plain(textContent));
};

describe('the drawing in tables', () => {
  it('gives the figures of the donor beside those of the built frame', () => {
    show(van);
    const figures = table('Figures');
    expect(line(figures, 'Wheelbase')).toEqual(['141', '155 3⁄4']);
    expect(line(figures, 'Usable cab to axle')).toEqual(['81 1⁄2', '96 1⁄4']);
    expect(line(figures, 'Departure, from the ground')).toEqual([
      expect.stringMatching(/^\d+\.\d°$/),
      expect.stringMatching(/^\d+\.\d°$/),
    ]);
    expect(line(figures, /^on the rear axle, of what/)).toEqual([
      expect.stringMatching(/^\d{4} lb of 9500 lb$/),
      expect.stringMatching(/^\d{4} lb of 9500 lb$/),
    ]);
  });

  it('counts the axle loads to the mass, on the donor and as built', () => {
    const { laden } = show(van);
    for (const of of [laden.before!, laden.after!]) expect(of.front.load + of.rear.load).toBeCloseTo(of.mass, 6);
  });

  it('has every feature, crossmember, axle and cut, with what becomes of it', () => {
    const result = show(van);
    const rows = (name: string) => within(table(name)).getAllByRole('rowheader').length;
    expect(rows('Features')).toBe(result.features.length);
    expect(rows('Crossmembers')).toBe(van.donor.crossmembers.length);
    expect(rows('Axles')).toBe(2);
    expect(line(table('Joints and cut ends'), /^A,/)).toEqual(['56', '56', 'meets']);
    expect(line(table('Joints and cut ends'), /^C,/).at(-1)).toBe('free end');
    expect(line(table('Features'), 'Hitch bracket')).toEqual([expect.any(String), '–', 'taken off by the plan']);
  });

  it('gives left and right apart where they were measured so', () => {
    show(sprayer);
    const widths = table(/^Widths and heights of the built frame, left \| right/);
    expect(
      within(widths)
        .getAllByRole('cell')
        .some(({ textContent }) => / \| /.test(textContent ?? '')),
    ).toBe(true);
  });

  it('marks the thing that is picked, and picks another', () => {
    const { id, name } = van.donor.crossmembers[2]!;
    show(van, id);
    const row = within(table('Crossmembers')).getByRole('rowheader', { name }).closest('tr');
    expect(row?.className).toContain('bg-layout-wash');
    fireEvent.click(within(table('Features')).getByRole('button', { name: 'Hitch bracket' }));
    expect(onSelect).toHaveBeenLastCalledWith(
      van.donor.features.find((feature) => feature.name === 'Hitch bracket')?.id,
    );
  });

  it('says so where nothing is cut', () => {
    show({ ...van, plan: { ...van.plan, operations: [] } });
    expect(screen.getByText('No cut is planned yet.')).toBeTruthy();
  });

  it('shows the two ends of a transition piece', () => {
    const behind = takeUp(sprayer, 'Behind the cab');
    const operations = behind.plan.operations.map((operation) =>
      operation.kind === 'shorten' ? { ...operation, transition: 304.8 } : operation,
    );
    show({ ...behind, plan: { ...behind.plan, operations } });
    expect(line(table('Joints and cut ends'), /^A,/)[2]).toBe('meets');
    expect(line(table('Joints and cut ends'), /^B,/)[2]).toBe('meets');
  });
});
