import {
  type BodySeat,
  type Job,
  type PlanResult,
  seatOf,
  type SeatOutcome,
  withoutDeadAcceptances,
  withSeat,
} from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { selectedBody } from '../../client/selected-body.ts';
import { change, type JobStore, preview } from '../../client/job-store.ts';

/** The body at hand where it sits; undefined while the job has none. */
export function selectedSeat(
  { seats }: Pick<PlanResult, 'seats'>,
  { job, selected }: Pick<BenchProps, 'job' | 'selected'>,
): SeatOutcome | undefined {
  const body = selectedBody(job.bodies, selected);
  return seats.find((seat) => seat.body.id === body?.id);
}

const jobWith = (job: Job, seat: BodySeat): Job => ({ ...job, plan: withSeat(job.plan, seat) });

/** Puts a body somewhere, as one step of undo. */
export const place = (store: JobStore, label: string, seat: SeatOutcome, changes: Partial<BodySeat>): void =>
  change(store, label, (old) => withoutDeadAcceptances(jobWith(old, seatOf(seat, changes))));

/** Shows it there without putting it. */
export const showAt = (store: JobStore, seat: SeatOutcome, changes: Partial<BodySeat>): void =>
  preview(store, (old) => jobWith(old, seatOf(seat, changes)));

/** Leaves a body to the first rule that serves. */
export const leaveToRule = (store: JobStore, { body }: SeatOutcome): void =>
  change(store, `Left ${body.name} to the rule`, (old) => ({
    ...old,
    plan: { ...old.plan, seats: old.plan.seats.filter((seat) => seat.body !== body.id) },
  }));
