import type { Frame } from '../frame/index.ts';
import type { Plan, PlanInput } from '../plan/index.ts';
import type { Rulebook } from '../rules/index.ts';
import type { Reading } from '../survey/index.ts';
import type { LengthFormat } from '../units/index.ts';

/** A place where the body wants to sit, in body coordinates: x from its front wheel opening, rearward. */
export interface BodyMount {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** The body that goes on: what the frame must be made to fit. mm. */
export interface Body {
  readonly name: string;
  /** Distance between the centres of its wheel openings. */
  readonly wheelbase: number;
  /** Outline of its side, from front to rear, x from the front wheel opening, z over the datum plane. */
  readonly outline: readonly { readonly x: number; readonly z: number }[];
  readonly mounts: readonly BodyMount[];
}

/** One build. A `PlanInput`, so that the plan is evaluated straight from it. */
export interface Job extends PlanInput {
  readonly name: string;
  readonly donor: Frame;
  readonly body: Body | null;
  readonly plan: Plan;
  readonly rules: Rulebook;
  readonly display: LengthFormat;
  /** Benches that the shop has called done. */
  readonly done: readonly string[];
}

export const JOB_FORMAT = 'splay-job';
export const JOB_VERSION = 1;

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
