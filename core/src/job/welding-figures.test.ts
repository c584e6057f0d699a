import { describe, expect, it } from 'vitest';
import { van } from '../../test/joints.ts';
import { presetFor, presetOff } from '../plan/index.ts';
import { newRecord, type ShopRecord } from '../records/index.ts';
import { targetOf } from '../survey/index.ts';
import { evaluateJob, type FigureId, figureOf, planOf, weldingOf } from './index.ts';

const figure = (id: FigureId, records: readonly ShopRecord[]) => figureOf(id, van, evaluateJob(van, records));
const welding = weldingOf(van, planOf(van));

describe('the figures of the welding', () => {
  it('count the stitches that are logged', () => {
    const [a] = welding.steps.flatMap(({ stitches }) => stitches);
    const record = newRecord(
      'stitch-welded',
      { stitch: a!.id, laid: true, settings: null, note: '' },
      { id: 'a', taken: '2026-04-12T08:00:00Z', by: 'welder' },
    );
    expect(figure('stitches-laid', [record]).after).toEqual({ words: '1' });
    expect(figure('stitches-laid', [])).toMatchObject({ after: null, note: 'none logged yet' });
  });

  it('count the seams that were passed, and tell of repairs', () => {
    const checked = (seam: string, result: 'passed' | 'repair'): ShopRecord =>
      newRecord(
        'seam-checked',
        { seam, test: 'visual', result, flush: false, note: '' },
        { id: seam, taken: '2026-04-12T08:00:00Z', by: 'welder' },
      );
    const [a, b] = welding.seams.map(({ id }) => id);
    expect(figure('seams-passed', [checked(a!, 'passed')])).toMatchObject({
      after: { words: '1' },
      note: 'none to repair',
    });
    const both = [checked(a!, 'passed'), checked(b!, 'repair')];
    expect(figure('seams-passed', both)).toMatchObject({ after: { words: '1' }, note: '1 to repair' });
    expect(figure('seams-passed', []).note).toBe('none looked at yet');
  });
});

describe('fit-up that is set for the pull', () => {
  const preset = presetFor(welding.changes);
  const job = { ...van, plan: { ...van.plan, welding: { ...van.plan.welding!, preset } } };

  it('asks for readings that the welds then bring to plan', () => {
    expect(preset.length).toBeGreaterThan(4);
    const controls = new Map(planOf(job).controls.map((control) => [control.measurement.id, control]));
    for (const { control, change } of welding.changes) {
      const set = controls.get(control.measurement.id)!;
      expect(set.predicted).toBe(control.predicted);
      for (const stage of ['fit-up', 'tacked'] as const)
        expect(targetOf(set, stage)! + change).toBeNear(control.predicted!, 0.05 + 1e-9);
      expect(targetOf(set, 'welded')).toBe(control.predicted);
    }
    expect(planOf(van).controls.every((control) => control.preset === 0)).toBe(true);
  });

  it('stays as it was set, and says how far it is off once the welds pull otherwise', () => {
    expect(presetOff(preset, weldingOf(job, planOf(job)).changes)).toBe(0);
    const half = welding.changes.map((each) => ({ ...each, change: each.change / 2 }));
    const largest = Math.max(...welding.changes.map(({ change }) => Math.abs(change)));
    expect(presetOff(preset, half)).toBeNear(largest / 2, 1e-9);
    expect(presetOff([], [])).toBe(0);
  });
});
