import { type HoldPoint, type GateCheck, isOpen, isPassed, signableNow } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../client/bench-props.ts';
import { useSolidCheck } from '../client/solid-check.ts';
import { recordNow } from '../client/job-store.ts';
import { Dialog } from '../ui/dialog.tsx';
import { Verdict } from '../ui/verdict.tsx';

interface HoldPointDialogProps extends Pick<BenchProps, 'store' | 'canWrite' | 'onRecord'> {
  readonly holdPoint: HoldPoint;
  readonly onBench: (bench: string) => void;
  readonly onClose: () => void;
}

const lookOf = (check: GateCheck) => (check.passed ? 'good' : check.signed ? 'note' : check.signable ? 'warn' : 'stop');

/** A hold point: its checks, each with what proves it, and a sign-off with a reason where the shop may go on all the same. */
export function HoldPointDialog({ holdPoint, store, canWrite, onRecord, onBench, onClose }: HoldPointDialogProps) {
  const [reason, setReason] = useState('');
  const open = signableNow(holdPoint);
  const solid = useSolidCheck(store);
  const found = solid.conflicts.filter(({ accepted }) => accepted === null);
  const sign = () => {
    onRecord(
      recordNow(store, 'gate-signed', { gate: holdPoint.id, checks: open.map(({ id }) => id), reason: reason.trim() }),
    );
    onClose();
  };
  return (
    <Dialog title={holdPoint.name} onClose={onClose}>
      <ul className="divide-y divide-rule border-y border-rule">
        {holdPoint.checks.map((check) => (
          <li key={check.id} className="flex items-start justify-between gap-3 py-2">
            <div>
              <Verdict kind={lookOf(check)}>
                <b className="font-semibold">{check.name}</b>: {check.detail}
              </Verdict>
              {check.signed && (
                <p className="text-sm text-pencil">
                  Signed by {check.signed.by}, {check.signed.taken.slice(0, 10)}: {check.signed.reason}
                </p>
              )}
            </div>
            {isOpen(check) && (
              <button
                type="button"
                className="button shrink-0"
                onClick={() => {
                  onBench(check.bench);
                  onClose();
                }}
              >
                Go there
              </button>
            )}
          </li>
        ))}
        <li className="py-2">
          {solid.state === 'checking' ? (
            <p role="status">Checking in 3D …</p>
          ) : (
            <Verdict kind={solid.state === 'failed' || found.length > 0 ? 'warn' : 'note'}>
              <b className="font-semibold">Check in 3D</b>:{' '}
              {solid.state === 'failed'
                ? `not checked. ${solid.problem}`
                : found.map(({ message }) => message).join(' ') ||
                  'no overlaps found. Brackets, caps, tires and anything not measured are not checked.'}
            </Verdict>
          )}
        </li>
      </ul>
      {isPassed(holdPoint) && solid.state === 'done' && found.length === 0 ? (
        <p className="mt-3">Nothing holds the work here. That is not an approval.</p>
      ) : canWrite && open.length > 0 ? (
        <>
          <label className="mt-3 block text-sm text-pencil">
            Go on all the same, because
            <textarea
              className="field mt-1 min-h-16 py-1 text-graphite"
              value={reason}
              maxLength={500}
              onChange={(event) => setReason(event.target.value)}
            />
          </label>
          <p className="mt-1 text-sm text-pencil">
            Your name and the moment are kept with it for good, for what is open now:{' '}
            {open.map(({ name }) => name).join(', ')}. It is not an engineer’s approval.
          </p>
          <button
            type="button"
            className="button button-dark mt-2"
            disabled={reason.trim() === '' || solid.state === 'checking'}
            onClick={sign}
          >
            Sign
          </button>
        </>
      ) : isPassed(holdPoint) ? (
        solid.state !== 'checking' && (
          <p className="mt-3">
            Nothing else holds the work here. Look at what the check in 3D says on Cuts, and mend it or accept it with a
            reason, before you go on.
          </p>
        )
      ) : (
        <p className="mt-3">What stops the plan cannot be signed away: it is to be put right first.</p>
      )}
    </Dialog>
  );
}
