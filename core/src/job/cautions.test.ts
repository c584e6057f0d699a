import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { STOCK_MATERIALS } from '../materials/index.ts';
import { evaluatePlan } from '../plan/index.ts';
import { CAUTION_STEPS, type CautionStep, newRecord } from '../records/index.ts';
import { cautionsOf, type Job, lastRead, parseJobFile } from './index.ts';

const demo = (name: string) =>
  parseJobFile(readFileSync(new URL(`../../../demo/${name}.json`, import.meta.url), 'utf8')).job;
const van = demo('parcel-van');
const sprayer = demo('orchard-sprayer');
const told = (job: Job, step: CautionStep = 'cutting') => cautionsOf(job, evaluatePlan(job), step);
const ids = (job: Job, step?: CautionStep) => told(job, step).map(({ id }) => id);
const here = (job: Job, id: string) => told(job).find((caution) => caution.id === id)?.here;

describe('the cautions', () => {
  it('that hold for every job are always there, planned or not', () => {
    const bare = { ...van, plan: { ...van.plan, operations: [] } };
    expect(ids(bare)).toEqual(['batteries', 'fuel', 'stamp', 'restraints', 'fire-watch', 'fumes', 'body']);
    expect(ids(bare, 'welding')).toEqual(
      expect.arrayContaining(['welder', 'batteries', 'fuel', 'no-heat-straightening', 'before-use']),
    );
  });

  it('name the cut that comes nearest to the tank and the fuel line', () => {
    // The fuel line runs through the stretch that is cut.
    expect(here(van, 'fuel')).toMatch(/^Cut A runs past /);
    const noLines = { ...van, donor: { ...van.donor, lines: [] } };
    expect(here(noLines, 'fuel')).toMatch(/^Cut [ABC] is .* in.* from Tank strap/);
    const none = {
      ...noLines,
      donor: { ...noLines.donor, features: van.donor.features.filter(({ kind }) => kind !== 'tank-strap') },
    };
    expect(here(none, 'fuel')).toBe('');
  });

  it('say how far the nearest cut is from the VIN stamp', () => {
    expect(here(van, 'stamp')).toMatch(/^Cut A is .* in.* from VIN stamp\.$/);
  });

  it('ask to look into closed rails only where rails are closed, or the plan closes them', () => {
    expect(ids(van)).not.toContain('closed-rails');
    expect(here(sprayer, 'closed-rails')).toBe('These rails are closed.');
    const box = { id: 'box', kind: 'box', note: '', off: false, plate: 5, taper: 100 } as const;
    const boxed = (off: boolean) => ({
      ...van,
      plan: {
        ...van.plan,
        operations: [{ ...box, off, from: { x: 1500, on: 'donor' }, to: { x: 2000, on: 'donor' } } as const],
      },
    });
    expect(here(boxed(false), 'closed-rails')).toBe('The plan closes these rails.');
    expect(ids(boxed(true))).not.toContain('closed-rails');
  });

  it('name what comes off by bolts, and which brake lines the plan touches', () => {
    expect(here(van, 'fasteners')).toMatch(/^Comes off: .*Hitch bracket/);
    const welded = van.donor.features.map((feature) => ({ ...feature, attachment: 'weld' as const }));
    const members = van.donor.crossmembers.map((member) => ({ ...member, fixing: 'riveted' as const }));
    expect(ids({ ...van, donor: { ...van.donor, features: welded, crossmembers: members } })).not.toContain(
      'fasteners',
    );
    expect(here(van, 'brakes')).toBe('Here: Rear brake line.');
    expect(here(van, 'halves')).toBe('The plan cuts the frame through at A, B.');
  });

  it('forbid heat on rails that it would ruin, at the saw and at the welder', () => {
    const hard = { ...van, donor: { ...van.donor, material: STOCK_MATERIALS['heat-treated-110'] } };
    for (const step of CAUTION_STEPS) expect(ids(hard, step)).toContain('hardened');
    expect(ids(hard)).not.toContain('light-metal');
    const light = { ...van, donor: { ...van.donor, material: STOCK_MATERIALS['aluminum-6061'] } };
    expect(ids(light)).toEqual(expect.arrayContaining(['hardened', 'light-metal']));
  });

  it.each(CAUTION_STEPS)('are short and each its own, when %s', (step) => {
    const all = told(sprayer, step);
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    for (const { title, detail } of all) {
      expect(title.length).toBeLessThan(60);
      expect(detail.length).toBeLessThan(170);
    }
  });
});

it('what was read is told by the last who read it, for its step alone', () => {
  const read = (by: string, day: number) =>
    newRecord('caution-read', { step: 'cutting', caution: 'fuel' }, { id: by, by, taken: `2026-03-${day}T09:30:00Z` });
  const records = [read('fabricator', 14), read('owner', 15)];
  expect(lastRead(records, 'cutting', 'fuel')).toBe(records[1]);
  expect(lastRead(records, 'welding', 'fuel')).toBeUndefined();
  expect(lastRead(records, 'cutting', 'halves')).toBeUndefined();
});
