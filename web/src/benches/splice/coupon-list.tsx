import { type Coupon, couponsOf, isHeld } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { recordNow } from '../../client/job-store.ts';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Verdict } from '../../ui/verdict.tsx';

const JOINTS = { butt: 'Butt', fillet: 'Fillet', plug: 'Plug' } as const;
const WAYS: Readonly<Record<string, string>> = {
  'both-sides': ' from both sides',
  'on-backing': ' on a backing',
  'one-side': ' from one side',
};

const look = (coupon: Coupon) => (isHeld(coupon) ? 'good' : coupon.logged ? 'stop' : 'warn');

const nameOf = (coupon: Coupon) =>
  `${JOINTS[coupon.joint]}${WAYS[coupon.way] ?? ''}, ${coupon.position}, for ${coupon.letters.join(' and ')}`;

/** The trial pieces that the welds of the plan ask for: welded, broken or bent, and logged. */
export function CouponList({ store, result, records, canRecord, onRecord }: BenchProps) {
  const coupons = useMemo(() => couponsOf(result, records), [result, records]);
  if (coupons.length === 0) return null;
  const log = (coupon: Coupon, found: 'held' | 'failed') =>
    onRecord(recordNow(store, 'coupon', { coupon: coupon.id, result: found, note: '' }));
  return (
    <section aria-label="Practice coupons" className="mt-5">
      <PanelHeading
        aside={
          <span>
            {coupons.filter(isHeld).length} of {coupons.length}
          </span>
        }
      >
        Practice coupons
      </PanelHeading>
      <ul>
        {coupons.map((coupon) => (
          <li key={coupon.id} className="border-b border-rule/60 py-1.5">
            <Verdict kind={look(coupon)}>
              <span className="text-[0.95rem]">
                {JOINTS[coupon.joint]}
                {WAYS[coupon.way] ?? ''}, {coupon.position}, wall{' '}
                <Length mm={coupon.wall} format={{ ...store.getState().job.display }} />
                {coupon.isThinInner && ' (the inner wall: it burns through where the rest holds)'}
                <span className="text-pencil"> for {coupon.letters.join(' and ')}</span>
              </span>
              {coupon.logged && (
                <span className="block text-sm text-pencil">
                  {coupon.logged.body.result === 'held' ? 'Held' : 'Failed'}, {coupon.logged.by},{' '}
                  {coupon.logged.taken.slice(0, 10)}
                </span>
              )}
            </Verdict>
            {canRecord && !isHeld(coupon) && (
              <span className="mt-1 ml-6 flex gap-1.5">
                <button type="button" className="button min-h-8" onClick={() => log(coupon, 'held')}>
                  Held<span className="sr-only">: {nameOf(coupon)}</span>
                </button>
                <button type="button" className="button min-h-8" onClick={() => log(coupon, 'failed')}>
                  Failed<span className="sr-only">: {nameOf(coupon)}</span>
                </button>
              </span>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-pencil">
        Weld one of each on scrap of the same wall, in the same position, then break or bend it and look at the root.
      </p>
    </section>
  );
}
