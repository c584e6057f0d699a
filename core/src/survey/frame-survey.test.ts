import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Vec3 } from '../frame/index.ts';
import { parseJobFile, planOf } from '../job/index.ts';
import type { ControlPrediction } from '../plan/index.ts';
import { readingsIn } from '../records/index.ts';
import { inches } from '../units/index.ts';
import { frameSurvey, type FrameSurvey } from './frame-survey.ts';
import { type Reading, type Stage, targetOf } from './reading.ts';

const { job, records } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
const { controls } = planOf(job);
const of = (control: ControlPrediction, value: number, stage: Stage = 'tacked'): Reading => ({
  id: control.measurement.id,
  measurement: control.measurement.id,
  stage,
  value,
  taken: '2026-05-02T10:00:00Z',
  by: 'owner',
});
const exact = (stage: Stage = 'tacked'): Reading[] =>
  controls.flatMap((control) => {
    const target = targetOf(control, stage);
    return target === null ? [] : [of(control, target, stage)];
  });
const survey = (readings: readonly Reading[], stage: Stage = 'tacked') =>
  frameSurvey(controls, readings, stage, job.rules);
const held = (found: FrameSurvey) => {
  if (found.state !== 'held') throw new Error(found.state);
  return found;
};
const partsOf = (found: FrameSurvey) => Object.fromEntries(held(found).parts!.map((part) => [part.part, part]));

/** What would be read of the built frame with every point somewhere else. */
const readOf = (move: (point: Vec3) => Vec3): Reading[] =>
  controls.flatMap((control) => {
    const [a, b] = (control.ends.built ?? []).map(move);
    if (!a) return [];
    return [of(control, b ? Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z) : a.z)];
  });

