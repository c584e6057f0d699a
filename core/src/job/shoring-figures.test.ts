import { describe, expect, it } from 'vitest';
import { beach, sprayer, van } from '../../test/joints.ts';
import { evaluateShoring } from '../plan/index.ts';
import { NO_SHORING, type Shoring } from '../shoring/index.ts';
import { newRecord } from '../records/index.ts';
import { quantityText } from '../units/index.ts';
import { evaluateJob, progressOf, figureOf, type FigureId, type Job } from './index.ts';

const figure = (id: FigureId, job: Job) => figureOf(id, job, evaluateJob(job, []));
const held = (changes: Partial<Shoring>): Job => ({
  ...van,
  plan: { ...van.plan, shoring: { ...van.plan.shoring, ...changes } },
});
const IDS = ['frame-weighs', 'tipping-margin', 'heaviest-stand', 'kerf-closes', 'cut-out-weighs'] as const;

describe('the figures of the shores', () => {
  const { steps } = evaluateShoring(van);

  it('the frame as it is cut, without what is off it', () => {
    expect(figure('frame-weighs', van)).toMatchObject({
      after: { kg: steps[0]!.whole.mass },
      note: '1 thing is off it',
    });
    expect(figure('frame-weighs', held({ off: [] })).note).toBe('with all on it');
    const cab = van.donor.points.find(({ name }) => name === 'Cab')!;
    const off = figure('frame-weighs', held({ off: [{ id: cab.id, step: null }] }));
    expect((off.after as { kg: number }).kg).toBeNear(steps[0]!.whole.mass - cab.mass, 1e-6);
    expect(figure('frame-weighs', held({ off: [cab.id, 'fuel-tank'].map((id) => ({ id, step: null })) })).note).toBe(
      '2 things are off it',
    );
  });

  it('the least margin is of the part that is nearest to going over; what does not stand is said', () => {
    const margins = steps.flatMap(({ loose }) =>
      loose.flatMap(({ removed, stability }) => (removed ? [] : [stability.margins!.nearest])),
    );
    expect(figure('tipping-margin', van).after).toEqual({ mm: Math.min(...margins) });
    expect(figure('tipping-margin', held({ shores: [] }))).toMatchObject({
      after: { words: 'does not stand' },
      note: 'Front part',
    });
  });

  it('most on one stand, how far the kerf closes, and what is cut out', () => {
    const most = (job: Job) =>
      Math.max(
        ...evaluateShoring(job).steps.flatMap(({ whole, loose }) =>
          [whole, ...loose].flatMap(({ stands }) => stands.map(({ load }) => load ?? 0)),
        ),
      );
    const said = (job: Job) => ({ words: quantityText('mass', most(job) / 9.80665, 'in') });
    expect(figure('heaviest-stand', van).after).toEqual(said(van));
    // A frame that is not cut yet may lie on two pairs of four: more on one of them than once it is in two.
    const { shores } = van.plan.shoring;
    const shimmed = held({
      shores: shores.map((shore, at) => (at === 1 || at === 2 ? { ...shore, shim: 25 } : shore)),
    });
    expect(figure('heaviest-stand', shimmed).after).toEqual(said(shimmed));
    expect(figure('heaviest-stand', shimmed).note).toMatch(/, not cut yet$/);
    expect(most(shimmed)).toBeGreaterThan(most(van));
    expect(figure('kerf-closes', van)).toMatchObject({ after: { words: 'under 1/64 in' }, note: 'A·B, at the bottom' });
    expect(figure('kerf-closes', held({ shores: [] }))).toMatchObject({ after: null });
    const out = evaluateShoring(sprayer).steps[0]!.loose.find(({ removed }) => removed)!;
    expect(figure('cut-out-weighs', sprayer).after).toEqual({ words: quantityText('mass', out.mass, 'in') });
  });

  it('without a cut there is none of them', () => {
    for (const id of IDS) expect(figure(id, beach).after).toBeNull();
  });
});

describe('the hold points', () => {
  const check = (job: Job, id: string, records: Parameters<typeof progressOf>[1] = []) =>
    progressOf(job, records)
      .holdPoints.flatMap(({ checks }) => checks)
      .find((each) => each.id === id)!;

  it('nothing is cut that would tip, and no signature changes that', () => {
    const [first] = van.plan.shoring.shores;
    const tipping = check(held({ shores: [first!] }), 'stands');
    expect(tipping).toMatchObject({ passed: false, signable: false, bench: 'stands' });
    expect(tipping.detail).toMatch(/goes front down|goes rear down|only balances/);
    expect(check(van, 'stands')).toMatchObject({ passed: true });
  });

  it('without stands the shop may go on with a reason; where nothing is cut none are asked for', () => {
    const bare = held(NO_SHORING);
    expect(check(bare, 'stands').passed).toBe(true);
    expect(check(bare, 'propped')).toMatchObject({ passed: false, signable: true, detail: 'none placed yet' });
    const signed = newRecord(
      'gate-signed',
      { gate: 'before-cutting', checks: ['propped'], reason: 'on the frame bench, clamped down all along' },
      { id: 'signed', taken: '2026-04-01T10:00:00Z', by: 'owner' },
    );
    expect(check(bare, 'propped', [signed]).signed).toMatchObject({ by: 'owner' });
    expect(check(beach, 'propped').passed).toBe(true);
  });

  it('ends are read on both rails and fit before they are welded', () => {
    const [joint] = evaluateJob(van, []).plan.joints;
    const even = { joint: joint!.id, top: 2.38125, web: 2.38125, bottom: 2.38125, out: 0, up: 0 };
    const read = (side: 'left' | 'right', changes: Partial<typeof even> = {}) =>
      newRecord(
        'fit-up',
        { ...even, ...changes, side },
        { id: `${side}-${changes.top ?? ''}`, taken: '2026-04-01T10:00:00Z', by: 'owner' },
      );
    expect(check(van, 'ends').detail).toBe(`${joint!.letter}: not read on both rails`);
    expect(check(van, 'ends', [read('left')]).detail).toBe(`${joint!.letter}: not read on both rails`);
    expect(check(van, 'ends', [read('left'), read('right', { top: 0.79375 })]).detail).toBe(
      `${joint!.letter}: 1/16 in off the right top`,
    );
    expect(check(van, 'ends', [read('left', { out: 3 }), read('right')]).detail).toBe(
      `${joint!.letter}: the left ends stand off each other`,
    );
  });
});
