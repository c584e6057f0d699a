import {
  linesOfMove,
  MOVE_DIVISION,
  type Points,
  slidBy,
  type Stage,
  surveyAndMoves,
  withRearMoved,
} from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { useJobState } from '../../client/job-store.ts';

type Needs = Pick<BenchProps, 'result' | 'readings' | 'job'>;

/** What all readings of a stage say of the frame, and what brings its loose half to plan. */
export const useTrueUp = ({ result, readings, job }: Needs, stage: Stage): ReturnType<typeof surveyAndMoves> =>
  useMemo(() => surveyAndMoves(job, result, readings, stage), [job, result, readings, stage]);

/** The points of the frame as measured, with the loose half pushed as far as it is on the picture; null without a loose half. */
export function usePushed(props: Needs & Pick<BenchProps, 'store'>, stage: Stage) {
  const { trueUp } = useTrueUp(props, stage);
  const pushed = useJobState(props.store, (state) => state.pushed);
  const { unit } = props.job.display;
  return useMemo(() => {
    if (!trueUp) return null;
    const { halves, holds } = trueUp;
    const move = pushed && slidBy(pushed, holds);
    const points: Points = move ? withRearMoved(halves, move) : halves.points;
    return { trueUp, points, pushed, lines: move ? linesOfMove(move, holds, MOVE_DIVISION[unit]) : [] };
  }, [trueUp, pushed, unit]);
}
