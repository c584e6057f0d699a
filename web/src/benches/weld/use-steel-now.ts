import { laidSince, runToTime } from '@splay/core';
import { useEffect, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { inWorker } from '../../workers/in-worker.ts';
import { keptThread } from '../../workers/kept-thread.ts';
import type { WeldingInHand } from './use-welding.ts';

/** When the next stitch of each joint may start, by the clock of this device. */
export interface StartsAt {
  readonly id: string;
  /** ms since 1970. */
  readonly ready: number;
  /** How hot its start was when it was worked out, °C. */
  readonly temperature: number;
}

/**
 * The next stitches with the moment that each may start, worked out in a worker whenever a stitch is logged; empty until then.
 *
 * @param bench The open job.
 * @param hand Its welding.
 */
export function useSteelNow(
  { job, result }: Pick<BenchProps, 'job' | 'result'>,
  hand: WeldingInHand,
): readonly StartsAt[] {
  const { welding, laid, now } = hand;
  const [starts, setStarts] = useState<readonly StartsAt[]>([]);
  const open = now.open.map(({ id }) => id).join();
  useEffect(() => {
    setStarts([]);
    const stitches = now.open.flatMap((step) => step.stitches);
    if (stitches.length === 0) return;
    const asked = Date.now();
    // What was welded before still warms the walls, though its step is done.
    const before = welding.steps.flatMap((step) => step.stitches).filter(({ id }) => laid.has(id));
    const all = [...before, ...stitches.filter(({ id }) => !laid.has(id))];
    let finished = false;
    try {
      const task = inWorker('steelNow', [runToTime(welding, result, job, all), laidSince(laid, asked)], {
        start: () => keptThread(() => finished),
      });
      task.done.then(
        ({ next }) => {
          finished = true;
          setStarts(next.map(({ id, wait, temperature }) => ({ id, ready: asked + wait * 1000, temperature })));
        },
        () => {},
      );
      return task.cancel;
    } catch {
      return;
    }
    // Welding and open steps stand for the job as far as it counts here.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [welding, laid, open]);
  return starts;
}
