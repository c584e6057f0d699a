import { describe, expect, it } from 'vitest';
import { van } from '../../test/joints.ts';
import { newRecord } from '../records/index.ts';
import { withRule } from '../rules/index.ts';
import type { Reading, Stage } from '../survey/index.ts';
import { keptPulls, measuredPulls, planOf, shopPullFactor, weldingOf } from './index.ts';

const plan = planOf(van);
const welding = weldingOf(van, plan);
const read = (measurement: string, stage: Stage, value: number): Reading => ({
  id: `${measurement}-${stage}`,
  measurement,
  stage,
  value,
  taken: '2026-04-12T08:00:00Z',
  by: 'welder',
});
const lengths = welding.changes.filter(({ control, change }) => control.kind === 'length' && change < -0.5);

describe('what the readings say of the pull', () => {
  it('is the mean of the lengths over the same joints', () => {
    const readings = lengths.flatMap(({ control, change }, at) => [
      read(control.measurement.id, 'tacked', 4000),
      read(control.measurement.id, 'welded', 4000 + 1.5 * change + (at % 2 === 0 ? 0.1 : -0.1)),
    ]);
    const found = measuredPulls(plan, welding, readings, 1);
    expect(found).toHaveLength(1);
    const [one] = found;
    expect(one!.letters).toEqual(['A', 'B']);
    expect(one!.readings).toBe(lengths.length);
    expect(one!.measured / one!.expected).toBeWithin(1.5, 0.1);
  });

  it('compares with the textbook, whatever factor the job has taken', () => {
    const job = { ...van, rules: withRule(van.rules, 'pull/factor', 2) };
    const doubled = weldingOf(job, planOf(job));
    const [length] = lengths;
    const readings = [
      read(length!.control.measurement.id, 'tacked', 4000),
      read(length!.control.measurement.id, 'welded', 3999),
    ];
    const [plain] = measuredPulls(plan, welding, readings, 1);
    const [again] = measuredPulls(planOf(job), doubled, readings, 2);
    expect(doubled.pulls[0]!.pull.shortening).toBeWithin(2 * welding.pulls[0]!.pull.shortening, 1e-9);
    expect(again!.expected).toBeWithin(plain!.expected, 1e-3);
  });

  it('is nothing without readings at both stages', () => {
    const [length] = lengths;
    expect(measuredPulls(plan, welding, [read(length!.control.measurement.id, 'welded', 4000)], 1)).toEqual([]);
  });
});

describe('the factor of the shop', () => {
  const body = (form: string, wall: number, measured: number, joints = ['a']) => ({
    joints,
    form,
    wall,
    expected: 1,
    measured,
  });

  it('counts joints of the same form and wall', () => {
    const kept = [
      body('butt', 4.8, 1.2),
      body('butt', 4.9, 1.4, ['b', 'c']),
      body('butt', 8, 3),
      body('angled', 4.8, 3),
    ];
    expect(shopPullFactor(kept, { form: 'butt', wall: 4.8 }, 3)).toEqual({
      factor: 1.4,
      spread: [1.2, 1.4],
      count: 3,
      used: true,
    });
    expect(shopPullFactor(kept, { form: 'angled', wall: 4.8 }, 3)).toMatchObject({ used: false, count: 1, factor: 1 });
  });

  it('takes the last that was kept of the same joints', () => {
    const record = (id: string, measured: number) =>
      newRecord('pull-measured', body('butt', 4.8, measured), { id, taken: `2026-04-12T08:0${id}:00Z`, by: 'welder' });
    expect(keptPulls([record('1', 1), record('2', 2)])).toEqual([body('butt', 4.8, 2)]);
  });
});
