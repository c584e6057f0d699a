import {
  type Job,
  laidStitches,
  progressOf,
  isPassed,
  ruleValue,
  type SpliceOutcome,
  stepsNow,
  type Stitch,
  USUAL_WELDING,
  type Welding,
  type WeldingResult,
  weldingOf,
  type WeldNow,
} from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { change, type JobStore } from '../../client/job-store.ts';

/** The welding of the open job as it stands, and the joint at hand. */
export interface WeldingInHand {
  readonly welding: WeldingResult;
  readonly laid: ReturnType<typeof laidStitches>;
  readonly now: WeldNow;
  /** The joints that are welded, front to rear. */
  readonly joints: readonly SpliceOutcome[];
  readonly joint: SpliceOutcome | undefined;
  /** Stitches of all steps but tacks, in the order that is planned. */
  readonly passes: readonly Stitch[];
}

/** The welding of the open job; the joint that is picked, else the first. */
export function useWelding({
  job,
  result,
  records,
  selected,
}: Pick<BenchProps, 'job' | 'result' | 'records' | 'selected'>): WeldingInHand {
  const welding = weldingOf(job, result);
  const laid = useMemo(() => laidStitches(records), [records]);
  const now = useMemo(() => {
    const held = progressOf(job, records).holdPoints.find(({ id }) => id === 'before-welding-out');
    const inTurn = ruleValue(job.rules, 'weld/in-turn') === 1;
    return stepsNow(welding, laid, held === undefined || isPassed(held), inTurn);
  }, [job, records, welding, laid]);
  const joints = result.splices.filter(({ joint }) => welding.work.some((each) => each.joint.id === joint.id));
  return {
    welding,
    laid,
    now,
    joints,
    joint: joints.find(({ joint: { id } }) => id === selected) ?? joints[0],
    passes: welding.steps.flatMap(({ what, stitches }) => (what === 'tack' ? [] : stitches)),
  };
}

/** Changes what is decided of the welding, as one step of undo. */
export const decide = (store: JobStore, label: string, edit: (old: Welding) => Welding): void =>
  change(store, label, (old: Job) => ({
    ...old,
    plan: { ...old.plan, welding: edit(old.plan.welding ?? USUAL_WELDING) },
  }));
