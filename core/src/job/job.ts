import type { Body } from '../body/index.ts';
import type { Frame } from '../frame/index.ts';
import type { Plan, PlanInput, RackTube } from '../plan/index.ts';
import type { Rulebook } from '../rules/index.ts';
import type { Attachment, ShopRecord } from '../records/index.ts';
import type { LengthFormat } from '../units/index.ts';

/** One build. A `PlanInput`, so that the plan is evaluated straight from it. */
export interface Job extends PlanInput {
  readonly name: string;
  readonly donor: Frame;
  /** What goes on the frame, in one or several parts. */
  readonly bodies: readonly Body[];
  /** The plan in hand: what is drawn, marked out and measured against. */
  readonly plan: Plan;
  /** Other ways of doing it, kept beside the plan in hand to compare and to take up. Their names differ from its. */
  readonly variants: readonly Plan[];
  readonly rules: Rulebook;
  readonly display: LengthFormat;
  /** Tube on the shop's rack, and offcuts, that could go into a joint. */
  readonly rack: readonly RackTube[];
  /** Benches that the shop has called done. */
  readonly done: readonly string[];
}

export const JOB_FORMAT = 'splay-job';
export const JOB_VERSION = 12;

/** A job with its records, as it travels. */
export interface JobFile {
  readonly format: typeof JOB_FORMAT;
  readonly version: typeof JOB_VERSION;
  readonly job: Job;
  readonly records: readonly ShopRecord[];
  /** What the records refer to by its hash. */
  readonly attachments: readonly Attachment[];
}

/**
 * A job with its records as it travels.
 *
 * @param job The job; validated.
 * @param records Records of the job, in any order.
 * @param attachments What the records refer to.
 */
export const jobFileOf = (
  job: Job,
  records: readonly ShopRecord[],
  attachments: readonly Attachment[] = [],
): JobFile => ({
  format: JOB_FORMAT,
  version: JOB_VERSION,
  job,
  records,
  attachments,
});
