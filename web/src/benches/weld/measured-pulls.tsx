import {
  finer,
  keptPulls,
  type MeasuredPull,
  measuredPulls,
  type PullMeasuredBody,
  ruleValue,
  shopPullFactor,
  withRule,
} from '@splay/core';
import { useEffect, useState } from 'react';
import { api } from '../../client/api.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { change, recordNow } from '../../client/job-store.ts';
import { Length } from '../../ui/length.tsx';
import type { WeldingInHand } from './use-welding.ts';

/** What was kept of other frames in the shop; without a connection only what is kept of this one counts. */
function useShopPulls(): readonly PullMeasuredBody[] {
  const [pulls, setPulls] = useState<readonly PullMeasuredBody[]>([]);
  useEffect(() => {
    let there = true;
    void api.pulls().then((answer) => {
      if (there && answer.ok) setPulls(answer.value);
    });
    return () => {
      there = false;
    };
  }, []);
  return pulls;
}

const times = (factor: number): string => `× ${factor.toFixed(2)}`;

/** What the readings say that the welds pulled, kept for the shop in one press, and the factor that comes of it. */
export function MeasuredPulls({ bench, hand }: { readonly bench: BenchProps; readonly hand: WeldingInHand }) {
  const { store, job, result, readings, records, canRecord, canWrite, onRecord } = bench;
  const shop = useShopPulls();
  const factor = ruleValue(job.rules, 'pull/factor');
  const measured = measuredPulls(result, hand.welding, readings, factor);
  const own = keptPulls(records);
  const known = new Set(shop.map((one) => JSON.stringify(one)));
  const all = [...shop, ...own.filter((one) => !known.has(JSON.stringify(one)))];
  const first = hand.joints[0]?.rails[0];
  const like = first && { form: first.splice.form.form, wall: first.steel.section.thickness };
  const fewest = ruleValue(job.rules, 'pull/fewest');
  const found = like && shopPullFactor(all, like, fewest);
  const keep = ({ joints, form, wall, expected, measured: came }: MeasuredPull) =>
    onRecord(recordNow(store, 'pull-measured', { joints, form, wall, expected, measured: came }));
  const isKept = ({ joints, measured: came }: MeasuredPull) =>
    own.some((one) => one.joints.join() === joints.join() && Math.abs(one.measured - came) < 1e-9);
  return (
    <div className="mt-1.5 space-y-1 text-sm">
      {measured.map((one) => (
        <p key={one.joints.join()}>
          Measured over {one.letters.join(' and ')}: shorter by{' '}
          <Length mm={one.measured} format={finer(job.display)} className="font-semibold" />
          {one.expected !== 0 && `, ${times(one.measured / one.expected)} the textbook`}, by {one.readings}{' '}
          {one.readings === 1 ? 'length' : 'lengths'}.{' '}
          {isKept(one) ? (
            <span className="text-pencil">Kept for the shop.</span>
          ) : (
            <button type="button" className="button min-h-8" disabled={!canRecord} onClick={() => keep(one)}>
              Keep it for the shop
            </button>
          )}
        </p>
      ))}
      {found && (
        <p>
          {found.used && found.spread ? (
            <>
              The shop’s own joints of this kind pull <b>{times(found.factor)}</b> the textbook (median of {found.count}
              , {times(found.spread[0])} to {times(found.spread[1])}).
            </>
          ) : (
            <span className="text-pencil">
              The shop’s own factor: {found.count} of {fewest} joints of this kind measured.
            </span>
          )}{' '}
          {found.used && Math.abs(found.factor - factor) > 0.005 && (
            <button
              type="button"
              className="button min-h-8"
              disabled={!canWrite}
              onClick={() =>
                change(store, 'The shop’s own pull', (old) => ({
                  ...old,
                  rules: withRule(old.rules, 'pull/factor', Number(found.factor.toFixed(3))),
                }))
              }
            >
              Use it here
            </button>
          )}
        </p>
      )}
    </div>
  );
}
