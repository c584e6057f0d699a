import { runToTime } from '@splay/core';
import { useEffect, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { inWorker, WorkerStopped } from '../../workers/in-worker.ts';
import type { TimedWelding } from '../../workers/weld-tasks.ts';
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
  const [timed, setTimed] = useState<Timed>({ state: 'running', share: 0 });
  useEffect(() => {
    const before = known.get(welding);
    if (before) return setTimed({ state: 'there', run: before });
    setTimed({ state: 'running', share: 0 });
    let stop = () => {};
    const clock = setTimeout(() => {
      try {
        const task = inWorker('timeWelding', [runToTime(welding, result, job, passes)], {
          onProgress: (share) => setTimed({ state: 'running', share }),
        });
        stop = task.cancel;
        task.done.then(
          (run) => {
            known.set(welding, run);
            setTimed({ state: 'there', run });
          },
          (reason: unknown) => {
            if (reason instanceof WorkerStopped && reason.code === 'worker/cancelled') return;
            setTimed({ state: 'failed', message: reason instanceof Error ? reason.message : String(reason) });
          },
        );
      } catch {
        setTimed({ state: 'failed', message: 'This browser cannot calculate beside the page: times are not shown.' });
      }
    }, REST);
    return () => {
      clearTimeout(clock);
      stop();
    };
    // The welding is the same object as long as job and result are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [welding]);
  return timed;
}
