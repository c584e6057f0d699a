import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { evaluatePlan } from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import { inches } from '../units/index.ts';
import { judgeReading, latestReadings, readingProblem, strayReadings, type Reading } from './index.ts';

const points = ['a', 'b'].map((id, index) => ({ id, name: id, x: 500 + index * 3000, inboard: 0, down: 0 }));
const end = (point: string, side: 'left' | 'right') => ({ point, side });
const input = inputOf(
  plainFrame({
    controlPoints: points,
    controlMeasurements: [
      { id: 'length', kind: 'tape' as const, from: end('a', 'left'), to: end('b', 'left') },
      { id: 'diagonal', kind: 'tape' as const, from: end('a', 'left'), to: end('b', 'right') },
    ],
  }),
  { kind: 'lengthen', at: donor(2000), length: 300, section: null },
);
const controls = evaluatePlan(input).controls;
const judge = (index: number, off: number, stage: Reading['stage'] = 'tacked') => {
  const control = controls[index]!;
  const target = stage === 'before-cut' ? control.before : control.predicted!;
  return judgeReading(control, { stage, value: target + off }, input.rules, input.display);
};

it('a length is right within 1/16 in and a diagonal within 1/8 in', () => {
  expect(judge(0, inches(1 / 16)).verdict).toBe('right');
  expect(judge(0, inches(1 / 8))).toMatchObject({ verdict: 'off', message: '1/8 in long, allowed 1/16 in' });
  expect(judge(1, inches(-1 / 8)).verdict).toBe('right');
  expect(judge(1, inches(-1 / 4))).toMatchObject({ verdict: 'off', message: '1/4 in short, allowed 1/8 in' });
});

it('an inch off is a misread tape before it is a bent frame', () => {
  expect(judge(1, inches(1.05))).toMatchObject({ verdict: 'misread' });
  expect(judge(0, -inches(1)).message).toMatch(/^an inch short: read from the 1 in mark/);
  expect(judge(0, inches(1.2)).verdict).toBe('off');
});

it('before the cut the donor is the target, after it the plan', () => {
  expect(judge(0, 0, 'before-cut').verdict).toBe('right');
  expect(
    judgeReading(controls[0]!, { stage: 'tacked', value: controls[0]!.before }, input.rules, input.display).off,
  ).toBeNear(-300, 1e-9);
});

it('a point on steel that is gone has no target, and says so', () => {
  const lost = evaluatePlan({
    ...input,
    plan: {
      ...input.plan,
      operations: [
        { id: 's', note: '', off: false, kind: 'shorten', transition: 0, rise: 0, from: donor(3400), to: donor(3600) },
      ],
    },
  });
  expect(judgeReading(lost.controls[0]!, { stage: 'tacked', value: 3000 }, input.rules, input.display)).toMatchObject({
    verdict: 'no-target',
    message: 'b is on steel that is taken out',
  });
});

it('the latest reading of a stage counts', () => {
  const reading = (id: string, taken: string, stage: Reading['stage'] = 'tacked'): Reading => ({
    id,
    measurement: 'length',
    stage,
    value: 1,
    taken,
    by: 'x',
  });
  const all = [
    reading('late', '2026-02-02T00:00:00Z'),
    reading('early', '2026-01-01T00:00:00Z'),
    reading('other', '2026-03-03T00:00:00Z', 'welded'),
  ];
  expect(latestReadings(all, 'tacked').get('length')?.id).toBe('late');
});

describe('at the limits', () => {
  const [control] = evaluatePlan(input).controls;
  const verdict = (off: number) =>
    judgeReading(control!, { stage: 'before-cut', value: control!.before + off }, input.rules, input.display).verdict;

  it('a reading is right up to its tolerance, and misread up to what an inch is told by', () => {
    const allowed = judgeReading(
      control!,
      { stage: 'before-cut', value: control!.before },
      input.rules,
      input.display,
    ).tolerance;
    expect([allowed, -allowed, allowed + 0.01].map(verdict)).toEqual(['right', 'right', 'off']);
    const inch = ruleValue(input.rules, 'reading/inch');
    expect([25.4 - inch, 25.4 + inch, 25.4 - inch - 0.01, -25.4 + inch].map(verdict)).toEqual([
      'misread',
      'misread',
      'off',
      'misread',
    ]);
  });

  it('a tape at 0 is none, a height may be there, and what is not known is taken', () => {
    expect(
      [readingProblem('tape', 0), readingProblem('tape', -1), readingProblem('tape', 0.1)].map((said) => said !== null),
    ).toEqual([true, true, false]);
    expect(readingProblem('height', 0)).toBeNull();
    expect(readingProblem(undefined, -5)).toBeNull();
  });

  it('of two readings of one moment the later in the list counts, of two moments the later one', () => {
    const at = (id: string, taken: string): Reading => ({
      id,
      measurement: 'm',
      stage: 'tacked',
      value: 1,
      taken,
      by: 'owner',
    });
    const [early, late] = ['2026-01-01T08:00:00Z', '2026-01-01T09:00:00Z'];
    const latest = (...of: Reading[]) => latestReadings(of, 'tacked').get('m')?.id;
    expect(latest(at('a', early), at('b', early))).toBe('b');
    expect(latest(at('a', late), at('b', early))).toBe('a');
    expect(latest(at('a', early), at('b', late))).toBe('b');
    expect(latestReadings([at('a', early)], 'welded').size).toBe(0);
  });

  it('readings without a measurement are told apart, newest first', () => {
    const at = (id: string, measurement: string, taken: string) =>
      ({ id, measurement, stage: 'tacked', value: 1, taken, by: 'owner' }) as const;
    const all = [at('a', 'gone', '2026-01-01'), at('b', 'here', '2026-01-03'), at('c', 'gone', '2026-01-02')];
    expect(strayReadings(all, [{ id: 'here' }]).map(({ id }) => id)).toEqual(['c', 'a']);
  });
});
