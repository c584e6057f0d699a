import { expect, it, vi } from 'vitest';
import { donor, inputOf, plainFrame } from '../../../test/frames.ts';
import { schemaProblems } from '../../fields/index.ts';
import type { Place } from '../operation.ts';
import type { PlanState } from '../state.ts';

/** A kind of operation that the program does not have, all of it in one definition. */
vi.mock('./registry.ts', async (original) => {
  const { OPERATIONS } = await original<typeof import('./registry.ts')>();
  const { length } = await import('../../fields/index.ts');
  const { place } = await import('../operation.ts');
  const { OperationRefused } = await import('../state.ts');
  const { findSpot } = await import('../spot.ts');
  const { shift } = await import('../pose.ts');
  const { moved } = await import('../piece.ts');
  interface Hoist {
    readonly at: Place;
    readonly up: number;
  }
  const hoist = {
    kind: 'hoist',
    name: 'Hoist',
    named: ({ up }: Hoist) => (up < 0 ? 'Let down' : 'Hoist up'),
    fields: { at: place(), up: length() },
    fresh: ({ at }: { readonly at: Place }) => ({ at, up: 10 }),
    places: (operation: Hoist, visit: (place: Place) => Place) => ({ ...operation, at: visit(operation.at) }),
    carryOut: (state: PlanState, { at, up }: Hoist) => {
      findSpot(state, at);
      if (up === 0) throw new OperationRefused('operation/not-positive', 'Nothing to hoist.', ['Type how much.']);
      return { ...state, pieces: state.pieces.map((piece) => moved(piece, shift(0, up))) };
    },
    figures: ({ up }: Hoist) => ({ kind: 'hoist', up }),
  };
  return { OPERATIONS: { ...OPERATIONS, hoist } };
});

const plan = await import('../index.ts');
const { evaluatePlan, operationFigures, operationSchema, newOperation, operationName, shiftOperation } = plan;
const kind = 'hoist' as never;
const hoist = (up: number) => ({ kind: 'hoist', id: 'op1', note: '', off: false, at: donor(1000), up }) as never;

it('an operation that is only named in the registry is checked, offered, carried out, refused, named and shown', () => {
  const frame = plainFrame();
  expect(schemaProblems(operationSchema(), hoist(20))).toEqual([]);
  expect(schemaProblems(operationSchema(), { ...(hoist(20) as object), up: 'high' })).toMatchObject([{ path: 'up' }]);
  expect(plan.kindsFor(frame)).toContain('hoist');
  expect(newOperation(kind, 'a', { at: donor(5), to: donor(6) }, frame)).toMatchObject({
    id: 'a',
    at: donor(5),
    up: 10,
  });
  expect(operationName(hoist(-3))).toBe('Let down');
  expect(shiftOperation(hoist(3), 25)).toMatchObject({ at: { x: 1025 } });

  const input = inputOf(frame, hoist(20));
  const result = evaluatePlan(input);
  expect(result.operations[0]).toMatchObject({ status: 'done' });
  expect(result.features[0]!.shift!.dz).toBe(20);
  expect(operationFigures(input, result, 'op1')).toEqual({ kind: 'hoist', up: 20 });

  const refused = evaluatePlan(inputOf(frame, hoist(0)));
  expect(refused.conflicts[0]).toMatchObject({ message: 'Nothing to hoist.', donorX: 1000 });
});
