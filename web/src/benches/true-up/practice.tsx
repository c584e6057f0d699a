import {
  type ControlPrediction,
  type Holds,
  type Points,
  PRACTICE_LEVELS,
  practiceFrame,
  type PracticeFrame,
  type PracticeLevel,
  type Reading,
  surveyAndMoves,
} from '@splay/core';
import { useMemo, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { Choice } from '../../ui/choice.tsx';
import { asReading, PracticeRun } from './practice-run.tsx';

/** A made-up crooked frame on this job's plan: measure, move, true it. Nothing of it goes into the job. */
export function PracticeDrawer(props: BenchProps) {
  const { job, result } = props;
  const [level, setLevel] = useState<PracticeLevel>(1);
  const [frame, setFrame] = useState<PracticeFrame | null>(null);
  const start = useStart(props);
  if (!start)
    return (
      <p className="text-pencil">
        To practice, the plan needs a joint with control points on both sides of it: three pairs or more along the
        frame.
      </p>
    );
  if (!frame)
    return (
      <div className="max-w-2xl space-y-3">
        <p>
          Splay makes the loose half of this frame lie crooked, and keeps to itself how. Measure with the simulated
          instrument, move the half, measure again, until it is true. Nothing of it goes into the job.
        </p>
        <Choice
          list
          label="How hard"
          value={String(level) as '1' | '2' | '3'}
          choices={(['1', '2', '3'] as const).map((each) => [each, `${each} · ${PRACTICE_LEVELS[each].name}`])}
          disabled={false}
          onChange={(next) => setLevel(Number(next) as PracticeLevel)}
        />
        <button
          type="button"
          className="button button-dark"
          onClick={() =>
            setFrame(practiceFrame(start.nominal, start.looseFrom, start.holds, level, 1 + (Date.now() % 2147483000)))
          }
        >
          Give me a crooked frame
        </button>
      </div>
    );
  return <PracticeRun key={frame.level} job={job} result={result} first={frame} onEnd={() => setFrame(null)} />;
}

/** Where everything should be, and where the loose half is held. */
function useStart({ job, result }: BenchProps): {
  readonly nominal: Points;
  readonly looseFrom: number;
  readonly holds: Holds;
} | null {
  return useMemo(() => {
    const { survey, trueUp } = surveyAndMoves(job, result, ideal(result.controls), 'fit-up');
    return survey.state === 'held' && trueUp
      ? { nominal: survey.nominal, looseFrom: trueUp.joint.builtX, holds: trueUp.holds }
      : null;
  }, [job, result]);
}

/** What would be read of a frame that is as planned. */
const ideal = (controls: readonly ControlPrediction[]): Reading[] =>
  controls.flatMap((control) => (control.predicted === null ? [] : [asReading(control, control.predicted)]));
