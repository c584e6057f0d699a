import { describe, expect, it } from 'vitest';
import { van } from '../../test/joints.ts';
import { emptyPlan } from '../plan/index.ts';
import { newRecord, type ShopRecord } from '../records/index.ts';
import { quantityText } from '../units/index.ts';
import { evaluateJob, type FigureId, figureOf, planOf, weldingOf } from './index.ts';

const figure = (id: FigureId, job = van, records: readonly ShopRecord[] = []) =>
  figureOf(id, job, evaluateJob(job, records));
const bare = { ...van, plan: emptyPlan('Nothing') };

describe('the figures of the welding', () => {
  const welding = weldingOf(van, planOf(van));

  it('count the stitches that are logged', () => {
    const all = welding.steps.flatMap(({ stitches }) => stitches);
    const record = newRecord(
      'stitch-welded',
      { stitch: all[0]!.id, laid: true, settings: null, note: '' },
      { id: 'a', taken: '2026-04-12T08:00:00Z', by: 'welder' },
    );
    expect(figure('stitches-laid', van, [record]).after).toEqual({ words: `1 of ${all.length}` });
  });

  it('say what goes in and what it pulls', () => {
    const mass = welding.work.reduce((sum, each) => sum + each.mass, 0);
    expect(figure('weld-metal').after).toEqual({ words: quantityText('mass', mass, 'in') });
    expect(figure('heat-input').note).toBe('as the machine is set');
    const shortening = welding.pulls.reduce((sum, { pull }) => sum + pull.shortening, 0);
    expect(figure('welds-pull').after).toEqual({ mm: shortening });
    const { welding: _, ...unset } = van.plan;
    expect(figure('heat-input', { ...van, plan: unset }).note).toBe('settings assumed');
  });

  it('are not there where nothing is welded', () => {
    for (const id of ['stitches-laid', 'weld-metal', 'welds-pull'] as const)
      expect(figure(id, bare)).toMatchObject({ after: null, note: 'no joint to weld yet' });
  });
});

describe('fit-up that is set for the pull', () => {
  const preset = { ...van, plan: { ...van.plan, welding: { ...van.plan.welding!, preset: true } } };

  it('asks for a length that the welds then bring to plan', () => {
    const { changes } = weldingOf(van, planOf(van));
    const controls = new Map(planOf(preset).controls.map((control) => [control.measurement.id, control]));
    const moved = changes.filter(({ change }) => Math.abs(change) > 0.01);
    expect(moved.length).toBeGreaterThan(4);
    for (const { control, change } of changes) {
      const set = controls.get(control.measurement.id)!;
      expect(set.predicted).toBe(control.predicted);
      expect(set.preset).toBeNear(-change, 1e-9);
    }
  });

  it('is not where the shop has not chosen it', () => {
    expect(planOf(van).controls.every(({ preset: set }) => set === 0)).toBe(true);
  });
});
