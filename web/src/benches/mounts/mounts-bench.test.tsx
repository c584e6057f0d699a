import { evaluatePlan, inches, type Job, type MountingOutcome } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const { job: sprayer } = demoJob('orchard-sprayer');
const { job: pickup } = demoJob('beach-rescue');

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (name: string | RegExp, text: string) => {
  const box = screen.getByRole<HTMLInputElement>('textbox', { name });
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const pull = (name: string | RegExp, value: string) =>
  fireEvent.change(screen.getByRole('combobox', { name }), { target: { value } });
const mountIn = (job: Job, tag: string): MountingOutcome => evaluatePlan(job).mountings.find((one) => one.tag === tag)!;

describe('how a mount is made', () => {
  it('is proposed first, taken in one press, and left to the rule again', () => {
    const { now, done } = openBench(parts, sprayer);
    expect(screen.getByRole('button', { name: /^M1L,.*open/ })).toBeTruthy();
    press('Take all 6 open ones as proposed');
    expect(now().plan.mountings).toHaveLength(6);
    expect(screen.getByRole('button', { name: /^M1L,.*decided, holds/ })).toBeTruthy();
    press('Leave it to the rule');
    expect(now().plan.mountings).toHaveLength(5);
    expect(done()).toEqual(['Took 6 mounts as proposed', 'Left M1L to the rule']);
  });

  it('a layer put in makes the bracket lower by it, and comes out again', () => {
    const { now } = openBench(parts, van);
    press(/^M2L,/);
    const before = mountIn(now(), 'M2L').height!;
    pull(/^Add a layer: Between bracket and rail/, 'plate');
    expect(mountIn(now(), 'M2L').height!).toBeCloseTo(before - inches(1 / 4), 6);
    type('plate, free', '1/8');
    expect(mountIn(now(), 'M2L').height!).toBeCloseTo(before - inches(1 / 8), 6);
    press('Take the plate out of M2L');
    expect(mountIn(now(), 'M2L').height!).toBeCloseTo(before, 9);
  });

  it('a bushing is squeezed by its rate; wrong sizes are told at their field and nothing changes', () => {
    const { now } = openBench(parts, van);
    press(/^M2L,/);
    const { height } = mountIn(now(), 'M2L');
    type('Rate, lb/in', '10000');
    expect(mountIn(now(), 'M2L').height!).toBeLessThan(height!);
    const kept = now();
    type('bushing, free', '-1');
    expect(screen.getByText(/It must be more than 0/)).toBeTruthy();
    type('Plate', '0');
    expect(now()).toBe(kept);
  });

  it('another bracket, its sizes, and the same on the other side', () => {
    const { now } = openBench(parts, van);
    pull('Bracket', 'angle');
    type('Leg on the web', '6');
    press('Make M1R like this');
    for (const tag of ['M1L', 'M1R'])
      expect(mountIn(now(), tag).mounting.bracket).toMatchObject({ form: 'angle', upright: inches(6) });
    expect(mountIn(now(), 'M1R').seat.mount.id).not.toBe(mountIn(now(), 'M1L').seat.mount.id);
  });

  it('set off its mount, its welds turn in their own plane, and that is tried without changing the plan', () => {
    const { done } = openBench(parts, sprayer);
    press(/^M2R,/);
    const said = () => Number(/come to ([\d.]+)/.exec(screen.getByText(/^Its welds come to/).textContent!)![1]);
    const before = said();
    const changes = done().length;
    type('Middle of its welds from the mount, along the rail', '4');
    expect(said()).toBeGreaterThan(before);
    expect(done()).toHaveLength(changes);
  });

  it('the body’s own old bracket says how much block goes under it', () => {
    openBench(parts, van);
    press(/^M3L,/);
    pull('Bracket', 'old');
    type('Its own height', '1/2');
    expect(screen.getByText(/of block under it/).textContent).toMatch(/Cut the bracket from the old frame; 3⁄4/);
  });

  it('what cannot be is told under its name with a press that cures it', () => {
    const { now } = openBench(parts, van);
    press(/^M3L,/);
    pull('Bracket', 'none');
    expect(screen.getByText(/are left between its stack and the rail/)).toBeTruthy();
    press(/^Put a block of/);
    expect(mountIn(now(), 'M3L').problems).toEqual([]);
    expect(mountIn(now(), 'M3L').under).toHaveLength(1);
  });

  it('is only looked at without the right to change it', () => {
    openBench(parts, sprayer, { canWrite: false });
    expect(screen.queryByRole('button', { name: /^Take / })).toBeNull();
    expect(screen.getByRole<HTMLSelectElement>('combobox', { name: 'Bracket' }).disabled).toBe(true);
  });
});

describe('what slides over the tray', () => {
  it('the mounts stand in the order they are made, corners first', () => {
    openBench(parts, van, { drawer: 'making' });
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows).toHaveLength(10);
    expect(rows[0]!.textContent).toMatch(/^1M1L.*a corner: sets height and level.*outrigger/);
    expect(rows[3]!.textContent).toMatch(/a corner/);
    expect(rows[4]!.textContent).toMatch(/straightedge/);
    expect(screen.getByRole('link', { name: 'Print the mounts sheet' }).getAttribute('href')).toMatch(/mounts$/);
  });

  it('its parts with their files', () => {
    openBench(parts, van, { drawer: 'parts' });
    expect(screen.getByRole('link', { name: 'DXF of M1L' }).getAttribute('href')).toMatch(/of=mounts&as=dxf&part=M1L/);
  });

  it('nothing is cut of what nobody has decided', () => {
    openBench(parts, sprayer, { drawer: 'parts' });
    expect(screen.getByText(/No mount that is decided has a bracket yet/)).toBeTruthy();
  });

  it('a contour that is typed is what its foot is cut to', () => {
    const { now } = openBench(parts, van, { drawer: 'contour', selected: mountIn(van, 'M2L').seat.mount.id });
    press('Add a reading');
    press('Add a reading');
    const { bracket } = mountIn(now(), 'M2L').mounting;
    expect(bracket).toMatchObject({ contour: [{ gap: 0 }, { gap: 0 }] });
    expect(within(screen.getByRole('region', { name: 'Contour of M2L' })).getAllByRole('textbox')).toHaveLength(4);
  });
});

it('at the frame it is one mount at a time with its bracket large', () => {
  openBench(parts, van, {}, 'hand');
  const card = () => screen.getByRole('region', { name: 'One mount' });
  expect(card().textContent).toMatch(/M1LMount 1, left · 1 of 10.*outrigger, its top over the top of the rail/);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'The mount ahead' }).disabled).toBe(true);
  press('The mount behind');
  expect(card().textContent).toMatch(/M1R/);
});

it('without mounts it leads to where they are measured', () => {
  const { store } = openBench(parts, pickup);
  press('Measure the body’s mounts');
  expect(store.getState().bench).toBe('body');
});
