import { runToTime, type WeldingResult } from '@splay/core';
import { useEffect, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { type TimedWelding, timeWelding } from '../../client/weld-times.ts';
import type { WeldingInHand } from './use-welding.ts';

/** The times of the planned welding: worked out in a worker once the hand rests. */
export type Timed =
  | { readonly state: 'running'; readonly share: number }
  | { readonly state: 'there'; readonly run: TimedWelding }
  | { readonly state: 'failed'; readonly message: string };

/** A plan that is still being changed is not timed, ms. */
const REST = 350;

/** What was timed last, so that panel and picture ask for it once. */
const known = new WeakMap<object, TimedWelding>();

/**
 * Times the planned welding.
 *
 * @param bench The open job.
 * @param hand Its welding.
 */
export function useTimed(
  { job, result }: Pick<BenchProps, 'job' | 'result'>,
  { welding, passes }: WeldingInHand,
): Timed {
  const [kept, setKept] = useState<{ readonly of: WeldingResult; readonly timed: Timed } | null>(null);
  const there = known.get(welding);
  useEffect(() => {
    if (known.has(welding)) return;
    let stop = () => {};
    const set = (timed: Timed) => setKept({ of: welding, timed });
    const clock = setTimeout(() => {
      stop = timeWelding(
        runToTime(welding, result, job, passes),
        (share) => set({ state: 'running', share }),
        (came) => {
          if ('problem' in came) return set({ state: 'failed', message: came.problem });
          known.set(welding, came.value);
          set({ state: 'there', run: came.value });
        },
      );
    }, REST);
    return () => {
      clearTimeout(clock);
      stop();
    };
    // The welding is the same object as long as job and result are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [welding]);
  if (there) return { state: 'there', run: there };
  return kept?.of === welding ? kept.timed : { state: 'running', share: 0 };
}
