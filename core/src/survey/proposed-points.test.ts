import { expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { railEnds, railOf } from '../frame/index.ts';
import { emptyPlan, evaluatePlan, type PlanInput } from '../plan/index.ts';
import { inches } from '../units/index.ts';
import { proposedPoints } from './index.ts';

const frame = { ...plainFrame(), controlPoints: [], controlMeasurements: [] };
const of = (input: PlanInput) => proposedPoints(input.donor, evaluatePlan(input)).map(({ name, x }) => [name, x]);
const [front, rear] = railEnds(railOf(frame.rails, 'left'));

it('takes both ends, both axles, and 6 in to each side of a cut', () => {
  const cut = inputOf(frame, { kind: 'lengthen', at: donor(2000), length: 300, section: null });
  expect(of(cut)).toEqual(
    [
      ['Front end', front + inches(1)],
      ...frame.axles.map(({ name, x }) => [name, x] as [string, number]),
      ['Ahead of A', 2000 - inches(6)],
      ['Behind B', 2000 + inches(6)],
      ['Rear end', rear - inches(1)],
    ].toSorted((a, b) => Number(a[1]) - Number(b[1])),
  );
});

it('takes none on steel that comes out, and both sides of what stays', () => {
  const out = inputOf(frame, { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2400) });
  const xs = of(out).map(([, x]) => Number(x));
  expect(xs.filter((x) => x > 2000 && x < 2400)).toEqual([]);
  expect(xs).toEqual(expect.arrayContaining([2000 - inches(6), 2400 + inches(6)]));
});

it('takes none beside a point that is there already, nor beside one that tells more', () => {
  const there = { id: 'p', name: 'Mine', x: front + inches(2), inboard: 0, down: 0 };
  const without = { ...inputOf({ ...frame, controlPoints: [there] }), plan: emptyPlan('none') };
  expect(of(without).map(([name]) => name)).not.toContain('Front end');
  // A cut 4 in behind an axle: of the axle and the point 6 in ahead of the cut, 2 in apart, the cut's is kept.
  const [axle] = frame.axles;
  const beside = inputOf(frame, { kind: 'lengthen', at: donor(axle!.x + inches(8)), length: 300, section: null });
  const names = of(beside).map(([name]) => name);
  expect(names).toContain('Ahead of A');
  expect(names).not.toContain(axle!.name);
});

it('takes the stations where a rail bends', () => {
  const stations = [
    ...railOf(frame.rails, 'left').slice(0, 1),
    { ...railOf(frame.rails, 'left')[0]!, x: 2600 },
    { ...railOf(frame.rails, 'left')[0]!, x: 2900, top: 120 },
    { ...railOf(frame.rails, 'left').at(-1)!, top: 120 },
  ];
  const bent = { ...inputOf({ ...frame, rails: { kind: 'mirrored', stations } }), plan: emptyPlan('none') };
  expect(of(bent).filter(([name]) => /^Kick/.test(String(name)))).toEqual([
    ['Kick-up', 2600],
    ['Kick-down', 2900],
  ]);
});
