import type { Body } from '../body/index.ts';
import type { CautionRead } from './cautions.ts';
import type { Frame } from '../frame/index.ts';
import type { Plan, PlanInput } from '../plan/index.ts';
import type { BenchId } from './progress.ts';
import type { Rulebook } from '../rules/index.ts';
import type { Reading } from '../survey/index.ts';
import type { LengthFormat } from '../units/index.ts';

/** One build. A `PlanInput`, so that the plan is evaluated straight from it. */
export interface Job extends PlanInput {
  readonly name: string;
  readonly donor: Frame;
  readonly body: Body | null;
  /** The plan in hand: what is drawn, marked out and measured against. */
  readonly plan: Plan;
  /** Other ways of doing it, kept beside the plan in hand to compare and to take up. Their names differ from its. */
  readonly variants: readonly Plan[];
  readonly rules: Rulebook;
  readonly display: LengthFormat;
  /** Cautions that somebody marked as read, in the order they did. */
  readonly cautionsRead: readonly CautionRead[];
  /** Benches that the shop has called done. */
  readonly done: readonly BenchId[];
}

export const JOB_FORMAT = 'splay-job';
export const JOB_VERSION = 3;

/** A job with its readings, as it travels. */
export interface JobFile {
  readonly format: typeof JOB_FORMAT;
  readonly version: typeof JOB_VERSION;
  readonly job: Job;
  readonly readings: readonly Reading[];
}

export const jobFileOf = (job: Job, readings: readonly Reading[]): JobFile => ({
  format: JOB_FORMAT,
  version: JOB_VERSION,
  job,
  readings,
});
