import { runToTime } from '@splay/core';
import { useEffect, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { askSteelNow } from '../../client/weld-times.ts';
import { laidSince } from './laid-since.ts';
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
  const open = now.open.map(({ id }) => id).join();
  const asked = `${open} ${[...laid.keys()].join()}`;
  const [kept, setKept] = useState<{ readonly asked: string; readonly starts: readonly StartsAt[] } | null>(null);
  useEffect(() => {
    const stitches = now.open.flatMap((step) => step.stitches);
    if (stitches.length === 0) return;
    const moment = Date.now();
    // What was welded before still warms the walls, though its step is done.
    const before = welding.steps.flatMap((step) => step.stitches).filter(({ id }) => laid.has(id));
    const all = [...before, ...stitches.filter(({ id }) => !laid.has(id))];
    return askSteelNow(runToTime(welding, result, job, all), laidSince(laid, moment), (came) => {
      if ('problem' in came) return;
      const starts = came.value.next.map(({ id, wait, temperature }) => ({
        id,
        ready: moment + wait * 1000,
        temperature,
      }));
      setKept({ asked, starts });
    });
    // What is asked names the open steps and the stitches that are laid.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [welding, asked]);
  return kept?.asked === asked ? kept.starts : [];
}
