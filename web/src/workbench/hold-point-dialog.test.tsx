import { type Job, newRecord, progressOf, type ShopRecord } from '@splay/core';
import { solidConflict, type SolidFinding } from '@splay/core/solids';
import { expect, it, vi } from 'vitest';
import { demoJob, openStore } from '../../test/demo.ts';
import { fireEvent, render, screen } from '../../test/page.ts';
import { storeCheck } from '../client/solid-check.ts';
import { HoldPointDialog } from './hold-point-dialog.tsx';

const { job, records } = demoJob('parcel-van');

function open(
  which: 0 | 1,
  of: Job = job,
  own: readonly ShopRecord[] = records,
  canWrite = true,
  found: readonly SolidFinding[] | null = [],
) {
  const asked = { onRecord: vi.fn(), onBench: vi.fn(), onClose: vi.fn() };
  const holdPoint = progressOf(of, own).holdPoints[which]!;
  const store = openStore(of, own, canWrite);
  if (found) storeCheck(store, { found, of: store.getState().job, problem: '', conflictOf: solidConflict });
  render(<HoldPointDialog holdPoint={holdPoint} store={store} canWrite={canWrite} {...asked} />);
  return asked;
}

it('is signed with a reason, for what is open now', () => {
  const { onRecord, onClose } = open(1);
  expect(screen.getByText(/2 not right/)).toBeTruthy();
  const sign = screen.getByRole<HTMLButtonElement>('button', { name: 'Sign' });
  expect(sign.disabled).toBe(true);
  fireEvent.change(screen.getByRole('textbox'), { target: { value: ' the tape was read twice ' } });
  fireEvent.click(sign);
  expect(onRecord.mock.lastCall).toMatchObject([
    {
      kind: 'gate-signed',
      by: 'owner',
      body: { gate: 'before-welding-out', checks: ['readings-tacked'], reason: 'the tape was read twice' },
    },
  ]);
  expect(onClose).toHaveBeenCalledOnce();
});

it('leads to the bench that settles a check', () => {
  const { onBench } = open(1);
  fireEvent.click(screen.getByRole('button', { name: 'Go there' }));
  expect(onBench).toHaveBeenCalledExactlyOnceWith('true-up');
});

it('says who signed, when and why', () => {
  const body = { gate: 'before-welding-out', checks: ['readings-tacked'], reason: 'tape read twice' };
  const signed = newRecord('gate-signed', body, { id: 's', taken: '2026-05-04T10:00:00Z', by: 'owner' });
  open(1, job, [...records, signed]);
  expect(screen.getByText('Signed by owner, 2026-05-04: tape read twice')).toBeTruthy();
  expect(screen.getByText(/Nothing holds the work here. That is not an approval/)).toBeTruthy();
});

it('what stops a plan is not to be signed away, and who may only look signs nothing', () => {
  const operations = job.plan.operations.map((each) =>
    each.kind === 'lengthen' ? { ...each, at: { x: -127, on: 'donor' as const } } : each,
  );
  open(0, { ...job, plan: { ...job.plan, operations } });
  expect(screen.queryByRole('button', { name: 'Sign' })).toBeNull();
  expect(screen.getByText(/cannot be signed away/)).toBeTruthy();
});

it('a reviewer signs nothing', () => {
  open(1, job, records, false);
  expect(screen.queryByRole('button', { name: 'Sign' })).toBeNull();
});

it('waits for the check in 3D', () => {
  open(1, job, records, true, null);
  fireEvent.change(screen.getByRole('textbox'), { target: { value: 'read twice' } });
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Sign' }).disabled).toBe(true);
  expect(screen.getByRole('status').textContent).toMatch(/in 3D/);
});

it('does not call a hold point clear while the check in 3D has an open finding', () => {
  const body = { gate: 'before-welding-out', checks: ['readings-tacked'], reason: 'tape read twice' };
  const signed = newRecord('gate-signed', body, { id: 's', taken: '2026-05-04T10:00:00Z', by: 'owner' });
  const message = 'Tank and Crossmember 3 overlap by 10 mm.';
  const finding: SolidFinding = {
    code: 'overlap',
    key: 'solid-overlap/a/b',
    about: ['a', 'b'],
    message,
    at: [0, 0, 0],
    amount: 10,
  };
  open(1, job, [...records, signed], true, [finding]);
  expect(screen.getByText(/overlap by 10 mm/)).toBeTruthy();
  expect(screen.queryByText(/Nothing holds the work here/)).toBeNull();
});
