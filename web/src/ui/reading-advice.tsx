import { type ControlPrediction, type Job, type ReadingOrder, readingOrder, type Stage } from '@splay/core';

/** Worked out once for the same measurements. */
const known = new WeakMap<readonly ControlPrediction[], Map<Stage, ReadingOrder>>();

/**
 * In which order measurements tell most; remembered.
 *
 * @param controls The measurements.
 * @param stage When in the work they are taken.
 * @param job Whose rules say how well a tape reads.
 */
export function readingOrderOf(controls: readonly ControlPrediction[], stage: Stage, job: Job): ReadingOrder {
  const stages = known.get(controls) ?? new Map<Stage, ReadingOrder>();
  known.set(controls, stages);
  const found = stages.get(stage) ?? readingOrder(controls, stage, job.rules);
  stages.set(stage, found);
  return found;
}

interface ReadingAdviceProps {
  readonly controls: readonly ControlPrediction[];
  readonly stage: Stage;
  readonly job: Job;
}

/** How many readings are enough, and which of them nothing checks. */
export function ReadingAdvice({ controls, stage, job }: ReadingAdviceProps) {
  const { order, holds, unchecked } = readingOrderOf(controls, stage, job);
  if (order.length === 0) return null;
  const spare = order.length - (holds ?? 0);
  return (
    <p className="my-2 text-sm text-pencil">
      {holds === null
        ? `All ${order.length} together do not hold every point: add the usual ones, or a diagonal and heights.`
        : `Taken with the most telling first, ${holds} of these ${order.length} readings hold every point; ${
            spare > 0 ? `the other ${spare} check them` : 'none is left to check them'
          }.`}
      {unchecked.length > 0 &&
        ` An error in ${unchecked.length} of them would not show, heights above all: read those twice.`}
    </p>
  );
}
