import { evaluatePlan, inches, type Job } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const seat = (job: Job) => evaluatePlan(job).seats[0]!;
/** The van with all mounts of its body moved outboard of the rail by as much. */
const outward = (by: number): Job => ({
  ...van,
  bodies: van.bodies.map((body) => ({
    ...body,
    mounts: body.mounts.map((mount) => ({ ...mount, y: mount.y + Math.sign(mount.y) * by })),
  })),
  plan: { ...van.plan, mountings: [] },
});
const follows = () =>
  [...document.querySelectorAll('dl > div')].map((row) => [
    row.querySelector('dt')!.textContent,
    row.querySelector('dd')!.textContent,
  ]);

describe('the width that a body asks for', () => {
  it('is said with how many mounts stand beside the rail, and one press gives it', () => {
    const wide = outward(inches(6));
    const { now, done } = openBench(parts, wide);
    const { wider, mounts } = seat(wide);
    expect(mounts.filter(({ sideways }) => sideways !== 0)).toHaveLength(10);
    expect(wider).toBeGreaterThan(0);
    const said = screen.getByText(/mounts stand beside the rail/);
    expect(said.textContent).toMatch(/^10 of 10 mounts stand beside the rail: .* wider brings all of them over it/);
    fireEvent.click(within(said).getByRole('button'));
    expect(done()).toHaveLength(1);
    expect(seat(now()).mounts.every(({ sideways }) => sideways === 0)).toBe(true);
  });

  it('where no one width serves it says so, and offers none', () => {
    const spread: Job = {
      ...outward(0),
      bodies: van.bodies.map((body) => ({
        ...body,
        mounts: body.mounts.map((mount, at) => ({
          ...mount,
          y: Math.sign(mount.y) * (at < 5 ? inches(8) : inches(48)),
        })),
      })),
    };
    openBench(parts, spread);
    const said = screen.getByText(/mounts stand beside the rail/);
    expect(said.textContent).toContain('no one width brings all of them over it');
    expect(within(said).queryByRole('button')).toBeNull();
  });

  it('is not offered without the right to change the job', () => {
    openBench(parts, outward(inches(6)), { canWrite: false });
    expect(within(screen.getByText(/mounts stand beside the rail/)).queryByRole('button')).toBeNull();
  });
});

describe('what follows from where a body sits', () => {
  it('each figure is that of the evaluation, and goes with the body', () => {
    const { now } = openBench(parts, van);
    const { fenders, steps, openings } = seat(van);
    const rows = new Map(follows() as [string, string][]);
    expect([...rows.keys()]).toEqual([
      ...openings.filter(({ room }) => room).map(({ opening }) => `${opening.name}, round the tire`),
      ...fenders.map(({ fender }) => `${fender.name} covers, out and in`),
      ...steps.map(({ point }) => `${point.name}, over the ground`),
      'Approach with the body',
      'Departure with the body',
    ]);
    const { ramps } = evaluatePlan(van);
    expect(rows.get('Departure with the body')).toBe(`${((ramps.departure! * 180) / Math.PI).toFixed(1)}°`);
    const before = rows.get(`${steps[0]!.point.name}, over the ground`);
    const up = screen.getByRole<HTMLInputElement>('textbox', { name: /level line/i });
    fireEvent.change(up, { target: { value: '9' } });
    fireEvent.blur(up);
    expect(seat(now()).pose.z).toBeCloseTo(inches(9), 6);
    expect(new Map(follows() as [string, string][]).get(`${steps[0]!.point.name}, over the ground`)).not.toBe(before);
  });

  it('nothing stands there of what nobody measured', () => {
    const bare: Job = {
      ...van,
      bodies: van.bodies.map((body) => ({ ...body, fenders: [], points: [] })),
    };
    openBench(parts, bare);
    expect(follows().filter(([name]) => /covers|over the ground/.test(name!))).toEqual([]);
  });
});
