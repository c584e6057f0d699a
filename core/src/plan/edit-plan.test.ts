import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inputOf, plainFrame, planOf, donor } from '../../test/frames.ts';
import {
  evaluatePlan,
  freshId,
  newOperation,
  OPERATION_KINDS,
  operationName,
  placeOfOperation,
  shiftOperation,
  withOperation,
  withOrder,
  withoutOperation,
} from './index.ts';

const channelFrame = plainFrame({
  sections: [{ id: 'rail', section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 } }],
  features: [
    ...plainFrame().features,
    { ...plainFrame().features[0]!, id: 'mount', name: 'Mount', x: 2500, movable: 're-drill' },
  ],
});

describe('a new operation of every kind', () => {
  it.each(OPERATION_KINDS)('%s can be carried out where it is put, and moved', (kind) => {
    const operation = newOperation(kind, 'cut-1', 3000, channelFrame);
    const input = { ...inputOf(channelFrame), plan: { ...planOf(), operations: [operation] } };
    expect(evaluatePlan(input).operations[0]!.refusal).toBeNull();
    const moved = shiftOperation(operation, 50);
    const [was, is] = [placeOfOperation(operation)?.x, placeOfOperation(moved)?.x];
    expect(is ?? 0).toBe(was === undefined ? 0 : was + 50);
    expect(operationName(moved).length).toBeGreaterThan(2);
  });
});

/** Figures to a nanometre: sums of lengths do not come back to the last bit. */
const rounded = (value: object): unknown =>
  JSON.parse(
    JSON.stringify(value, (_, item: unknown) => (typeof item === 'number' ? Math.round(item * 1e6) / 1e6 : item)),
  );

it('shifting there and back changes nothing', () => {
  fc.assert(
    fc.property(fc.constantFrom(...OPERATION_KINDS), fc.integer({ min: -500, max: 500 }), (kind, by) => {
      const operation = newOperation(kind, 'a', 3000, channelFrame);
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
  expect(freshId(plan)).toBe('cut-3');
  expect(freshId({ ...plan, operations: [{ ...plan.operations[0]!, id: 'cut-2' }] })).toBe('cut-3');
});
