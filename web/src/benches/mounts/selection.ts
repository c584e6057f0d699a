import {
  type Job,
  type Mounting,
  type MountingOutcome,
  type PlanResult,
  withMounting,
  withoutDeadAcceptances,
} from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { change, type JobStore } from '../../client/job-store.ts';

/** The mount that is picked, else the first of the body that is, else the first of all; undefined without mounts. */
export const selectedMount = (
  { mountings }: Pick<PlanResult, 'mountings'>,
  { selected }: Pick<BenchProps, 'selected'>,
): MountingOutcome | undefined =>
  mountings.find(({ seat }) => seat.mount.id === selected) ??
  mountings.find(({ body }) => body.id === selected) ??
  mountings[0];

/** The mounts front to rear, the left one of a pair first. */
export const inOrder = (mountings: readonly MountingOutcome[]): readonly MountingOutcome[] =>
  mountings.toSorted((a, b) => a.tag.localeCompare(b.tag, 'en', { numeric: true }));

/** Makes mounts this way, as one step of undo. */
export const make = (store: JobStore, label: string, mountings: readonly Mounting[]): void =>
  change(store, label, (old: Job) =>
    withoutDeadAcceptances({ ...old, plan: mountings.reduce(withMounting, old.plan) }),
  );

/** Leaves a mount to what is usual for the way it becomes. */
export const leaveToRule = (store: JobStore, { seat, tag }: MountingOutcome): void =>
  change(store, `Left ${tag} to the rule`, (old) =>
    withoutDeadAcceptances({
      ...old,
      plan: { ...old.plan, mountings: old.plan.mountings.filter(({ mount }) => mount !== seat.mount.id) },
    }),
  );

/** The mount across from one, on the other side at the same station. */
export const acrossFrom = (
  { tag, side }: MountingOutcome,
  mountings: readonly MountingOutcome[],
): MountingOutcome | undefined =>
  mountings.find((other) => other.tag.slice(0, -1) === tag.slice(0, -1) && other.side !== side);

/** Whether a bracket holds what it is asked, cannot be made, or nobody knows. */
export const stateOf = (outcome: MountingOutcome, most: number): 'good' | 'bad' | 'unknown' => {
  const [worst] = outcome.checks;
  if (outcome.problems.length > 0) return 'bad';
  if (!worst) return outcome.mounting.bracket.form === 'none' ? 'good' : 'unknown';
  return worst.ratio <= most + 1e-9 ? 'good' : 'bad';
};
