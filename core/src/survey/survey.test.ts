import { expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { evaluatePlan } from '../plan/index.ts';
import { inches } from '../units/index.ts';
import { judgeReading, latestReadings, type Reading } from './index.ts';

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
