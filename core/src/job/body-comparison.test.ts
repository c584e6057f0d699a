import { describe, expect, it } from 'vitest';
import { body, input } from '../../test/mounts.ts';
import type { Body, BodyChange } from '../body/index.ts';
import { evaluatePlan } from '../plan/index.ts';
import { compareChanged } from './body-comparison.ts';

const change = (of: BodyChange['of'], at: number, by: number, off = false): BodyChange => ({
  id: 'c',
  of,
  at,
  by,
  off,
});
const bed: Body = {
  ...body,
  openings: [
    { id: 'front', name: 'Front opening', over: 'front', x: 0 },
    { id: 'rear', name: 'Rear opening', over: 'rear', x: 3400 },
  ],
  fenders: [{ id: 's', name: 'Side', over: 'rear', inner: 500, outer: 900 }],
  width: 1800,
};
const compared = (...changes: readonly BodyChange[]) => {
  const job = input([], 0, { ...bed, changes });
  return compareChanged(job, 'body', evaluatePlan(job));
};

describe('a body as changed against leaving it', () => {
  it('is compared with nothing where nothing is changed', () => {
    expect(compared()).toBeNull();
    expect(compared(change('width', 0, 100, true))).toBeNull();
    expect(compareChanged(input(), 'nobody', evaluatePlan(input()))).toBeNull();
  });

  it('longer between its openings it asks for so much more wheelbase', () => {
    const { asItIs, changed } = compared(change('length', 2000, 150))!;
    expect(asItIs.requiredWheelbase).toBeNear(3400, 1e-9);
    expect(changed.requiredWheelbase!).toBeNear(3550, 1e-9);
    expect(changed.leastCover).toBe(asItIs.leastCover);
  });

  it('wider it covers its tires by half of it more, and its mounts go outward beside the rail', () => {
    const { asItIs, changed } = compared(change('width', 0, 140))!;
    expect(changed.leastCover! - asItIs.leastCover!).toBeNear(70, 1e-9);
    expect([asItIs.mountsBeside, changed.mountsBeside]).toEqual([2, 6]);
  });
});
