import { describe, expect, it } from 'vitest';
import { donor, featureAt, inputOf, memberAt, plainFrame } from '../../test/frames.ts';
import { jobOf, operationsFor, ZOO } from '../../test/zoo.ts';
import { carryOutEdit, type Conflict, evaluatePlan, type PlanInput, removeAllFirst, triedFixes } from './index.ts';

const datum = plainFrame().features[0]!;
const stops = (input: PlanInput) => evaluatePlan(input).conflicts.filter(({ severity }) => severity === 'stop');
const found = (input: PlanInput, code: string): Conflict => {
  const conflict = evaluatePlan(input).conflicts.find((one) => one.code === code);
  if (!conflict) throw new Error(`no ${code}`);
  return conflict;
};

describe('a suggested fix', () => {
  it('is not offered where it does not work: a trim that would cut off less than nothing', () => {
    // The strap lies 5 ahead of the end: clear of it behind is beyond the end of the frame.
    const strap = featureAt('strap', 5990, { kind: 'tank-strap', ahead: 40, behind: 5 });
    const frame = plainFrame({ features: [datum, strap] });
    const trim = { kind: 'trim', end: 'rear', at: { x: 20, on: 'end' }, angle: 0, lean: 'top-longer' } as const;
    const input = inputOf(frame, trim);
    const conflict = found(input, 'cut-through');
    const back = conflict.fixes.filter(({ say }) => say.endsWith('back'));
    expect(back).toHaveLength(1);
    expect(evaluatePlan(carryOutEdit(input, back[0]!.edit!, 'x')).operations[0]!.status).toBe('refused');
    expect(triedFixes(input, conflict).filter(({ say }) => say.endsWith('back'))).toEqual([]);
  });

  it('clears its conflict and adds no stop, on every frame of the zoo and for every operation', () => {
    let tried = 0;
    for (const animal of ZOO.filter((_, index) => index % 3 === 0))
      for (const [, operation] of operationsFor(animal)) {
        const input = jobOf(animal, operation);
        const before = new Set(stops(input).map(({ key }) => key));
        for (const conflict of evaluatePlan(input).conflicts.slice(0, 4))
          for (const { edit } of triedFixes(input, conflict)) {
            if (!edit) continue;
            tried += 1;
            const after = evaluatePlan(carryOutEdit(input, edit, 'cure'));
            const left = after.conflicts.filter(({ key, severity }) => key === conflict.key && severity !== 'note');
            expect(left, `${animal.name}: ${conflict.message}`).toEqual([]);
            for (const { key, severity } of after.conflicts) if (severity === 'stop') expect(before).toContain(key);
          }
      }
    expect(tried).toBeGreaterThan(30);
  });

  it('every stop has one, can be accepted, or says why not', () => {
    for (const animal of ZOO.filter((_, index) => index % 4 === 1))
      for (const [, operation] of operationsFor(animal)) {
        const input = jobOf(animal, operation);
        for (const conflict of stops(input))
          expect(conflict.acceptable || triedFixes(input, conflict).length > 0, conflict.message).toBe(true);
      }
  });
});

describe('removing several things first', () => {
  const frame = plainFrame({
    features: [
      datum,
      ...[1950, 2010].map((x) => featureAt(`strap-${x}`, x, { kind: 'tank-strap', ahead: 70, behind: 70 })),
    ],
    crossmembers: [memberAt('cross', 2010), memberAt('front', 800), memberAt('rear', 5200)],
  });
  const input = inputOf(frame, { kind: 'lengthen', at: donor(2000), length: 300 });

  it('is one edit that takes off everything that the cut runs through', () => {
    expect(stops(input)).toHaveLength(3);
    const way = removeAllFirst(input, stops(input), 'op1')!;
    expect(way.say).toBe('Remove these 3 things first');
    const after = carryOutEdit(input, way.edit!, 'off');
    expect(after.plan.operations.map(({ id }) => id)).toEqual(['off', 'off-2', 'off-3', 'op1']);
    expect(stops(after)).toEqual([]);
  });

  it('is not offered for one thing alone, or where something cannot come off', () => {
    const [first] = stops(input);
    expect(removeAllFirst(input, [first!], 'op1')).toBeNull();
    const fixed = { ...frame, features: frame.features.map((each) => ({ ...each, movable: 'no' as const })) };
    const stuck = inputOf(fixed, { kind: 'lengthen', at: donor(2000), length: 300 });
    expect(removeAllFirst(stuck, stops(stuck), 'op1')).toBeNull();
  });
});
