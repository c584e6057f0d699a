import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inputOf, plainFrame, planOf, donor } from '../../test/frames.ts';
import {
  evaluatePlan,
  justBehind,
  newOperation,
  kindsFor,
  operationName,
  placeOfOperation,
  shiftOperation,
  stretchedOperation,
  withOperation,
  withOrder,
  withoutOperation,
} from './index.ts';

/** Places that begin at a donor station and end 400 behind it. */
const at = (x: number) => ({ at: donor(x), to: donor(x + 400) });

const channelFrame = plainFrame({
  sections: [{ id: 'rail', section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 } }],
  features: [
    ...plainFrame().features,
    { ...plainFrame().features[0]!, id: 'mount', name: 'Mount', x: 2500, movable: 're-drill' },
  ],
});

describe('an operation made longer', () => {
  const kinds = kindsFor(channelFrame).map((kind) => newOperation(kind, 'cut-1', at(3000), channelFrame));
  const stretching = kinds.filter((operation) => stretchedOperation(operation, 0));
  const lengthOf = (operation: (typeof kinds)[number]) =>
    operation.kind === 'lengthen'
      ? operation.length
      : operation.kind === 'box'
        ? operation.to.x - operation.from.x
        : NaN;

  it('is one whose rear edge can be drawn out, and no other', () => {
    expect(stretching.map(({ kind }) => kind)).toEqual(['lengthen', 'box']);
    for (const operation of stretching) expect(stretchedOperation(operation, 0)).toEqual(operation);
  });

  it('is longer by just that, at the place where it was', () => {
    for (const operation of stretching) {
      const longer = stretchedOperation(operation, 37)!;
      expect(lengthOf(longer) - lengthOf(operation)).toBeNear(37, 1e-9);
      expect(placeOfOperation(longer)).toEqual(placeOfOperation(operation));
      expect(stretchedOperation(longer, -37)).toEqual(operation);
    }
  });
});

describe('a new operation of every kind', () => {
  it.each(kindsFor(channelFrame))('%s can be carried out where it is put, and moved', (kind) => {
    const operation = newOperation(kind, 'cut-1', at(3000), channelFrame);
    const input = { ...inputOf(channelFrame), plan: { ...planOf(), operations: [operation] } };
    expect(evaluatePlan(input).operations[0]!.refusal).toBeNull();
    const moved = shiftOperation(operation, 50);
    const [was, is] = [placeOfOperation(operation)?.x, placeOfOperation(moved)?.x];
    // What comes off the rear end gets less as its cut goes back.
    expect(is ?? 0).toBeNear(was === undefined ? 0 : was + (kind === 'trim' ? -50 : 50), 1e-9);
    expect(operationName(moved).length).toBeGreaterThan(2);
  });
});

describe('a new operation beside something', () => {
  const rules = { profile: 'weld-and-reinforce', changes: { 'joint/hole-distance': 40 } } as const;
  const member = {
    id: 'member',
    name: 'Member',
    x: 2000,
    length: 80,
    depth: 100,
    below: 20,
    fixing: 'bolted',
    removable: true,
    mass: 5,
  } as const;
  const frame = { ...channelFrame, crossmembers: [member] };

  it('begins as far behind it as a joint must keep', () => {
    expect(justBehind(frame, 'mount', rules)).toBe(2500 + 6 + 40);
    expect(justBehind(frame, 'member', rules)).toBe(2000 + 40 + 40);
    expect(justBehind(frame, 'nothing', rules)).toBeNull();
    expect(justBehind(frame, null, rules)).toBeNull();
    const cut = newOperation('lengthen', 'a', at(justBehind(frame, 'mount', rules)!), frame);
    const input = { ...inputOf(frame), rules, plan: { ...planOf(), operations: [cut] } };
    expect(evaluatePlan(input).conflicts.map(({ code }) => code)).not.toContain('near-joint');
  });

  it('works on the bracket or the crossmember that is meant', () => {
    expect(newOperation('bracket', 'a', at(2600), frame, 'datum')).toMatchObject({
      change: { what: 'move', feature: 'datum', down: 75 },
    });
    expect(newOperation('crossmember', 'a', at(2600), frame, 'member')).toMatchObject({
      change: { what: 'move', crossmember: 'member', to: { x: 2000, on: 'donor' } },
    });
    expect(newOperation('crossmember', 'a', at(2600), frame, 'mount')).toMatchObject({ change: { what: 'add' } });
  });
});

/** Figures to a nanometre: sums of lengths do not come back to the last bit. */
const rounded = (value: object): unknown =>
  JSON.parse(
    JSON.stringify(value, (_, item: unknown) => (typeof item === 'number' ? Math.round(item * 1e6) / 1e6 : item)),
  );

it('shifting there and back changes nothing', () => {
  fc.assert(
    fc.property(fc.constantFrom(...kindsFor(channelFrame)), fc.integer({ min: -500, max: 500 }), (kind, by) => {
      const operation = newOperation(kind, 'a', at(3000), channelFrame);
      expect(rounded(shiftOperation(shiftOperation(operation, by), -by))).toEqual(rounded(operation));
    }),
  );
});

it('operations are replaced, reordered and removed by id', () => {
  const plan = planOf(
    { kind: 'lengthen', at: donor(2000), length: 10, section: null },
    { kind: 'extend', end: 'rear', length: 20, section: null },
  );
  const ids = (operations: readonly { id: string }[]) => operations.map((operation) => operation.id);
  expect(ids(withOrder(plan, 'op2', -1).operations)).toEqual(['op2', 'op1']);
  expect(withOrder(plan, 'op1', -1)).toBe(plan);
  expect(ids(withoutOperation(plan, 'op1').operations)).toEqual(['op2']);
  expect(withOperation(plan, { ...plan.operations[0]!, note: 'x' }).operations[0]!.note).toBe('x');
});
