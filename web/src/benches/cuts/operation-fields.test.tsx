import {
  checkJob,
  evaluatePlan,
  newBracket,
  newCrossmember,
  newHole,
  newOperation,
  type Operation,
  OPERATION_KINDS,
} from '@splay/core';
import { describe, expect, it, vi } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { fireEvent, render, screen, userEvent } from '../../../test/page.ts';
import { OperationFields } from './operation-fields.tsx';

const { job } = demoJob('tour-carrier');
const [X, FIRST] = [2200, { x: 2200, on: 'donor' } as const];
const fresh = (kind: (typeof OPERATION_KINDS)[number]) =>
  newOperation(kind, 'new', { at: FIRST, to: { x: X + 300, on: 'donor' } }, job.donor);
const member = job.donor.crossmembers[2]!.id;
const hole = job.donor.features.find(({ kind }) => kind === 'hole')!.id;
const common = { id: 'new', note: '', off: false };

/** Every kind of operation, and every shape that its fields can take. */
const OPERATIONS: readonly (readonly [name: string, operation: Operation])[] = [
  ...OPERATION_KINDS.map((kind) => [kind, fresh(kind)] as const),
  ['pie-cut by angle', { ...fresh('pie-cut'), amount: { by: 'angle', angle: 0.1 } } as Operation],
  ['widen between two places', { ...fresh('widen'), to: { x: 3000, on: 'donor' } } as Operation],
  ...(
    [
      { what: 'add', at: FIRST, crossmember: newCrossmember('new', X, job.donor) },
      { what: 'move', crossmember: member, to: FIRST },
      { what: 'lower', crossmember: member, by: 20 },
      { what: 'thin', crossmember: member, depth: 50 },
    ] as const
  ).map((change) => [`crossmember, ${change.what}`, { ...common, kind: 'crossmember', change }] as const),
  ...(
    [
      { what: 'add', at: FIRST, feature: newBracket('new', X) },
      { what: 'move', feature: hole, to: FIRST, down: 40 },
      { what: 'drill', at: FIRST, feature: newHole('new', X), count: 3, pitch: 50 },
    ] as const
  ).map((change) => [`bracket, ${change.what}`, { ...common, kind: 'bracket', change }] as const),
];

function show(operation: Operation, disabled = false) {
  const onChange = vi.fn<(next: Operation) => void>();
  const planned = { ...job, plan: { ...job.plan, operations: [operation], splices: [] } };
  render(<OperationFields {...{ operation, disabled, onChange }} job={planned} result={evaluatePlan(planned)} />);
  return onChange;
}

/** The last operation that was asked for: another than before, of the same kind, and one that a job file may hold. */
function asked(onChange: ReturnType<typeof show>, operation: Operation): Operation {
  const next = onChange.mock.lastCall?.[0];
  expect(next, 'a change was asked for').toBeDefined();
  expect(next).not.toEqual(operation);
  expect(next).toMatchObject({ id: operation.id, kind: operation.kind });
  expect(() => checkJob({ ...job, plan: { ...job.plan, operations: [next], splices: [] } })).not.toThrow();
  return next!;
}

describe.each(OPERATIONS)('the fields of %s', (_, operation) => {
  it('take what is typed into each of them', () => {
    const onChange = show(operation);
    for (const box of screen.queryAllByRole<HTMLInputElement>('textbox')) {
      onChange.mockClear();
      fireEvent.change(box, { target: { value: box.value === '7' ? '8' : '7' } });
      fireEvent.blur(box);
      asked(onChange, operation);
    }
  });

  it('take every choice', () => {
    const onChange = show(operation);
    for (const button of screen.queryAllByRole('button', { pressed: false })) {
      onChange.mockClear();
      fireEvent.click(button);
      asked(onChange, operation);
    }
    for (const list of screen.queryAllByRole<HTMLSelectElement>('combobox'))
      for (const { value } of [...list.options].filter((option) => option.value !== list.value)) {
        onChange.mockClear();
        fireEvent.change(list, { target: { value } });
        asked(onChange, operation);
      }
  });

  it('cannot be changed by who may only look', () => {
    show(operation, true);
    const fields = [...screen.queryAllByRole('textbox'), ...screen.queryAllByRole('combobox')];
    expect(fields.length).toBeGreaterThan(0);
    for (const field of fields) expect(field).toHaveProperty('disabled', true);
  });
});

describe('shortening', () => {
  const shorten = fresh('shorten');

  it('keeps the front cut when more is to come out', async () => {
    const user = userEvent.setup();
    const onChange = show(shorten);
    const box = screen.getByRole('textbox', { name: 'How much comes out' });
    await user.clear(box);
    await user.type(box, '10 1/2{Enter}');
    expect(onChange).toHaveBeenLastCalledWith({ ...shorten, to: { x: X + 266.7, on: 'donor' } });
  });

  it('says why a transition cannot be below 0, and asks for nothing', async () => {
    const user = userEvent.setup();
    const onChange = show(shorten);
    const box = screen.getByRole('textbox', { name: /^Transition piece/ });
    await user.clear(box);
    await user.type(box, '-2{Enter}');
    expect(screen.getByRole('alert').textContent).toBe('The transition must be 0 or more.');
    expect(onChange).not.toHaveBeenCalled();
  });

  it('gives a place on the built frame as the same place', async () => {
    const user = userEvent.setup();
    const onChange = show(shorten);
    await user.click(screen.getByRole('button', { name: 'Front cut: give it on the built frame' }));
    expect(asked(onChange, shorten)).toMatchObject({ from: { x: X, on: 'built' } });
  });
});
