import { describe, expect, it } from 'vitest';
import { donor, inputOf } from '../../test/frames.ts';
import { arm, body, frame, input, made, perch } from '../../test/mounts.ts';
import { evaluatePlan, newHole, type PlanInput } from '../plan/index.ts';
import { markSheet, markTables } from './index.ts';

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

  it('says what block goes under: under an old bracket what is left, and more when the body is raised', () => {
    const old = made('a', { form: 'old', height: 24, along: 70, leg: 5 });
    const block = (z: number) => marksOf(input([old], z))[0]!.block;
    expect([block(0), block(10)]).toEqual([36, 46]);
    const plates = made('b', { form: 'none' }, { under: [{ id: 'p', kind: 'plate', height: 60 }] });
    expect(marksOf(input([plates]))[0]!.block).toBe(60);
    expect(marksOf(input([made('a', perch)]))[0]!.block).toBe(0);
    const job = input([old]);
    const table = (of: PlanInput) =>
      markTables(markSheet(of, evaluatePlan(of))).find(({ id }) => id === 'brackets-left')!;
    expect(table(job).columns.map(({ title }) => title)).toContain('On a block of');
    expect(table(input([made('a', perch)])).columns.map(({ title }) => title)).not.toContain('On a block of');
  });

  it('a hole drilled in the top flange is marked across it, where it was said', () => {
    const hole = { ...newHole('h', 2000), face: 'top' as const, down: 0, inboard: 32 };
    const drilled = (feature: object) => {
      const job = inputOf(frame, {
        kind: 'bracket',
        change: { what: 'drill', at: donor(2000), feature: feature as typeof hole, count: 1, pitch: 0 },
      });
      const result = evaluatePlan(job);
      const { across } = markSheet(job, result).brackets.find(
        ({ fixedBy, side }) => fixedBy === 'hole' && side === 'left',
      )!;
      return { across, y: result.features.find(({ status }) => status === 'new')!.places.left!.built!.y };
    };
    expect(drilled(hole)).toEqual({ across: 32, y: -(430 - 32) });
    const { inboard: _, ...unmeasured } = hole;
    expect(drilled(unmeasured)).toEqual({ across: null, y: -430 });
    expect(drilled({ ...hole, face: 'web-outside', down: 50 }).across).toBeNull();
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