describe('what all readings say of the frame', () => {
  it('is nothing where nothing was read at that stage', () => {
    expect(survey([])).toEqual({ state: 'nothing-read' });
    expect(survey(exact('welded'))).toEqual({ state: 'nothing-read' });
  });

  it.each(['before-cut', 'tacked'] as const)(
    'is nothing out of shape where every reading is as it should be: %s',
    (stage) => {
      const found = held(survey(exact(stage), stage));
      expect(found.misreads).toEqual([]);
      expect(found.rest).toBeCloseTo(0, 6);
      for (const { amount, verdict } of found.parts!) {
        expect(amount).toBeCloseTo(0, 6);
        expect(verdict).not.toBe('off');
      }
    },
  );

  it('finds a diamond, a twist and a sag that were put in, and no others', () => {
    const built = controls.flatMap(({ ends }) => ends.built ?? []);
    const [front, rear] = [Math.min(...built.map(({ x }) => x)), Math.max(...built.map(({ x }) => x))];
    const width = 2 * Math.max(...built.map(({ y }) => Math.abs(y)));
    const u = (x: number) => (2 * x - front - rear) / (rear - front);
    const found = partsOf(
      survey(
        readOf(({ x, y, z }) => ({
          x: x - (9 * y) / width,
          y,
          z: z - 8 * (1 - u(x) ** 2) + ((12 * y) / width) * (u(x) / 2),
        })),
      ),
    );
    expect(found.diamond).toMatchObject({ amount: expect.closeTo(9, 0) as number, verdict: 'off' });
    expect(found.sag).toMatchObject({ amount: expect.closeTo(8, 0) as number, verdict: 'off' });
    expect(found.twist).toMatchObject({ amount: expect.closeTo(12, 0) as number, verdict: 'off' });
    for (const part of ['length', 'width', 'side-bend'] as const) expect(Math.abs(found[part]!.amount)).toBeLessThan(1);
  });

  it('does not tell what the readings cannot: with worse tapes a small diamond is in doubt', () => {
    const readings = readOf(({ x, y, z }) => ({ x: x - (4 * y) / 800, y, z }));
    expect(partsOf(survey(readings)).diamond!.verdict).toBe('off');
    const rules = { ...job.rules, changes: { ...job.rules.changes, 'survey/tape': 6 } };
    expect(partsOf(frameSurvey(controls, readings, 'tacked', rules)).diamond!.verdict).toBe('doubtful');
  });

  it('names the reading that does not go with the others, what it should be, and why', () => {
    const diagonal = controls.find(({ kind, predicted }) => kind === 'diagonal' && predicted !== null)!;
    const readings = exact().map((one) =>
      one.measurement === diagonal.measurement.id ? { ...one, value: one.value - inches(1) } : one,
    );
    const { misreads, parts } = held(survey(readings));
    expect(misreads.map(({ control }) => control.name)).toEqual([diagonal.name]);
    expect(misreads[0]).toMatchObject({
      cause: 'inch',
      error: expect.closeTo(-25.4, 3) as number,
      shouldRead: expect.closeTo(diagonal.predicted!, 3) as number,
    });
    // Two widths, two lengths and two diagonals check each other once: each of the others could be wrong in its place.
    expect(misreads[0]!.orElse.length).toBeGreaterThan(2);
    // It is left out of the shape.
    for (const { amount } of parts!) expect(amount).toBeCloseTo(0, 3);
  });

  it('of the demo it finds the diagonal that was misread by an inch', () => {
    const { misreads } = held(survey(readingsIn(records)));
    expect(misreads[0]).toMatchObject({ cause: 'inch', control: { name: 'Back of cab left to Kick-up right' } });
  });

  it('where the readings do not hold the frame it says what to take next, until they do', () => {
    const widths = exact().filter(({ measurement }) => /-width$/.test(measurement));
    const taken = [...widths];
    let last = Infinity;
    for (;;) {
      const found = survey(taken);
      if (found.state !== 'floats') break;
      expect(found.ways).toBeLessThanOrEqual(last);
      last = found.ways;
      expect(taken.map(({ measurement }) => measurement)).not.toContain(found.next!.measurement.id);
      taken.push(exact().find(({ measurement }) => measurement === found.next!.measurement.id)!);
      expect(taken.length).toBeLessThanOrEqual(controls.length);
    }
    // Fewer than all there are, since each was the one that tells most.
    expect(held(survey(taken)).parts).not.toBeNull();
    expect(taken.length).toBeLessThan(exact().length);
  });

  it('a list without diagonals is never enough, and nothing is proposed that would not help', () => {
    const straight = controls.filter(({ kind }) => kind !== 'diagonal');
    const found = frameSurvey(straight, exact(), 'tacked', job.rules);
    expect(found).toMatchObject({ state: 'floats', next: null });
  });

  it('a reading that no frame could give is wrong by itself, and draws no other along', () => {
    const readings = exact().map((one, at) => (at === 9 ? { ...one, value: one.value + 21_000 } : one));
    const { misreads, parts } = held(survey(readings));
    expect(misreads).toHaveLength(1);
    expect(misreads[0]).toMatchObject({ error: expect.closeTo(21_000, 0) as number });
    for (const { amount } of parts!) expect(amount).toBeCloseTo(0, 3);
  });

  it('whatever is typed, it ends, and every figure is one', () => {
    const wrong = fc.array(
      fc.record({
        at: fc.nat(controls.length - 1),
        by: fc.oneof(
          fc.double({ min: -400, max: 400, noNaN: true }),
          fc.double({ min: -50_000, max: 50_000, noNaN: true }),
        ),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(wrong, fc.nat(controls.length), (slips, left) => {
        const readings = exact().slice(left);
        for (const { at, by } of slips) {
          const reading = readings[at];
          if (reading) readings[at] = { ...reading, value: reading.value + by };
        }
        const found = survey(readings);
        if (found.state !== 'held') return;
        const figures = [
          found.rest,
          ...found.misreads.flatMap(({ error, sigma, shouldRead }) => [error, sigma, shouldRead]),
        ];
        for (const { amount, within } of found.parts ?? []) figures.push(amount, within);
        for (const figure of figures) expect(Number.isFinite(figure)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe('what to take next', () => {
  it('of what is still to be taken, the one that the others foretell least; none when all is taken', () => {
    const all = exact();
    expect(held(survey(all)).next).toBeNull();
    // A width that its diagonals give as well tells less than one at the tail, which fewer hold.
    const few = all.filter(({ measurement }) => !['p3-width', 'p5-width'].includes(measurement));
    expect(held(survey(few)).next!.measurement.id).toBe('p5-width');
  });
  it('readings that the others hardly check are named: an error in them would not show', () => {
    const weak = held(survey(exact())).weak.map(({ measurement }) => measurement.id);
    // Tapes along a level frame say nothing of heights; diagonals check each other.
    expect(weak).toContain('p3-height-left');
    expect(weak).not.toContain('p2-left-p5-right');
  });
});
