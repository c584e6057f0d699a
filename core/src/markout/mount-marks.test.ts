import { describe, expect, it } from 'vitest';
import { arm, body, frame, input, made, perch } from '../../test/mounts.ts';
import { evaluatePlan, type PlanInput } from '../plan/index.ts';
import { markSheet } from './index.ts';

const bolted = arm({ fixing: { by: 'bolts', grade: '10.9', diameter: 12, count: 4 } });
const marksOf = (job: PlanInput) =>
  markSheet(job, evaluatePlan(job)).brackets.filter(({ fixedBy, name }) => fixedBy === 'hole' || /M\d/.test(name));

describe('the marks of a body’s mounts', () => {
  it('where each bracket goes from the datum, on which face, and how far down, by hand', () => {
    const [standing, hung] = marksOf(input([made('a', perch), made('d', bolted)]));
    // The mount 200 behind a tape that hangs at 700; the datum hole at 100.
    expect(standing).toMatchObject({
      name: 'perch M1L',
      side: 'left',
      face: 'top',
      down: 0,
      fixedBy: 'weld',
      ahead: 40,
      behind: 40,
      web: 800,
    });
    // Its top 20 over the rail: 80 of its 100 on the web.
    expect(hung).toMatchObject({
      name: 'outrigger M2R',
      side: 'right',
      face: 'web-outside',
      down: 40,
      fixedBy: 'bolts',
      diameter: 12,
      across: null,
      web: 2100,
    });
  });

  it('one that sits on the rail is a hole of its size; without a hole there is nothing to mark', () => {
    const sits = made('a', { form: 'none' }, { under: [{ id: 'p', kind: 'block', height: 60 }] });
    expect(marksOf(input([sits]))).toMatchObject([
      { name: 'hole for M1L', fixedBy: 'hole', diameter: 14, down: 0, across: 430 - Math.abs(body.mounts[0]!.y) },
    ]);
    const { hole: _, ...blind } = body.mounts[0]!;
    expect(marksOf(input([sits], 0, { ...body, mounts: body.mounts.with(0, blind) }))).toEqual([]);
  });

  it('nothing is marked that nobody decided, or that cannot be made', () => {
    expect(marksOf(input())).toEqual([]);
    expect(marksOf(input([made('c', perch)]))).toEqual([]);
  });

  it('they move with the body', () => {
    const at = (x: number) => {
      const job = input([made('a', perch)]);
      return marksOf({ ...job, plan: { ...job.plan, seats: [{ body: 'body', x, z: 0, rake: 0 }] } })[0]!.web;
    };
    expect(frame.rails.kind).toBe('mirrored');
    expect(at(760) - at(700)).toBeNear(60, 1e-9);
  });
});
